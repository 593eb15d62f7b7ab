import 'server-only';
import { toFieldIssues } from '@/contract/field';
import { refused, type SaveResult } from '@/contract/save-result';
import { SPOTTING_BATCH, spottingAnswerSchema } from '@/contract/spotting';
import type { SpottingKept, SpottingView } from '@/contract/views/spotting';
import { inTransaction } from '@/data/in-transaction';
import { addSpottingAnswer, listSpottingAnswers } from '@/data/queries/spotting';
import { EXPECTED } from '@/messages/expected';
import { loadChoosing } from './choosing';
import type { UseCase } from './use-case';

/** What somebody sees now is judged by this many answers: a few weeks of practice (our judgement). */
const LOOKED_AT = 600;

/** Fault-spotting practice of who asks, on a client's body or anybody's. */
export const loadSpotting = (
  uc: UseCase,
  asked: { readonly client?: string | undefined; readonly gym?: string | undefined },
): SpottingView => ({
  choosing: loadChoosing(uc, asked),
  answers: listSpottingAnswers(uc.db, uc.actor.id, LOOKED_AT),
});

const idOf = (one: unknown): string | null => {
  const { id } = (typeof one === 'object' && one !== null ? one : {}) as { id?: unknown };
  return typeof id === 'string' ? id : null;
};

/** Keep answers of who asks, each for itself: one that cannot be taken holds up no other. Sending again is safe. */
export function keepSpotting(uc: UseCase, typed: unknown): SaveResult<SpottingKept> {
  if (!Array.isArray(typed) || typed.length > SPOTTING_BATCH)
    return refused('', EXPECTED.atMost(SPOTTING_BATCH, EXPECTED.answers));
  const kept: string[] = [];
  const not: Record<string, string> = {};
  inTransaction(uc.db, () => {
    for (const one of typed as readonly unknown[]) {
      const parsed = spottingAnswerSchema.safeParse(one);
      if (parsed.success) {
        addSpottingAnswer(uc.db, uc.actor.id, parsed.data);
        kept.push(parsed.data.id);
        continue;
      }
      const [issue] = toFieldIssues(parsed.error);
      not[idOf(one) ?? ''] = `${issue!.path}: ${issue!.message}`;
    }
  });
  return { ok: true, id: uc.actor.id, kept: { kept, refused: not } };
}
