import { signOf } from '@/core/body/side';
import type { Vec3 } from '@/core/geometry/vector';
import { clampedAsin, toDeg, toRad } from '@/core/units/angle';
import { fitLine, holePositionM, nearestHoleOf, type HoleReading, type HoleRuler } from './calibrate-ruler';

interface ColumnBase {
  /** Holes of a carriage, or notches of a swinging arm. */
  readonly holes: number;
  /** Which end number 1 is at. */
  readonly numberedFrom: 'bottom' | 'top';
  /** Pulley to pulley for twins, pivot to pivot for arms; 0 for a single column. Metres. */
  readonly twinSpacingM: number;
  /** Stack force over hand force: 2 when the hand feels half the stack. */
  readonly pulleyRatio: number;
  /** Cable that must be out before the stack leaves its stop, metres. */
  readonly clearanceM: number;
  /** Most cable the column pays out, metres. */
  readonly travelM: number;
  /** How far the column's floor plate reaches out in front of the pulleys, metres; 0 where it does not. */
  readonly floorPlateM: number;
}

/** A cable column, or a twin pair facing the same way, with the pulley on a carriage. */
export interface HoleColumn extends ColumnBase, HoleRuler {
  readonly kind: 'twin' | 'single';
  /** The left column's own numbering, where it differs; holes are then named by the right one. */
  readonly leftRuler: HoleRuler | null;
}

/** Two arms that swing about pivots; the notch sets the arm's angle above level. */
export interface ArmColumn extends ColumnBase {
  readonly kind: 'arms';
  readonly pivotHeightM: number;
  readonly armM: number;
  /** Angle above level at notch 1 and between neighbouring notches, degrees. */
  readonly firstDeg: number;
  readonly pitchDeg: number;
  /** How far the arms are swung apart from straight ahead, degrees. */
  readonly swingDeg: number;
}

/** A cable column: carriages in holes, or arms that turn. */
export type Column = HoleColumn | ArmColumn;

/** Floor in front of (positive) and behind (negative) the line of the pulleys that may be stood on, metres. */
export interface Room {
  readonly minDistanceM: number;
  readonly maxDistanceM: number;
}

/** One step up the column in hole numbers: +1 when numbered from the bottom, -1 from the top. */
export const holeStepUp = (column: Pick<Column, 'numberedFrom'>): 1 | -1 => (column.numberedFrom === 'bottom' ? 1 : -1);

const armDeg = (column: ArmColumn, notch: number): number =>
  column.firstDeg + holeStepUp(column) * (notch - 1) * column.pitchDeg;

/** Height of a hole's pulley pivot above the floor, metres. Precondition: 1 <= hole <= holes. */
export function holeHeightM(column: Column, hole: number): number {
  return column.kind === 'arms'
    ? column.pivotHeightM + column.armM * Math.sin(toRad(armDeg(column, hole)))
    : holePositionM(column, hole);
}

/** The hole to use on a side's own numbering: the one nearest in height to the named one. */
export function holeOnSide(column: Column, hole: number, side: 'left' | 'right'): number {
  return column.kind !== 'arms' && column.leftRuler && side === 'left'
    ? nearestHoleOf(column.leftRuler, holePositionM(column, hole))
    : hole;
}

/** Pulley pivot in the floor frame: the right hand's cable comes from +z; a single column's from the middle. */
export function pulleyAt(column: Column, hole: number, side: 'left' | 'right'): Vec3 {
  const s = signOf(side);
  if (column.kind === 'arms') {
    const up = toRad(armDeg(column, hole));
    const out = toRad(column.swingDeg);
    return [
      column.armM * Math.cos(up) * Math.cos(out),
      holeHeightM(column, hole),
      s * (column.twinSpacingM / 2 + column.armM * Math.cos(up) * Math.sin(out)),
    ];
  }
  if (column.kind === 'single') return [0, holeHeightM(column, hole), 0];
  const own =
    column.leftRuler && side === 'left'
      ? holePositionM(column.leftRuler, holeOnSide(column, hole, side))
      : holeHeightM(column, hole);
  return [0, own, (s * column.twinSpacingM) / 2];
}

/** Hole whose pulley is nearest to a height, metres. */
export function nearestHole(column: Column, heightM: number): number {
  if (column.kind !== 'arms') return nearestHoleOf(column, heightM);
  const wanted = toDeg(clampedAsin((heightM - column.pivotHeightM) / column.armM));
  const steps = Math.round(((wanted - column.firstDeg) * holeStepUp(column)) / column.pitchDeg);
  return Math.min(column.holes, Math.max(1, steps + 1));
}

/** A turning arm through its readings, metres and degrees. */
export interface ArmFit {
  readonly ok: true;
  readonly firstDeg: number;
  readonly pitchDeg: number;
  /** Furthest measured pulley height from the fit, metres. */
  readonly worstResidualM: number;
  readonly exact: boolean;
}

/**
 * Angle of notch 1 and between notches from measured pulley heights, by least squares on the angles asin((height -
 * pivot)/arm). Null when the readings are too few, of one notch, run against the numbering, or lie beyond the arm's
 * reach.
 */
export function calibrateArms(
  readings: readonly HoleReading[],
  pivotHeightM: number,
  armM: number,
  numberedFrom: 'bottom' | 'top',
): ArmFit | null {
  if (readings.length < 2 || readings.some((r) => Math.abs(r.heightM - pivotHeightM) > armM)) return null;
  const line = fitLine(readings.map((r) => [r.hole, toDeg(clampedAsin((r.heightM - pivotHeightM) / armM))]));
  if (!line) return null;
  const pitchDeg = numberedFrom === 'bottom' ? line.slope : -line.slope;
  if (!(pitchDeg > 0)) return null;
  const residuals = readings.map((r) => Math.abs(r.heightM - (pivotHeightM + armM * Math.sin(toRad(line.at(r.hole))))));
  return {
    ok: true,
    firstDeg: line.at(1),
    pitchDeg,
    worstResidualM: Math.max(...residuals),
    exact: readings.length === 2,
  };
}
