import { useMemo, useState } from 'react';
import { buildGhost, buildSetupFigure, buildSetupLines, type Ghost } from '@/drawing/setup-scene';
import type { Dot } from '@/drawing/capsule';
import type { View } from '@/drawing/view';
import type { BenchSetup } from './use-setup';

/**
 * The scene of a view: the figure is built where the pulleys' line meets the middle and moved as a whole, the lines
 * follow every move.
 */
export function useScene({ problem, posed, placement }: BenchSetup, view: View, now: number, ghost: Ghost | null) {
  const { standX, standZ, yawDeg } = placement;
  // A pull's arms lie as the place has them; any other body is the same wherever it stands.
  const [asked, setAsked] = useState(placement);
  const posedAt = problem.pulls ? placement : asked;
  if (!problem.pulls && asked.yawDeg !== yawDeg) setAsked(placement);
  const figure = useMemo(
    () => buildSetupFigure(posed, posedAt, { standX: 0, standZ: 0, yawDeg }, view, now),
    [posed, posedAt, yawDeg, view, now],
  );
  const lines = useMemo(() => buildSetupLines(posed, placement, view, now), [posed, placement, view, now]);
  const beside = useMemo(() => (ghost ? [buildGhost(problem, ghost, view, now)] : []), [problem, ghost, view, now]);
  const [from, to] = [view.project([0, 0, 0]), view.project([standX, 0, standZ])];
  const by = { u: to.u - from.u, v: to.v - from.v };
  const moved = (s: { readonly from: Dot; readonly to: Dot }) => ({
    from: { u: s.from.u + by.u, v: s.from.v + by.v },
    to: { u: s.to.u + by.u, v: s.to.v + by.v },
  });
  const surfaces = figure.surfaces.map(moved);
  const armPad = figure.armPad && moved(figure.armPad);
  // A layer between pixels would be drawn blurred.
  return { figure, lines, beside, surfaces, armPad, shift: { u: Math.round(by.u), v: Math.round(by.v) } };
}
