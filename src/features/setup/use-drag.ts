'use client';
import { useCallback, useRef, type PointerEvent } from 'react';

/** Pointer dragging on an SVG: reports the pointer in the SVG's own pixels, and how far from where it was picked up. */
export function useDrag(onMove: (at: { u: number; v: number; du: number; dv: number }) => void) {
  const start = useRef<{ u: number; v: number } | null>(null);
  const locate = (e: PointerEvent<SVGElement>) => {
    const svg = e.currentTarget.ownerSVGElement ?? (e.currentTarget as SVGSVGElement);
    const box = svg.getBoundingClientRect();
    return { u: e.clientX - box.left, v: e.clientY - box.top };
  };
  const onPointerDown = useCallback((e: PointerEvent<SVGElement>) => {
    e.currentTarget.setPointerCapture(e.pointerId);
    start.current = locate(e);
  }, []);
  const onPointerMove = useCallback(
    (e: PointerEvent<SVGElement>) => {
      if (!start.current) return;
      const at = locate(e);
      onMove({ ...at, du: at.u - start.current.u, dv: at.v - start.current.v });
    },
    [onMove],
  );
  const stop = useCallback(() => {
    start.current = null;
  }, []);
  return { onPointerDown, onPointerMove, onPointerUp: stop, onPointerCancel: stop };
}
