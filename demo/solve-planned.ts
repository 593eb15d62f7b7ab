import type { EntryOptions } from '@/core/book/entry-options';
import { poseKnown } from '@/core/book/pose-question';
import { searchOf } from '@/core/book/posed-question';
import type { Placement } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { findTolerance, isWithin } from '@/core/setup/tolerance';
import { caseSchema } from '@/contract/case';
import { loadItem } from '@/server/item-context';
import type { UseCase } from '@/server/use-case';
import { toQuestion } from '@/solver/to-question';

/** What a planned movement is asked with, and where it was computed to stand; null without a column. */
export interface SolvedPlan {
  readonly options: EntryOptions;
  readonly at: { readonly placement: Placement; readonly off: (at: Placement) => boolean } | null;
}

/** The computed place of a planned movement, and what lies outside of what will do. */
export function solvePlanned(uc: UseCase, itemId: string): SolvedPlan {
  const question = toQuestion(caseSchema.parse(loadItem(uc, itemId)!.setupCase));
  const { options } = question;
  if (!question.column) return { options, at: null };
  const problem = searchOf(poseKnown(question));
  const solution = solveSetup(problem);
  if (!solution.feasible) throw new Error(`demo: ${itemId} has no set-up`);
  const tolerance = findTolerance(problem, solution.best);
  const { placement } = solution.best;
  return { options, at: { placement, off: (at) => !isWithin(tolerance, placement, at) } };
}
