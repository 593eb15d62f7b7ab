'use client';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useMemo } from 'react';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import type { BookEntry } from '@/core/book/book-entry';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import type { Curve } from '@/charts/resistance-series';
import { jointName } from '@/messages/joints';
import { curveText, loadIn } from '@/messages/movements';
import { SHOWN_KG } from './movement-answer';
import { MovementFigure } from './movement-figure';
import { useMovementScene, useMovementViews, useMovementWindow } from './use-movement-scene';
import { strengthCurve } from '@/core/mechanics/line-profile';
import { usePlaying, type Playing } from './use-playing';
import { WORDS } from '@/messages/screens/movements';
import styles from './movements.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), {
  ssr: false,
  loading: () => <div style={{ height: CHART_PX }} />,
});
const CHART_PX = 150;
/** Samples that a page key moves through. */
const PAGE = 8;

interface Props {
  readonly answer: GoodAnswer;
  readonly beside: Curve | null;
}

/** Moves through the range: played at its tempo, or by finger and keys. */
function Scrubber({
  entry,
  playing,
  nowNm,
}: {
  readonly entry: BookEntry;
  readonly playing: Playing;
  readonly nowNm: number;
}) {
  const { i, moveTo, toggle } = playing;
  return (
    <div className={styles.scrub}>
      <button type="button" onClick={toggle} aria-label={playing.playing ? WORDS.pause : WORDS.playAt(entry.tempo)}>
        {playing.playing ? <IconPlayerPause stroke={1.5} aria-hidden /> : <IconPlayerPlay stroke={1.5} aria-hidden />}
        <span>{entry.tempo}</span>
      </button>
      <input
        type="range"
        min={0}
        max={LAST_SAMPLE}
        step={1}
        value={i}
        aria-label={WORDS.placeInTheRange}
        aria-valuetext={WORDS.percentOfTheWayNewton(Math.round((i / LAST_SAMPLE) * 100), nowNm)}
        onChange={(e) => moveTo(Number(e.currentTarget.value))}
        onKeyDown={(e) => {
          const by = e.key === 'PageUp' ? PAGE : e.key === 'PageDown' ? -PAGE : 0;
          if (by !== 0) {
            e.preventDefault();
            moveTo(i + by);
          }
        }}
      />
      <output data-testid="now-nm">{nowNm} Nm</output>
    </div>
  );
}

/** The resistance over the rep. */
function MovementCurve({ answer, beside }: Props) {
  const { metrics, samples, from } = answer;
  const { entry } = from;
  const posed = posedOf(answer);
  const main = useMemo(
    () => ({ name: 'now', resistanceNm: samples.resistanceNm, strengthNm: strengthCurve(samples, metrics) }),
    [samples, metrics],
  );
  return (
    <>
      <h2 className={styles.curveTitle}>
        {WORDS.resistanceAtThe(
          jointName(posed),
          entry.hands === 'two' ? WORDS.eachSide : '',
          loadIn(entry, `${SHOWN_KG} kg`),
        )}
        <span>
          {WORDS.hatchedRestZone}
          {metrics.rightAngleAt !== null && WORDS.dottedPullAtARight}
          {WORDS.thinStrength}
        </span>
      </h2>
      <ResistanceChart
        main={main}
        other={beside}
        peakAt={metrics.peakAt}
        peakNm={metrics.peakResistanceNm}
        rightAngleAt={metrics.rightAngleAt}
        height={CHART_PX}
        label={curveText(metrics)}
      />
    </>
  );
}

/** The movement on this body: moved through by finger or played at its tempo; figure and curve move together. */
export function MovementPlayer({ answer, beside }: Props) {
  const { entry, question } = answer.from;
  const playing = usePlaying(entry.tempo, entry.startsWith);
  const column = question.column?.column ?? null;
  const window3 = useMovementWindow(answer, column);
  const { elevation, plan } = useMovementViews(window3);
  const side = useMovementScene(answer, elevation, playing.i);
  const above = useMovementScene(answer, plan, playing.i);
  const common = { window: window3, column, hole: answer.placement?.hole ?? null };
  return (
    <div>
      <div className={styles.views}>
        <MovementFigure {...common} scene={side} view={elevation} label={WORDS.sideViewToScale} />
        <MovementFigure {...common} scene={above} view={plan} label={WORDS.viewFromAboveSameScale} />
      </div>
      <Scrubber entry={entry} playing={playing} nowNm={Math.round(answer.samples.resistanceNm[playing.i]!)} />
      <MovementCurve answer={answer} beside={beside} />
    </div>
  );
}
