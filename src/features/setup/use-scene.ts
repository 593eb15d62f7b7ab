import { useMemo } from 'react';
import { buildSetupFigure, buildSetupLines, type Ghost } from '@/drawing/setup-scene';
import { restOn } from '@/drawing/rest-on';
import { px } from '@/drawing/svg-number';
import type { View } from '@/drawing/view';
import type { SetupView } from './use-setup';

/** The scene of a view: the figure is built where the pulleys' line meets the middle and moved as a whole, the lines follow every move. */
export function useScene({ problem, placement, entry }: SetupView, view: View, now: number, ghost: Ghost | null) {
  const { standX, standZ, yawDeg } = placement;
  const figure = useMemo(() => buildSetupFigure(problem, { standX: 0, standZ: 0, yawDeg }, restOn(entry), view, now), [problem, yawDeg, entry, view, now]);
  const lines = useMemo(() => buildSetupLines(problem, placement, view, now, ghost), [problem, placement, view, now, ghost]);
  const [from, to] = [view.project([0, 0, 0]), view.project([standX, 0, standZ])];
  const shift = { u: to.u - from.u, v: to.v - from.v };
  const surfaces = figure.surfaces.map((s) => ({ key: s.key, from: { u: s.from.u + shift.u, v: s.from.v + shift.v }, to: { u: s.to.u + shift.u, v: s.to.v + shift.v } }));
  return { figure, lines, surfaces, move: `translate(${px(shift.u)} ${px(shift.v)})` };
}
