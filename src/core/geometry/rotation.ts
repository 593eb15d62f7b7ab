import { clampedAcos } from '@/core/units/angle';
import { dot, scale, add, type Vec3 } from './vector';

/**
 * Turn `v` about the vertical by `yawRad`; positive turns left seen from above
 * (x towards -z, the right-handed rotation about +y).
 */
export function turn(v: Vec3, yawRad: number): Vec3 {
  const c = Math.cos(yawRad);
  const s = Math.sin(yawRad);
  return [c * v[0] + s * v[2], v[1], -s * v[0] + c * v[2]];
}

/**
 * Spherical interpolation between unit directions `a` (t = 0) and `b` (t = 1) along the shorter great circle.
 * Source: Shoemake 1985, SIGGRAPH 19(3):245-254. Opposite directions have no single arc: throws.
 */
export function slerp(a: Vec3, b: Vec3, t: number): Vec3 {
  const angle = clampedAcos(dot(a, b));
  if (angle < 1e-9) return a;
  const sin = Math.sin(angle);
  if (sin < 1e-9) throw new Error('slerp: directions are opposite');
  return add(scale(a, Math.sin((1 - t) * angle) / sin), scale(b, Math.sin(t * angle) / sin));
}

/** Body frame to floor frame: turned by `yawRad`, then carried to (x, z) on the floor. */
export function toFloor(vBody: Vec3, stand: { readonly x: number; readonly z: number; readonly yawRad: number }): Vec3 {
  const r = turn(vBody, stand.yawRad);
  return [r[0] + stand.x, r[1], r[2] + stand.z];
}

/** Floor frame to body frame, the inverse of `toFloor`. */
export function toBody(vFloor: Vec3, stand: { readonly x: number; readonly z: number; readonly yawRad: number }): Vec3 {
  return turn([vFloor[0] - stand.x, vFloor[1], vFloor[2] - stand.z], -stand.yawRad);
}
