import type { Body } from '@/core/body/body-model';
import { middleJoint } from '@/core/body/two-link';
import { rotateAbout, rotateFrame, UPRIGHT, type Frame } from '@/core/geometry/frame';
import { add, along, between, length, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from './chain-path';
import { foreToGripM } from '@/core/body/arm-length';
import { towards } from './joint-action';

/** What the body as a whole does at a sample: turned about the axis to the right, then moved; metres, radians. */
export interface BodyShift {
  readonly about: Vec3;
  readonly pitchRad: number;
  readonly move: Vec3;
}

/** A point of the body where its shift has taken it. */
export const shifted = (v: Vec3, { about, pitchRad, move }: BodyShift): Vec3 =>
  add(add(about, rotateAbout(subtract(v, about), UPRIGHT.z, pitchRad)), move);

/** Axes that turn along with a body's shift. */
export const shiftedFrame = (f: Frame, { pitchRad }: BodyShift): Frame => rotateFrame(f, UPRIGHT.z, pitchRad);

/** A path whose bones end where the hands are; wrists lie on the forearm. */
function withArm(
  body: Body,
  path: ChainPath,
  of: (i: number) => { readonly elbow: Vec3; readonly hand: Vec3 },
): ChainPath {
  const all = path.proximal.map((_, i) => of(i));
  const wrist = body.length.forearm.m / foreToGripM(body);
  return {
    ...path,
    middle: all.map((b) => b.elbow),
    distal: all.map((b) => between(b.elbow, b.hand, wrist)),
    contact: all.map((b) => b.hand),
  };
}

/**
 * A hand on a bar that turns about a pivot: the grip stays `reachM` from it. The elbow keeps its keyed way; the hand is
 * where the sphere about the pivot meets the forearm's, on the side where the keyed hand is. With both hands on it the
 * middle between them stays on the sphere and each hand beside it.
 */
export function onPivot(body: Body, path: ChainPath, pivot: Vec3, reachM: number, paired: boolean): ChainPath {
  const foreM = foreToGripM(body);
  return withArm(body, path, (i) => {
    const elbow = path.middle[i]!;
    const keyed = path.contact[i]!;
    const hint = subtract(keyed, elbow);
    if (!paired) return { elbow, hand: middleJoint(elbow, pivot, foreM, reachM, hint) };
    // The bar turns in the body's own plane; the forearm reaches across to its end of the handle.
    const across = keyed[2] - elbow[2];
    const flat = Math.sqrt(Math.max(1e-6, foreM ** 2 - across ** 2));
    const [x, y] = middleJoint([elbow[0], elbow[1], 0], [pivot[0], pivot[1], 0], flat, reachM, [hint[0], hint[1], 0]);
    return { elbow, hand: [x, y, keyed[2]] };
  });
}

/** Hands that run along a straight guide from one place to another; the elbow keeps the side it is keyed to. */
export function onGuide(body: Body, path: ChainPath, handAt: (i: number) => Vec3): ChainPath {
  return withArm(body, path, (i) => {
    const shoulder = path.proximal[i]!;
    const hand = handAt(i);
    const upper = subtract(path.middle[i]!, shoulder);
    return { elbow: middleJoint(shoulder, hand, body.length.upperArm.m, foreToGripM(body), upper), hand };
  });
}

/** A path and the body's own shifts, sample by sample, where hands or feet stand still and the body moves. */
export interface AnchoredPath {
  readonly path: ChainPath;
  readonly shifts: readonly BodyShift[];
}

/** Everything of a path where its shifts have taken it. */
function shiftPath(path: ChainPath, shifts: readonly BodyShift[]): ChainPath {
  const all = (points: readonly Vec3[]): Vec3[] => points.map((v, i) => shifted(v, shifts[i]!));
  return {
    ...path,
    proximal: all(path.proximal),
    middle: all(path.middle),
    distal: all(path.distal),
    contact: all(path.contact),
    frame: path.frame.map((f, i) => shiftedFrame(f, shifts[i]!)),
  };
}

/** Hanging from a bar at `handAt`: the bar stands still and the body rises and swings under it as the hands ask. */
export function underBar(path: ChainPath, barAt: Vec3): AnchoredPath {
  const shifts = path.contact.map((c): BodyShift => ({
    about: barAt,
    pitchRad: 0,
    move: [barAt[0] - c[0], barAt[1] - c[1], 0],
  }));
  return { path: shiftPath(path, shifts), shifts };
}

/** Angle of a point about another in the body's own plane, radians. */
const angleOf = (from: Vec3, to: Vec3): number => Math.atan2(to[1] - from[1], to[0] - from[0]);
const flatLength = (a: Vec3, b: Vec3): number => Math.hypot(b[0] - a[0], b[1] - a[1]);

/**
 * Turn about `about` that brings a point of the body to a distance from a fixed one, in the body's own plane, on the
 * side where it is or on the one behind: law of cosines in the triangle of the three.
 */
function pitchTo(about: Vec3, own: Vec3, fixed: Vec3, distanceM: number, back = false): number {
  const r = flatLength(about, own);
  const d = flatLength(about, fixed);
  const cos = (r * r + d * d - distanceM * distanceM) / (2 * r * d);
  const opening = Math.acos(Math.min(1, Math.max(-1, cos)));
  const was = angleOf(about, own);
  const line = angleOf(about, fixed);
  const turned = (v: number): number => Math.atan2(Math.sin(v), Math.cos(v));
  // Leaning back, or whichever of the two places is nearer to where the point was.
  const [a, b] = [turned(line + opening - was), turned(line - opening - was)];
  return back ? Math.max(a, b) : Math.abs(a) <= Math.abs(b) ? a : b;
}

/**
 * Hands that stand still on the floor while the body turns about its toes: how far the shoulders are from them follows
 * the keyed bend of the elbow.
 */
export function onFloor(body: Body, path: ChainPath, toes: Vec3, handsAt: Vec3): AnchoredPath {
  const a = body.length.upperArm.m;
  const b = foreToGripM(body);
  const shifts = path.proximal.map((shoulder, i): BodyShift => {
    const keyed = length(subtract(path.contact[i]!, shoulder));
    const across = handsAt[2] - shoulder[2];
    const flat = Math.sqrt(Math.max(0.01, Math.min(0.995 * (a + b), keyed) ** 2 - across ** 2));
    return { about: toes, pitchRad: pitchTo(toes, shoulder, handsAt, flat), move: [0, 0, 0] };
  });
  const moved = shiftPath(path, shifts);
  return { path: onGuide(body, moved, () => handsAt), shifts };
}

/**
 * Hands on straps from an anchor while the body, one line, turns about its heels: the forearm and the strap are one
 * line, so the elbow stays `reachM` from the anchor (its height in the body's own plane; each strap runs beside it).
 */
export function onStraps(body: Body, path: ChainPath, heels: Vec3, anchor: Vec3, reachM: number): AnchoredPath {
  const b = foreToGripM(body);
  const shifts = path.middle.map((elbow): BodyShift => ({
    about: heels,
    pitchRad: pitchTo(heels, elbow, anchor, reachM, true),
    move: [0, 0, 0],
  }));
  const moved = shiftPath(path, shifts);
  const closed = withArm(body, moved, (i) => {
    const elbow = moved.middle[i]!;
    return { elbow, hand: along(elbow, normalise(subtract([anchor[0], anchor[1], elbow[2]], elbow)), b) };
  });
  return { path: closed, shifts };
}

/**
 * A foot on a plate that runs along a guide: the ankle goes straight from where the keys begin to where they end and
 * the knee follows from the law of cosines. `place` moves the ankle on the plate, metres, stand frame.
 */
export function onPlate(path: ChainPath, from: Vec3, to: Vec3, place: Vec3, at: (i: number) => number): ChainPath {
  const thighM = length(subtract(path.middle[0]!, path.proximal[0]!));
  const shankM = length(subtract(path.distal[0]!, path.middle[0]!));
  const sole = subtract(path.contact[0]!, path.distal[0]!);
  const middle: Vec3[] = [];
  const distal: Vec3[] = [];
  const contact: Vec3[] = [];
  path.proximal.forEach((hip, i) => {
    const wanted = add(between(from, to, at(i)), place);
    const reach = subtract(wanted, hip);
    const most = 0.995 * (thighM + shankM);
    const ankle = length(reach) > most ? along(hip, normalise(reach), most) : wanted;
    distal.push(ankle);
    middle.push(middleJoint(hip, ankle, thighM, shankM, towards(hip, path.middle[i]!)));
    contact.push(add(ankle, sole));
  });
  return { ...path, middle, distal, contact };
}
