import type { Vec3 } from '@/core/geometry/vector';
import type { Dot } from './capsule';

/** Part of the floor frame that a view shows, metres. */
export interface Window3 {
  readonly minX: number;
  readonly maxX: number;
  readonly maxY: number;
  readonly minZ: number;
  readonly maxZ: number;
}

/** A to-scale view: projects floor-frame points to pixels of its own box, and back along its axes. */
export interface View {
  readonly kind: 'elevation' | 'plan';
  readonly scale: number;
  readonly width: number;
  readonly height: number;
  readonly project: (p: Vec3) => Dot;
  /** Pixel column to distance from the pulleys, metres. */
  readonly toX: (u: number) => number;
  /** Pixel row to height (elevation) or sideways place (plan), metres. */
  readonly toOther: (v: number) => number;
}

/** Space in pixels kept around a view for its rulers. */
export const MARGIN = { left: 58, right: 14, top: 14, bottom: 34 } as const;

/** Side elevation seen from the client's right when facing away from the columns: x to the right, height up. */
export function elevationView(w: Window3, scale: number): View {
  return {
    kind: 'elevation',
    scale,
    width: MARGIN.left + MARGIN.right + (w.maxX - w.minX) * scale,
    height: MARGIN.top + MARGIN.bottom + w.maxY * scale,
    project: ([x, y]) => ({ u: MARGIN.left + (x - w.minX) * scale, v: MARGIN.top + (w.maxY - y) * scale }),
    toX: (u) => w.minX + (u - MARGIN.left) / scale,
    toOther: (v) => w.maxY - (v - MARGIN.top) / scale,
  };
}

/** Plan seen from above: x to the right as in the elevation, the client's right (z) down the sheet. */
export function planView(w: Window3, scale: number): View {
  return {
    kind: 'plan',
    scale,
    width: MARGIN.left + MARGIN.right + (w.maxX - w.minX) * scale,
    height: MARGIN.top + MARGIN.bottom + (w.maxZ - w.minZ) * scale,
    project: ([x, , z]) => ({ u: MARGIN.left + (x - w.minX) * scale, v: MARGIN.top + (z - w.minZ) * scale }),
    toX: (u) => w.minX + (u - MARGIN.left) / scale,
    toOther: (v) => w.minZ + (v - MARGIN.top) / scale,
  };
}
