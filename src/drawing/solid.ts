import { convexHull } from '@/core/geometry/convex-hull';
import { add, cross, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { capsulePath } from './capsule';
import { px } from './svg-number';
import type { View } from './view';

/** A convex thing to draw, floor frame, metres: a rod with round ends, or the hull of its corners. */
export type Solid =
  | { readonly kind: 'rod'; readonly from: Vec3; readonly to: Vec3; readonly radiusM: number }
  | { readonly kind: 'hull'; readonly corners: readonly Vec3[] };

/** A rod from end to end; a ball where both ends are one. */
export const rod = (from: Vec3, to: Vec3, radiusM: number): Solid => ({ kind: 'rod', from, to, radiusM });

/** Corners of a round plate's edge: enough for a circle of a hand's breadth on the screen. */
const ROUND = 20;

/** Two directions square to one and to each other. */
function acrossOf(axis: Vec3): readonly [Vec3, Vec3] {
  const one = normalise(cross(axis, Math.abs(axis[1]) < 0.9 ? [0, 1, 0] : [1, 0, 0]));
  return [one, cross(axis, one)];
}

/** A round plate about an axis (unit), `halfM` to each side of its centre. */
export function disc(centre: Vec3, axis: Vec3, radiusM: number, halfM: number): Solid {
  const [a, b] = acrossOf(axis);
  const edge = Array.from({ length: ROUND }, (_, i) => {
    const turn = (2 * Math.PI * i) / ROUND;
    return add(scale(a, radiusM * Math.cos(turn)), scale(b, radiusM * Math.sin(turn)));
  });
  const corners = [-halfM, halfM].flatMap((at) => edge.map((e) => add(add(centre, scale(axis, at)), e)));
  return { kind: 'hull', corners };
}

/** A pad under a face that runs from end to end: `thickM` away from it, `halfM` to each side. */
export function slab(from: Vec3, to: Vec3, away: Vec3, thickM: number, halfM: number): Solid {
  const side = scale(normalise(cross(subtract(to, from), away)), halfM);
  const down = scale(normalise(away), thickM);
  const corners = [from, to].flatMap((end) =>
    [end, add(end, down)].flatMap((at) => [add(at, side), subtract(at, side)]),
  );
  return { kind: 'hull', corners };
}

/** Outline of a solid in a view, as SVG path data. */
export function solidPath(view: View, solid: Solid): string {
  if (solid.kind === 'rod') {
    const r = solid.radiusM * view.scale;
    return capsulePath({ a: view.project(solid.from), b: view.project(solid.to), ra: r, rb: r });
  }
  const dots = solid.corners.map((corner) => {
    const { u, v } = view.project(corner);
    return [u, v] as const;
  });
  return `${convexHull(dots)
    .map(([u, v], i) => `${i === 0 ? 'M' : 'L'}${px(u)} ${px(v)}`)
    .join('')}Z`;
}

/** Unit direction from one point to another; null where they are one. */
export function wayTo(from: Vec3, to: Vec3): Vec3 | null {
  const way = subtract(to, from);
  return length(way) < 1e-6 ? null : normalise(way);
}
