import { turnDeg } from '@/core/units/turn';
import type { Evaluation } from './evaluate';
import { evaluatePlacement } from './evaluate';
import { MARK_M } from './solve-setup';
import { holeOf, type SearchProblem, type Placement } from './setup-problem';

/** A line this far out is seen and felt; inside it a set-up counts as right, degrees (common practice: by eye). */
export const LINE_TOLERANCE_DEG = 3;
/** A peak that moves less than this share of the range is the same peak. */
const PEAK_TOLERANCE = 0.05;
const WIDEST_M = 0.5;

/** How far a set-up may be off and still be the same set-up, relative to it. */
export interface Tolerance {
  /** Nearer (negative) and further from the columns, metres. */
  readonly standXM: readonly [number, number];
  /** Left and right of the mark, metres. */
  readonly standZM: readonly [number, number];
  /** Hole numbers down and up the numbering. */
  readonly holes: readonly [number, number];
  readonly yawDeg: readonly [number, number];
}

/**
 * The line is within tolerance and no hard limit is broken. Where a movement of several joints lets even the best line
 * leave its sweep, half the tolerance more than the best is in line.
 */
export function isInLine(e: Evaluation, best: Evaluation): boolean {
  const most = (ofBest: number): number => Math.max(LINE_TOLERANCE_DEG, Math.abs(ofBest) + LINE_TOLERANCE_DEG / 2);
  return (
    e.violations.length === 0 &&
    e.metrics.offPlaneRmsDeg <= most(best.metrics.offPlaneRmsDeg) &&
    Math.abs(e.metrics.offPlaneFinishDeg) <= most(best.metrics.offPlaneFinishDeg)
  );
}

/** In line by itself, whatever the best. */
export const isStraight = (e: Evaluation): boolean =>
  e.violations.length === 0 &&
  e.metrics.offPlaneRmsDeg <= LINE_TOLERANCE_DEG &&
  Math.abs(e.metrics.offPlaneFinishDeg) <= LINE_TOLERANCE_DEG;

/** Steps in one direction before `holds` fails. */
function reach(step: number, most: number, holds: (delta: number) => boolean): number {
  let far = 0;
  for (let k = 1; k <= most; k++) {
    if (!holds(k * step)) break;
    far = k * step;
  }
  return far;
}

/** Span of each setting, the others held, that keeps the line within 3 degrees and the peak within 5 % of the range. */
export function findTolerance(problem: SearchProblem, solved: Evaluation): Tolerance {
  const { column } = problem.input;
  const keeps = (change: Partial<Placement>): boolean => {
    const e = evaluatePlacement(problem, { ...solved.placement, ...change });
    return isInLine(e, solved) && Math.abs(e.metrics.peakAt - solved.metrics.peakAt) <= PEAK_TOLERANCE;
  };
  const { hole, standX, standZ, yawDeg } = solved.placement;
  const span = (step: number, most: number, holds: (d: number) => boolean): readonly [number, number] => [
    reach(-step, most, holds),
    reach(step, most, holds),
  ];
  const marks = WIDEST_M / MARK_M;
  return {
    standXM: span(MARK_M, marks, (d) => keeps({ standX: standX + d })),
    standZM: span(MARK_M, marks, (d) => keeps({ standZ: standZ + d })),
    holes: span(1, column.holes, (d) => hole + d >= 1 && hole + d <= column.holes && keeps({ hole: hole + d })),
    yawDeg: span(1, 45, (d) => keeps({ yawDeg: yawDeg + d })),
  };
}

/** True when a setting used lies inside the tolerance of the solved set-up. */
export function isWithin(tolerance: Tolerance, solved: Placement, used: Placement): boolean {
  const inside = (delta: number, [lo, hi]: readonly [number, number], slack: number): boolean =>
    delta >= lo - slack && delta <= hi + slack;
  return (
    inside(used.hole - solved.hole, tolerance.holes, 0) &&
    inside(holeOf(used, 'left') - holeOf(solved, 'left'), tolerance.holes, 0) &&
    inside(used.standX - solved.standX, tolerance.standXM, MARK_M / 2) &&
    inside(used.standZ - solved.standZ, tolerance.standZM, MARK_M / 2) &&
    inside(turnDeg(solved.yawDeg, used.yawDeg), tolerance.yawDeg, 0.5)
  );
}
