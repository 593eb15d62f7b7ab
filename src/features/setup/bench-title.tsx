import Link from 'next/link';
import type { SetupBenchView } from '@/contract/views/setup';
import { movementName } from '@/messages/book';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Whose set-up of what, for which side, and the way to the other one. */
export function BenchTitle({ context, className }: { readonly context: SetupBenchView; readonly className: string }) {
  const { client, item, variant, otherSide } = context;
  const side = item.side === 'both' ? null : WORDS.onSide(item.side);
  return (
    <h1 className={className}>
      {client.name} <span>{[movementName(item.movement), variant?.name, side].filter(Boolean).join(', ')}</span>
      {otherSide && (
        <Link className={styles.swapSide} href={`/setup/${otherSide.id}`}>
          {WORDS.toTheSide(otherSide.side)}
        </Link>
      )}
    </h1>
  );
}
