import { SIDES, type Side } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { toFloor } from '@/core/geometry/rotation';
import { HIP_OVER_SEAT } from '@/core/body/segment-ratios';
import { add, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import type { Placement } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { armSilhouette, bodySilhouettes, type Silhouette } from './figure';
import type { View, Window3 } from './view';

/** The body rests on a seat or bench under the hips, its back along the trunk when it lies. */
export type Rest = 'seat' | 'back' | 'front' | null;

export interface MovementSceneInput {
  readonly body: Body;
  readonly pose: BodyPose;
  readonly path: ChainPath;
  readonly side: Side;
  /** Both sides do the same. */
  readonly both: boolean;
  readonly placement: Placement | null;
  readonly pulley: Vec3 | null;
  /** The line is fixed at the middle between both hands. */
  readonly shared: boolean;
  readonly i: number;
  readonly rests: Rest;
  /** The upper arm lies on a pad. */
  readonly armOn: boolean;
  /** How far that pad stands above where it should carry the arm, metres. */
  readonly padUpM?: number;
  /** Where a bar or a strap in the hand ends, stand frame; null without one. */
  readonly anchor: Vec3 | null;
  /** Both hands are on one thing, drawn from hand to hand. */
  readonly oneThing: boolean;
}

export interface MovementScene {
  readonly back: readonly Silhouette[];
  readonly front: readonly Silhouette[];
  readonly cables: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  readonly contact: Dot;
  /** The bar or strap that is held. */
  readonly held: { readonly from: Dot; readonly to: Dot } | null;
  readonly handPath: string;
  /** What the body sits, lies or leans on: both ends of its upper face. */
  readonly surfaces: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  /** The pad between the trunk and the arm that lies on it. */
  readonly armPad: { readonly from: Dot; readonly to: Dot } | null;
}

const stands = (p: Placement | null) => ({ x: p?.standX ?? 0, z: p?.standZ ?? 0, yawRad: toRad(p?.yawDeg ?? 0) });

/** An arm at rest: straight down from its shoulder, or where it holds the body up. */
export function restingArm(body: Body, pose: BodyPose, side: Side): ChainPath {
  const shoulder = pose.shoulder[side];
  const held = pose.supportArm?.side === side ? pose.supportArm : null;
  const elbow = held?.elbow ?? add(shoulder, [0, -body.length.upperArm.m, 0]);
  const wrist = held?.hand ?? add(elbow, [0.03, -body.length.forearm.m, 0]);
  const grip = held ? wrist : add(wrist, [0.01, -body.length.hand.m / 2, 0]);
  return {
    side,
    chain: 'arm',
    proximal: [shoulder],
    middle: [elbow],
    distal: [wrist],
    contact: [grip],
    frame: [pose.trunkFrame],
  };
}

const mirrored = (p: ChainPath): ChainPath => ({
  ...p,
  side: p.side === 'right' ? 'left' : 'right',
  proximal: p.proximal.map(mirrorZ),
  middle: p.middle.map(mirrorZ),
  distal: p.distal.map(mirrorZ),
  contact: p.contact.map(mirrorZ),
});

/** A movement at one sample of its range, in one view. */
export function buildMovementScene(s: MovementSceneInput, view: View): MovementScene {
  const stand = stands(s.placement);
  const carry = (v: Vec3): Vec3 => toFloor(v, stand);
  const other: Side = s.side === 'right' ? 'left' : 'right';
  const arms = SIDES.map((side) => {
    // On legs and hinges the arms rest or hang with the load.
    if (s.path.chain === 'arm' && side === s.side) return { side, path: s.path, i: s.i };
    return s.path.chain === 'arm' && s.both
      ? { side, path: mirrored(s.path), i: s.i }
      : { side, path: restingArm(s.body, s.pose, side), i: 0 };
  });
  const draw = (side: Side): Silhouette => {
    const a = arms.find((x) => x.side === side)!;
    return armSilhouette(view, carry, s.body, a.path, a.i, `arm-${side}`);
  };
  const grip = s.path.contact[s.i]!;
  const lineAt = (side: Side): Vec3 => carry(s.shared ? [grip[0], grip[1], 0] : side === s.side ? grip : mirrorZ(grip));
  const pulleyOf = (side: Side): Vec3 =>
    side === s.side || s.shared ? s.pulley! : [s.pulley![0], s.pulley![1], -s.pulley![2]];
  const pad = s.armOn ? padUnder(s.body, s.path, s.i, s.padUpM ?? 0) : null;
  const lines = s.pulley ? (s.both && !s.shared ? SIDES : [s.side]) : [];
  return {
    back: [draw(other), ...bodySilhouettes(view, carry, s.body, s.pose)],
    front: [draw(s.side)],
    cables: lines.map((side) => ({ key: side, from: view.project(pulleyOf(side)), to: view.project(lineAt(side)) })),
    surfaces: surfacesOf(s.body, s.pose, s.rests).map(([from, to], k) => ({
      key: String(k),
      from: view.project(carry(from)),
      to: view.project(carry(to)),
    })),
    armPad: pad && { from: view.project(carry(pad[0])), to: view.project(carry(pad[1])) },
    contact: view.project(carry(grip)),
    held:
      s.anchor || s.oneThing
        ? { from: view.project(carry(s.anchor ?? mirrorZ(grip))), to: view.project(carry(grip)) }
        : null,
    handPath: s.path.contact
      .map((c, k) => {
        const d = view.project(carry(c));
        return `${k === 0 ? 'M' : 'L'}${Math.round(d.u * 10) / 10} ${Math.round(d.v * 10) / 10}`;
      })
      .join(''),
  };
}

/** The pad under an upper arm, from the armpit past the elbow. */
function padUnder(body: Body, path: ChainPath, i: number, upM: number): readonly [Vec3, Vec3] {
  const [shoulder, elbow] = [path.proximal[i]!, path.middle[i]!];
  const along = normalise(subtract(elbow, shoulder));
  // Under the arm: square to it, in the upright plane through it.
  const under = add(scale(normalise([-along[1], along[0], 0]), -0.032 * body.statureM), [0, upM, 0]);
  return [
    add(add(shoulder, scale(along, 0.04 * body.statureM)), under),
    add(add(elbow, scale(along, 0.03 * body.statureM)), under),
  ];
}

/** How far a pad lies from the joints it carries, share of stature (drawing only). */
const PAD = 0.065;

export function surfacesOf(body: Body, pose: BodyPose, rests: Rest): (readonly [Vec3, Vec3])[] {
  const h = body.statureM;
  const surfaces: (readonly [Vec3, Vec3])[] = [];
  if (rests !== null) {
    const seat = pose.pelvis[1] - HIP_OVER_SEAT * h;
    surfaces.push([
      [pose.pelvis[0] - 0.12, seat, 0],
      [pose.pelvis[0] + 0.24, seat, 0],
    ]);
  }
  if (rests === 'back' || rests === 'front') {
    const side = scale(pose.trunkFrame.x, (rests === 'back' ? -1 : 1) * PAD * h);
    surfaces.push([
      add(pose.pelvis, side),
      add(add(pose.neckBase, side), scale(pose.trunkFrame.y, rests === 'back' ? 0.1 * h : -0.03 * h)),
    ]);
  }
  if (pose.supportArm && pose.supportArm.hand[1] < pose.pelvis[1]) {
    const [x, y, z] = pose.supportArm.hand;
    surfaces.push([
      [x - 0.25, y, z],
      [x + 0.6, y, z],
    ]);
  }
  return surfaces;
}

/** Floor window that holds everything over the whole range, and the column where there is one. */
export function movementWindow(points: readonly Vec3[], pulleyTopM: number | null): Window3 {
  const xs = points.map((p) => p[0]);
  const zs = points.map((p) => p[2]);
  const minX = Math.min(...xs, ...(pulleyTopM === null ? [] : [-0.15]));
  const maxX = Math.max(...xs);
  const pad = 0.22;
  return {
    minX: minX - pad,
    maxX: maxX + pad,
    maxY: Math.max(...points.map((p) => p[1]), pulleyTopM ?? 0) + 0.14,
    minZ: Math.min(...zs) - pad,
    maxZ: Math.max(...zs) + pad,
  };
}

/** Points of a posed body that a window must hold, carried onto the floor. */
export function extentOf(
  poses: readonly BodyPose[],
  path: ChainPath,
  both: boolean,
  placement: Placement | null,
  pulley: Vec3 | null,
): Vec3[] {
  const stand = stands(placement);
  const all = poses.flatMap((p) => [
    p.head,
    p.neckBase,
    p.pelvis,
    ...SIDES.flatMap((s) => [p.shoulder[s], p.leg[s].knee, p.leg[s].toe, p.leg[s].heel]),
  ]);
  const hands = both ? [...path.contact, ...path.contact.map(mirrorZ)] : path.contact;
  return [...[...all, ...path.middle, ...hands].map((v) => toFloor(v, stand)), ...(pulley ? [pulley] : [])];
}
