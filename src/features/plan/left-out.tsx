'use client';
import type { PlanBlockView } from '@/contract/views/session-plan';
import { useDeed } from '@/features/shell/use-deed';
import { WORDS as WEEK } from '@/messages/screens/week';
import type { BlockDeeds } from './block-change';
import styles from './plan.module.css';

/** What is not done this time, each with why and the way back. */
export function Skipped({
  blocks,
  skip,
}: {
  readonly blocks: readonly PlanBlockView[];
  readonly skip: BlockDeeds['skip'];
}) {
  const { busy, trouble, run } = useDeed();
  if (blocks.length === 0) return null;
  return (
    <section className={styles.skipped} aria-label={WEEK.skipped}>
      <h2>{WEEK.skipped}</h2>
      <ul>
        {blocks.map((b) => (
          <li key={b.id}>
            <div>
              <b>{b.name}</b>
              <span>{WEEK.because(b.skipped ?? '')}</span>
            </div>
            <button
              type="button"
              className={styles.deed}
              disabled={busy}
              aria-label={WEEK.takeBackName(b.name)}
              onClick={() => run(() => skip(b.itemIds, null))}
            >
              {WEEK.takeBack}
            </button>
          </li>
        ))}
      </ul>
      <p role="alert">{trouble}</p>
    </section>
  );
}

/** What was taken out just now, with the way back. */
export function TookOut({
  block,
  deeds,
  onBack,
}: {
  readonly block: PlanBlockView;
  readonly deeds: BlockDeeds;
  readonly onBack: () => void;
}) {
  const { busy, trouble, run } = useDeed();
  return (
    <div className={styles.tookOut} role="status">
      <span>{WEEK.tookOut(block.name)}</span>
      <button
        type="button"
        className={styles.deed}
        disabled={busy}
        onClick={() => run(() => deeds.takeOut(block.itemIds, false), onBack)}
      >
        {WEEK.putBack}
      </button>
      {trouble}
    </div>
  );
}
