import { SIDES, signOf, type Side } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { add, scale as times, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { capsulePath, type Capsule } from './capsule';
import type { View } from './view';

/** A closed silhouette: all its outlines are stroked first, then all filled, so that inner edges vanish. */
export interface Silhouette {
  readonly key: string;
  readonly paths: readonly string[];
}

/** Flesh around the joints as shares of stature (drawing only; nothing is computed from these). */
const GIRTH = {
  thigh: [0.05, 0.032],
  shank: [0.032, 0.019],
  foot: [0.02, 0.012],
  upperArm: [0.028, 0.021],
  forearm: [0.022, 0.015],
  hand: 0.021,
  pelvis: 0.058,
  waist: 0.05,
  chest: 0.064,
  neck: 0.027,
  shoulder: 0.032,
} as const;
/** How far the sides of hips, waist and chest lie from the spine, and their flesh, shares of stature (drawing only). */
const SIDE_OFF = { pelvis: 0.05, waist: 0.045, chest: 0.065 } as const;
const SIDE_GIRTH = { pelvis: 0.046, waist: 0.04, chest: 0.05 } as const;

/**
 * From above a trunk steeper than this (the sine of its angle) is shoulders and head; a flatter one is seen along its
 * length.
 */
const UPRIGHT_FROM = 0.8;

/** A knee this far ahead of its hip, share of stature, is a seated one. */
const SEATED_FROM = 0.16;

/** Carries body-frame joints onto the floor. */
export type Carry = (v: Vec3) => Vec3;

function capsule(view: View, carry: Carry, a: Vec3, b: Vec3, ra: number, rb: number): Capsule {
  return { a: view.project(carry(a)), b: view.project(carry(b)), ra: ra * view.scale, rb: rb * view.scale };
}

/** Arm of a limb path at sample `i`. */
export function armSilhouette(
  view: View,
  carry: Carry,
  body: Body,
  arm: ChainPath,
  i: number,
  key: string,
): Silhouette {
  const h = body.statureM;
  const c = (a: Vec3, b: Vec3, [ra, rb]: readonly [number, number]) =>
    capsulePath(capsule(view, carry, a, b, ra * h, rb * h));
  return {
    key,
    paths: [
      c(arm.proximal[i]!, arm.middle[i]!, GIRTH.upperArm),
      c(arm.middle[i]!, arm.distal[i]!, GIRTH.forearm),
      c(arm.distal[i]!, arm.contact[i]!, [GIRTH.forearm[1], GIRTH.hand]),
    ],
  };
}

function legSilhouette(view: View, carry: Carry, h: number, trunk: BodyPose, side: Side): Silhouette {
  const leg = trunk.leg[side];
  const c = (a: Vec3, b: Vec3, [ra, rb]: readonly [number, number]) =>
    capsulePath(capsule(view, carry, a, b, ra * h, rb * h));
  const lift = (v: Vec3): Vec3 => add(v, [0, GIRTH.foot[1] * h, 0]);
  return {
    key: `leg-${side}`,
    paths: [
      c(leg.hip, leg.knee, GIRTH.thigh),
      c(leg.knee, leg.ankle, GIRTH.shank),
      c(lift(leg.heel), lift(leg.toe), GIRTH.foot),
    ],
  };
}

/** Everything but the arms, back to front for the elevation; for the plan the feet lie under the shoulders. */
export function bodySilhouettes(view: View, carry: Carry, body: Body, trunk: BodyPose): Silhouette[] {
  const h = body.statureM;
  const c = (a: Vec3, b: Vec3, ra: number, rb: number) => capsulePath(capsule(view, carry, a, b, ra * h, rb * h));
  const headR = trunk.headRadiusM / h;
  if (view.kind === 'plan' && trunk.trunkFrame.y[1] > UPRIGHT_FROM) {
    const { left, right } = trunk.shoulder;
    return [
      ...SIDES.map((side) => {
        const { hip, knee, heel, toe } = trunk.leg[side];
        // Under an upright body only the feet show; seated, the thighs do.
        const seated = Math.hypot(knee[0] - hip[0], knee[2] - hip[2]) > SEATED_FROM * h;
        return seated
          ? legSilhouette(view, carry, h, trunk, side)
          : { key: `foot-${side}`, paths: [c(heel, toe, GIRTH.foot[0], GIRTH.foot[0])] };
      }),
      { key: 'shoulders', paths: [c(left, right, GIRTH.shoulder + 0.016, GIRTH.shoulder + 0.016)] },
      { key: 'head', paths: [c(trunk.head, add(trunk.head, [headR * h * 0.4, 0, 0]), headR * 0.85, headR * 0.75)] },
    ];
  }
  const mid = times(add(trunk.shoulder.left, trunk.shoulder.right), 0.5);
  const onSpine = (share: number): Vec3 => add(times(trunk.pelvis, 1 - share), times(mid, share));
  const [waist, chest] = [onSpine(0.36), onSpine(0.7)];
  const { x: ahead, y: up } = trunk.trunkFrame;
  const inHead = (forward: number, above: number): Vec3 =>
    add(trunk.head, add(times(ahead, forward * headR * h), times(up, above * headR * h)));
  const beside = (v: Vec3, off: number): Vec3 => add(v, times(trunk.trunkFrame.z, off * h));
  // Seen from its front or back a trunk is as broad as it is; from the side its sides lie behind each other.
  const sides = SIDES.flatMap((side) => {
    const out = signOf(side);
    const [hip, flank, ribs] = [
      beside(trunk.pelvis, out * SIDE_OFF.pelvis),
      beside(waist, out * SIDE_OFF.waist),
      beside(chest, out * SIDE_OFF.chest),
    ];
    return [
      c(hip, flank, SIDE_GIRTH.pelvis, SIDE_GIRTH.waist),
      c(flank, ribs, SIDE_GIRTH.waist, SIDE_GIRTH.chest),
      c(ribs, trunk.shoulder[side], SIDE_GIRTH.chest, GIRTH.shoulder),
    ];
  });
  const near = legSilhouette(view, carry, h, trunk, 'right');
  return [
    legSilhouette(view, carry, h, trunk, 'left'),
    {
      // The near leg grows out of the trunk: one outline round both.
      key: 'trunk',
      paths: [
        ...near.paths,
        ...sides,
        c(trunk.shoulder.left, trunk.shoulder.right, GIRTH.shoulder, GIRTH.shoulder),
        c(trunk.pelvis, waist, GIRTH.pelvis, GIRTH.waist),
        c(waist, chest, GIRTH.waist, GIRTH.chest),
        c(chest, mid, GIRTH.chest, GIRTH.shoulder + 0.006),
        c(mid, trunk.neck, GIRTH.shoulder, GIRTH.neck),
        c(trunk.neck, trunk.head, GIRTH.neck, GIRTH.neck),
        c(inHead(-0.08, 0.1), inHead(0.12, 0.08), headR * 0.9, headR * 0.86),
        c(inHead(0.12, -0.05), inHead(0.42, -0.6), headR * 0.8, headR * 0.42),
      ],
    },
  ];
}
