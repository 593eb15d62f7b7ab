import { loadForReps } from './one-rep-max';

/** A band by the load that it leaves in the hands, or puts there, newtons. */
export interface HungBand {
  readonly id: string;
  readonly handsN: number;
}

/** A set of strict reps to the limit: the load in the hands, newtons, and how many there were. */
export interface BandedSet {
  readonly handsN: number;
  readonly reps: number;
}

/** The band to hang, and how many strict reps it should leave; `more` where it leaves over twenty. */
export interface BandChoice {
  readonly bandId: string;
  readonly reps: number;
  readonly more: boolean;
  /** Within the reps that are wanted. */
  readonly within: boolean;
}

/** As far as the formulas for the one-repetition maximum hold (common practice). */
const MOST_REPS = 20;

/**
 * Strict reps that `loadN` allows who lifted `doneN` for `reps`: the most whose load, by the middle of six published
 * formulas (`one-rep-max`), is no less than it. Nought where not one rep is left, 20 where as many or more are.
 */
export function repsWith(loadN: number, doneN: number, reps: number): number {
  let most = 0;
  for (let r = 1; r <= MOST_REPS; r++) if (loadForReps(doneN, reps, r)!.middle >= loadN - 1e-9) most = r;
  return most;
}

/**
 * The band that leaves the reps that are wanted, from one set to its limit: what the hands carry with it, the body's
 * weight less the band's help or the band's own pull, and reps follow load as everywhere else. Within the range the one
 * nearest its middle, of two alike the one that loads more; where none is within, the nearest. Null without bands,
 * outside 1 to 20 whole reps, or where the hands carried nothing.
 */
export function chooseBand(
  bands: readonly HungBand[],
  done: BandedSet,
  wanted: { readonly min: number; readonly max: number },
): BandChoice | null {
  if (done.handsN <= 0 || loadForReps(done.handsN, done.reps, 1) === null) return null;
  const middle = (wanted.min + wanted.max) / 2;
  const ranked = bands
    .map((b) => ({ ...b, reps: repsWith(b.handsN, done.handsN, done.reps) }))
    .sort((a, b) => Math.abs(a.reps - middle) - Math.abs(b.reps - middle) || b.handsN - a.handsN);
  const best = ranked[0];
  if (!best) return null;
  const within = best.reps >= wanted.min && best.reps <= wanted.max;
  return { bandId: best.id, reps: best.reps, more: best.reps === MOST_REPS, within };
}
