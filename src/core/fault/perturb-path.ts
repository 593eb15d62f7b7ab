import { type Side, signOf } from '@/core/body/side';
import { rotateAbout, rotateFrame, type Frame } from '@/core/geometry/frame';
import { add, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { hingeAxis, towards } from '@/core/movement/joint-action';
import { clampedAcos, clampedAsin, toRad } from '@/core/units/angle';
import type { PerturbationKind } from './perturbation';

const UP: Vec3 = [0, 1, 0];

interface Bones {
  readonly proximal: Vec3;
  readonly middle: Vec3;
  readonly distal: Vec3;
  readonly contact: Vec3;
  readonly frame: Frame;
}

/** Turn the points from the middle joint on, or the whole limb, about a point. */
const turnLimb = (b: Bones, about: Vec3, axis: Vec3, rad: number, from: 'proximal' | 'middle' | 'distal'): Bones => {
  const turn = (v: Vec3): Vec3 => add(about, rotateAbout(subtract(v, about), axis, rad));
  return {
    proximal: from === 'proximal' ? turn(b.proximal) : b.proximal,
    middle: from === 'distal' ? b.middle : turn(b.middle),
    distal: turn(b.distal),
    contact: turn(b.contact),
    frame: from === 'proximal' ? rotateFrame(b.frame, axis, rad) : b.frame,
  };
};

const moved = (b: Bones, by: Vec3): Bones => ({
  ...b,
  proximal: add(b.proximal, by),
  middle: add(b.middle, by),
  distal: add(b.distal, by),
  contact: add(b.contact, by),
});

/** Bend the hinge by an angle; straightening stops where it is straight. */
function bendHinge(b: Bones, rad: number): Bones {
  const upper = towards(b.proximal, b.middle);
  const lower = towards(b.middle, b.distal);
  const axis = hingeAxis(upper, lower) ?? b.frame.z;
  const bend = clampedAcos(dot(upper, lower));
  return turnLimb(b, b.middle, axis, Math.max(-bend, rad), 'distal');
}

function perturbed(
  b: Bones,
  kind: PerturbationKind,
  size: number,
  s: number,
  side: Side,
  pelvis: Vec3,
  axis: Vec3,
): Bones {
  const out = -signOf(side);
  const rad = toRad(size);
  switch (kind) {
    case 'arm-back':
      return turnLimb(b, b.proximal, b.frame.z, -rad, 'middle');
    case 'arm-out':
      return turnLimb(b, b.proximal, b.frame.x, out * rad * s, 'middle');
    case 'arm-in':
      return turnLimb(b, b.proximal, b.frame.x, -out * rad * s, 'middle');
    case 'elbow-straight-at-start':
      return bendHinge(b, -rad * (1 - s));
    case 'elbow-bent-at-finish':
      return bendHinge(b, rad * s);
    case 'trunk-leans-back':
      return turnLimb(b, pelvis, b.frame.z, rad * s, 'proximal');
    case 'trunk-turns':
      return turnLimb(b, pelvis, UP, out * rad * s, 'proximal');
    case 'shoulder-forward':
      return moved(b, scale(b.frame.x, size * s));
    case 'shoulder-up':
      return moved(b, scale(b.frame.y, size * s));
    case 'seat-low': {
      // The elbow stays on the pad and the shoulder sinks; the elbow bends as much as before, so the forearm turns
      // along.
      const arm = length(subtract(b.proximal, b.middle));
      const level = normalise([b.middle[0] - b.proximal[0], 0, b.middle[2] - b.proximal[2]]);
      const sideways: Vec3 = [-level[2], 0, level[0]];
      const angle = clampedAsin(size / arm);
      const turned = turnLimb(b, b.middle, sideways, angle, 'distal');
      const up = rotateAbout(subtract(b.proximal, b.middle), sideways, angle);
      return { ...turned, proximal: add(b.middle, up) };
    }
    case 'past-start':
      return turnLimb(b, b.proximal, axis, -rad * (1 - s), 'middle');
    default:
      return b;
  }
}

/**
 * A limb's path with a fault of some size in it, stand frame; kinds that change the place or the load leave it as it
 * is.
 */
export function perturbPath(
  path: ChainPath,
  target: ChainTarget,
  kind: PerturbationKind,
  size: number,
  pelvis: Vec3,
): ChainPath {
  const last = path.proximal.length - 1;
  const all = path.proximal.map((proximal, i) =>
    perturbed(
      { proximal, middle: path.middle[i]!, distal: path.distal[i]!, contact: path.contact[i]!, frame: path.frame[i]! },
      kind,
      size,
      i / last,
      path.side,
      pelvis,
      target.axis[i]!,
    ),
  );
  return {
    ...path,
    proximal: all.map((b) => b.proximal),
    middle: all.map((b) => b.middle),
    distal: all.map((b) => b.distal),
    contact: all.map((b) => b.contact),
    frame: all.map((b) => b.frame),
  };
}
