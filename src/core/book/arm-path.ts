import type { BookEntry } from './book-entry';
import { lowerArm } from './bend-arm';

/** Pulls of the rear deltoid run along the client's arm path. */
export const followsArmPath = (e: BookEntry): boolean =>
  e.target === 'deltoid-rear' && e.action === 'shoulder.horizontalAbduction' && e.load.kind === 'cable';

/** Where an arm path ends of its own, degrees below shoulder level; null for a movement that has none. */
export const ownArmPathDeg = (e: BookEntry): number | null =>
  followsArmPath(e) && e.path.kind === 'arm' ? 90 - e.path.keys.at(-1)!.upper.elevationDeg : null;

/**
 * A rear-deltoid pull along another arm path: the end falls to `belowDeg` below shoulder level and the rest of the path
 * in proportion, so that it stays one sweep.
 */
export function withArmPath(e: BookEntry, belowDeg: number): BookEntry {
  const own = ownArmPathDeg(e);
  if (own === null || own === 0) return e;
  const ratio = belowDeg / own - 1;
  return lowerArm(e, (k) => (90 - k.upper.elevationDeg) * ratio);
}
