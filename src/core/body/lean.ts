import { SIDES, type Side } from '@/core/body/side';
import { add, subtract, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { Body } from './body-model';
import { segmentsOf, SOFT_KNEE, standOn } from './pose-legs';
import type { Lean, Leg } from './posture';
import { FOOT_MASS, SHANK_MASS, THIGH_MASS } from './segment-mass';

/** A knee this low is on the floor, share of stature. */
const KNEELS = 0.1;

/** The hips with the legs under them, body frame, metres. */
interface Hips {
  readonly pelvis: Vec3;
  readonly leg: Readonly<Record<Side, Leg>>;
}

/** How far a lean carries the hips over the floor, metres; of a body that kneels where `kneeling`. */
export const leanM = (body: Body, deg: number, kneeling: boolean): number => {
  const { thighM, shankM } = segmentsOf(body);
  return (kneeling ? thighM : thighM + shankM) * Math.sin(toRad(deg));
};

/**
 * Share of the hips' way that the centre of mass goes along: all that is over them, and half of the legs (masses from
 * Winter).
 */
export const CENTRE_ALONG = 1 - (THIGH_MASS.share + SHANK_MASS.share) - 2 * FOOT_MASS.share;

/** How far a hinged body's balance lies ahead of the middle of its feet. */
export const balanceAheadM = (body: Body, lean: Lean | undefined): number =>
  lean ? CENTRE_ALONG * leanM(body, lean.deg, false) * Math.cos(toRad(lean.headingDeg)) : 0;

/**
 * The same body leant: the hips go over the floor on an arc about ankles, or about knees on the floor; feet and
 * kneeling legs stay, and the trunk keeps its angle. A leg that would be too short lowers the hips.
 */
export function leant(body: Body, lower: Hips, lean: Lean): Hips {
  const { thighM, shankM } = segmentsOf(body);
  const kneels = (side: Side): boolean => lower.leg[side].knee[1] < KNEELS * body.statureM;
  const kneeling = SIDES.some(kneels);
  const out = leanM(body, lean.deg, kneeling);
  const h = toRad(lean.headingDeg);
  const sink = (kneeling ? thighM : thighM + shankM) * (1 - Math.cos(toRad(lean.deg)));
  const moved = (v: Vec3): Vec3 => add(v, [out * Math.cos(h), -sink, out * Math.sin(h)]);
  const longest = SOFT_KNEE * (thighM + shankM);
  const drop = SIDES.reduce((most, side) => {
    const { hip, ankle } = lower.leg[side];
    const [x, y, z] = subtract(moved(hip), ankle);
    return kneels(side) ? most : Math.max(most, y - Math.sqrt(Math.max(0, longest ** 2 - x ** 2 - z ** 2)));
  }, 0);
  const down: Vec3 = [0, kneeling ? 0 : -drop, 0];
  const leg = (side: Side): Leg => {
    const own = lower.leg[side];
    const hip = add(moved(own.hip), down);
    return kneels(side) ? { ...own, hip } : standOn(body, hip, own.ankle, [1, 0, 0]);
  };
  return { pelvis: add(moved(lower.pelvis), down), leg: { left: leg('left'), right: leg('right') } };
}
