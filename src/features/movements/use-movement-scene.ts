import { useMemo } from 'react';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { holeHeightM, type Column } from '@/core/kit/column';
import { LAST_SAMPLE, MIDDLE_SAMPLE } from '@/core/movement/chain-path';
import { buildMovementScene, extentOf, heldExtent, movementWindow } from '@/drawing/movement-scene';
import { elevationView, MARGIN, planView } from '@/drawing/view';

const VIEW_WIDTH = 400;
const VIEW_HEIGHT = 380;

const topHoleM = (column: Column): number =>
  Math.max(...Array.from({ length: column.holes }, (_, k) => holeHeightM(column, k + 1)));

/** Both views of an answered movement at a sample of its range, to one scale. */
export function useMovementScene(answer: GoodAnswer, column: Column | null, padUpM: number, i: number) {
  const { placement, pulley, from } = answer;
  const { entry } = from;
  const posed = posedOf(answer);
  const both = entry.hands === 'two';
  const { anchor } = posed;
  const views = useMemo(() => {
    const at = [0, MIDDLE_SAMPLE, LAST_SAMPLE].map((k) => posed.bodyAt(k));
    const extent = [
      ...extentOf(at, posed.path, both, placement, pulley),
      ...(anchor ? [anchor] : []),
      ...heldExtent(from, posed, placement),
    ];
    const window3 = movementWindow(extent, column && topHoleM(column));
    const scale = Math.min(
      (VIEW_WIDTH - MARGIN.left - MARGIN.right) / (window3.maxX - window3.minX),
      (VIEW_HEIGHT - MARGIN.top - MARGIN.bottom) / Math.max(window3.maxY, window3.maxZ - window3.minZ),
    );
    return { window3, elevation: elevationView(window3, scale), plan: planView(window3, scale) };
  }, [from, posed, placement, pulley, both, column, anchor]);
  const scene = useMemo(() => {
    const input = { from, posed, placement, pulley, padUpM, i };
    return { elevation: buildMovementScene(input, views.elevation), plan: buildMovementScene(input, views.plan) };
  }, [from, posed, placement, pulley, padUpM, i, views]);
  return { ...views, scene };
}
