import { type Side, signOf } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { STRAIGHT_TRUNK, type BodyPose, type Posture, type Scapula, type TrunkShape } from '@/core/body/posture';
import { GRIP_SHARE_OF_HAND } from '@/core/body/segment-ratios';
import { toUnit, type Direction } from '@/core/geometry/direction';
import { fromFrame, rotateFrame, UPRIGHT, type Frame } from '@/core/geometry/frame';
import { slerp, turn } from '@/core/geometry/rotation';
import { add, along, between, mirrorZ, normalise, scale, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import { SAMPLES, type ChainPath } from './chain-path';
import { shifted, shiftedFrame, type BodyShift } from './close-chain';
import { armToGripM } from '@/core/body/arm-length';
import { closeHands, type ArmBones, type HandWidths } from './hand-pair';

/** Upper arm and forearm at one moment of the range; between two keyframes they turn along great circles. */
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
  /** The load hangs in the hands, or is held against the legs. */
  | { readonly kind: 'hinge'; readonly contact: 'hands' | 'legs'; readonly keys: readonly HingeKey[] };

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

/** Share of the range on either side of a middle key over which one arc gives way to the next. */
const ROUNDED = 0.25;

/**
 * A bone's direction at a position of its keys: arcs of great circles (Shoemake 1985), each at its own constant rate.
 * About a middle key the arc before it, carried on, gives way smoothly to the one after it, carried back: both pass the
 * key at the same moment, so that it is met and the hand turns no corner. Arcs in one line at one rate stay as they
 * are.
 */
function directionAt(keys: readonly ArmKey[], of: (k: ArmKey) => Vec3, s: number): Vec3 {
  const middle = keys.find((k, i) => i > 0 && i < keys.length - 1 && Math.abs(s - k.at) < ROUNDED);
  const [a, b, t] = around(keys, s);
  if (!middle) return slerp(of(a), of(b), t);
  const i = keys.indexOf(middle);
  const arc = (from: ArmKey, to: ArmKey): Vec3 => slerp(of(from), of(to), (s - from.at) / (to.at - from.at));
  const x = (s - middle.at + ROUNDED) / (2 * ROUNDED);
  const way = x * x * (3 - 2 * x);
  return normalise(add(scale(arc(keys[i - 1]!, middle), 1 - way), scale(arc(middle, keys[i + 1]!), way)));
}

const mix = (a: number, b: number, t: number): number => a + (b - a) * t;

/** The body at a position of the range, before it is turned about its mark. */
export function bodyAt(body: Body, posture: Posture, keys: readonly BodyKey[], side: Side, s: number): BodyPose {
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
    return poseBody(
      body,
      hingedAs(posture, mix(a.trunkDeg, b.trunkDeg, t), mix(a.kneeFlexionDeg, b.kneeFlexionDeg, t)),
    );
  }
  const pose = bodyAt(body, posture, motion, side, s);
  const yaw = motion.length > 0 ? signOf(side) * yawAt(motion, s) : 0;
  return yaw === 0 ? pose : turnPose(pose, yaw);
}

const turnPose = (p: BodyPose, yaw: number): BodyPose =>
  movePose(
    p,
    (a) => turn(a, yaw),
    (a) => rotateFrame(a, UPRIGHT.y, yaw),
  );

/** A pose where its body's shift has taken it. */
export const shiftPose = (p: BodyPose, shift: BodyShift): BodyPose =>
  movePose(
    p,
    (a) => shifted(a, shift),
    (a) => shiftedFrame(a, shift),
  );

function movePose(p: BodyPose, v: (a: Vec3) => Vec3, f: (a: Frame) => Frame): BodyPose {
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
 * metres. Body keys turn the whole body about its mark and move trunk and girdle along; what both hands are on decides
 * how far apart they are.
 */
export function poseKeyframes(
  body: Body,
  posture: Posture,
  path: KeyframePath,
  side: Side,
  motion: readonly BodyKey[] = [],
  from = 0,
  to = 1,
  hands: HandWidths | null = null,
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
      const shoulder = pose.shoulder[side];
      const { upper, fore } = armAt(body, pose, path, side, s, hands);
      const elbow = along(shoulder, upper, body.length.upperArm.m);
      const wrist = along(elbow, fore, body.length.forearm.m);
      put(shoulder, elbow, wrist, along(wrist, fore, body.length.hand.m * GRIP_SHARE_OF_HAND), pose.trunkFrame);
    } else if (path.kind === 'leg') {
      const pose = still ?? bodyAt(body, posture, motion, side, s);
      const leg = legAt(body, pose, path, side, s);
      put(leg.hip, leg.knee, leg.ankle, leg.contact, pose.pelvisFrame);
    } else {
      const { pelvis, neckBase, contact: load } = hingeAt(body, posture, path, s);
      put(pelvis, neckBase, neckBase, load, UPRIGHT);
    }
  }
  return { side, chain: path.kind === 'hinge' ? 'trunk' : path.kind, proximal, middle, distal, contact, frame };
}

/** Bones of an arm at a place in its range, the hand where what both hold has it. */
function armAt(
  body: Body,
  pose: BodyPose,
  path: Extract<KeyframePath, { kind: 'arm' }>,
  side: Side,
  s: number,
  hands: HandWidths | null,
): ArmBones {
  const bone = (of: (k: ArmKey) => Direction, frame: 'trunk' | 'floor'): Vec3 => {
    const own = directionAt(path.keys, (k) => toUnit(of(k), side), s);
    return frame === 'trunk' ? fromFrame(pose.trunkFrame, own) : own;
  };
  const keyed = {
    upper: bone((k) => k.upper, path.frame),
    fore: bone((k) => k.fore, path.foreFrame ?? path.frame),
  };
  if (!hands) return keyed;
  return closeHands(body, side, pose.shoulder[side], keyed, mix(hands.startM, hands.finishM, s), hands.gives);
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

/** A posture with its trunk and knees as a hinge has them: over a hip pad the legs stay. */
const hingedAs = (posture: Posture, trunkDeg: number, kneeFlexionDeg: number): Posture =>
  posture.kind === 'hip-pad' ? { ...posture, trunkDeg } : { kind: 'hinged', trunkDeg, kneeFlexionDeg };

/** Bar before the bone of the leg: half a shank and the bar itself, share of stature and metres (our judgement). */
const SHANK_DEPTH = 0.028;
const BAR_CLEAR_M = 0.04;
/** Heights about a bar over which the leg's outline is levelled, metres. */
const ROUND_KNEE_M = [-0.15, -0.1, -0.05, 0, 0.05, 0.1, 0.15] as const;
/** Rounds of bringing a bar to the leg at its own height; it moves less than a millimetre after them. */
const BAR_ROUNDS = 6;

/** The trunk over the hips at a place in its range, and where the load hangs from it or is held against the legs. */
function hingeAt(body: Body, posture: Posture, path: Extract<KeyframePath, { kind: 'hinge' }>, s: number) {
  const [a, b, t] = around(path.keys, s);
  const pose = poseBody(
    body,
    hingedAs(posture, mix(a.trunkDeg, b.trunkDeg, t), mix(a.kneeFlexionDeg, b.kneeFlexionDeg, t)),
  );
  const { pelvis, neckBase } = pose;
  const arm = armToGripM(body);
  const hanging = add(neckBase, [0, -arm, 0]);
  return { pelvis, neckBase, contact: path.contact === 'hands' ? hanging : besideLegs(body, pose, arm) };
}

/** A bar in straight arms drawn in against the front of the legs, metres. */
function besideLegs(body: Body, pose: BodyPose, arm: number): Vec3 {
  const { ankle, knee, hip } = pose.leg.right;
  const before = SHANK_DEPTH * body.statureM + BAR_CLEAR_M;
  const outline = (y: number): number => {
    const [low, high] = y < knee[1] ? [ankle, knee] : [knee, hip];
    const share = Math.min(1, Math.max(0, (y - low[1]) / Math.max(1e-6, high[1] - low[1])));
    return low[0] + (high[0] - low[0]) * share + before;
  };
  // A hand does not follow the knee's corner: the mean of the leg's outline about the bar's height.
  const legX = (y: number): number =>
    ROUND_KNEE_M.reduce<number>((sum, d) => sum + outline(y + d), 0) / ROUND_KNEE_M.length;
  let y = pose.neckBase[1] - arm;
  let x = pose.neckBase[0];
  for (let k = 0; k < BAR_ROUNDS; k++) {
    const ahead = Math.min(0.9 * arm, Math.max(-0.9 * arm, legX(y) - pose.neckBase[0]));
    x = pose.neckBase[0] + ahead;
    y = pose.neckBase[1] - Math.sqrt(arm ** 2 - ahead ** 2);
  }
  return [x, y, 0];
}

/** Height of a bar held against the legs at a hinge, metres. */
export const barHeightM = (body: Body, trunkDeg: number, kneeFlexionDeg: number): number =>
  besideLegs(body, poseBody(body, { kind: 'hinged', trunkDeg, kneeFlexionDeg }), armToGripM(body))[1];

/** Turn of the body about its mark at a position of the range, radians, positive left; for a right limb. */
export function yawAt(motion: readonly BodyKey[], s: number): number {
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
