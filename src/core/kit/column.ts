/** A cable column, or a twin pair of the same make facing the same way. Metres; ratios are plain numbers. */
export interface Column {
  /** Height of the pulley pivot above the floor at hole number 1. */
  readonly firstHoleM: number;
  /** Distance between neighbouring holes, positive. */
  readonly pitchM: number;
  readonly holes: number;
  /** Which end hole number 1 is at. */
  readonly numberedFrom: 'bottom' | 'top';
  /** Pulley to pulley, for twins. */
  readonly twinSpacingM: number;
  /** Stack force over hand force: 2 when the hand feels half the stack. */
  readonly pulleyRatio: number;
  /** Cable that must be out before the stack leaves its stop. */
  readonly clearanceM: number;
  /** Most cable the column pays out. */
  readonly travelM: number;
}

/** Floor in front of (positive) and behind (negative) the line of the pulleys that may be stood on, metres. */
export interface Room {
  readonly minDistanceM: number;
  readonly maxDistanceM: number;
}

/** Height of a hole's pulley pivot above the floor, metres. Precondition: 1 <= hole <= holes. */
export function holeHeightM(column: Column, hole: number): number {
  const up = column.numberedFrom === 'bottom' ? 1 : -1;
  return column.firstHoleM + up * (hole - 1) * column.pitchM;
}

/** One step up the column in hole numbers: +1 when numbered from the bottom, -1 from the top. */
export const holeStepUp = (column: Column): 1 | -1 => (column.numberedFrom === 'bottom' ? 1 : -1);

/** Height a pulley rises when the hole number changes by `holes`, metres; negative is down. */
export const riseM = (column: Column, holes: number): number => holes * holeStepUp(column) * column.pitchM;

/** Hole whose pulley is nearest to a height. */
export function nearestHole(column: Column, heightM: number): number {
  const steps = Math.round(((heightM - column.firstHoleM) * holeStepUp(column)) / column.pitchM);
  return Math.min(column.holes, Math.max(1, steps + 1));
}
