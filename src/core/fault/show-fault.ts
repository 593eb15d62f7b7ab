import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { otherSide, signOf, type Side } from '@/core/body/side';
import { middleJoint } from '@/core/body/two-link';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import type { BookEntry } from '@/core/book/book-entry';
import { faultsOf } from '@/core/book/entry-faults';
import type { PosedEntry } from '@/core/book/pose-entry';
import { limbOn } from '@/core/book/posed-question';
import { rotateAbout, rotateFrame } from '@/core/geometry/frame';
import { add, between, dot, mirrorZ, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { LAST_SAMPLE, mirrorPath, type ChainPath } from '@/core/movement/chain-path';
import type { FaultCode } from '@/core/movement/fault-code';
import { towards } from '@/core/movement/joint-action';
import { shiftPose } from '@/core/movement/keyframes';
import { pulleyFrom, type Placement } from '@/core/setup/setup-problem';
import { toFloor } from '@/core/geometry/rotation';
import { clampedAcos, toDeg, toRad } from '@/core/units/angle';
import { holeAt, stoppedShort } from './fault-cost';
import { perturbPath } from './perturb-path';
import { PERTURBATION, type Perturbation, type PerturbationKind } from './perturbation';

const UP: Vec3 = [0, 1, 0];

/** A rep as it is drawn, right or with a fault in it. Stand frame, metres. */
export interface ShownRep {
  /** The limb that is shown, and the body over the range. */
  readonly posed: PosedEntry;
  /** The other limb where both work and it is not the mirror image. */
  readonly other: ChainPath | null;
  readonly placement: Placement | null;
  /** Floor frame. */
  readonly pulley: Vec3 | null;
  /** What carries the body follows these, not what the fault makes of them. */
  readonly rest: Pick<PosedEntry, 'bodyAt' | 'path'>;
  /** How far a machine's axis lies from the joint that it is set to. */
  readonly axisOff: Vec3;
}

/** An answered movement done as it should be. */
export const rightRep = (answer: GoodAnswer): ShownRep => ({
  posed: posedOf(answer),
  other: null,
  placement: answer.placement,
  pulley: answer.pulley,
  rest: posedOf(answer),
  axisOff: [0, 0, 0],
});

/** Kinds that the figure does not show: the stack is not drawn. */
const UNSEEN: readonly PerturbationKind[] = ['stands-near'];
/** Kinds that a limb other than the arm can have. */
const OF_ANY_LIMB: readonly PerturbationKind[] = ['stops-short', 'joint-off-axis', 'trunk-leans-back'];

/** Faults of a movement that its drawing can show. */
export const shownFaults = (entry: BookEntry): FaultCode[] =>
  faultsOf(entry).filter((f) => {
    const kind = PERTURBATION[f]?.kind;
    const arm = entry.path.kind === 'arm' || entry.path.kind === 'sweep';
    return kind !== undefined && !UNSEEN.includes(kind) && (arm || OF_ANY_LIMB.includes(kind));
  });

/** The steps that a size is made in: whole degrees and holes, half centimetres, hundredths of the range. */
const STEP: Readonly<Record<Perturbation['unit'], number>> = { deg: 1, m: 0.005, holes: 1, share: 0.01 };

/** Size of a fault at a share of its largest, in whole steps and never none; unit and sign of the perturbation. */
export function sizeAt(p: Perturbation, level: number): number {
  const step = STEP[p.unit];
  const steps = Math.max(1, Math.round((level * Math.abs(p.most)) / step));
  // Told in steps from whole numbers: 3 x 0.005 is 0.015.
  return (Math.sign(p.most) * Math.round(steps * step * 1000)) / 1000;
}

/** The movement stopped short of its finish by a share of its range; null when little is left. */
function shortened({ from, placement }: GoodAnswer, share: number): PosedEntry | null {
  const { search, shown } = from;
  const pull = search && placement && { pulley: pulleyFrom(search, placement, shown), tensionN: search.tensionN };
  return stoppedShort(from, limbOn(from, shown), shown, share, pull ?? undefined);
}

/** The most of a fault that an answered movement has room for, in the unit of its perturbation and without its sign. */
function roomFor(answer: GoodAnswer, p: Perturbation): number {
  const { path } = posedOf(answer);
  switch (p.kind) {
    case 'elbow-straight-at-start': {
      const [upper, lower] = [towards(path.proximal[0]!, path.middle[0]!), towards(path.middle[0]!, path.distal[0]!)];
      return Math.floor(toDeg(clampedAcos(dot(upper, lower))));
    }
    case 'hole-off': {
      if (!answer.placement || !answer.from.search) return 0;
      const { hole } = answer.placement;
      return Math.abs(holeAt(answer.from.search.input.column, hole, p.most) - hole);
    }
    default:
      return Math.abs(p.most);
  }
}

/**
 * A fault's size as an answered movement can show it: no more than there is room for, in the unit and with the sign of
 * its perturbation. Null where there is room for none.
 */
export function sizeShown(answer: GoodAnswer, fault: FaultCode, size: number): number | null {
  const p = PERTURBATION[fault];
  const most = p ? Math.min(Math.abs(size), roomFor(answer, p)) : 0;
  // Of a range that is short already less can be left out.
  if (p?.kind === 'stops-short' && most > 0 && !shortened(answer, most))
    return most > 2 * STEP.share ? sizeShown(answer, fault, Math.round(most * 50) / 100) : null;
  return most > 0 ? Math.sign(size) * most : null;
}

/** The upper body of a pose moved; an arm that holds it up keeps its hand where it is. */
function upperMoved(
  body: Body,
  p: BodyPose,
  v: (a: Vec3) => Vec3,
  f: (a: BodyPose['trunkFrame']) => typeof a,
): BodyPose {
  const shoulder = { left: v(p.shoulder.left), right: v(p.shoulder.right) };
  const held = p.supportArm;
  const elbowOf = ({ side, elbow, hand }: NonNullable<typeof held>): Vec3 => {
    const hint = subtract(elbow, between(p.shoulder[side], hand, 0.5));
    return middleJoint(shoulder[side], hand, body.length.upperArm.m, body.length.forearm.m, hint);
  };
  return {
    ...p,
    trunkFrame: f(p.trunkFrame),
    neckBase: v(p.neckBase),
    neck: v(p.neck),
    head: v(p.head),
    shoulder,
    supportArm: held && { ...held, elbow: elbowOf(held) },
  };
}

interface Moved {
  readonly kind: PerturbationKind;
  readonly size: number;
  readonly side: Side;
  readonly both: boolean;
  readonly pelvis: Vec3;
}

/** The body at a sample with what the fault does to more than the limb. */
function bodyWith(body: Body, own: PosedEntry, path: ChainPath, m: Moved, i: number): BodyPose {
  const pose = own.bodyAt(i);
  const s = i / LAST_SAMPLE;
  const turned = (axis: Vec3, rad: number): BodyPose =>
    upperMoved(
      body,
      pose,
      (a) => add(m.pelvis, rotateAbout(subtract(a, m.pelvis), axis, rad)),
      (f) => rotateFrame(f, axis, rad),
    );
  switch (m.kind) {
    case 'trunk-leans-back':
      return turned(path.frame[i]!.z, toRad(m.size) * s);
    case 'trunk-turns':
      return turned(UP, -signOf(m.side) * toRad(m.size) * s);
    case 'shoulder-forward':
    case 'shoulder-up': {
      const at = path.proximal[i]!;
      const shoulder = { ...pose.shoulder, [m.side]: at };
      return { ...pose, shoulder: m.both ? { ...shoulder, [otherSide(m.side)]: mirrorZ(at) } : shoulder };
    }
    case 'seat-low': {
      // The whole body sinks with its seat; the feet stay.
      const by = subtract(path.proximal[i]!, own.path.proximal[i]!);
      const sunk = upperMoved(
        body,
        pose,
        (a) => add(a, by),
        (f) => f,
      );
      const hip = (side: Side) => ({ ...pose.leg[side], hip: add(pose.leg[side].hip, by) });
      return { ...sunk, pelvis: add(pose.pelvis, by), leg: { left: hip('left'), right: hip('right') } };
    }
    default:
      return pose;
  }
}

/** The carriage in another hole. */
function withHole(answer: GoodAnswer, right: ShownRep, size: number): ShownRep | null {
  const { placement, from } = answer;
  const { search } = from;
  if (!placement || !search) return null;
  const at = { ...placement, hole: holeAt(search.input.column, placement.hole, size) };
  const stand = { x: at.standX, z: at.standZ, yawRad: toRad(at.yawDeg) };
  return { ...right, placement: at, pulley: toFloor(pulleyFrom(search, at, from.shown), stand) };
}

/**
 * An answered movement with a fault of some size in it, in the unit and with the sign of its perturbation. Null when
 * the fault leaves no movement, or the drawing does not show it.
 */
export function faultyRep(answer: GoodAnswer, fault: FaultCode, size: number): ShownRep | null {
  const { from } = answer;
  const p = PERTURBATION[fault];
  if (!p || !shownFaults(from.entry).includes(fault) || sizeShown(answer, fault, size) !== size) return null;
  const right = rightRep(answer);
  const own = right.posed;
  const { body } = from.question;
  if (p.kind === 'hole-off') return withHole(answer, right, size);
  if (p.kind === 'joint-off-axis') {
    // The body sits ahead of its pads and of the machine's axis.
    const axisOff = scale(own.path.frame[0]!.x, -size);
    const behind = { about: own.pose.pelvis, pitchRad: 0, move: axisOff };
    return { ...right, axisOff, rest: { path: own.path, bodyAt: (i) => shiftPose(own.bodyAt(i), behind) } };
  }
  if (p.kind === 'stops-short') {
    const short = shortened(answer, size);
    return short && { ...right, posed: short, rest: short };
  }
  const moved: Moved = {
    kind: p.kind,
    size,
    side: from.shown,
    both: from.entry.hands === 'two',
    pelvis: own.pose.pelvis,
  };
  const path = perturbPath(own.path, own.target, p.kind, size, moved.pelvis);
  const bodyAt = (i: number): BodyPose => bodyWith(body, own, path, moved, i);
  const posed = { ...own, path, bodyAt, pose: bodyAt(0) };
  // Both arms go with a body that turns: to the far one the same turn is one the other way round.
  const turns = p.kind === 'trunk-turns' && moved.both;
  const other = turns ? perturbPath(mirrorPath(own.path), own.target, p.kind, -size, moved.pelvis) : null;
  // A seat that is too low sinks with the body; the pad under the arm stays.
  return { ...right, posed, other, rest: p.kind === 'seat-low' ? { bodyAt, path: own.path } : own };
}
