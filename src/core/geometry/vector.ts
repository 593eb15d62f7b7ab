/** A point (metres) or direction (unit) as [x, y, z]; the frame is named where the value is. */
export type Vec3 = readonly [number, number, number];

/** a + b. */
export const add = (a: Vec3, b: Vec3): Vec3 => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
/** a - b. */
export const subtract = (a: Vec3, b: Vec3): Vec3 => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
/** k times a. */
export const scale = (a: Vec3, k: number): Vec3 => [a[0] * k, a[1] * k, a[2] * k];
/** Scalar product. */
export const dot = (a: Vec3, b: Vec3): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
/** Vector product, right-handed. */
export const cross = (a: Vec3, b: Vec3): Vec3 => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
/** Euclidean length. */
export const length = (a: Vec3): number => Math.hypot(a[0], a[1], a[2]);

/** The point a share `t` of the way from `a` to `b`. */
export const between = (a: Vec3, b: Vec3, t: number): Vec3 => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** The point `distance` along `direction` (unit) from `from`. */
export const along = (from: Vec3, direction: Vec3, distance: number): Vec3 => add(from, scale(direction, distance));

/** Unit vector along `a`. Throws when `a` has no length: a direction was asked of a point. */
export function normalise(a: Vec3): Vec3 {
  const len = length(a);
  if (!(len > 0)) throw new Error('normalise: the vector has no length');
  return scale(a, 1 / len);
}

/** Mirror image in the sagittal plane z = 0, for points and polar directions. */
export const mirrorZ = (a: Vec3): Vec3 => [a[0], a[1], -a[2]];
