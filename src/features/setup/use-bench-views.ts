'use client';
import { useElementSize, useMergedRef } from '@mantine/hooks';
import { useMemo } from 'react';
import { closer, elevationView, MARGIN, planView, type Window3 } from '@/drawing/view';
import { useZoom } from './use-zoom';

/** The client's name stands above the elevation. */
const TITLE_PX = 46;
const FIRST_WIDTH_PX = 820;
const FIRST_HEIGHT_PX = 440;
/** Narrower than this the views stand under each other. */
const BESIDE_PX = 640;
const LEAST_SCALE = 90;

/**
 * Elevation and plan to one scale in the room there is, looked at as close as asked. `titlePx`: what the title over the
 * elevation takes of it.
 */
export function useBenchViews(window3: Window3, titlePx = TITLE_PX) {
  const { ref, width, height } = useElementSize();
  const whole = useMemo(() => {
    const w = width || FIRST_WIDTH_PX;
    const h = height || FIRST_HEIGHT_PX;
    const edges = MARGIN.left + MARGIN.right;
    const beside = w > BESIDE_PX;
    const byWidth = (w / (beside ? 2 : 1) - edges - (beside ? 8 : 0)) / (window3.maxX - window3.minX);
    const rulers = MARGIN.top + MARGIN.bottom;
    const byHeight = Math.min((h - rulers - titlePx) / window3.maxY, (h - rulers) / (window3.maxZ - window3.minZ));
    const scale = beside ? Math.min(byWidth, Math.max(byHeight, LEAST_SCALE)) : byWidth;
    return [elevationView(window3, scale), planView(window3, scale)] as const;
  }, [width, height, window3, titlePx]);
  const { zoom, sheet, step, whole: showWhole } = useZoom(window3, whole);
  const [elevation, plan] = useMemo(
    () => [closer(whole[0], window3, zoom), closer(whole[1], window3, zoom)] as const,
    [whole, window3, zoom],
  );
  return {
    ref: useMergedRef(ref, sheet),
    elevation,
    plan,
    width: width || FIRST_WIDTH_PX,
    times: zoom.times,
    step,
    showWhole,
  };
}

export type BenchViews = ReturnType<typeof useBenchViews>;
