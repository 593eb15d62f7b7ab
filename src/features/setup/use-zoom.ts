'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { Vec3 } from '@/core/geometry/vector';
import { heldIn, wholeOf, zoomAbout, type View, type Window3, type Zoom } from '@/drawing/view';

interface Pointer {
  readonly u: number;
  readonly v: number;
}

const STEP = 1.5;
/** Wheel distance that looks one step closer, pixels. */
const WHEEL_PX = 240;

/**
 * Looking closer at both views: by wheel, by two fingers, by moving the sheet with one, by steps. Dragging things is
 * left alone.
 */
export function useZoom(window3: Window3, views: readonly View[]) {
  const [asked, setZoom] = useState<Zoom | null>(null);
  const zoom = useMemo(() => (asked ? heldIn(window3, asked) : wholeOf(window3)), [asked, window3]);
  const sheet = useRef<HTMLDivElement>(null);
  const now = useRef({ zoom, views, window3 });
  useEffect(() => {
    now.current = { zoom, views, window3 };
  });
  useEffect(() => {
    const el = sheet.current;
    if (!el) return undefined;
    const down = new Map<number, Pointer>();
    const at = (e: MouseEvent): Pointer => ({ u: e.clientX, v: e.clientY });
    const change = (z: Zoom): void => {
      now.current = { ...now.current, zoom: z };
      setZoom(z.times === 1 ? null : z);
    };
    /**
     * The view under a place on the page, and the floor-frame point there; what the view does not show stays in the
     * middle.
     */
    const under = (p: Pointer): { readonly view: View; readonly point: Vec3 } | null => {
      for (const drawn of el.querySelectorAll<HTMLElement>('[data-view]')) {
        const box = drawn.getBoundingClientRect();
        if (p.u < box.left || p.u > box.right || p.v < box.top || p.v > box.bottom) continue;
        const view = now.current.views.find((x) => x.kind === drawn.dataset.view);
        if (!view) continue;
        const { at: mid } = now.current.zoom;
        const other = view.toOther(p.v - box.top);
        return {
          view,
          point:
            view.kind === 'elevation'
              ? [view.toX(p.u - box.left), other, mid[2]]
              : [view.toX(p.u - box.left), mid[1], other],
        };
      }
      return null;
    };
    const by = (factor: number, p: Pointer): void => {
      const here = under(p);
      if (here) change(zoomAbout(now.current.window3, now.current.zoom, factor, here.point));
    };
    const onWheel = (e: WheelEvent): void => {
      if (!under(at(e))) return;
      e.preventDefault();
      by(STEP ** (-e.deltaY / WHEEL_PX), at(e));
    };
    const onDown = (e: PointerEvent): void => {
      down.set(e.pointerId, at(e));
      if (down.size === 2) el.dataset.pinching = '';
    };
    const onMove = (e: PointerEvent): void => {
      const was = down.get(e.pointerId);
      if (!was) return;
      const is = at(e);
      const others = [...down].filter(([id]) => id !== e.pointerId);
      down.set(e.pointerId, is);
      if (others.length === 1) {
        const o = others[0]![1];
        const spread = (p: Pointer): number => Math.max(1, Math.hypot(p.u - o.u, p.v - o.v));
        by(spread(is) / spread(was), { u: (is.u + o.u) / 2, v: (is.v + o.v) / 2 });
      } else if (others.length === 0 && now.current.zoom.times > 1 && !(e.target as Element).closest('[role=slider]')) {
        const here = under(is);
        if (!here) return;
        const { zoom: z, window3: w } = now.current;
        const { view } = here;
        const [dx, dv] = [(is.u - was.u) / view.scale, (is.v - was.v) / view.scale];
        change(
          heldIn(w, {
            times: z.times,
            at:
              view.kind === 'elevation' ? [z.at[0] - dx, z.at[1] + dv, z.at[2]] : [z.at[0] - dx, z.at[1], z.at[2] - dv],
          }),
        );
      }
    };
    const onUp = (e: PointerEvent): void => {
      down.delete(e.pointerId);
      if (down.size === 0) delete el.dataset.pinching;
    };
    el.addEventListener('wheel', onWheel, { passive: false });
    el.addEventListener('pointerdown', onDown);
    el.addEventListener('pointermove', onMove);
    for (const type of ['pointerup', 'pointercancel', 'pointerleave'] as const) el.addEventListener(type, onUp);
    return () => {
      el.removeEventListener('wheel', onWheel);
      el.removeEventListener('pointerdown', onDown);
      el.removeEventListener('pointermove', onMove);
      for (const type of ['pointerup', 'pointercancel', 'pointerleave'] as const) el.removeEventListener(type, onUp);
    };
  }, []);
  /** A step closer to a floor-frame point, or back. */
  const step = (steps: 1 | -1, about: Vec3): void => {
    const z = zoomAbout(window3, zoom, STEP ** steps, about);
    setZoom(z.times === 1 ? null : z);
  };
  return { zoom, sheet, step, whole: () => setZoom(null) };
}
