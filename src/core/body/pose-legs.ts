import { bisect } from '@/core/units/bisect';
import { type Side, signOf } from '@/core/body/side';
import { along, between, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { Body } from './body-model';
import type { Leg } from './posture';
import { ARM_MASS_SHARE, FOOT_MASS, HEAD_MASS_SHARE, SHANK_MASS, THIGH_MASS, TRUNK_MASS } from './segment-mass';
import { middleJoint } from './two-link';

/** Ankle to ankle along the line of travel, as a share of stature: a comfortable split step (common practice). */
export const STAGGER_SHARE = 0.26;
/** Share of full leg length from hip to ankle when standing: knees soft, not locked. */
export const SOFT_KNEE = 0.985;
/** The foot's part ahead of the ankle; the heel is the rest. */
const FOOT_AHEAD = 0.76;
/** A balanced body weighs on the middle of its feet: this share of the foot ahead of the ankle (common practice). */
const BALANCE_AHEAD = 0.26;

/** Lengths of a leg’s segments, metres. */
export interface LegSegments {
  readonly thighM: number;
  readonly shankM: number;
  readonly ankleY: number;
}

/** Lengths of a body’s leg segments, metres. */
export const segmentsOf = (body: Body): LegSegments => ({
  thighM: body.height.hipHeight.m - body.height.kneeHeight.m,
  shankM: body.height.kneeHeight.m - body.height.ankleHeight.m,
  ankleY: body.height.ankleHeight.m,
});

/** Hip joint from the midline, metres: the centres lie inside the breadth of the hips. */
export const hipHalfM = (body: Body): number => (body.length.hipBreadth.m / 2) * 0.8;

/** Heel and toe of a foot at an ankle, `below` and `forward` unit directions square to each other. */
export function footOf(
  body: Body,
  ankle: Vec3,
  below: Vec3,
  forward: Vec3,
): { readonly heel: Vec3; readonly toe: Vec3 } {
  const sole = along(ankle, below, body.height.ankleHeight.m);
  return {
    heel: along(sole, forward, -(1 - FOOT_AHEAD) * body.length.foot.m),
    toe: along(sole, forward, FOOT_AHEAD * body.length.foot.m),
  };
}

/** A leg from hip to an ankle over a flat foot, the knee bent towards `hint`. */
export function standOn(body: Body, hip: Vec3, ankle: Vec3, hint: Vec3): Leg {
  const { thighM, shankM } = segmentsOf(body);
  return {
    hip,
    ankle,
    knee: middleJoint(hip, ankle, thighM, shankM, hint),
    ...footOf(body, ankle, [0, -1, 0], [1, 0, 0]),
  };
}

/**
 * Upright on two feet that are apart: one ahead of the other by a comfortable step or by `stepM`, or a given width
 * between the ankles; metres.
 */
export function feetApart(
  body: Body,
  apart: { readonly ahead?: Side; readonly stepM?: number; readonly widthM?: number },
): { readonly pelvis: Vec3; readonly leg: Readonly<Record<Side, Leg>> } {
  const { thighM, shankM, ankleY } = segmentsOf(body);
  const hipZ = hipHalfM(body);
  const halfStep = apart.ahead ? (apart.stepM ?? STAGGER_SHARE * body.statureM) / 2 : 0;
  const out = apart.widthM === undefined ? 0 : Math.max(0, Math.min(apart.widthM / 2 - hipZ, 0.9 * (thighM + shankM)));
  const hipY = ankleY + Math.sqrt((SOFT_KNEE * (thighM + shankM)) ** 2 - halfStep ** 2 - out ** 2);
  const leg = (side: Side): Leg => {
    const z = signOf(side);
    return standOn(
      body,
      [0, hipY, z * hipZ],
      [side === apart.ahead ? halfStep : -halfStep, ankleY, z * (hipZ + out)],
      [1, 0, 0],
    );
  };
  return { pelvis: [0, hipY, 0], leg: { left: leg('left'), right: leg('right') } };
}

/**
 * Feet together under the hips, knees bent by `kneeFlexionDeg`, trunk `trunkDeg` above level: the shanks lean until the
 * whole body (arms hanging) balances over the middle of the feet, or `aheadM` of it. Bisection on the shanks' lean;
 * masses from Winter.
 */
export function balancedHinge(
  body: Body,
  trunkDeg: number,
  kneeFlexionDeg: number,
  aheadM = 0,
): { readonly pelvis: Vec3; readonly leg: Readonly<Record<Side, Leg>> } {
  const { thighM, shankM, ankleY } = segmentsOf(body);
  const trunkM = body.height.shoulderHeight.m - body.height.hipHeight.m;
  const spine: Vec3 = [Math.cos(toRad(trunkDeg)), Math.sin(toRad(trunkDeg)), 0];
  const headM = trunkM + (body.height.chinHeight.m + body.statureM) / 2 - body.height.shoulderHeight.m;
  const pose = (shankLean: number): { readonly knee: Vec3; readonly hip: Vec3; readonly centreX: number } => {
    const ankle: Vec3 = [0, ankleY, 0];
    const knee = along(ankle, [Math.sin(shankLean), Math.cos(shankLean), 0], shankM);
    const back = toRad(kneeFlexionDeg) - shankLean;
    const hip = along(knee, [-Math.sin(back), Math.cos(back), 0], thighM);
    const parts: readonly (readonly [number, Vec3])[] = [
      [2 * FOOT_MASS.share, [FOOT_AHEAD * body.length.foot.m * FOOT_MASS.centre, 0, 0]],
      [2 * SHANK_MASS.share, between(knee, ankle, SHANK_MASS.centre)],
      [2 * THIGH_MASS.share, between(hip, knee, THIGH_MASS.centre)],
      [TRUNK_MASS.share, along(hip, spine, trunkM * (1 - TRUNK_MASS.centre))],
      [2 * ARM_MASS_SHARE, along(hip, spine, trunkM)],
      [HEAD_MASS_SHARE, along(hip, spine, headM)],
    ];
    const total = parts.reduce((a, [share]) => a + share, 0);
    return { knee, hip, centreX: parts.reduce((a, [share, at]) => a + share * at[0], 0) / total };
  };
  const wanted = BALANCE_AHEAD * body.length.foot.m + aheadM;
  const { knee, hip } = pose(bisect(toRad(-35), toRad(50), (rad) => pose(rad).centreX < wanted));
  const leg = (side: Side): Leg => {
    const z = signOf(side) * hipHalfM(body);
    const ankle: Vec3 = [0, ankleY, z];
    return {
      hip: [hip[0], hip[1], z],
      knee: [knee[0], knee[1], z],
      ankle,
      ...footOf(body, ankle, [0, -1, 0], [1, 0, 0]),
    };
  };
  return { pelvis: [hip[0], hip[1], 0], leg: { left: leg('left'), right: leg('right') } };
}
