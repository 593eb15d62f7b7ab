/**
 * One-repetition maximum over the load lifted `r` times. Epley 1985; Brzycki 1993; Lombardi 1989; Mayhew, Ball, Arnold
 * and Bowen 1992; Wathan 1994; O'Conner, Simmons and O'Shea 1989. Each was fitted on its own lifters: the spread is
 * shown.
 */
export const MAX_OVER_LOAD = {
  epley: (r: number): number => 1 + r / 30,
  brzycki: (r: number): number => 36 / (37 - r),
  lombardi: (r: number): number => r ** 0.1,
  mayhew: (r: number): number => 100 / (52.2 + 41.9 * Math.exp(-0.055 * r)),
  wathan: (r: number): number => 100 / (48.8 + 53.8 * Math.exp(-0.075 * r)),
  oconner: (r: number): number => 1 + 0.025 * r,
} as const satisfies Readonly<Record<string, (r: number) => number>>;
/** A published formula for the one-repetition maximum. */
export type MaxFormula = keyof typeof MAX_OVER_LOAD;
const FORMULAS = Object.values(MAX_OVER_LOAD);

/** Beyond this many reps the formulas part ways: no estimate (common practice). */
const MOST_REPS = 20;

/** Least, middle and greatest of what the six formulas say. */
export interface Spread {
  readonly least: number;
  readonly middle: number;
  readonly most: number;
}

function spreadOf(values: readonly number[]): Spread {
  const s = [...values].sort((a, b) => a - b);
  return { least: s[0]!, middle: (s[(s.length - 1) >> 1]! + s[s.length >> 1]!) / 2, most: s[s.length - 1]! };
}

const counts = (reps: number): boolean => Number.isInteger(reps) && reps >= 1 && reps <= MOST_REPS;

/**
 * One-repetition maximum from a set to its limit, in the unit of the load; one rep is the maximum itself. Null outside
 * 1 to 20 whole reps.
 */
export function estimateMax(load: number, reps: number): Spread | null {
  if (!counts(reps)) return null;
  return spreadOf(FORMULAS.map((f) => (reps === 1 ? load : load * f(reps))));
}

/**
 * Load that can be lifted `target` times by who lifted `load` `reps` times, each formula by itself. Null outside 1 to
 * 20 whole reps.
 */
export function loadForReps(load: number, reps: number, target: number): Spread | null {
  if (!counts(reps) || !counts(target)) return null;
  const over = (f: (r: number) => number, r: number): number => (r === 1 ? 1 : f(r));
  return spreadOf(FORMULAS.map((f) => (load * over(f, reps)) / over(f, target)));
}
