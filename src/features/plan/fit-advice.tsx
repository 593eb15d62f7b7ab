'use client';
import { useMemo } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { fitSession, type FitStep } from '@/core/plan/fit-session';
import { useDeed } from '@/features/shell/use-deed';
import { NO_TIME_LEFT } from '@/messages/plan';
import { WORDS } from '@/messages/screens/plan';
import { plannedOf, type BlockDeeds } from './block-change';
import styles from './plan.module.css';

interface Props {
  readonly blocks: readonly PlanBlockView[];
  readonly plan: Pick<SessionPlanView, 'minutes' | 'times'>;
  readonly deeds: BlockDeeds;
  readonly disabled: boolean;
}

/** Give up what is proposed, one after the other; the first that is refused ends it and is told. */
async function giveUp(steps: readonly FitStep[], blocks: readonly PlanBlockView[], deeds: BlockDeeds) {
  let told: SaveResult = { ok: true, id: '' };
  for (const step of steps) {
    const block = blocks.find((b) => b.id === step.id)!;
    const { itemIds } = block;
    told =
      step.kind === 'leave-out'
        ? await deeds.skip(itemIds, NO_TIME_LEFT)
        : await deeds.change(itemIds, { ...plannedOf(block), sets: block.items[0]!.sets - 1 });
    if (!told.ok) break;
  }
  return told;
}

/** What to give up so that a session fits the time there is, done with one press; nothing where it fits. */
export function FitAdvice({ blocks, plan, deeds, disabled }: Props) {
  const { minutes, times } = plan;
  const { busy, trouble, run } = useDeed();
  const steps = useMemo(
    () => fitSession(blocks, minutes * 60, (b) => !b.isBegun && !b.sidesDiffer, times),
    [blocks, minutes, times],
  );
  if (steps.length === 0) return null;
  const nameOf = (id: string): string => blocks.find((b) => b.id === id)!.name;
  return (
    <section aria-label={WORDS.toFit}>
      <h2>{WORDS.toFit}</h2>
      <ul className={styles.rules}>
        {steps.map((s) => (
          <li key={`${s.kind} ${s.id}`}>{WORDS.step[s.kind](nameOf(s.id), WORDS.minutes(s.savesS))}</li>
        ))}
      </ul>
      <button
        type="button"
        className={styles.undo}
        disabled={disabled || busy}
        onClick={() => run(() => giveUp(steps, blocks, deeds))}
      >
        {WORDS.giveUp}
      </button>
      <p role="alert">{trouble}</p>
    </section>
  );
}
