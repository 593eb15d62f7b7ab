import 'server-only';
import { refused, type SaveResult } from '@/contract/save-result';
import { FIRST_STEPS, type FirstStepView } from '@/contract/views/first-steps';
import { readBegun, setSkipped, skippedSteps } from '@/data/queries/first-steps';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { EXPECTED } from '@/messages/expected';
import type { UseCase } from './use-case';

/** How far a new gym has come, for its owner; null for others. Who is signed in as the owner has done the first. */
export function loadFirstSteps({ db, actor }: Pick<UseCase, 'db' | 'actor'>): readonly FirstStepView[] | null {
  if (actor.role !== 'owner') return null;
  const begun = { owner: true, ...readBegun(db) };
  const skipped = skippedSteps(db);
  return FIRST_STEPS.map((step) => ({ step, state: begun[step] ? 'done' : skipped.has(step) ? 'skipped' : 'open' }));
}

/** Skip a step, or take it up again. */
export function skipStep(uc: UseCase, step: unknown, isSkipped: boolean): SaveResult {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const known = FIRST_STEPS.find((s) => s === step);
  if (!known) return refused('step', EXPECTED.choice);
  setSkipped(uc.db, known, isSkipped, uc.actor.id, uc.nowMs);
  return { ok: true, id: known };
}
