import { otherSide, SIDES, type Side } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import type { PosedEntry } from '@/core/book/pose-entry';
import type { PosedQuestion } from '@/core/book/posed-question';
import { toFloor } from '@/core/geometry/rotation';
import { add, between, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { mirrorPath, type ChainPath } from '@/core/movement/chain-path';
import type { Placement } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { armSilhouette, bodySilhouettes, type Carry, type Silhouette } from './figure';
import { carried, gearShapes, type GearShape } from './gear';
import { handOf, type Hand } from './hands';
import { BAR_M, heldThings } from './held';
import { armPadOf, armPadThings, facesOf, seatThings, type Face } from './seats';
import type { View, Window3 } from './view';

export interface MovementSceneInput {
  readonly from: PosedQuestion;
  /** The limb that is shown, where the movement stands. */
  readonly posed: PosedEntry;
  readonly placement: Placement | null;
  readonly pulley: Vec3 | null;
  readonly i: number;
  /** How far the pad under an arm stands above where it should carry it, metres. */
  readonly padUpM?: number;
  /** The other arm where both work and it is not the mirror image. */
  readonly other?: ChainPath | null;
  /** What carries the body where a fault takes the body off it. */
  readonly rest?: Pick<PosedEntry, 'bodyAt' | 'path'>;
  /** How far a machine's axis lies from the joint that it is set to; stand frame, metres. */
  readonly axisOff?: Vec3;
}

export interface MovementScene {
  /** What the body sits, lies or leans on, drawn under it. */
  readonly seats: readonly GearShape[];
  /** The pad that an arm lies on, over the trunk. */
  readonly underArm: readonly GearShape[];
  readonly back: readonly Silhouette[];
  readonly front: readonly Silhouette[];
  /** What the far hand holds, and what the near one or both do. */
  readonly heldBehind: readonly GearShape[];
  readonly held: readonly GearShape[];
  readonly cables: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  readonly contact: Dot;
  readonly handPath: string;
  /** Faces of what the body touches: both ends of each. */
  readonly surfaces: readonly { readonly from: Dot; readonly to: Dot }[];
  /** The face of the pad that an arm lies on. */
  readonly armPad: { readonly from: Dot; readonly to: Dot } | null;
}

const stands = (p: Placement | null) => ({ x: p?.standX ?? 0, z: p?.standZ ?? 0, yawRad: toRad(p?.yawDeg ?? 0) });

/** A trunk whose shoulders stand this steep over each other lies on its side; sine. No side bend goes as far. */
const ON_ITS_SIDE = 0.4;

/** Where an arm that does nothing goes from its shoulder: it hangs; of a body on its side it lies along the trunk. */
function restingDirections({ trunkFrame: trunk }: BodyPose): { readonly upper: Vec3; readonly fore: Vec3 } {
  const liesOnSide = Math.abs(trunk.z[1]) > ON_ITS_SIDE;
  return liesOnSide
    ? { upper: scale(trunk.y, -1), fore: trunk.x }
    : { upper: [0, -1, 0], fore: normalise([0.1, -1, 0]) };
}

/** An arm at rest, or where it holds the body up. */
export function restingArm(body: Body, pose: BodyPose, side: Side): ChainPath {
  const shoulder = pose.shoulder[side];
  const held = pose.supportArm?.side === side ? pose.supportArm : null;
  const { upper, fore } = restingDirections(pose);
  const elbow = held?.elbow ?? add(shoulder, scale(upper, body.length.upperArm.m));
  const wrist = held?.hand ?? add(elbow, scale(fore, body.length.forearm.m));
  const grip = held ? wrist : add(wrist, scale(fore, body.length.hand.m / 2));
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

const otherArm = ({ posed, other }: MovementSceneInput): ChainPath => other ?? mirrorPath(posed.path);

/** The arms of a body at a sample: those that work where they are, the others at rest. */
function armsOf(s: MovementSceneInput, pose: BodyPose) {
  const { from, posed, i } = s;
  const { path } = posed;
  const both = from.entry.hands === 'two';
  return (side: Side): { readonly path: ChainPath; readonly i: number } => {
    // On legs and hinges the arms rest or hang with the load.
    if (path.chain === 'arm' && side === from.shown) return { path, i };
    return path.chain === 'arm' && both
      ? { path: otherArm(s), i }
      : { path: restingArm(from.question.body, pose, side), i: 0 };
  };
}

/** The hands that hold the load, where it meets a limb; a mirrored pair for both sides. Stand frame. */
function handsOf({ from, posed, other: turned, i }: MovementSceneInput): readonly Hand[] {
  const { path } = posed;
  const at = path.contact[i]!;
  // Across the body: a bar that hangs from both hands, a roller before both shins.
  if (path.chain === 'trunk') return [{ side: from.shown, at, thumb: [0, 0, 1] }];
  const own: Hand = path.chain === 'arm' ? handOf(from.entry, path, i) : { side: from.shown, at, thumb: [0, 0, 1] };
  const far = turned ? turned.contact[i]! : mirrorZ(own.at);
  const other: Hand = { side: otherSide(from.shown), at: far, thumb: mirrorZ(own.thumb) };
  if (from.entry.hands !== 'two') return [own];
  return own.side === 'left' ? [own, other] : [other, own];
}

/** A direction of the stand frame on the floor. */
const turned = (carry: Carry, at: Vec3, way: Vec3): Vec3 => subtract(carry(add(at, way)), carry(at));

/** Hands carried to where they stand. */
export const handsAt = (carry: Carry, hands: readonly Hand[]): readonly Hand[] =>
  hands.map(({ side, at, thumb }) => ({ side, at: carry(at), thumb: turned(carry, at, thumb) }));

function heldIn(s: MovementSceneInput, carry: Carry, pose: BodyPose, pulleyOf: (side: Side) => Vec3 | null) {
  const { shown } = s.from;
  const { path, target, anchor } = s.posed;
  const on = (side: Side, v: Vec3): Vec3 => carry(side === shown ? v : mirrorZ(v));
  const joint = add(target.joint === 'middle' ? path.middle[s.i]! : path.proximal[s.i]!, s.axisOff ?? [0, 0, 0]);
  return heldThings({
    posed: s.from,
    hands: handsAt(carry, handsOf(s)),
    anchorOf: (side) => anchor && on(side, anchor),
    pulleyOf,
    axisOf: (side) => on(side, joint),
    soleOf: (side) => [carry(pose.leg[side].heel), carry(pose.leg[side].toe)],
  });
}

/** A movement at one sample of its range, in one view. */
export function buildMovementScene(s: MovementSceneInput, view: View): MovementScene {
  const { entry, shown: side, question } = s.from;
  const { body } = question;
  const { path } = s.posed;
  const stand = stands(s.placement);
  const carry = (v: Vec3): Vec3 => toFloor(v, stand);
  const pose = s.posed.bodyAt(s.i);
  const carriedBy = s.rest ?? s.posed;
  const rest = s.rest ? s.rest.bodyAt(s.i) : pose;
  const shared = entry.load.kind === 'cable' && entry.load.shared;
  const armOf = armsOf(s, pose);
  const draw = (of: Side): Silhouette => {
    const arm = armOf(of);
    return armSilhouette(view, carry, body, arm.path, arm.i, `arm-${of}`);
  };
  const grip = path.contact[s.i]!;
  const far = s.other ? s.other.contact[s.i]! : mirrorZ(grip);
  const lineAt = (of: Side): Vec3 => carry(shared ? between(grip, far, 0.5) : of === side ? grip : far);
  const pulleyOf = (of: Side): Vec3 | null =>
    s.pulley && (of === side || shared ? s.pulley : [s.pulley[0], s.pulley[1], -s.pulley[2]]);
  const pad = entry.armOn === null ? null : armPadOf(body, carriedBy.path, s.i, s.padUpM ?? 0);
  const lines = s.pulley ? (entry.hands === 'two' && !shared ? SIDES : [side]) : [];
  const faceOn = ({ from, to }: Face) => ({ from: view.project(carry(from)), to: view.project(carry(to)) });
  const held = heldIn(s, carry, pose, pulleyOf);
  const shapes = (behind: boolean) =>
    gearShapes(
      view,
      held.filter((h) => (h.side === otherSide(side)) === behind).flatMap((h) => h.gear),
    );
  return {
    seats: gearShapes(view, carried(seatThings(entry, body, rest, pad), carry)),
    underArm: gearShapes(view, carried(armPadThings(pad), carry)),
    back: [draw(otherSide(side)), ...bodySilhouettes(view, carry, body, pose)],
    front: [draw(side)],
    heldBehind: shapes(true),
    held: shapes(false),
    cables: lines.map((of) => ({ key: of, from: view.project(pulleyOf(of)!), to: view.project(lineAt(of)) })),
    surfaces: facesOf(entry, body, rest).map(faceOn),
    armPad: pad && faceOn(pad),
    contact: view.project(carry(grip)),
    handPath: path.contact
      .map((c, k) => {
        const d = view.project(carry(c));
        return `${k === 0 ? 'M' : 'L'}${Math.round(d.u * 10) / 10} ${Math.round(d.v * 10) / 10}`;
      })
      .join(''),
  };
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

/** What a window holds beside the body: both ends of a bar across it, and the pads that carry it. */
export function gearExtent({ entry, question }: PosedQuestion, posed: PosedEntry, placement: Placement | null): Vec3[] {
  const pads = facesOf(entry, question.body, posed.pose).flatMap((f) => [f.from, f.to]);
  const [x, y] = posed.path.contact[0]!;
  const isBar = entry.load.kind === 'weight' && entry.load.kit === 'bar' && entry.hands !== 'one';
  const bar = isBar ? [-1, 1].map((s): Vec3 => [x, y, (s * BAR_M) / 2 - s * 0.15]) : [];
  return [...pads, ...bar].map((v) => toFloor(v, stands(placement)));
}
