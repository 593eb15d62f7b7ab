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

/** Both views as they are now, and the change that a hand asks for. */
interface ZoomedSheet {
  readonly zoom: Zoom;
  readonly views: readonly View[];
  readonly window3: Window3;
  readonly change: (zoom: Zoom) => void;
}

const at = (e: MouseEvent): Pointer => ({ u: e.clientX, v: e.clientY });

/** The view under a place on the page, and the floor-frame point there; what it does not show stays in the middle. */
function viewUnder(el: HTMLElement, { zoom, views }: ZoomedSheet, p: Pointer): { view: View; point: Vec3 } | null {
  for (const drawn of el.querySelectorAll<HTMLElement>('[data-view]')) {
    const box = drawn.getBoundingClientRect();
    if (p.u < box.left || p.u > box.right || p.v < box.top || p.v > box.bottom) continue;
    const view = views.find((x) => x.kind === drawn.dataset.view);
    if (!view) continue;
    const x = view.toX(p.u - box.left);
    const other = view.toOther(p.v - box.top);
    return { view, point: view.kind === 'elevation' ? [x, other, zoom.at[2]] : [x, zoom.at[1], other] };
  }
  return null;
}

/** The zoom after the sheet is moved by pixels in a view. */
function movedSheet({ zoom, window3 }: ZoomedSheet, view: View, du: number, dv: number): Zoom {
  const [x, y, z] = zoom.at;
  const [dx, dOther] = [du / view.scale, dv / view.scale];
  const moved: Vec3 = view.kind === 'elevation' ? [x - dx, y + dOther, z] : [x - dx, y, z - dOther];
  return heldIn(window3, { times: zoom.times, at: moved });
}

/** Listens to wheel and fingers on a sheet; gives what ends it. */
function listenTo(el: HTMLElement, sheet: () => ZoomedSheet): () => void {
  const down = new Map<number, Pointer>();
  const by = (factor: number, p: Pointer): void => {
    const now = sheet();
    const here = viewUnder(el, now, p);
    if (here) now.change(zoomAbout(now.window3, now.zoom, factor, here.point));
  };
  const onWheel = (e: WheelEvent): void => {
    if (!viewUnder(el, sheet(), at(e))) return;
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
    const now = sheet();
    if (others.length === 1) {
      const o = others[0]![1];
      const spread = (p: Pointer): number => Math.max(1, Math.hypot(p.u - o.u, p.v - o.v));
      by(spread(is) / spread(was), { u: (is.u + o.u) / 2, v: (is.v + o.v) / 2 });
    } else if (others.length === 0 && now.zoom.times > 1 && !(e.target as Element).closest('[role=slider]')) {
      const here = viewUnder(el, now, is);
      if (here) now.change(movedSheet(now, here.view, is.u - was.u, is.v - was.v));
    }
  };
  const onUp = (e: PointerEvent): void => {
    down.delete(e.pointerId);
    if (down.size === 0) delete el.dataset.pinching;
  };
  const ends = new AbortController();
  const { signal } = ends;
  el.addEventListener('wheel', onWheel, { passive: false, signal });
  el.addEventListener('pointerdown', onDown, { signal });
  el.addEventListener('pointermove', onMove, { signal });
  for (const type of ['pointerup', 'pointercancel', 'pointerleave'] as const)
    el.addEventListener(type, onUp, { signal });
  return () => ends.abort();
}

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
    if (!sheet.current) return undefined;
    // Two moves may come before the page is drawn again: the second one starts where the first one ended.
    const change = (z: Zoom): void => {
      now.current = { ...now.current, zoom: z };
      setZoom(z.times === 1 ? null : z);
    };
    return listenTo(sheet.current, () => ({ ...now.current, change }));
  }, []);
  /** A step closer to a floor-frame point, or back. */
  const step = (steps: 1 | -1, about: Vec3): void => {
    const z = zoomAbout(window3, zoom, STEP ** steps, about);
    setZoom(z.times === 1 ? null : z);
  };
  return { zoom, sheet, step, whole: () => setZoom(null) };
}
