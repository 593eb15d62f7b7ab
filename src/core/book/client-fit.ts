import type { Side } from '@/core/body/side';
import type { BookEntry } from './book-entry';

/** What was measured of a client that bends paths. */
export interface ClientFit {
  /** Best rear-deltoid arm path by side, degrees below shoulder level. */
  readonly armPathDeg: Partial<Readonly<Record<Side, number>>>;
  /** Lower border of the chest, degrees below level; null when not measured. */
  readonly chestLineDeg: number | null;
}
/** Nothing of the client bends a path. */
export const NO_FIT: ClientFit = { armPathDeg: {}, chestLineDeg: null };

/** Tilt of a sweep for a client: along the measured lower-chest line where that is what it loads, else its own. */
export function fittedTiltDeg(e: BookEntry, fit: ClientFit): number {
  if (e.path.kind !== 'sweep') return 0;
  const { default: own, min, max } = e.path.tiltDeg;
  return e.target === 'chest-lower' && fit.chestLineDeg !== null ? Math.min(max, Math.max(min, fit.chestLineDeg)) : own;
}
