import { useMemo } from 'react';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { holeHeightM, type Column } from '@/core/kit/column';
import { LAST_SAMPLE, MIDDLE_SAMPLE } from '@/core/movement/chain-path';
import { buildMovementScene, extentOf, gearExtent, movementWindow } from '@/drawing/movement-scene';
import { elevationView, MARGIN, planView, type View, type Window3 } from '@/drawing/view';

const VIEW_WIDTH = 400;
const VIEW_HEIGHT = 380;

const topHoleM = (column: Column): number =>
  Math.max(...Array.from({ length: column.holes }, (_, k) => holeHeightM(column, k + 1)));

/** Everything that a movement reaches over its range, with what it holds and the column it stands at. */
export function useMovementWindow(answer: GoodAnswer, column: Column | null): Window3 {
  const { placement, pulley, from } = answer;
  const posed = posedOf(answer);
  return useMemo(() => {
    const at = [0, MIDDLE_SAMPLE, LAST_SAMPLE].map((k) => posed.bodyAt(k));
    const extent = [
      ...extentOf(at, posed.path, from.entry.hands === 'two', placement, pulley),
      ...(posed.anchor ? [posed.anchor] : []),
      ...gearExtent(from, posed, placement),
    ];
    return movementWindow(extent, column && topHoleM(column));
  }, [from, posed, placement, pulley, column]);
}

/** Room for both views over each other, or for each of them in a box of one size. */
export type ViewRoom = { readonly width: number; readonly stacked: number } | null;

/** Both views of an answered movement to one scale. */
export function useMovementViews(
  window3: Window3,
  room: ViewRoom = null,
): { readonly elevation: View; readonly plan: View } {
  return useMemo(() => {
    const [tall, broad] = [window3.maxY, window3.maxZ - window3.minZ];
    const margins = MARGIN.top + MARGIN.bottom;
    const scale = Math.min(
      ((room?.width ?? VIEW_WIDTH) - MARGIN.left - MARGIN.right) / (window3.maxX - window3.minX),
      room ? (room.stacked - 2 * margins) / (tall + broad) : (VIEW_HEIGHT - margins) / Math.max(tall, broad),
    );
    return { elevation: elevationView(window3, scale), plan: planView(window3, scale) };
  }, [window3, room]);
}

/** An answered movement in a view at a sample of its range; `padUpM`: how far a pad stands above where it should. */
export function useMovementScene(answer: GoodAnswer, view: View, i: number, padUpM = 0) {
  const { placement, pulley, from } = answer;
  const posed = posedOf(answer);
  return useMemo(
    () => buildMovementScene({ from, posed, placement, pulley, padUpM, i }, view),
    [from, posed, placement, pulley, padUpM, i, view],
  );
}
