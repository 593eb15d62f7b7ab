import { SIDES, type Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { toFloor } from '@/core/geometry/rotation';
import { HIP_OVER_SEAT } from '@/core/body/segment-ratios';
import { add, mirrorZ, scale, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import type { Placement } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { armSilhouette, bodySilhouettes, type Silhouette } from './figure';
import type { View, Window3 } from './view';

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
  /** The body rests on a seat or bench under the hips, its back along the trunk when it lies. */
  readonly rests: 'seat' | 'back' | 'front' | null;
}

export interface MovementScene {
  readonly back: readonly Silhouette[];
  readonly front: readonly Silhouette[];
  readonly cables: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  readonly contact: Dot;
  readonly handPath: string;
  /** What the body sits, lies or leans on: both ends of its upper face. */
  readonly surfaces: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
}

const stands = (p: Placement | null) => ({ x: p?.standX ?? 0, z: p?.standZ ?? 0, yawRad: toRad(p?.yawDeg ?? 0) });

/** An arm at rest: straight down from its shoulder, or where it holds the body up. */
function restingArm(body: Body, pose: BodyPose, side: Side): ChainPath {
  const shoulder = pose.shoulder[side];
  const held = pose.supportArm?.side === side ? pose.supportArm : null;
  const elbow = held?.elbow ?? add(shoulder, [0, -body.length.upperArm.m, 0]);
  const wrist = held?.hand ?? add(elbow, [0.03, -body.length.forearm.m, 0]);
  const grip = held ? wrist : add(wrist, [0.01, -body.length.hand.m / 2, 0]);
  return { side, chain: 'arm', proximal: [shoulder], middle: [elbow], distal: [wrist], contact: [grip], frame: [pose.trunkFrame] };
}

const mirrored = (p: ChainPath): ChainPath => ({ ...p, side: p.side === 'right' ? 'left' : 'right', proximal: p.proximal.map(mirrorZ), middle: p.middle.map(mirrorZ), distal: p.distal.map(mirrorZ), contact: p.contact.map(mirrorZ) });

/** A movement at one sample of its range, in one view. */
export function buildMovementScene(s: MovementSceneInput, view: View): MovementScene {
  const stand = stands(s.placement);
  const carry = (v: Vec3): Vec3 => toFloor(v, stand);
  const other: Side = s.side === 'right' ? 'left' : 'right';
  const arms = SIDES.map((side) => {
    // On legs and hinges the arms rest or hang with the load.
    if (s.path.chain === 'arm' && side === s.side) return { side, path: s.path, i: s.i };
    return s.path.chain === 'arm' && s.both ? { side, path: mirrored(s.path), i: s.i } : { side, path: restingArm(s.body, s.pose, side), i: 0 };
  });
  const draw = (side: Side): Silhouette => {
    const a = arms.find((x) => x.side === side)!;
    return armSilhouette(view, carry, s.body, a.path, a.i, `arm-${side}`);
  };
  const grip = s.path.contact[s.i]!;
  const lineAt = (side: Side): Vec3 => carry(s.shared ? [grip[0], grip[1], 0] : side === s.side ? grip : mirrorZ(grip));
  const pulleyOf = (side: Side): Vec3 => (side === s.side || s.shared ? s.pulley! : [s.pulley![0], s.pulley![1], -s.pulley![2]]);
  const lines = s.pulley ? (s.both && !s.shared ? SIDES : [s.side]) : [];
  return {
    back: [draw(other), ...bodySilhouettes(view, carry, s.body, s.pose)],
    front: [draw(s.side)],
    cables: lines.map((side) => ({ key: side, from: view.project(pulleyOf(side)), to: view.project(lineAt(side)) })),
    surfaces: surfacesOf(s).map(([from, to], k) => ({ key: String(k), from: view.project(carry(from)), to: view.project(carry(to)) })),
    contact: view.project(carry(grip)),
    handPath: s.path.contact.map((c, k) => {
      const d = view.project(carry(c));
      return `${k === 0 ? 'M' : 'L'}${Math.round(d.u * 10) / 10} ${Math.round(d.v * 10) / 10}`;
    }).join(''),
  };
}

/** How far a pad lies from the joints it carries, share of stature (drawing only). */
const PAD = 0.065;

function surfacesOf(s: MovementSceneInput): (readonly [Vec3, Vec3])[] {
  const { pose, body } = s;
  const h = body.statureM;
  const surfaces: (readonly [Vec3, Vec3])[] = [];
  if (s.rests !== null) {
    const seat = pose.pelvis[1] - HIP_OVER_SEAT * h;
    surfaces.push([[pose.pelvis[0] - 0.12, seat, 0], [pose.pelvis[0] + 0.24, seat, 0]]);
  }
  if (s.rests === 'back' || s.rests === 'front') {
    const side = scale(pose.trunkFrame.x, (s.rests === 'back' ? -1 : 1) * PAD * h);
    surfaces.push([add(pose.pelvis, side), add(add(pose.neckBase, side), scale(pose.trunkFrame.y, s.rests === 'back' ? 0.1 * h : -0.03 * h))]);
  }
  if (pose.supportArm && pose.supportArm.hand[1] < pose.pelvis[1]) {
    const [x, y, z] = pose.supportArm.hand;
    surfaces.push([[x - 0.25, y, z], [x + 0.6, y, z]]);
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
  return { minX: minX - pad, maxX: maxX + pad, maxY: Math.max(...points.map((p) => p[1]), pulleyTopM ?? 0) + 0.14, minZ: Math.min(...zs) - pad, maxZ: Math.max(...zs) + pad };
}

/** Points of a posed body that a window must hold, carried onto the floor. */
export function extentOf(poses: readonly BodyPose[], path: ChainPath, both: boolean, placement: Placement | null, pulley: Vec3 | null): Vec3[] {
  const stand = stands(placement);
  const all = poses.flatMap((p) => [p.head, p.neckBase, p.pelvis, ...SIDES.flatMap((s) => [p.shoulder[s], p.leg[s].knee, p.leg[s].toe, p.leg[s].heel])]);
  const hands = both ? [...path.contact, ...path.contact.map(mirrorZ)] : path.contact;
  return [...[...all, ...path.middle, ...hands].map((v) => toFloor(v, stand)), ...(pulley ? [pulley] : [])];
}
