import { type Side, signOf } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { STRAIGHT_TRUNK, type BodyPose, type Posture, type Scapula, type TrunkShape } from '@/core/body/posture';
import { GRIP_SHARE_OF_HAND } from '@/core/body/segment-ratios';
import { toUnit, type Direction } from '@/core/geometry/direction';
import { fromFrame, rotateFrame, UPRIGHT, type Frame } from '@/core/geometry/frame';
import { slerp, turn } from '@/core/geometry/rotation';
import { add, along, between, mirrorZ, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import { SAMPLES, type ChainPath } from './chain-path';

/** Upper arm and forearm at one moment of the range; between keyframes they turn along great circles. */
export interface ArmKey {
  readonly at: number;
  readonly upper: Direction;
  readonly fore: Direction;
}

/** Joint angles of a leg at one moment, degrees; abduction opens it to the side. */
export interface LegKey {
  readonly at: number;
  readonly hipFlexionDeg: number;
  readonly kneeFlexionDeg: number;
  readonly hipAbductionDeg?: number;
}

/** A hinge at one moment: trunk above level and knees, degrees. */
export interface HingeKey {
  readonly at: number;
  readonly trunkDeg: number;
  readonly kneeFlexionDeg: number;
}

/**
 * What the body itself does over the range beside a right limb, mirrored for a left one; straight lines between
 * keyframes.
 */
export interface BodyKey {
  readonly at: number;
  /** Turn about the floor mark, degrees, positive left. */
  readonly yawDeg?: number;
  readonly trunk?: TrunkShape;
  /** Of the working side. */
  readonly scapula?: Scapula;
}

/** A limb’s way by keys over the range: an arm, a leg, or the trunk over the hips. */
export type KeyframePath =
  /** Directions in the trunk's axes (they go along when the trunk leans or lies) or in the floor's. */
  | {
      readonly kind: 'arm';
      readonly frame: 'trunk' | 'floor';
      readonly keys: readonly ArmKey[];
      /** Of the forearm, where it differs. */ readonly foreFrame?: 'trunk' | 'floor';
    }
  /** The load meets the front of the shank, its back, or the sole. */
  | { readonly kind: 'leg'; readonly contact: 'shin' | 'calf' | 'sole'; readonly keys: readonly LegKey[] }
  /** The load hangs in the hands or lies on the chest. */
  | { readonly kind: 'hinge'; readonly contact: 'hands' | 'chest'; readonly keys: readonly HingeKey[] };

/** Where a roller sits along the shank (common practice: just above the ankle). */
const ROLLER_SHARE = 0.88;
/** Half a shank's thickness at the roller, share of stature (our judgement). */
const SHANK_HALF = 0.025;

/** The two keys around `s` and how far between them. Keys run from at 0 to at 1. */
function around<K extends { readonly at: number }>(keys: readonly K[], s: number): readonly [K, K, number] {
  let i = 0;
  while (i < keys.length - 2 && keys[i + 1]!.at <= s) i += 1;
  const a = keys[i]!;
  const b = keys[Math.min(i + 1, keys.length - 1)]!;
  return [a, b, b.at > a.at ? Math.min(1, Math.max(0, (s - a.at) / (b.at - a.at))) : 0];
}

const mix = (a: number, b: number, t: number): number => a + (b - a) * t;

function bodyAt(body: Body, posture: Posture, keys: readonly BodyKey[], side: Side, s: number): BodyPose {
  if (keys.length === 0) return poseBody(body, posture);
  const [a, b, t] = around(keys, s);
  const mirror = signOf(side);
  const shape = (k: BodyKey): TrunkShape => k.trunk ?? STRAIGHT_TRUNK;
  const trunk: TrunkShape = {
    leanDeg: mix(shape(a).leanDeg, shape(b).leanDeg, t),
    sideBendDeg: mirror * mix(shape(a).sideBendDeg, shape(b).sideBendDeg, t),
    turnDeg: mirror * mix(shape(a).turnDeg, shape(b).turnDeg, t),
  };
  const girdle: Scapula = {
    protractionM: mix(a.scapula?.protractionM ?? 0, b.scapula?.protractionM ?? 0, t),
    elevationM: mix(a.scapula?.elevationM ?? 0, b.scapula?.elevationM ?? 0, t),
  };
  return poseBody(body, posture, trunk, { [side]: girdle });
}

/** The whole body at a position of the range, turned about its mark as the motion asks: what a drawing shows. */
export function bodyPoseAt(
  body: Body,
  posture: Posture,
  path: KeyframePath,
  side: Side,
  motion: readonly BodyKey[],
  s: number,
): BodyPose {
  if (path.kind === 'hinge') {
    const [a, b, t] = around(path.keys, s);
    return poseBody(body, {
      kind: 'hinged',
      trunkDeg: mix(a.trunkDeg, b.trunkDeg, t),
      kneeFlexionDeg: mix(a.kneeFlexionDeg, b.kneeFlexionDeg, t),
    });
  }
  const pose = bodyAt(body, posture, motion, side, s);
  const yaw = motion.length > 0 ? signOf(side) * yawAt(motion, s) : 0;
  return yaw === 0 ? pose : turnPose(pose, yaw);
}

function turnPose(p: BodyPose, yaw: number): BodyPose {
  const v = (a: Vec3): Vec3 => turn(a, yaw);
  const f = (a: Frame): Frame => rotateFrame(a, UPRIGHT.y, yaw);
  const leg = (l: BodyPose['leg']['left']): BodyPose['leg']['left'] => ({
    hip: v(l.hip),
    knee: v(l.knee),
    ankle: v(l.ankle),
    heel: v(l.heel),
    toe: v(l.toe),
  });
  return {
    ...p,
    pelvis: v(p.pelvis),
    pelvisFrame: f(p.pelvisFrame),
    trunkFrame: f(p.trunkFrame),
    neckBase: v(p.neckBase),
    neck: v(p.neck),
    head: v(p.head),
    shoulder: { left: v(p.shoulder.left), right: v(p.shoulder.right) },
    leg: { left: leg(p.leg.left), right: leg(p.leg.right) },
    supportArm: p.supportArm && { ...p.supportArm, elbow: v(p.supportArm.elbow), hand: v(p.supportArm.hand) },
  };
}

/** Straight lines over the whole range of a path keep what the movement asks: keys must cover 0 to 1 in order. */
export function assertKeys(keys: readonly { readonly at: number }[]): void {
  if (keys.length < 1 || keys[0]!.at !== 0 || (keys.length > 1 && keys[keys.length - 1]!.at !== 1))
    throw new Error('keyframes: expected keys from 0 to 1');
  for (let i = 1; i < keys.length; i++)
    if (!(keys[i]!.at > keys[i - 1]!.at)) throw new Error('keyframes: expected rising positions');
}

/**
 * Pose one side of a keyframed movement over the range: `SAMPLES` samples from s = `from` to s = `to`, stand frame,
 * metres.
 * Body keys turn the whole body about its mark and move trunk and girdle along.
 */
export function poseKeyframes(
  body: Body,
  posture: Posture,
  path: KeyframePath,
  side: Side,
  motion: readonly BodyKey[] = [],
  from = 0,
  to = 1,
): ChainPath {
  assertKeys(path.keys);
  const proximal: Vec3[] = [];
  const middle: Vec3[] = [];
  const distal: Vec3[] = [];
  const contact: Vec3[] = [];
  const frame: Frame[] = [];
  const still = motion.length === 0 && path.kind !== 'hinge' ? poseBody(body, posture) : null;
  for (let i = 0; i < SAMPLES; i++) {
    const s = mix(from, to, i / (SAMPLES - 1));
    const yaw = motion.length > 0 ? signOf(side) * yawAt(motion, s) : 0;
    const turned = (v: Vec3): Vec3 => (yaw === 0 ? v : turn(v, yaw));
    const turnedFrame = (f: Frame): Frame => (yaw === 0 ? f : rotateFrame(f, UPRIGHT.y, yaw));
    const put = (p: Vec3, m: Vec3, d: Vec3, c: Vec3, f: Frame): void => {
      proximal.push(turned(p));
      middle.push(turned(m));
      distal.push(turned(d));
      contact.push(turned(c));
      frame.push(turnedFrame(f));
    };
    if (path.kind === 'arm') {
      const pose = still ?? bodyAt(body, posture, motion, side, s);
      const [a, b, t] = around(path.keys, s);
      const toStand = (u: Vec3, frame: 'trunk' | 'floor'): Vec3 =>
        frame === 'trunk' ? fromFrame(pose.trunkFrame, u) : u;
      const upper = toStand(slerp(toUnit(a.upper, side), toUnit(b.upper, side), t), path.frame);
      const fore = toStand(slerp(toUnit(a.fore, side), toUnit(b.fore, side), t), path.foreFrame ?? path.frame);
      const shoulder = pose.shoulder[side];
      const elbow = along(shoulder, upper, body.length.upperArm.m);
      const wrist = along(elbow, fore, body.length.forearm.m);
      put(shoulder, elbow, wrist, along(wrist, fore, body.length.hand.m * GRIP_SHARE_OF_HAND), pose.trunkFrame);
    } else if (path.kind === 'leg') {
      const pose = still ?? bodyAt(body, posture, motion, side, s);
      const leg = legAt(body, pose, path, side, s);
      put(leg.hip, leg.knee, leg.ankle, leg.contact, pose.pelvisFrame);
    } else {
      const { pelvis, neckBase, contact: load } = hingeAt(body, path, s);
      put(pelvis, neckBase, neckBase, load, UPRIGHT);
    }
  }
  return { side, chain: path.kind === 'hinge' ? 'trunk' : path.kind, proximal, middle, distal, contact, frame };
}

/** A leg at a place in its range, and where the load meets it: on the sole, or a roller on the shank. */
function legAt(body: Body, pose: BodyPose, path: Extract<KeyframePath, { kind: 'leg' }>, side: Side, s: number) {
  const [a, b, t] = around(path.keys, s);
  const leg = poseLeg(body, pose, side, {
    at: s,
    hipFlexionDeg: mix(a.hipFlexionDeg, b.hipFlexionDeg, t),
    kneeFlexionDeg: mix(a.kneeFlexionDeg, b.kneeFlexionDeg, t),
    hipAbductionDeg: mix(a.hipAbductionDeg ?? 0, b.hipAbductionDeg ?? 0, t),
  });
  const roller = between(leg.knee, leg.ankle, ROLLER_SHARE);
  const half = SHANK_HALF * body.statureM;
  const onShank = path.contact === 'shin' ? half : -half;
  return { ...leg, contact: path.contact === 'sole' ? leg.sole : along(roller, leg.front, onShank) };
}

/** The trunk over the hips at a place in its range, and where the load hangs from it or lies on it. */
function hingeAt(body: Body, path: Extract<KeyframePath, { kind: 'hinge' }>, s: number) {
  const [a, b, t] = around(path.keys, s);
  const { pelvis, neckBase } = poseBody(body, {
    kind: 'hinged',
    trunkDeg: mix(a.trunkDeg, b.trunkDeg, t),
    kneeFlexionDeg: mix(a.kneeFlexionDeg, b.kneeFlexionDeg, t),
  });
  const arm = body.length.upperArm.m + body.length.forearm.m + body.length.hand.m * GRIP_SHARE_OF_HAND;
  const contact = path.contact === 'hands' ? add(neckBase, [0, -arm, 0]) : between(neckBase, pelvis, 0.25);
  return { pelvis, neckBase, contact };
}

function yawAt(motion: readonly BodyKey[], s: number): number {
  const [a, b, t] = around(motion, s);
  return toRad(mix(a.yawDeg ?? 0, b.yawDeg ?? 0, t));
}

/** A leg from its joint angles against the pelvis: thigh hangs down the pelvis at 0, shank straight on at 0. */
function poseLeg(body: Body, pose: BodyPose, side: Side, key: LegKey) {
  const { hip } = pose.leg[side];
  const f = pose.pelvisFrame;
  const flex = toRad(key.hipFlexionDeg);
  const open = toRad(key.hipAbductionDeg ?? 0);
  const bent = flex - toRad(key.kneeFlexionDeg);
  const own = (angle: number): Vec3 => {
    const v: Vec3 = [Math.sin(angle) * Math.cos(open), -Math.cos(angle) * Math.cos(open), Math.sin(open)];
    return fromFrame(f, side === 'right' ? v : mirrorZ(v));
  };
  const ahead = (angle: number): Vec3 => fromFrame(f, [Math.cos(angle), Math.sin(angle), 0]);
  const knee = along(hip, own(flex), body.height.hipHeight.m - body.height.kneeHeight.m);
  const ankle = along(knee, own(bent), body.height.kneeHeight.m - body.height.ankleHeight.m);
  const front = ahead(bent);
  const sole = along(along(ankle, own(bent), body.height.ankleHeight.m), front, 0.26 * body.length.foot.m);
  return { hip, knee, ankle, front, sole };
}
