import { buildBody, sizeOf, type BodyInput } from '@/core/body/body-model';
import type { MeasureName } from '@/core/body/segment-ratios';
import type { Stance } from './book-entry';
import { poseKnown } from './pose-question';
import { searchOf } from './posed-question';
import type { Question } from './question';
import { solveSetup } from '@/core/setup/solve-setup';

/** How far a tape or a ratio is commonly out, metres. */
export const ESTIMATE_ERROR_M = 0.02;

/** What an error of 2 cm in one body measure would do to the solved set-up. */
export interface Sensitivity {
  readonly measure: MeasureName;
  /** Hole and distance solved with the measure 2 cm lower and 2 cm higher; null when that blocks the set-up. */
  readonly lower: { readonly hole: number; readonly standX: number } | null;
  readonly higher: { readonly hole: number; readonly standX: number } | null;
}

/**
 * Solve again with one measure 2 cm either way. `question.body` must have been built from `bodyInput`.
 * The place where the best set-up stands is kept, and the stance in it, so that the answer is about the hole unless the
 * hole is fixed.
 */
export function findSensitivity(
  question: Question,
  bodyInput: BodyInput,
  measure: MeasureName,
  at: { readonly standX: number; readonly standZ: number; readonly yawDeg: number },
  stance: Stance,
): Sensitivity {
  const sized = sizeOf(question.body, measure);
  const solveWith = (deltaM: number): Sensitivity['lower'] => {
    const body = buildBody({ ...bodyInput, measuredM: { ...bodyInput.measuredM, [measure]: sized.m + deltaM } });
    const { standX, standZ, yawDeg } = at;
    const solution = solveSetup(
      searchOf(poseKnown({ ...question, body, fixed: { ...question.fixed, standX, standZ, yawDeg } }, stance)),
    );
    return solution.feasible ? { hole: solution.best.placement.hole, standX: solution.best.placement.standX } : null;
  };
  return { measure, lower: solveWith(-ESTIMATE_ERROR_M), higher: solveWith(ESTIMATE_ERROR_M) };
}
