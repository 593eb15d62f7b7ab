import type { BodyPose } from '@/core/body/posture';
import { SIDES } from '@/core/body/side';
import { TRACK, TRACK_STRIDE, type LimbTrack } from '@/core/mechanics/limb-track';
import { segmentDistance } from '@/core/geometry/segments';
import type { Vec3 } from '@/core/geometry/vector';

/** Parts of the body that a cable may not run through. */
export const LINE_PARTS = ['trunk', 'head', 'thigh'] as const;
/** A part of the body that a cable may not run through. */
export type LinePart = (typeof LINE_PARTS)[number];

/** A cable may lie on a thigh or brush the trunk this deep, metres. */
export const GRAZE_M = 0.01;
/** Samples of the range at which the line is looked at. */
export const LOOKED_AT = [0, 10, 20, 30, 40] as const;

/**
 * Half the depth of a trunk and half the thickness of a thigh, shares of stature (our judgement, as they are drawn).
 */
export const TRUNK_HALF = 0.065;
/** Half the thickness of a thigh, as above. */
export const THIGH_HALF = 0.04;

/**
 * Capsules of a body where its line is looked at, flat per part: both ends (3 + 3) and the radius; stand frame,
 * metres.
 */
export interface LineObstacles {
  readonly data: Float64Array;
  readonly perSample: number;
}

const CAPSULE = 7;
const PARTS: readonly LinePart[] = ['trunk', 'head', 'thigh', 'thigh'];

/** Trunk, head and thighs of a posed body, wherever its line is looked at. */
export function lineObstacles(statureM: number, bodyAt: (i: number) => BodyPose): LineObstacles {
  const rows = LOOKED_AT.flatMap((i) => {
    const pose = bodyAt(i);
    const capsule = (from: Vec3, to: Vec3, radius: number): number[] => [...from, ...to, radius];
    return [
      ...capsule(pose.pelvis, pose.neckBase, TRUNK_HALF * statureM),
      ...capsule(pose.neck, pose.head, pose.headRadiusM),
      ...SIDES.flatMap((side) => capsule(pose.leg[side].hip, pose.leg[side].knee, THIGH_HALF * statureM)),
    ];
  });
  return { data: Float64Array.from(rows), perSample: PARTS.length };
}

const { joint: JOINT, contact: CONTACT, line: LINE } = TRACK;
const STRIDE: number = TRACK_STRIDE;

/** How near a line comes to the body over the range, from skin to cable, metres (negative: inside), and to what. */
export interface LineClearance {
  readonly metres: number;
  readonly part: LinePart;
}

/** Least distance of a cable from trunk, head and thighs over the range; a track of all samples. */
export function lineClearance(track: LimbTrack, pulley: Vec3, { data, perSample }: LineObstacles): LineClearance {
  const last = LOOKED_AT.length - 1;
  const step = (track.samples - 1) / last;
  let metres = Infinity;
  let part: LinePart = 'trunk';
  for (let k = 0; k <= last; k++) {
    const o = k * step * STRIDE;
    const t = track.data;
    const x = t[o + JOINT]! + t[o + CONTACT]! + t[o + LINE]!;
    const y = t[o + JOINT + 1]! + t[o + CONTACT + 1]! + t[o + LINE + 1]!;
    const z = t[o + JOINT + 2]! + t[o + CONTACT + 2]! + t[o + LINE + 2]!;
    for (let p = 0; p < perSample; p++) {
      const c = (k * perSample + p) * CAPSULE;
      const off =
        segmentDistance(
          x,
          y,
          z,
          pulley[0],
          pulley[1],
          pulley[2],
          data[c]!,
          data[c + 1]!,
          data[c + 2]!,
          data[c + 3]!,
          data[c + 4]!,
          data[c + 5]!,
        ) - data[c + 6]!;
      if (off < metres) {
        metres = off;
        part = PARTS[p]!;
      }
    }
  }
  return { metres, part };
}
