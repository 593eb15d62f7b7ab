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

/** A closer look that both views share: the floor-frame point in the middle of them, and how many times closer. */
export interface Zoom {
  readonly times: number;
  readonly at: Vec3;
}

/** Closest look. */
export const MOST_TIMES = 4;

const middle = (w: Window3): Vec3 => [(w.minX + w.maxX) / 2, w.maxY / 2, (w.minZ + w.maxZ) / 2];

/** The whole window. */
export const wholeOf = (w: Window3): Zoom => ({ times: 1, at: middle(w) });

/** A look kept between whole and closest, and its edges inside the window. */
export function heldIn(w: Window3, { times, at }: Zoom): Zoom {
  const t = Math.min(MOST_TIMES, Math.max(1, times));
  const from: Vec3 = [w.minX, 0, w.minZ];
  const to: Vec3 = [w.maxX, w.maxY, w.maxZ];
  const keep = (k: 0 | 1 | 2): number => {
    const half = (to[k] - from[k]) / (2 * t);
    return Math.min(to[k] - half, Math.max(from[k] + half, at[k]));
  };
  return { times: t, at: [keep(0), keep(1), keep(2)] };
}

/** `factor` times closer, with a floor-frame point staying where it is on the sheet. */
export function zoomAbout(w: Window3, z: Zoom, factor: number, p: Vec3): Zoom {
  const times = Math.min(MOST_TIMES, Math.max(1, z.times * factor));
  const by = z.times / times;
  return heldIn(w, {
    times,
    at: [p[0] - (p[0] - z.at[0]) * by, p[1] - (p[1] - z.at[1]) * by, p[2] - (p[2] - z.at[2]) * by],
  });
}

/** A view at a closer look; the same box, so that both stay beside each other. */
export function closer(view: View, w: Window3, { times, at }: Zoom): View {
  if (times === 1) return view;
  const scale = view.scale * times;
  const from = view.project(middle(w));
  const own = view.kind === 'elevation' ? 1 : 2;
  const down = view.kind === 'elevation' ? -1 : 1;
  return {
    ...view,
    scale,
    project: (p) => ({ u: from.u + (p[0] - at[0]) * scale, v: from.v + down * (p[own] - at[own]) * scale }),
    toX: (u) => at[0] + (u - from.u) / scale,
    toOther: (v) => at[own] + (down * (v - from.v)) / scale,
  };
}
