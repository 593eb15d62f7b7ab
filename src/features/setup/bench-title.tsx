import type { SetupBenchView } from '@/contract/views/setup';
import { Link } from '@/features/shell/link';
import { doneName, toSideText } from '@/messages/book';
import styles from './setup.module.css';

/** Whose set-up of what, for which side, and the way to the other one. */
export function BenchTitle({ context, className }: { readonly context: SetupBenchView; readonly className: string }) {
  const { client, item, variant, otherSide } = context;
  return (
    <h1 className={className}>
      {client.name} <span>{doneName(item.movement, item.side, variant?.name)}</span>
      {otherSide && (
        <Link className={styles.swapSide} href={`/setup/${otherSide.id}`}>
          {toSideText(otherSide.side)}
        </Link>
      )}
    </h1>
  );
}
