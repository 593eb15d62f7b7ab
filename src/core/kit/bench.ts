import { clampedAsin, toDeg } from '@/core/units/angle';
import { fitLine } from './calibrate-ruler';

/** A bench: heights and lengths in metres, angles above level in degrees by notch (notch 1 first). */
export interface Bench {
  readonly seatHeightM: number;
  readonly backDeg: readonly number[];
  readonly seatDeg: readonly number[];
  /** Foot to foot along the bench. */
  readonly feetApartM: number;
  readonly blockHeightsM: readonly number[];
}

/** Angles of a bench’s notches, degrees, with how far the readings lie off them. */
export interface NotchFit {
  /** Angle of every notch, degrees: as measured where it was, else by the fitted line. */
  readonly anglesDeg: readonly number[];
  readonly measured: readonly boolean[];
  /** Furthest reading from an even spacing, degrees. Large: the notches are uneven, so measure them all. */
  readonly worstResidualDeg: number;
}

/** Angles of all notches from measured ones, by least squares. Null when fewer than two notches are measured. */
export function calibrateNotches(
  readings: readonly { readonly notch: number; readonly deg: number }[],
  notches: number,
): NotchFit | null {
  const line = readings.length >= 2 ? fitLine(readings.map((r) => [r.notch, r.deg])) : null;
  if (!line) return null;
  const own = new Map(readings.map((r) => [r.notch, r.deg]));
  const list = Array.from({ length: notches }, (_, i) => i + 1);
  return {
    anglesDeg: list.map((n) => own.get(n) ?? line.at(n)),
    measured: list.map((n) => own.has(n)),
    worstResidualDeg: Math.max(...readings.map((r) => Math.abs(r.deg - line.at(r.notch)))),
  };
}

/** Notch whose angle is nearest to a wanted one; the lower of two equally near. Precondition: at least one notch. */
export function nearestNotch(
  anglesDeg: readonly number[],
  wantedDeg: number,
): { readonly notch: number; readonly offDeg: number } {
  let best = 0;
  anglesDeg.forEach((a, i) => {
    if (Math.abs(a - wantedDeg) < Math.abs(anglesDeg[best]! - wantedDeg)) best = i;
  });
  return { notch: best + 1, offDeg: anglesDeg[best]! - wantedDeg };
}

/**
 * Decline of a flat bench with a block under one end: asin(block / distance between feet), degrees. Null when the block
 * is the longer.
 */
export function blockDeclineDeg(blockM: number, feetApartM: number): number | null {
  return blockM >= 0 && blockM < feetApartM ? toDeg(clampedAsin(blockM / feetApartM)) : null;
}
