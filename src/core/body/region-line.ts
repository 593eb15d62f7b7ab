import type { Side } from '@/core/body/side';
import { fromFrame, type Frame } from '@/core/geometry/frame';
import { add, between, dot, length, mirrorZ, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import { clampedAcos, toDeg } from '@/core/units/angle';

/** Regions to account for; `core` is anti-rotation. */
export const REGIONS = [
  'chest-upper',
  'chest-mid',
  'chest-lower',
  'lat-upper',
  'lat-lower',
  'mid-back',
  'trapezius-upper',
  'trapezius-lower',
  'spinal-erectors',
  'deltoid-front',
  'deltoid-side',
  'deltoid-rear',
  'biceps-long',
  'biceps-short',
  'brachialis',
  'brachioradialis',
  'triceps-long',
  'triceps-lateral',
  'triceps-medial',
  'quadriceps',
  'hamstrings',
  'glutes',
  'calf',
  'core',
] as const;
/** A region of muscle that a movement can load. */
export type Region = (typeof REGIONS)[number];

/** Where an end of a region is fixed. A share runs along the bone from its upper end. */
type Anchor =
  { readonly on: 'trunk' | 'pelvis'; readonly at: Vec3 } | { readonly on: 'upper' | 'lower'; readonly share: number };

/**
 * Approximate lines of the regions that cross a joint, right side: trunk points from the midpoint of the shoulders,
 * pelvis points from the midpoint of the hips, as shares of stature along the frame's axes (forward, up, right); bone
 * points as shares of its length. From memory of anatomy, not measured: good to tell neighbouring regions apart, not
 * for a force. Regions without an entry hold rather than move a limb.
 */
const LINE: Readonly<Partial<Record<Region, { readonly from: Anchor; readonly to: Anchor }>>> = {
  'chest-upper': { from: { on: 'trunk', at: [0.035, 0.025, 0.03] }, to: { on: 'upper', share: 0.25 } },
  'chest-mid': { from: { on: 'trunk', at: [0.05, -0.014, 0.012] }, to: { on: 'upper', share: 0.25 } },
  'chest-lower': { from: { on: 'trunk', at: [0.05, -0.095, 0.03] }, to: { on: 'upper', share: 0.25 } },
  'lat-upper': { from: { on: 'trunk', at: [-0.05, -0.13, 0.01] }, to: { on: 'upper', share: 0.15 } },
  'lat-lower': { from: { on: 'trunk', at: [-0.04, -0.26, 0.03] }, to: { on: 'upper', share: 0.15 } },
  'mid-back': { from: { on: 'trunk', at: [-0.05, -0.04, 0] }, to: { on: 'trunk', at: [-0.045, -0.01, 0.085] } },
  'trapezius-upper': { from: { on: 'trunk', at: [-0.03, 0.06, 0] }, to: { on: 'trunk', at: [0, 0.02, 0.11] } },
  'trapezius-lower': { from: { on: 'trunk', at: [-0.05, -0.19, 0] }, to: { on: 'trunk', at: [-0.045, 0, 0.07] } },
  'deltoid-front': { from: { on: 'trunk', at: [0.03, 0.012, 0.1] }, to: { on: 'upper', share: 0.45 } },
  'deltoid-side': { from: { on: 'trunk', at: [0, 0.022, 0.135] }, to: { on: 'upper', share: 0.45 } },
  'deltoid-rear': { from: { on: 'trunk', at: [-0.045, 0.005, 0.08] }, to: { on: 'upper', share: 0.45 } },
  'biceps-long': { from: { on: 'trunk', at: [0, 0.012, 0.125] }, to: { on: 'lower', share: 0.15 } },
  'biceps-short': { from: { on: 'trunk', at: [0.03, -0.01, 0.1] }, to: { on: 'lower', share: 0.15 } },
  brachialis: { from: { on: 'upper', share: 0.6 }, to: { on: 'lower', share: 0.1 } },
  brachioradialis: { from: { on: 'upper', share: 0.8 }, to: { on: 'lower', share: 0.95 } },
  'triceps-long': { from: { on: 'trunk', at: [-0.01, -0.02, 0.115] }, to: { on: 'lower', share: 0 } },
  'triceps-lateral': { from: { on: 'upper', share: 0.25 }, to: { on: 'lower', share: 0 } },
  'triceps-medial': { from: { on: 'upper', share: 0.5 }, to: { on: 'lower', share: 0 } },
  quadriceps: { from: { on: 'pelvis', at: [0.03, 0.02, 0.06] }, to: { on: 'lower', share: 0.1 } },
  hamstrings: { from: { on: 'pelvis', at: [-0.03, -0.04, 0.04] }, to: { on: 'lower', share: 0.1 } },
  glutes: { from: { on: 'pelvis', at: [-0.06, 0.03, 0.04] }, to: { on: 'upper', share: 0.2 } },
};

/** Frames and joint centres that a region's ends hang on, in one frame. */
export interface RegionPose {
  readonly statureM: number;
  readonly trunkFrame: Frame;
  readonly neckBase: Vec3;
  readonly pelvisFrame: Frame;
  readonly pelvis: Vec3;
  /** Upper and lower bone: shoulder, elbow, wrist, or hip, knee, ankle. */
  readonly proximal: Vec3;
  readonly middle: Vec3;
  readonly distal: Vec3;
}

/** Both ends of a region's line on a side, metres; null for a region without one. Approximate, see above. */
export function regionLine(
  region: Region,
  pose: RegionPose,
  side: Side,
): { readonly from: Vec3; readonly to: Vec3 } | null {
  const line = LINE[region];
  if (!line) return null;
  const place = (a: Anchor): Vec3 => {
    switch (a.on) {
      case 'trunk':
      case 'pelvis': {
        const own: Vec3 = side === 'right' ? a.at : mirrorZ(a.at);
        const [frame, origin] = a.on === 'trunk' ? [pose.trunkFrame, pose.neckBase] : [pose.pelvisFrame, pose.pelvis];
        return add(origin, fromFrame(frame, [own[0] * pose.statureM, own[1] * pose.statureM, own[2] * pose.statureM]));
      }
      case 'upper':
        return between(pose.proximal, pose.middle, a.share);
      case 'lower':
        return between(pose.middle, pose.distal, a.share);
    }
  };
  return { from: place(line.from), to: place(line.to) };
}

/**
 * How far a region's line leaves a sweep, degrees in [0, 90]: its angle to the plane with unit normal `normal`. Within
 * the plane the limb turns, so only what leaves it tells regions apart. Null for a region without a line.
 */
export function regionOffPlaneDeg(region: Region, pose: RegionPose, side: Side, normal: Vec3): number | null {
  const angle = regionAngleDeg(region, pose, side, normal);
  return angle === null ? null : Math.abs(90 - angle);
}

/**
 * Angle between a region's line (insertion to origin) and a direction, degrees in [0, 180]; null for a region without a
 * line.
 */
export function regionAngleDeg(region: Region, pose: RegionPose, side: Side, direction: Vec3): number | null {
  const line = regionLine(region, pose, side);
  if (!line) return null;
  const pull = subtract(line.from, line.to);
  return length(pull) > 0 ? toDeg(clampedAcos(dot(normalise(pull), direction))) : null;
}
