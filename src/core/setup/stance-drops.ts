import { allocateSamples } from '@/core/mechanics/line-profile';
import { SAMPLES } from '@/core/movement/chain-path';
import { mean } from '@/core/units/mean';
import { findViolations, PEAK_CENTRE, profileSide } from './cost';
import { evaluatePlacement } from './evaluate';
import { SETTABLE_M } from './settle';
import { MARK_M } from './solve-setup';
import type { Placement, SearchProblem } from './setup-problem';
import { LINE_TOLERANCE_DEG } from './tolerance';

/** The thirds of the range in the order that a set drops through them: contracted first, the stretch last. */
export const DROP_ORDER = ['contracted', 'mid', 'lengthened'] as const;
/** The third of the range that a stance drop makes hardest. */
export type DropThird = (typeof DROP_ORDER)[number];
/** Why a stance cannot be used. */
export type DropBlock = 'stack' | 'line' | 'room';

/**
 * One stance of a drop set at a held hole. `standX` is null where nowhere in the room puts the peak into this third.
 */
export interface StanceDrop {
  readonly third: DropThird;
  readonly standX: number | null;
  readonly peakAt: number;
  readonly clearanceM: number;
  readonly offPlaneRmsDeg: number;
  /** Why the step is left out; null when it can be used. */
  readonly blocked: DropBlock | null;
}

/** Half a third: a peak further from the middle of its third is in another. */
const HALF_THIRD = 1 / 6;

interface Spot {
  readonly standX: number;
  readonly peakAt: number;
  readonly clearanceM: number;
  readonly offPlaneRmsDeg: number;
  readonly blocked: DropBlock | null;
}

/**
 * Floor marks that put the peak at the contracted, middle and lengthened third with the hole held: the mark whose peak
 * is nearest the middle of its third. A step that would let the stack down, leave the line by more than 3 degrees
 * beyond what the set-up itself does, or leave the room, is named with why.
 */
export function findStanceDrops(problem: SearchProblem, at: Placement): StanceDrop[] {
  const { room, column } = problem.input;
  const samples = allocateSamples(SAMPLES);
  const own = evaluatePlacement(problem, at).metrics.offPlaneRmsDeg;
  const spots: Spot[] = [];
  const last = Math.floor((room.maxDistanceM - room.minDistanceM) / MARK_M + 1e-9);
  for (let k = 0; k <= last; k++) {
    const standX = Math.round((room.minDistanceM + k * MARK_M) * 100) / 100;
    const m = problem.sides.map((_, i) => profileSide(problem, i, { ...at, standX }, samples));
    const clearanceM = Math.min(...m.map((x) => x.minClearanceM));
    const offPlaneRmsDeg = Math.max(...m.map((x) => x.offPlaneRmsDeg));
    const broken = findViolations(problem, { ...at, standX }, m).filter(
      (v) => v.limit === 'travel' || v.limit === 'room',
    );
    const blocked =
      clearanceM < column.clearanceM
        ? 'stack'
        : offPlaneRmsDeg > own + LINE_TOLERANCE_DEG
          ? 'line'
          : broken.length > 0
            ? 'room'
            : null;
    spots.push({ standX, peakAt: m.reduce((s, x) => s + x.peakAt, 0) / m.length, clearanceM, offPlaneRmsDeg, blocked });
  }
  return DROP_ORDER.map((third): StanceDrop => {
    const away = (s: Spot): number => Math.abs(s.peakAt - PEAK_CENTRE[third]);
    const inThird = spots.filter((s) => away(s) <= HALF_THIRD + 1e-9);
    const usable = inThird.filter((s) => s.blocked === null);
    const best = (usable.length > 0 ? usable : inThird).reduce<Spot | null>(
      (b, s) => (b === null || away(s) < away(b) - 1e-9 ? s : b),
      null,
    );
    if (!best)
      return { third, standX: null, peakAt: PEAK_CENTRE[third], clearanceM: 0, offPlaneRmsDeg: 0, blocked: 'room' };
    return { third, ...best };
  });
}

/** A step in or out, metres (common practice: a small one). */
export const STEP_IN_M = 0.25;

/** A step towards the column: what is left of the resistance of the stance it started from, by means. */
export interface StepIn {
  readonly standX: number;
  /** Over the whole range. */
  readonly share: number;
  /** Over the second half of the range, which a tired client no longer gets through. */
  readonly laterShare: number;
  readonly clearanceM: number;
}

/** Steps in of a set, and the least that all of them together take to be worth a drop (our judgement). */
const STEPS_IN = 2;
const WORTH_SHARE = 0.03;

/**
 * Two steps in towards the column that take about equal parts of the resistance over the second half of the range, down
 * to the nearest mark at which the stack stays up and the body clear. The nearer the client stands, the earlier the
 * line is square to the arm: the stretch stays about as hard and the finish gets easier, and the finish, where the
 * muscle is short, is what tired reps no longer reach (common practice). The line tilts the more, the nearer it comes,
 * so that equal steps would take next to nothing at first. Marks of 5 cm; the first is where the client stands, alone
 * where no step is worth it.
 */
export function findStepIns(problem: SearchProblem, at: Placement): StepIn[] {
  const { nearestM, column } = problem.input;
  const samples = allocateSamples(SAMPLES);
  const stood = (standX: number): StepIn => {
    const sides = problem.sides.map((_, i) => {
      const { meanResistanceNm, minClearanceM } = profileSide(problem, i, { ...at, standX }, samples);
      return { meanResistanceNm, minClearanceM, laterNm: mean(samples.resistanceNm.subarray((SAMPLES - 1) / 2)) };
    });
    return {
      standX,
      share: mean(sides.map((s) => s.meanResistanceNm)),
      laterShare: mean(sides.map((s) => s.laterNm)),
      clearanceM: Math.min(...sides.map((s) => s.minClearanceM)),
    };
  };
  const first = stood(at.standX);
  const marks: StepIn[] = [];
  const farthest = Math.ceil(at.standX / SETTABLE_M - 1e-9) - 1;
  for (let k = farthest; k * SETTABLE_M >= nearestM - 1e-9; k--) {
    const here = stood(Math.round(k * SETTABLE_M * 100) / 100);
    if (here.clearanceM < column.clearanceM) break;
    marks.push({ ...here, share: here.share / first.share, laterShare: here.laterShare / first.laterShare });
  }
  const steps: StepIn[] = [{ ...first, share: 1, laterShare: 1 }];
  const whole = 1 - Math.min(1, ...marks.map((m) => m.laterShare));
  if (whole < WORTH_SHARE) return steps;
  for (let k = 1; k <= STEPS_IN; k++) {
    const wanted = 1 - (whole * k) / STEPS_IN;
    const next = marks.find((m) => m.standX < steps.at(-1)!.standX && m.share <= 1 && m.laterShare <= wanted + 1e-9);
    if (next) steps.push(next);
  }
  return steps;
}
