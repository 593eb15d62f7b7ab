'use client';
import { useCallback, useRef, type PointerEvent } from 'react';

/** Pointer dragging on an SVG: reports the pointer in the SVG's own pixels, and how far from where it was picked up. */
export function useDrag(
  onMove: (at: { u: number; v: number; du: number; dv: number }) => void,
  onPickUp: () => void = () => undefined,
) {
  const start = useRef<{ u: number; v: number; locate: (e: PointerEvent) => { u: number; v: number } } | null>(null);
  const onPointerDown = useCallback(
    (e: PointerEvent<SVGElement>) => {
      if (!e.isPrimary) return;
      e.currentTarget.setPointerCapture(e.pointerId);
      const svg = e.currentTarget.ownerSVGElement ?? (e.currentTarget as SVGSVGElement);
      // The sheet stays where it is while something on it is held.
      const box = svg.getBoundingClientRect();
      // A drawing shown at another size than its own is read in its own pixels.
      const k = svg.viewBox.baseVal?.width ? svg.viewBox.baseVal.width / box.width : 1;
      const locate = (p: PointerEvent) => ({ u: (p.clientX - box.left) * k, v: (p.clientY - box.top) * k });
      start.current = { ...locate(e), locate };
      onPickUp();
    },
    [onPickUp],
  );
  const onPointerMove = useCallback(
    (e: PointerEvent<SVGElement>) => {
      // A second finger looks closer: what the first one held stays where it is.
      if (!start.current || e.currentTarget.closest('[data-pinching]')) return;
      const at = start.current.locate(e);
      onMove({ ...at, du: at.u - start.current.u, dv: at.v - start.current.v });
    },
    [onMove],
  );
  const stop = useCallback(() => {
    start.current = null;
  }, []);
  return { onPointerDown, onPointerMove, onPointerUp: stop, onPointerCancel: stop };
}
