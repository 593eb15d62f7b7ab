import { SIDES } from '@/core/body/side';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import type { BookEntry } from '@/core/book/book-entry';
import { HIP_OVER_SEAT } from '@/core/body/segment-ratios';
import { add, between, cross, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { gear, type Gear } from './gear';
import { restOn } from './rest-on';
import { disc, rod, slab } from './solid';

/** The face of a pad that the body touches: both ends, and the way out of the body. Stand frame, metres. */
export interface Face {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly away: Vec3;
}

/** How far a pad lies from the joints it carries, share of stature (drawing only). */
const PAD = 0.065;
/** Thickness and half breadth of a pad, a steel tube's radius, metres (common practice). */
const THICK_M = 0.06;
const HALF_M = 0.14;
const TUBE_M = 0.02;
/** Thickness of a plate that feet stand on, metres (common practice). */
const PLATE_M = 0.01;
const DOWN: Vec3 = [0, -1, 0];
const RIGHT: Vec3 = [0, 0, 1];

/** What the body sits, lies or leans on: the seat first, then the back. */
export function facesOf(e: BookEntry, body: Body, pose: BodyPose): readonly Face[] {
  const h = body.statureM;
  const rests = restOn(e);
  const faces: Face[] = [];
  if (rests !== null) {
    const seat = pose.pelvis[1] - HIP_OVER_SEAT * h;
    faces.push({ from: [pose.pelvis[0] - 0.12, seat, 0], to: [pose.pelvis[0] + 0.24, seat, 0], away: DOWN });
  }
  if (rests === 'back' || rests === 'front') {
    const away = scale(pose.trunkFrame.x, rests === 'back' ? -1 : 1);
    const side = scale(away, PAD * h);
    const top = scale(pose.trunkFrame.y, rests === 'back' ? 0.1 * h : -0.03 * h);
    faces.push({ from: add(pose.pelvis, side), to: add(add(pose.neckBase, side), top), away });
  }
  // Arms that go back are pushed off a chest pad.
  if (e.load.kind === 'machine' && e.load.machine === 'reverse-fly') {
    const away = pose.trunkFrame.x;
    const chest = (share: number): Vec3 => add(between(pose.pelvis, pose.neckBase, share), scale(away, PAD * h));
    faces.push({ from: chest(0.45), to: chest(0.85), away });
  }
  if (pose.supportArm && pose.supportArm.hand[1] < pose.pelvis[1] && e.posture.kind !== 'forearm-on-thigh') {
    const [x, y, z] = pose.supportArm.hand;
    faces.push({ from: [x - 0.25, y, z], to: [x + 0.6, y, z], away: DOWN });
  }
  return faces;
}

/** The pad under an upper arm, from the armpit past the elbow; `upM` above where it should carry the arm. */
export function armPadOf(body: Body, path: ChainPath, i: number, upM: number): Face {
  const [shoulder, elbow] = [path.proximal[i]!, path.middle[i]!];
  const along = normalise(subtract(elbow, shoulder));
  // Under the arm: square to it, in the upright plane through it.
  const away = normalise([along[1], -along[0], 0]);
  const under = add(scale(away, 0.032 * body.statureM), [0, upM, 0]);
  return {
    from: add(add(shoulder, scale(along, 0.04 * body.statureM)), under),
    to: add(add(elbow, scale(along, 0.03 * body.statureM)), under),
    away: away[1] <= 0 ? away : scale(away, -1),
  };
}

const padOf = ({ from, to, away }: Face, thickM = THICK_M): Gear[] => gear('pad', slab(from, to, away, thickM, HALF_M));

/** A tube from a point to the floor, with a foot across. */
function post([x, y, z]: Vec3): Gear[] {
  const foot: Vec3 = [x, TUBE_M, z];
  return y < 0.12
    ? []
    : gear('steel', rod([x, y, z], foot, TUBE_M), rod(add(foot, [0, 0, -0.24]), add(foot, [0, 0, 0.24]), TUBE_M));
}

/** A pad on its legs: one near each end of what is level, one under the middle of what stands. */
function onLegs(face: Face): Gear[] {
  const under = (share: number): Vec3 => add(between(face.from, face.to, share), scale(normalise(face.away), THICK_M));
  const [a, b] = [under(0.15), under(0.85)];
  const level = Math.abs(face.to[1] - face.from[1]) < 0.35 * Math.abs(face.to[0] - face.from[0]);
  return level ? [...post(a), ...post(b)] : [];
}

/** Tubes first, pads over them; everything that carries the body, and the post of a pad under an arm. */
export function seatThings(e: BookEntry, body: Body, pose: BodyPose, armPad: Face | null): Gear[] {
  const faces = facesOf(e, body, pose);
  const h = body.statureM;
  const things: Gear[] = armPad ? post(add(between(armPad.from, armPad.to, 0.9), scale(armPad.away, THICK_M))) : [];
  for (const face of faces) things.push(...onLegs(face));
  // A back that stands is hinged to its seat and held up by a strut from a rail on the floor.
  const [seat, back] = faces;
  if (seat && back && seat.from[1] > 0.12 && Math.abs(back.to[1] - back.from[1]) > 0.25) {
    const at = add(between(back.from, back.to, 0.6), scale(back.away, THICK_M));
    const behind: Vec3 = [at[0] * 0.7 + seat.from[0] * 0.3, TUBE_M, 0];
    things.push(...gear('steel', rod(at, behind, TUBE_M * 0.8), rod(behind, [seat.to[0], TUBE_M, 0], TUBE_M)));
  }
  for (const face of faces) {
    const roomM = face.away === DOWN ? Math.min(THICK_M, face.from[1]) : THICK_M;
    if (roomM > 0.01) things.push(...padOf(face, roomM));
  }
  if (e.posture.kind === 'hip-pad') {
    const hip = pose.pelvis;
    const knee = between(pose.leg.left.knee, pose.leg.right.knee, 0.5);
    const along = normalise(subtract(knee, hip));
    const below = normalise(cross(along, RIGHT));
    const away = below[1] < 0 ? below : scale(below, -1);
    const face = {
      from: add(hip, scale(away, PAD * h)),
      to: add(add(hip, scale(along, 0.3)), scale(away, PAD * h)),
      away,
    };
    const middle = (of: 'ankle' | 'heel' | 'toe'): Vec3 => between(pose.leg.left[of], pose.leg.right[of], 0.5);
    const [ankle, heel, toe] = [middle('ankle'), middle('heel'), middle('toe')];
    things.push(...post(add(face.to, scale(away, THICK_M))), ...padOf(face));
    things.push(...gear('pad', disc(add(ankle, scale(away, -0.07)), RIGHT, 0.05, 0.2)));
    // The feet stand on a plate under their soles, on a post of its own.
    things.push(...post(between(heel, toe, 0.5)), ...gear('steel', slab(heel, toe, along, PLATE_M, HALF_M)));
  }
  if (e.legs === 'locked')
    for (const side of SIDES) {
      const { hip, knee } = pose.leg[side];
      things.push(...gear('pad', disc(add(between(hip, knee, 0.72), [0, 0.045 * h + 0.05, 0]), RIGHT, 0.05, 0.1)));
    }
  return things;
}

/** The pad that an upper arm lies on; its post stands under the body with everything else that carries it. */
export const armPadThings = (pad: Face | null): Gear[] => (pad ? padOf(pad) : []);
