import { findNeighbourStep } from './stack-steps';

/** One session of a movement on one side, as far as the next load depends on it. */
export interface SessionResult {
  /** Heaviest load of its sets, integer grams. */
  readonly loadG: number;
  /** Every set reached the top of the rep range at its tempo. */
  readonly topReached: boolean;
  /** No fault of severity 2 or more. */
  readonly clean: boolean;
  /** Faults judged to come from the load. */
  readonly loadCaused: boolean;
}

/** Why a load is offered. */
export type ProgressReason =
  'first' | 'up' | 'limit' | 'end-of-stack' | 'one-more-clean' | 'reps-first' | 'form-first' | 'down';

/** The load to begin with, grams, and why. */
export interface NextLoad {
  readonly loadG: number;
  readonly why: ProgressReason;
}

/**
 * Next load by double progression gated by form: one step up when two sessions running reached the top of the range
 * clean at the same load; one step down when faults judged to come from the load recur in two; else the same. Never
 * past `mostG`. `sessions` oldest first; `plannedG` stands where there are none.
 */
export function nextLoad(
  sessions: readonly SessionResult[],
  plannedG: number,
  stepsG: readonly number[],
  mostG: number | null,
): NextLoad {
  const held = (loadG: number, why: ProgressReason): NextLoad =>
    mostG !== null && loadG > mostG
      ? { loadG: stepsG.filter((s) => s <= mostG).at(-1) ?? loadG, why: 'limit' }
      : { loadG, why };
  const last = sessions.at(-1);
  if (!last) return held(plannedG, 'first');
  const before = sessions.at(-2);
  if (last.loadCaused && before?.loadCaused && before.loadG <= last.loadG)
    return held(findNeighbourStep(stepsG, last.loadG, -1) ?? last.loadG, 'down');
  if (!last.topReached) return held(last.loadG, 'reps-first');
  if (!last.clean) return held(last.loadG, 'form-first');
  if (!before || !before.topReached || !before.clean || before.loadG !== last.loadG)
    return held(last.loadG, 'one-more-clean');
  const up = findNeighbourStep(stepsG, last.loadG, 1);
  if (up === null) return held(last.loadG, 'end-of-stack');
  return mostG !== null && up > mostG ? held(last.loadG, 'limit') : { loadG: up, why: 'up' };
}
