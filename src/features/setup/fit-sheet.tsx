'use client';
import dynamic from 'next/dynamic';
import { useMemo, type ReactNode } from 'react';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import type { FitSetting } from '@/core/book/fit-entry';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { strengthCurve } from '@/core/mechanics/line-profile';
import type { SetupBenchView } from '@/contract/views/setup';
import { backOnSheet } from '@/drawing/back-on-sheet';
import type { Window3 } from '@/drawing/view';
import { MovementFigure } from '@/features/movements/movement-figure';
import type { Playing } from '@/features/movements/use-playing';
import { useMovementScene } from '@/features/movements/use-movement-scene';
import { BOOK_TEXT } from '@/messages/book';
import { jointName } from '@/messages/joints';
import { loadText } from '@/messages/loads';
import { curveText, loadIn } from '@/messages/movements';
import { WORDS } from '@/messages/screens/setup';
import { BenchHandles } from './bench-handles';
import { BenchTitle } from './bench-title';
import { FigureStrip } from './figure-strip';
import { seatPitchOf } from './fit-moves';
import type { FitMoves } from './fit-plates';
import { RepTrack } from './rep-track';
import type { BenchViews } from './use-bench-views';
import styles from './setup.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), {
  ssr: false,
  loading: () => <div style={{ height: CHART_PX }} />,
});
const CHART_PX = 150;

interface Props {
  readonly context: SetupBenchView;
  readonly answer: GoodAnswer;
  readonly settings: readonly FitSetting[];
  readonly moves: FitMoves;
  readonly window: Window3;
  readonly views: BenchViews;
  readonly rep: Playing;
  readonly tools: ReactNode;
}

/** The figure on this gym's steel from the side and from above; bench and seat are moved on it. */
function FitDrawing({ answer, settings, moves, window: w, views, rep }: Props) {
  const { ref, elevation, plan, times } = views;
  const { entry, question } = answer.from;
  // A pad that stands too high is drawn where it stands.
  const padUpM = entry.armOn === 'preacher' ? (settings.find((s) => s.kind === 'seat-hole')?.gapM ?? 0) : 0;
  const side = useMovementScene(answer, elevation, rep.i, padUpM);
  const above = useMovementScene(answer, plan, rep.i, padUpM);
  const seatPitchM = seatPitchOf(entry, question.kit);
  const common = { window: w, column: null, hole: null, zoomed: times > 1 };
  return (
    <div ref={ref} className={styles.views} data-spread>
      <MovementFigure
        {...common}
        scene={side}
        view={elevation}
        label={WORDS.sideViewToScale}
        handles={
          <BenchHandles
            settings={settings}
            moves={moves}
            back={backOnSheet(entry, side.surfaces, side.armPad)}
            seat={
              seatPitchM === 0
                ? null
                : { at: side.surfaces[0]?.to ?? side.contact, holePx: seatPitchM * elevation.scale }
            }
          />
        }
      />
      <MovementFigure {...common} scene={above} view={plan} label={WORDS.viewFromAboveSameScale} />
    </div>
  );
}

/** The resistance over the rep, and the rep under the finger below it. */
function FitCurve({ context, answer, window: w, views, rep, tools }: Props) {
  const { metrics, samples, from } = answer;
  const { width } = views;
  const main = useMemo(
    () => ({ name: 'now', resistanceNm: samples.resistanceNm, strengthNm: strengthCurve(samples, metrics) }),
    [samples, metrics],
  );
  const nm = Math.round(samples.resistanceNm[rep.i]!);
  const load = loadIn(from.entry, loadText(context.item.loadG, context.unit));
  return (
    <div className={styles.curve}>
      <h2 className={styles.curveTitle}>
        <span>
          {WORDS.resistanceAtThe(jointName(posedOf(answer)), from.entry.hands === 'two' ? WORDS.eachSide : '', load)}
          <small>
            {WORDS.hatchedRestZone}
            {metrics.rightAngleAt !== null && WORDS.dottedRightAngle}
            {WORDS.thinStrength}
          </small>
        </span>
        {tools}
      </h2>
      <div className={styles.chart}>
        <ResistanceChart
          main={main}
          other={null}
          peakAt={metrics.peakAt}
          peakNm={metrics.peakResistanceNm}
          rightAngleAt={metrics.rightAngleAt}
          height={CHART_PX}
          label={curveText(metrics)}
        />
      </div>
      <RepTrack
        width={width}
        now={rep.i}
        curvePx={CHART_PX}
        onNow={rep.moveTo}
        says={WORDS.nm(nm)}
        readOut={WORDS.percentOfTheWayNm(Math.round((rep.i / LAST_SAMPLE) * 100), nm)}
      >
        <FigureStrip answer={answer} window={w} width={width} />
      </RepTrack>
    </div>
  );
}

/** The sheet of a movement without a column: title and how, drawing, curve. */
export function FitSheet(props: Props) {
  const { context } = props;
  return (
    <section className={styles.sheet} data-head aria-label={WORDS.setUpDrawing}>
      <div className={styles.head}>
        <BenchTitle context={context} className={styles.who!} />
        <p className={styles.how}>{BOOK_TEXT[context.item.movement]?.how}</p>
      </div>
      <FitDrawing {...props} />
      <FitCurve {...props} />
    </section>
  );
}
