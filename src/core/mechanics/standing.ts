import { convexHull, turn } from '@/core/geometry/convex-hull';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { SIDES } from '@/core/body/side';
import type { Vec3 } from '@/core/geometry/vector';
import { bisect } from '@/core/units/bisect';
import { GRAVITY_MS2 } from '@/core/units/mass';

/** A place on the floor, metres: ahead and to the right, stand frame. */
export type Spot = readonly [x: number, z: number];

/**
 * Half a foot's or a knee's breadth, and how high what rests on the floor lies: a knee on its pad, the sole of a foot
 * on its instep; shares of stature.
 */
const HALF_BREADTH = 0.028;
const ON_FLOOR = 0.075;

/** Knees that are on the floor. */
export const kneesDown = (body: Body, pose: BodyPose): number =>
  SIDES.filter((side) => pose.leg[side].knee[1] <= ON_FLOOR * body.statureM).length;

/**
 * What a body stands or kneels on: the outline of feet and knees that touch the floor, counter-clockwise (convex
 * hull).
 */
export function supportOf(body: Body, pose: BodyPose): readonly Spot[] {
  const half = HALF_BREADTH * body.statureM;
  const spots = SIDES.flatMap((side) => {
    const { knee, heel, toe } = pose.leg[side];
    return [heel, toe, knee]
      .filter((v) => v[1] <= ON_FLOOR * body.statureM)
      .flatMap((v): Spot[] => [
        [v[0], v[2] - half],
        [v[0], v[2] + half],
      ]);
  });
  return convexHull(spots);
}

/** How far a spot lies inside an outline (negative: outside), metres. */
export function insideBy(outline: readonly Spot[], at: Spot): number {
  return outline.reduce((least, a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]);
    return long > 0 ? Math.min(least, turn(a, b, at) / long) : least;
  }, Infinity);
}

/** What acts on a body at one moment: its own centre of mass, and forces on its hands (newtons) where they act. */
export interface Standing {
  readonly support: readonly Spot[];
  readonly centre: Vec3;
  readonly hands: readonly { readonly at: Vec3; readonly forceN: Vec3 }[];
}

/**
 * Centre of pressure on the floor, metres. With weight mg at c and forces F at P, moments about it vanish:
 * p_x (mg - sum F_y) = mg c_x - sum (P_x F_y - P_y F_x), and the same for z. Null when the forces lift the body.
 */
export function pressureAt(massKg: number, { centre, hands }: Standing, share = 1): Spot | null {
  const weight = massKg * GRAVITY_MS2;
  let down = weight;
  let x = weight * centre[0];
  let z = weight * centre[2];
  for (const { at, forceN } of hands) {
    const [fx, fy, fz] = [forceN[0] * share, forceN[1] * share, forceN[2] * share];
    down -= fy;
    x -= at[0] * fy - at[1] * fx;
    z -= at[2] * fy - at[1] * fz;
  }
  return down > 0 ? [x / down, z / down] : null;
}

/** Shoes on a gym's floor hold this much of the weight sideways (an assumption). */
const FRICTION = 0.6;

/** What feet have to hold at a moment: the weight on them and the pull along the floor, newtons. */
function onFeet(
  massKg: number,
  { hands }: Standing,
  share: number,
): { readonly downN: number; readonly alongN: number } {
  const [x, y, z] = [0, 1, 2].map((k) => share * hands.reduce((sum, { forceN }) => sum + forceN[k]!, 0));
  return { downN: massKg * GRAVITY_MS2 - y!, alongN: Math.hypot(x!, z!) };
}

/** Most of the load that is looked at, times what is set. */
const MOST_SHARE = 8;

/** How a load is stood over the range. */
export interface StandingMargin {
  /** Least distance of the centre of pressure from the edge of the support, metres; negative: tips. */
  readonly marginM: number;
  /**
   * The load at which it reaches the edge or slips, share of what is set; null where several times as much is stood.
   */
  readonly mostShare: number | null;
  /** The feet slip before the body tips. */
  readonly slips: boolean;
  /** Weight on the feet at the worst moment, newtons. */
  readonly downN: number;
}

/**
 * Most of a load that is stood, share of it; null where several times as much is. A body leant against its load stands
 * some of it and not none, so the search goes up from a share that is stood, the set load first, then from below it.
 */
function mostStood(stands: (share: number) => boolean): number | null {
  if (stands(MOST_SHARE)) return null;
  for (let share = 1; share > 0; share -= SHARE_STEP)
    if (stands(share)) return bisect(share, share === 1 ? MOST_SHARE : share + SHARE_STEP, stands);
  return stands(0) ? bisect(0, SHARE_STEP, stands) : 0;
}
const SHARE_STEP = 0.0625;

/** How near a body comes to tipping over the range, and how much of its load it could stand (quasi-static). */
export function standingMargin(massKg: number, moments: readonly Standing[]): StandingMargin {
  const margin = (share: number): number =>
    Math.min(
      ...moments.map((m) => {
        const at = pressureAt(massKg, m, share);
        return at ? insideBy(m.support, at) : -1;
      }),
    );
  const holds = (share: number): boolean =>
    moments.every((m) => {
      const { downN, alongN } = onFeet(massKg, m, share);
      return alongN <= FRICTION * downN;
    });
  const stands = (share: number): boolean => margin(share) > 0 && holds(share);
  const mostShare = mostStood(stands);
  return {
    marginM: margin(1),
    mostShare,
    slips: mostShare !== null && margin(mostShare * 1.001) > 0,
    downN: Math.min(...moments.map((m) => onFeet(massKg, m, 1).downN)),
  };
}
