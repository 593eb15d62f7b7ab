import { toDirection, toUnit, type Direction } from '@/core/geometry/direction';
import { rotateAbout } from '@/core/geometry/frame';
import { toRad } from '@/core/units/angle';
import type { ArmKey } from '@/core/movement/keyframes';
import type { BookEntry } from './book-entry';

/**
 * Change both bones of every key; a forearm that follows the floor stays as it is unless only the upper arm was meant.
 */
function withBones(
  e: BookEntry,
  change: (d: Direction, k: ArmKey, i: number, last: number) => Direction,
  upperOnly = false,
): BookEntry {
  if (e.path.kind !== 'arm') return e;
  const { path } = e;
  const last = path.keys.length - 1;
  const still = upperOnly || path.foreFrame !== undefined;
  return {
    ...e,
    path: {
      ...path,
      keys: path.keys.map((k, i) => ({
        ...k,
        upper: change(k.upper, k, i, last),
        fore: still ? k.fore : change(k.fore, k, i, last),
      })),
    },
  };
}

/** Lower the arm of every key by some degrees, in the upright plane that it lies in. */
export const lowerArm = (e: BookEntry, byDeg: (k: ArmKey) => number): BookEntry =>
  withBones(e, (d, k) => ({
    azimuthDeg: d.azimuthDeg,
    elevationDeg: Math.min(180, Math.max(0, d.elevationDeg - byDeg(k))),
  }));

/**
 * Bring the arm to the side (positive) or away from it, about the trunk's line ahead: nothing at the start of the
 * range, all of it at the finish. The elbow stops at the body.
 */
export const tuckArm = (e: BookEntry, byDeg: number, upperOnly = false): BookEntry =>
  byDeg === 0
    ? e
    : withBones(
        e,
        (d, _, i, last) => {
          const own = toUnit(d, 'right');
          const turned = rotateAbout(own, [1, 0, 0], toRad((byDeg * i) / last));
          const inside = Math.min(0, own[2]);
          if (turned[2] >= inside || byDeg < 0) return toDirection(turned, 'right');
          // As near to the body as it was or as the body lets it: the same height, no further in.
          const level = Math.hypot(turned[0], turned[2]);
          const x = Math.sqrt(Math.max(0, level * level - inside * inside));
          return toDirection([turned[0] < 0 ? -x : x, turned[1], inside], 'right');
        },
        upperOnly,
      );
