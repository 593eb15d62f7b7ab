import { add, cross, dot, length, normalise, scale, type Vec3 } from './vector';

/** Orthonormal, right-handed axes in the coordinates of a parent frame: x forward, y up, z to the right. */
export interface Frame {
  readonly x: Vec3;
  readonly y: Vec3;
  readonly z: Vec3;
}

/** The parent frame itself. */
export const UPRIGHT: Frame = { x: [1, 0, 0], y: [0, 1, 0], z: [0, 0, 1] };

/** A vector given in `frame`, in the parent's coordinates. */
export const fromFrame = (f: Frame, v: Vec3): Vec3 => add(add(scale(f.x, v[0]), scale(f.y, v[1])), scale(f.z, v[2]));

/** A vector given in the parent's coordinates, in `frame`. */
export const intoFrame = (f: Frame, v: Vec3): Vec3 => [dot(v, f.x), dot(v, f.y), dot(v, f.z)];

/**
 * Turn `v` about the unit `axis` by `angleRad`, right-handed.
 * Source: Rodrigues' formula, v cos a + (k x v) sin a + k (k . v)(1 - cos a).
 */
export function rotateAbout(v: Vec3, axis: Vec3, angleRad: number): Vec3 {
  const c = Math.cos(angleRad);
  const s = Math.sin(angleRad);
  const k = dot(axis, v) * (1 - c);
  const w = cross(axis, v);
  return [v[0] * c + w[0] * s + axis[0] * k, v[1] * c + w[1] * s + axis[1] * k, v[2] * c + w[2] * s + axis[2] * k];
}

/**
 * A unit direction turned towards another one, about the axis square to both, by an angle in radians or by one that
 * depends on that axis; as it is where the two are in one line.
 */
export function turnedTowards(from: Vec3, to: Vec3, byRad: number | ((axis: Vec3) => number)): Vec3 {
  const square = cross(from, to);
  if (length(square) < 1e-9) return from;
  const axis = normalise(square);
  return rotateAbout(from, axis, typeof byRad === 'number' ? byRad : byRad(axis));
}

/** All three axes turned about a unit axis of the parent. */
export const rotateFrame = (f: Frame, axis: Vec3, angleRad: number): Frame => ({
  x: rotateAbout(f.x, axis, angleRad),
  y: rotateAbout(f.y, axis, angleRad),
  z: rotateAbout(f.z, axis, angleRad),
});

/** Axes whose up and right are given; forward follows. Precondition: unit and at right angles. */
export const frameOf = (up: Vec3, right: Vec3): Frame => ({ x: cross(up, right), y: up, z: right });
