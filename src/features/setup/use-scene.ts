import { useMemo, useState } from 'react';
import { buildGhost, buildSetupFigure, buildSetupLines, type Ghost } from '@/drawing/setup-scene';
import { restOn } from '@/drawing/rest-on';
import type { View } from '@/drawing/view';
import type { BenchSetup } from './use-setup';

/**
 * The scene of a view: the figure is built where the pulleys' line meets the middle and moved as a whole, the lines
 * follow every move.
 */
export function useScene({ problem, placement, entry }: BenchSetup, view: View, now: number, ghost: Ghost | null) {
  const { standX, standZ, yawDeg } = placement;
  // A pull's arms lie as the place has them; any other body is the same wherever it stands.
  const [asked, setAsked] = useState(placement);
  const posedAt = problem.pulls ? placement : asked;
  if (!problem.pulls && asked.yawDeg !== yawDeg) setAsked(placement);
  const figure = useMemo(
    () => buildSetupFigure(problem, posedAt, { standX: 0, standZ: 0, yawDeg }, restOn(entry), view, now),
    [problem, posedAt, yawDeg, entry, view, now],
  );
  const lines = useMemo(() => buildSetupLines(problem, placement, view, now), [problem, placement, view, now]);
  const beside = useMemo(() => (ghost ? [buildGhost(problem, ghost, view, now)] : []), [problem, ghost, view, now]);
  const [from, to] = [view.project([0, 0, 0]), view.project([standX, 0, standZ])];
  const by = { u: to.u - from.u, v: to.v - from.v };
  const surfaces = figure.surfaces.map((s) => ({
    key: s.key,
    from: { u: s.from.u + by.u, v: s.from.v + by.v },
    to: { u: s.to.u + by.u, v: s.to.v + by.v },
  }));
  // A layer between pixels would be drawn blurred.
  return { figure, lines, beside, surfaces, shift: { u: Math.round(by.u), v: Math.round(by.v) } };
}
