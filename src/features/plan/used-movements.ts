import { caseSchema } from '@/contract/case';
import type { UsedView } from '@/contract/views/client-week';
import type { UsedMovement } from '@/core/week/week-coverage';
import { toQuestion } from '@/solver/to-question';

/** The week's movements as they are asked of the solver; what is no case any more is left out. */
export const usedMovements = (used: readonly UsedView[]): readonly UsedMovement[] =>
  used.flatMap(({ setupCase, placement }) => {
    const parsed = caseSchema.safeParse(setupCase);
    return parsed.success ? [{ question: toQuestion(parsed.data), placement }] : [];
  });
