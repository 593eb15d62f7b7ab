'use client';
import { useState } from 'react';
import { entryOf } from '@/core/book/book';
import { findNeighbourStep } from '@/core/load/stack-steps';
import { MOST_SET_REPS } from '@/core/tempo/scheme';
import type { SetRecord } from '@/core/record/set-log';
import type { SetView } from '@/contract/views/set';
import { countedIn, type Counted } from '@/messages/live-set';
import { loadNumber } from '@/messages/loads';
import { Steppers } from './steppers';
import type { Give } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface Props {
  readonly set: SetRecord;
  readonly give: Give;
  readonly plan: SetView;
}

/** Reps to be stepped, or typed: a tap on the number brings up the keypad. */
function TypedReps({
  reps,
  of,
  onReps,
}: {
  readonly reps: number;
  readonly of: Counted;
  readonly onReps: (reps: number) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (): void => {
    // What is no number leaves what stood there.
    if (typed !== null && /^\d{1,3}$/.test(typed.trim())) onReps(Math.min(MOST_SET_REPS, Number(typed)));
    setTyped(null);
  };
  if (typed === null)
    return (
      <button
        type="button"
        className={styles.typed}
        data-testid="confirm-reps"
        aria-label={WORDS.typeCount(of, reps)}
        onClick={() => setTyped(String(reps))}
      >
        {reps}
      </button>
    );
  return (
    <input
      className={styles.typed}
      data-testid="type-reps"
      aria-label={WORDS.countDone(of)}
      inputMode="numeric"
      autoFocus
      value={typed}
      onFocus={(e) => e.currentTarget.select()}
      onChange={(e) => setTyped(e.currentTarget.value)}
      onBlur={keep}
      onKeyDown={(e) => {
        if (e.key === 'Enter') keep();
        if (e.key === 'Escape') setTyped(null);
      }}
    />
  );
}

/** Load and reps as they really were, to be kept as such. */
export function ConfirmSet({ set, give, plan }: Props) {
  const [reps, setReps] = useState(set.reps);
  const [loadG, setLoadG] = useState(set.loadG);
  const of = countedIn(entryOf(plan.item.movement).work);
  const step = (d: -1 | 1): void => {
    const next = findNeighbourStep(plan.stackG, loadG, d);
    // What was really used is kept as it was, also past a limit: the record must be true.
    if (next !== null) setLoadG(next);
  };
  return (
    <section className={styles.confirm} aria-label={WORDS.confirmLoadAndReps}>
      <div className={styles.confirmCell}>
        <span>{WORDS.countDone(of)}</span>
        <TypedReps reps={reps} of={of} onReps={setReps} />
        <Steppers
          less={WORDS.oneLess(of)}
          more={WORDS.oneMore(of)}
          onLess={() => setReps(Math.max(0, reps - 1))}
          onMore={() => setReps(Math.min(MOST_SET_REPS, reps + 1))}
        />
      </div>
      {plan.loadLabel !== null && (
        <div className={styles.confirmCell}>
          <span>{WORDS.used(plan.loadLabel, plan.unit)}</span>
          <b data-testid="confirm-load">{loadNumber(loadG, plan.unit)}</b>
          <Steppers
            less={WORDS.usedOneStepLess}
            more={WORDS.usedOneStepMore}
            onLess={() => step(-1)}
            onMore={() => step(1)}
          />
        </div>
      )}
      <button
        type="button"
        className={styles.strong}
        onClick={() => void give({ do: 'confirm', setId: set.setId, loadG, reps })}
      >
        {WORDS.keepThis}
      </button>
    </section>
  );
}
