import type { OnwardView } from '@/contract/views/set';
import { Link } from '@/features/shell/link';
import { doneName } from '@/messages/book';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** The way to another movement, with what is changed for it. */
export function Onward({
  to,
  label,
  strong,
}: {
  readonly to: OnwardView;
  readonly label: string;
  readonly strong?: boolean;
}) {
  return (
    <Link className={styles.onward} data-strong={strong || undefined} href={`/set/${to.itemId}`}>
      <b>
        {label} {[to.clientName, doneName(to.movement, to.side)].filter(Boolean).join(', ')}
      </b>
      <span>{[to.station, ...to.changes].filter(Boolean).join(', ') || WORDS.nothingToChange}</span>
    </Link>
  );
}
