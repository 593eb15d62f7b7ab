import { add, along, length, normalise, scale, subtract, dot, type Vec3 } from '@/core/geometry/vector';

/**
 * Middle joint of two links of lengths `firstM` and `secondM` from `from` to `to`, bent towards `hint`; on the straight
 * line when the end is out of reach. Source: law of cosines.
 */
export function middleJoint(from: Vec3, to: Vec3, firstM: number, secondM: number, hint: Vec3): Vec3 {
  const reach = subtract(to, from);
  const d = Math.min(length(reach), firstM + secondM - 1e-6);
  const u = normalise(reach);
  const a = (firstM ** 2 - secondM ** 2 + d ** 2) / (2 * d);
  const bend = Math.sqrt(Math.max(0, firstM ** 2 - a ** 2));
  const across = subtract(hint, scale(u, dot(hint, u)));
  // A hint along the line leaves the bend's direction open: take any square to it.
  const square =
    length(across) > 1e-6
      ? normalise(across)
      : normalise(Math.abs(u[1]) < 0.9 ? subtract([0, 1, 0], scale(u, u[1])) : subtract([1, 0, 0], scale(u, u[0])));
  return add(along(from, u, a), scale(square, bend));
}
