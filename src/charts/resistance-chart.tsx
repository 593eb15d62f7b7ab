'use client';
import { useCallback } from 'react';
import { buildResistanceOption, type Curve, type MainCurve, type MomentSpan } from './resistance-series';
import { useChart, type ChartLook } from './use-chart';

interface Props {
  /** Null: axes and the other curve only, with `span` as the moment axis. */
  readonly main: MainCurve | null;
  readonly span?: MomentSpan | null;
  readonly other: Curve | null;
  readonly peakAt: number;
  readonly peakNm: number;
  readonly rightAngleAt: number | null;
  readonly height: number;
  readonly label: string;
}

/** Resistance over the rep; redrawn as things are dragged. */
export default function ResistanceChart({
  main,
  other,
  peakAt,
  peakNm,
  rightAngleAt,
  height,
  label,
  span = null,
}: Props) {
  const build = useCallback(
    (look: ChartLook) => buildResistanceOption({ main, other, peakAt, peakNm, rightAngleAt, span, ...look }),
    [main, other, peakAt, peakNm, rightAngleAt, span],
  );
  return <div ref={useChart(build)} role="img" aria-label={label} style={{ height, width: '100%' }} />;
}
