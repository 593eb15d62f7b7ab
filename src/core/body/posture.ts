import { along, normalise, scale, subtract, add, length, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { Body } from './body-model';
import type { Side } from './active-range';

/** A staggered stance: which foot is in front, and how far the trunk leans forward from the hips. */
export interface Posture {
  readonly kind: 'staggered';
  readonly frontFoot: Side;
  readonly trunkLeanDeg: number;
}

export interface Leg {
  readonly hip: Vec3;
  readonly knee: Vec3;
  readonly ankle: Vec3;
  readonly heel: Vec3;
  readonly toe: Vec3;
}

/**
 * Joint centres in the body frame (x forward, y up, z right; Wu et al. 2005), metres, origin on the floor midway
 * between the ankles, which is where the floor mark goes.
 */
export interface TrunkPose {
  readonly pelvis: Vec3;
  readonly neck: Vec3;
  readonly head: Vec3;
  readonly headRadiusM: number;
  readonly shoulder: Readonly<Record<Side, Vec3>>;
  readonly leg: Readonly<Record<Side, Leg>>;
}

/** Ankle to ankle along the line of travel, as a share of stature: a comfortable split step (common practice). */
const STAGGER_SHARE = 0.26;
/** Share of full leg length from hip to ankle in a split stance: knees soft, not locked. */
const SOFT_KNEE = 0.985;

/** Knee of a two-link leg that bends forwards; straight when the ankle is out of reach. */
function kneeOf(hip: Vec3, ankle: Vec3, thighM: number, shankM: number): Vec3 {
  const reach = subtract(ankle, hip);
  const d = Math.min(length(reach), thighM + shankM - 1e-6);
  const u = normalise(reach);
  const a = (thighM ** 2 - shankM ** 2 + d ** 2) / (2 * d);
  const bend = Math.sqrt(Math.max(0, thighM ** 2 - a ** 2));
  const forward = normalise(subtract([1, 0, 0], scale(u, u[0])));
  return add(along(hip, u, a), scale(forward, bend));
}

/** Pose of trunk, head and legs for a posture. Precondition: a body with positive segment lengths. */
export function poseTrunk(body: Body, posture: Posture): TrunkPose {
  const ankleY = body.height.ankleHeight.m;
  const legM = body.height.hipHeight.m - ankleY;
  const thighM = body.height.hipHeight.m - body.height.kneeHeight.m;
  const shankM = body.height.kneeHeight.m - ankleY;
  const half = (STAGGER_SHARE * body.statureM) / 2;
  const hipY = ankleY + Math.sqrt((SOFT_KNEE * legM) ** 2 - half ** 2);
  const lean = toRad(posture.trunkLeanDeg);
  const up: Vec3 = [Math.sin(lean), Math.cos(lean), 0];
  const pelvis: Vec3 = [0, hipY, 0];
  const neckBase = along(pelvis, up, body.height.shoulderHeight.m - body.height.hipHeight.m);
  const halfShoulder = body.length.shoulderBreadth.m / 2;
  const halfHip = body.length.hipBreadth.m / 2;
  const chin = body.height.chinHeight.m - body.height.shoulderHeight.m;
  const crown = body.statureM - body.height.shoulderHeight.m;
  const headRadiusM = (crown - chin) / 2;
  const leg = (side: Side): Leg => {
    const z = (side === 'right' ? 1 : -1) * halfHip * 0.8;
    const x = side === posture.frontFoot ? half : -half;
    const hip: Vec3 = [0, hipY, z];
    const ankle: Vec3 = [x, ankleY, z];
    return {
      hip,
      ankle,
      knee: kneeOf(hip, ankle, thighM, shankM),
      heel: [x - body.length.foot.m * 0.24, 0, z],
      toe: [x + body.length.foot.m * 0.76, 0, z],
    };
  };
  return {
    pelvis,
    neck: along(neckBase, up, chin * 0.4),
    head: add(along(neckBase, up, (chin + crown) / 2), [headRadiusM * 0.2, 0, 0]),
    headRadiusM,
    shoulder: {
      left: [neckBase[0], neckBase[1], -halfShoulder],
      right: [neckBase[0], neckBase[1], halfShoulder],
    },
    leg: { left: leg('left'), right: leg('right') },
  };
}
