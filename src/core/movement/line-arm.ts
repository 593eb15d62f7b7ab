import type { Body } from '@/core/body/body-model';
import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import type { RegionPullNumbers } from '@/core/body/region-axis';
import { signOf, type Side } from '@/core/body/side';
import type { Frame } from '@/core/geometry/frame';
import { fromFrame, intoFrame, rotateAbout, turnedTowards } from '@/core/geometry/frame';
import { cross, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { clampedAcos, toDeg, toRad } from '@/core/units/angle';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { jointDegAt, type JointAction } from './joint-action';
import { foreToGripM } from '@/core/body/arm-length';
import { acrossOf, withAcross, type HandWidths } from './hand-pair';

/** A shoulder and the axes of its trunk at a position of the range, stand frame. */
export interface ShoulderAt {
  readonly shoulder: Vec3;
  readonly frame: Frame;
}

/**
 * An arm that pulls on a cable: it begins in the stretch, reaching along the line, and ends where its keys end. Where
 * the pulley stands decides the start and, for a row or a pulldown, the forearm, which lies along the line all the way:
 * nobody holds an elbow against a cable on purpose. Everything that does not depend on the pulley is laid out once.
 */
export interface LineArm {
  readonly side: Side;
  /** The shoulder's action. */
  readonly action: JointAction;
  readonly massKg: number;
  /** Pull of the cable on this hand, newtons. */
  readonly tensionN: number;
  readonly samples: number;
  /** Positions of the samples along the whole path, 0 to 1. */
  readonly at: Float64Array;
  /** Per sample, flat: shoulder (3), forward, up and right axis of the trunk (9); metres, stand frame. */
  readonly base: Float64Array;
  /** Where the path begins, whatever part of it is sampled. */
  readonly from: ShoulderAt;
  readonly keyAt: readonly number[];
  /** Unit directions in the trunk's axes; the first one stands only until a pulley is known. */
  readonly upper: readonly Vec3[];
  readonly fore: readonly Vec3[];
  /** The forearm lies along the line; else it keeps its bend. */
  readonly along: boolean;
  readonly upperM: number;
  readonly foreM: number;
  readonly gripM: number;
  readonly hands: HandWidths | null;
  /** How the target region pulls on the upper arm, where both joints move; null where the arm turns as one. */
  readonly answers: RegionPullNumbers | null;
}

/** Numbers per sample of the shoulders' and the bones' layout. */
export const BASE_STRIDE = 12;
/** Elbow, wrist and grip, three numbers each. */
export const BONES = 9;
/**
 * Upper arm off the line at the start, towards where it goes, degrees: the stretch is nearly straight, and what little
 * lever there is resists (our judgement). A relaxed arm sags below a light cable until the cable holds it; the rep
 * begins this much beyond that, and never further off than the most.
 */
const OFF_LINE_DEG = 8;
const BEYOND_SAG_DEG = 7;
const MOST_SAG_DEG = 34;

/** Lay out an arm of a body; `at` are the samples' positions, `shoulderAt` poses the trunk. */
export function layLineArm(
  body: Body,
  side: Side,
  path: Pick<LineArm, 'keyAt' | 'upper' | 'fore' | 'along' | 'hands' | 'tensionN' | 'answers' | 'action'>,
  at: Float64Array,
  shoulderAt: (s: number) => ShoulderAt,
): LineArm {
  const base = new Float64Array(BASE_STRIDE * at.length);
  at.forEach((s, i) => {
    const { shoulder, frame } = shoulderAt(s);
    base.set([...shoulder, ...frame.x, ...frame.y, ...frame.z], BASE_STRIDE * i);
  });
  return {
    ...path,
    side,
    massKg: body.massKg,
    samples: at.length,
    at,
    base,
    from: shoulderAt(0),
    upperM: body.length.upperArm.m,
    foreM: body.length.forearm.m,
    gripM: foreToGripM(body),
  };
}

/** Unit direction from the shoulder in which a straight arm reaches for a pulley at the start, stand frame. */
function reachFor(arm: LineArm, pulley: Vec3): Vec3 {
  const { shoulder } = arm.from;
  const reach = subtract(pulley, shoulder);
  if (!arm.hands) return normalise(reach);
  // Hands on one thing: its middle runs to the pulley, the hands beside it.
  const across = ((signOf(arm.side) * arm.hands.startM) / 2 - shoulder[2]) / (arm.upperM + arm.gripM);
  return withAcross(reach, acrossOf(across));
}

/** How far a straight arm that reaches for a pulley points from where the movement's own start does, degrees. */
export function startOffDeg(arm: LineArm, pulley: Vec3): number {
  const line = reachFor(arm, pulley);
  const own = fromFrame(arm.from.frame, arm.upper[0]!);
  return toDeg(clampedAcos(dot(line, arm.hands ? withAcross(own, line[2]) : own)));
}

/** Part of the arm that lies in the body's own plane at the start, where hands far apart hold its elbows out. */
function flatShare({ hands, side, from, upperM }: LineArm): number {
  if (hands?.gives !== 'upper') return 1;
  return Math.sqrt(1 - acrossOf(((signOf(side) * hands.startM) / 2 - from.shoulder[2]) / upperM) ** 2);
}

/**
 * Angle at which the cable holds the arm's own weight, radians: tension T at the lever l sin(angle), l the upper arm
 * where the forearm lies on the line and the whole arm where it is straight, against the weight's moment about the axis
 * in which the arm sets off; 0 where the weight resists.
 */
function sagRad(arm: LineArm, line: Vec3, axis: Vec3): number {
  const { upperM, gripM, foreM, massKg, tensionN } = arm;
  const own =
    UPPER_ARM_MASS.share * UPPER_ARM_MASS.centre * upperM +
    FOREARM_HAND_MASS.share * (upperM + FOREARM_HAND_MASS.centre * foreM);
  // (line x down) . axis for a weight at `own` along the line.
  const helps = (line[2] * axis[0] - line[0] * axis[2]) * own * massKg * GRAVITY_MS2;
  if (helps <= 0 || tensionN <= 0) return 0;
  return Math.asin(Math.min(1, helps / (tensionN * flatShare(arm) * (arm.along ? upperM : upperM + gripM))));
}

/**
 * Angle of the arm off its reach for the pulley at which the rep begins, about an axis in which it sets off; radians.
 */
function offLineRad(arm: LineArm, pulley: Vec3, line: Vec3, axis: Vec3): number {
  const off = Math.min(
    toRad(MOST_SAG_DEG),
    Math.max(toRad(OFF_LINE_DEG), sagRad(arm, line, axis) + toRad(BEYOND_SAG_DEG)),
  );
  // The cable meets the arm at `off`; seen from the shoulder that is less, the more so the nearer the pulley: in the
  // triangle of shoulder, elbow (or hand) and pulley, sin(at the pulley) = l sin(off) / distance.
  const most = length(subtract(pulley, arm.from.shoulder));
  const atPulley = Math.asin(Math.min(1, ((arm.along ? arm.upperM : arm.upperM + arm.gripM) * Math.sin(off)) / most));
  return Math.max(0, off - atPulley);
}

/** Heading of a direction in the body's own plane, radians: 0 ahead, a quarter turn up. */
const headingOf = (v: Vec3): number => Math.atan2(v[1], v[0]);

/**
 * Direction of the upper arm at the start, trunk axes: it reaches for the pulley, a little off the line towards where
 * it goes. Hands on one thing leave the line in the body's own plane.
 */
function startOnLine(arm: LineArm, pulley: Vec3): Vec3 {
  const { frame } = arm.from;
  const line = reachFor(arm, pulley);
  const goes = arm.upper[1]!;
  if (arm.hands) {
    const own = intoFrame(frame, line);
    const way = headingOf(goes) - headingOf(own) < 0 ? -1 : 1;
    const heading = headingOf(own) + way * offLineRad(arm, pulley, line, scale(frame.z, way));
    return withAcross([Math.cos(heading), Math.sin(heading), 0], own[2]);
  }
  const end = fromFrame(frame, goes);
  return intoFrame(
    frame,
    turnedTowards(line, end, (axis) => offLineRad(arm, pulley, line, axis)),
  );
}

/** The forearm at the start, trunk axes: it keeps its keyed bend and turns along with the upper arm. */
function foreAtStart(arm: LineArm, upper: Vec3): Vec3 {
  const was = arm.upper[0]!;
  const swing = cross(was, upper);
  return length(swing) > 1e-9
    ? rotateAbout(arm.fore[0]!, normalise(swing), Math.atan2(length(swing), dot(was, upper)))
    : arm.fore[0]!;
}

/** Shares of two directions in the arc between them, for every position on it (Shoemake 1985). */
function arcOf(a: Vec3, b: Vec3): { readonly angle: number; readonly perSine: number } {
  const angle = clampedAcos(dot(a, b));
  const sine = Math.sin(angle);
  return { angle, perSine: sine > 1e-9 ? 1 / sine : 0 };
}

/**
 * Elbow, wrist and grip of the arm at every sample for a pulley in the stand frame, flat (9 per sample, metres).
 *
 * With elbow E and pulley Q the hand lies at E + b (Q - E) / |Q - E|, so that forearm, handle and cable are one line;
 * closed form, whatever the place. On a bar the middle between the hands runs to the pulley: the forearm's part in the
 * body's own plane lies along that line, and its part across the body leads to the hand's own place.
 */
// eslint-disable-next-line max-lines-per-function -- one loop, asked for every place that the search looks at
export function closeOnLine(arm: LineArm, pulley: Vec3, out: Float64Array): void {
  const { base, at, keyAt, upperM, foreM, gripM, hands } = arm;
  const sign = signOf(arm.side);
  const start = startOnLine(arm, pulley);
  const keys = [start, ...arm.upper.slice(1)];
  const fores = arm.along ? keys : [foreAtStart(arm, start), ...arm.fore.slice(1)];
  const arcs = keys.slice(1).map((k, i) => arcOf(keys[i]!, k));
  const foreArcs = arm.along ? null : fores.slice(1).map((k, i) => arcOf(fores[i]!, k));
  const [qx, qy, qz] = pulley;
  let leg = 0;
  for (let i = 0; i < arm.samples; i++) {
    const s = at[i]!;
    while (leg < arcs.length - 1 && s > keyAt[leg + 1]!) leg += 1;
    const t = Math.min(1, Math.max(0, (s - keyAt[leg]!) / (keyAt[leg + 1]! - keyAt[leg]!)));
    const o = BASE_STRIDE * i;
    const sx = base[o]!;
    const sy = base[o + 1]!;
    const sz = base[o + 2]!;
    // A direction in the trunk's axes on the arc between two keys, in the stand frame.
    const { angle, perSine } = arcs[leg]!;
    let wa = perSine > 0 ? Math.sin((1 - t) * angle) * perSine : 1;
    let wb = perSine > 0 ? Math.sin(t * angle) * perSine : 0;
    let a = keys[leg]!;
    let b = keys[leg + 1]!;
    let vx = wa * a[0] + wb * b[0];
    let vy = wa * a[1] + wb * b[1];
    let vz = wa * a[2] + wb * b[2];
    if (hands) {
      // Through the front, in the body's own plane: an arc between nearly opposite directions would cut across it.
      const from = Math.atan2(a[1], a[0]);
      const heading = from + (Math.atan2(b[1], b[0]) - from) * t;
      vz = a[2] + (b[2] - a[2]) * t;
      const flat = Math.sqrt(1 - vz * vz);
      vx = flat * Math.cos(heading);
      vy = flat * Math.sin(heading);
    }
    let ux = base[o + 3]! * vx + base[o + 6]! * vy + base[o + 9]! * vz;
    let uy = base[o + 4]! * vx + base[o + 7]! * vy + base[o + 10]! * vz;
    let uz = base[o + 5]! * vx + base[o + 8]! * vy + base[o + 11]! * vz;
    const handZ = hands ? (sign * (hands.startM + (hands.finishM - hands.startM) * s)) / 2 : 0;
    const wholeArm = hands !== null && hands.gives === 'arm';
    if (hands && hands.gives !== 'fore') {
      const z = acrossOf((handZ - sz) / (wholeArm ? upperM + gripM : upperM));
      const k = Math.sqrt(Math.max(0, 1 - z * z) / Math.max(1e-12, ux * ux + uy * uy));
      ux *= k;
      uy *= k;
      uz = z;
    }
    const ex = sx + upperM * ux;
    const ey = sy + upperM * uy;
    const ez = sz + upperM * uz;
    let fx: number;
    let fy: number;
    let fz: number;
    if (foreArcs) {
      const arc = foreArcs[leg]!;
      wa = arc.perSine > 0 ? Math.sin((1 - t) * arc.angle) * arc.perSine : 1;
      wb = arc.perSine > 0 ? Math.sin(t * arc.angle) * arc.perSine : 0;
      a = fores[leg]!;
      b = fores[leg + 1]!;
      vx = wa * a[0] + wb * b[0];
      vy = wa * a[1] + wb * b[1];
      vz = wa * a[2] + wb * b[2];
      fx = base[o + 3]! * vx + base[o + 6]! * vy + base[o + 9]! * vz;
      fy = base[o + 4]! * vx + base[o + 7]! * vy + base[o + 10]! * vz;
      fz = base[o + 5]! * vx + base[o + 8]! * vy + base[o + 11]! * vz;
    } else {
      fx = qx - ex;
      fy = qy - ey;
      fz = hands ? 0 : qz - ez;
      const k = 1 / Math.sqrt(fx * fx + fy * fy + fz * fz);
      fx *= k;
      fy *= k;
      fz *= k;
    }
    if (hands) {
      const z = acrossOf((handZ - ez) / gripM);
      const k = Math.sqrt(Math.max(0, 1 - z * z) / Math.max(1e-12, fx * fx + fy * fy));
      fx *= k;
      fy *= k;
      fz = z;
    }
    const p = BONES * i;
    out[p] = ex;
    out[p + 1] = ey;
    out[p + 2] = ez;
    out[p + 3] = ex + foreM * fx;
    out[p + 4] = ey + foreM * fy;
    out[p + 5] = ez + foreM * fz;
    out[p + 6] = ex + gripM * fx;
    out[p + 7] = ey + gripM * fy;
    out[p + 8] = ez + gripM * fz;
  }
}

/** Bend of the elbow of an arm that is laid out at its finish alone, degrees. */
export function finishBendDeg(arm: LineArm, pulley: Vec3): number {
  const bones = new Float64Array(BONES);
  closeOnLine(arm, pulley, bones);
  const { proximal, middle, distal } = pointsOf(arm, bones);
  return jointDegAt({ chain: 'arm', proximal, middle, distal }, 'middle', 0);
}

/** The posed arm as lists of points, stand frame. */
export function pointsOf(
  arm: LineArm,
  bones: Float64Array,
): {
  readonly proximal: Vec3[];
  readonly middle: Vec3[];
  readonly distal: Vec3[];
  readonly contact: Vec3[];
  readonly frame: Frame[];
} {
  const three = (data: Float64Array, o: number): Vec3 => [data[o]!, data[o + 1]!, data[o + 2]!];
  const each = <T>(of: (i: number) => T): T[] => Array.from({ length: arm.samples }, (_, i) => of(i));
  return {
    proximal: each((i) => three(arm.base, BASE_STRIDE * i)),
    middle: each((i) => three(bones, BONES * i)),
    distal: each((i) => three(bones, BONES * i + 3)),
    contact: each((i) => three(bones, BONES * i + 6)),
    frame: each((i) => ({
      x: three(arm.base, BASE_STRIDE * i + 3),
      y: three(arm.base, BASE_STRIDE * i + 6),
      z: three(arm.base, BASE_STRIDE * i + 9),
    })),
  };
}
