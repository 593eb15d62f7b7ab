'use client';
import { useDebouncedValue } from '@mantine/hooks';
import dynamic from 'next/dynamic';
import { memo, useMemo, type ReactNode } from 'react';
import { LiveCurve } from '@/charts/live-curve';
import { momentSpan } from '@/charts/resistance-series';
import { strengthCurve } from '@/core/mechanics/line-profile';
import { jointName } from '@/messages/joints';
import { REGION_NAME } from '@/messages/movements';
import { ArmTrack } from './arm-track';
import type { Beside } from './use-beside';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), {
  ssr: false,
  loading: () => <div style={{ height: CHART_PX }} />,
});
const CHART_PX = 150;
const SETTLED_MS = 400;

interface Props {
  readonly setup: BenchSetup;
  readonly other: Beside['other'];
  readonly loadSays: string;
  readonly width: number;
  readonly now: number;
  readonly onNow: (i: number) => void;
  /** Keys, closer look and playing, beside the title. */
  readonly tools: ReactNode;
}

interface AxesProps {
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly label: string;
}

/** The axes: drawn anew only when they change. */
const Axes = memo(function Axes({ min, max, step, label }: AxesProps) {
  const span = useMemo(() => ({ min, max, step }), [min, max, step]);
  return (
    <ResistanceChart
      main={null}
      span={span}
      other={null}
      peakAt={0}
      peakNm={0}
      rightAngleAt={null}
      height={CHART_PX}
      label={label}
    />
  );
});

const curveOf = ({ shown }: BenchSetup) => {
  const { metrics, samples } = shown.bySide[shown.worse]!;
  return { name: 'now', resistanceNm: samples.resistanceNm, strengthNm: strengthCurve(samples, metrics) };
};

/** The resistance over the rep, with the rep under the finger below it. */
export const BenchCurve = memo(function BenchCurve({ setup, other, loadSays, width, now, onNow, tools }: Props) {
  const { problem, shown } = setup;
  // Axes and words hold still until the finger rests.
  const held = useMemo(() => ({ setup, other }), [setup, other]);
  const [settled] = useDebouncedValue(held, SETTLED_MS);
  const told = settled.setup.shown.metrics;
  const span = momentSpan(curveOf(settled.setup), settled.other, told.peakResistanceNm);
  return (
    <div className={styles.curve}>
      <h2 className={styles.curveTitle}>
        <span>
          {WORDS.resistanceAtTheOnThe(
            jointName(problem.limbAt(shown.worse, shown.placement)),
            problem.sides.length === 2 ? WORDS.eachSide : '',
            loadSays,
          )}
          <small>
            {WORDS.hatchedRestZone}
            {shown.metrics.rightAngleAt !== null && WORDS.dottedRightAngle}
            {WORDS.thinStrength}
            {WORDS.dashesOnTheBodyLine(REGION_NAME[problem.region])}
          </small>
        </span>
        {tools}
      </h2>
      <div className={styles.chart}>
        <Axes
          {...span}
          label={WORDS.resistanceOverTheRepPeak(
            Math.round(told.peakResistanceNm),
            Math.round(told.peakAt * 100),
            Math.round(told.restShare * 100),
          )}
        />
        <LiveCurve
          main={curveOf(setup)}
          other={other}
          peakAt={shown.metrics.peakAt}
          peakNm={shown.metrics.peakResistanceNm}
          rightAngleAt={shown.metrics.rightAngleAt}
          span={span}
          width={width}
          height={CHART_PX}
        />
      </div>
      <ArmTrack setup={setup} width={width} now={now} curvePx={CHART_PX} onNow={onNow} />
    </div>
  );
});
