import type { Side } from '@/core/body/side';
import type { LineMetrics, ProfileSamples } from '@/core/mechanics/line-profile';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import type { StopReason } from './fit-entry';
import type { EntryRange, PosedEntry } from './pose-entry';
import type { Question } from './question';

/**
 * A working limb posed over its range, what set its ends, and its profile where the load needs no place at a column.
 */
export interface PosedLimb {
  readonly posed: PosedEntry;
  readonly startBy: StopReason;
  readonly finishBy: StopReason;
  readonly profile: { readonly metrics: LineMetrics; readonly samples: ProfileSamples } | null;
}

/** The search for a place at a column, with the movement's limbs as a place has them. */
export interface PlaceSearch extends SetupProblem {
  readonly posedAt: (side: Side, at: Placement) => PosedEntry;
}

/** A question with its limbs posed, once: everything that is shown, solved or said of it reads these. */
export interface PosedQuestion {
  readonly question: Question;
  /** The movement on this gym's steel. */
  readonly entry: BookEntry;
  readonly range: EntryRange;
  readonly sides: readonly Side[];
  readonly limbs: Readonly<Partial<Record<Side, PosedLimb>>>;
  /** The side that stands for both in words and drawings. */
  readonly shown: Side;
  /** The search for a place; null without a cable or without a column. */
  readonly search: PlaceSearch | null;
}

/** The posed limb of a working side. */
export function limbOn(posed: Pick<PosedQuestion, 'limbs' | 'entry'>, side: Side): PosedLimb {
  const limb = posed.limbs[side];
  if (!limb) throw new Error(`${posed.entry.id}: the ${side} side does not work here`);
  return limb;
}

/** The posed limb of the side that is shown. */
export const shownLimb = (posed: PosedQuestion): PosedLimb => limbOn(posed, posed.shown);

/** The search of a question that has one. */
export function searchOf(posed: PosedQuestion): PlaceSearch {
  if (!posed.search) throw new Error(`${posed.entry.id} has no place at a column here`);
  return posed.search;
}
