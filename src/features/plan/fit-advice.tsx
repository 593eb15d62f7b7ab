'use client';
import { useMemo } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PlanBlockView, SessionPlanView } from '@/contract/views/session-plan';
import { fitSession, type FitStep } from '@/core/plan/fit-session';
import { useDeed } from '@/features/shell/use-deed';
import { NO_TIME_LEFT } from '@/messages/plan';
import { WORDS } from '@/messages/screens/plan';
import { aimBlocks, oneSetLess } from '@/core/tempo/set-aims';
import { plannedOf, type BlockDeeds } from './block-change';
import styles from './plan.module.css';

interface Props {
  readonly blocks: readonly PlanBlockView[];
  readonly plan: Pick<SessionPlanView, 'minutes' | 'times' | 'opposites'>;
  readonly deeds: BlockDeeds;
  readonly disabled: boolean;
}

/** Do what is proposed, one after the other; the first that is refused ends it and is told. */
async function take(steps: readonly FitStep[], blocks: readonly PlanBlockView[], deeds: BlockDeeds) {
  let told: SaveResult = { ok: true, id: '' };
  for (const step of steps) {
    const block = blocks.find((b) => b.id === step.id)!;
    const { itemIds } = block;
    if (step.kind === 'take-turns') told = await deeds.takeTurns(step.id, step.withId);
    else if (step.kind === 'leave-out') told = await deeds.skip(itemIds, NO_TIME_LEFT);
    else told = await deeds.change(itemIds, plannedOf(block, oneSetLess(aimBlocks(block.planned)) ?? undefined));
    if (!told.ok) break;
  }
  return told;
}

/** What makes a session fit the time there is, done with one press; nothing where it fits. */
export function FitAdvice({ blocks, plan, deeds, disabled }: Props) {
  const { minutes, times, opposites } = plan;
  const { busy, trouble, run } = useDeed();
  const steps = useMemo(
    () => fitSession(blocks, minutes * 60, (b) => !b.isBegun && !b.sidesDiffer, times, opposites),
    [blocks, minutes, times, opposites],
  );
  if (steps.length === 0) return null;
  const nameOf = (id: string): string => blocks.find((b) => b.id === id)!.name;
  const stepText = (s: FitStep): string => {
    const saves = WORDS.minutes(s.savesS);
    if (s.kind === 'take-turns') return WORDS.step['take-turns'](nameOf(s.id), saves, nameOf(s.withId));
    return WORDS.step[s.kind](nameOf(s.id), saves);
  };
  return (
    <section aria-label={WORDS.toFit}>
      <h2>{WORDS.toFit}</h2>
      <ul className={styles.rules}>
        {steps.map((s) => (
          <li key={`${s.kind} ${s.id}`}>{stepText(s)}</li>
        ))}
      </ul>
      <button
        type="button"
        className={styles.undo}
        disabled={disabled || busy}
        onClick={() => run(() => take(steps, blocks, deeds))}
      >
        {WORDS.doThat}
      </button>
      <p role="alert">{trouble}</p>
    </section>
  );
}
