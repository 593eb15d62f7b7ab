import type { Placement } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import type { Violation } from '@/core/setup/violation';
import { poseQuestion } from './pose-question';
import type { Question } from './question';

/** A step of the stack with which a movement finds its place, and that place. */
export interface EnoughLoad {
  readonly loadG: number;
  readonly placement: Placement;
}

/** Steps that are looked at: whoever was given 5 kg is not told to take 60. */
const STEPS_LOOKED_AT = 8;

/**
 * The lightest of the next eight heavier steps with which a pull that would rest finds its place: the arm's own weight
 * does the work of a stack that is lighter than it, and less of it of one that is not. `violations` are those of the
 * blocked answer, `stepsG` the stack's in ascending integer grams. Null where nothing rests, or no step is enough.
 */
export function findEnoughLoad(
  blocked: Question,
  violations: readonly Violation[],
  stepsG: readonly number[],
): EnoughLoad | null {
  if (!violations.some((v) => v.limit === 'rest')) return null;
  const heavier = stepsG.filter((g) => g > blocked.loadKg * 1000).slice(0, STEPS_LOOKED_AT);
  for (const loadG of heavier) {
    const search = poseQuestion({ ...blocked, loadKg: loadG / 1000 })?.search;
    const solution = search ? solveSetup(search) : null;
    if (solution?.feasible) return { loadG, placement: solution.best.placement };
  }
  return null;
}
