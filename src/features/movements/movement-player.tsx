'use client';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useMemo, type ReactNode } from 'react';
import type { BookEntry } from '@/core/book/book-entry';
import type { Body } from '@/core/body/body-model';
import { anchorOf } from '@/core/book/entry-load';
import { entryBodyAt } from '@/core/book/pose-entry';
import type { StationKit } from '@/core/book/station-kit';
import type { EntryAnswer } from '@/core/book/solve-entry';
import type { Column } from '@/core/kit/column';
import { holeHeightM } from '@/core/kit/column';
import { buildMovementScene, extentOf, movementWindow, type MovementScene } from '@/drawing/movement-scene';
import { restOn } from '@/drawing/rest-on';
import { elevationView, MARGIN, planView, type View } from '@/drawing/view';
import type { Curve } from '@/charts/resistance-series';
import { jointName } from '@/messages/joints';
import { MovementFigure } from './movement-figure';
import { usePlaying } from './use-playing';
import styles from './movements.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), {
  ssr: false,
  loading: () => <div style={{ height: CHART_PX }} />,
});
const CHART_PX = 150;
const VIEW_WIDTH = 400;
const VIEW_HEIGHT = 380;
const LAST = 40;
const STEP = 2;

type Solved = Extract<EntryAnswer, { ok: true }>;

/** The weight every curve of the book is shown at; body weight and bands are themselves. */
export const SHOWN_KG = 15;
/** What follows a load; null where nothing is loaded. */
const AFTER_LOAD: Readonly<Record<BookEntry['load']['kind'], string | null>> = {
  cable: ' on the stack',
  machine: ' on the stack',
  weight: '',
  landmine: ' of plates',
  body: null,
  none: null,
};
const loadIn = (e: BookEntry, loadSays: string): string =>
  AFTER_LOAD[e.load.kind] === null ? '' : `, ${loadSays}${AFTER_LOAD[e.load.kind]}`;

interface Props {
  readonly entry: BookEntry;
  readonly answer: Solved;
  readonly body: Body;
  readonly kit: StationKit;
  readonly column: Column | null;
  readonly beside: Curve | null;
  readonly loadSays?: string;
  readonly padUpM?: number;
  /** What can be taken hold of on the side view. */
  readonly handles?: (scene: MovementScene, view: View) => ReactNode;
}

/** The movement on this body: moved through by finger or played at its tempo; figure and curve move together. */
export function MovementPlayer({
  entry,
  answer,
  body,
  kit,
  column,
  beside,
  loadSays = `${SHOWN_KG} kg`,
  padUpM = 0,
  handles,
}: Props) {
  const { i, playing, moveTo, toggle } = usePlaying(entry.tempo, entry.startsWith);
  const { posed, side, placement, pulley } = answer;
  const { surfaces } = kit;
  const both = entry.hands === 'two';
  const shared = entry.load.kind === 'cable' && entry.load.shared;
  const anchor = useMemo(() => anchorOf(entry, posed, kit), [entry, posed, kit]);
  const { window3, elevation, plan } = useMemo(() => {
    const poses = [0, 20, 40].map((k) => entryBodyAt(entry, body, posed, side, surfaces, k));
    const top = column ? Math.max(...Array.from({ length: column.holes }, (_, k) => holeHeightM(column, k + 1))) : null;
    const w = movementWindow(
      [...extentOf(poses, posed.path, both, placement, pulley), ...(anchor ? [anchor] : [])],
      top,
    );
    const scale = Math.min(
      (VIEW_WIDTH - MARGIN.left - MARGIN.right) / (w.maxX - w.minX),
      (VIEW_HEIGHT - MARGIN.top - MARGIN.bottom) / Math.max(w.maxY, w.maxZ - w.minZ),
    );
    return { window3: w, elevation: elevationView(w, scale), plan: planView(w, scale) };
  }, [entry, body, surfaces, posed, side, placement, pulley, both, column, anchor]);
  const scene = useMemo(() => {
    const pose = entryBodyAt(entry, body, posed, side, surfaces, i);
    const input = {
      body,
      pose,
      path: posed.path,
      side,
      both,
      placement,
      pulley,
      shared,
      rests: restOn(entry),
      armOn: entry.armOn !== null,
      padUpM,
      anchor,
      i,
    };
    return { elevation: buildMovementScene(input, elevation), plan: buildMovementScene(input, plan) };
  }, [entry, body, surfaces, posed, side, placement, pulley, both, shared, padUpM, anchor, i, elevation, plan]);
  const main = useMemo(() => ({ name: 'now', resistanceNm: answer.samples.resistanceNm }), [answer]);
  const { metrics } = answer;
  const joint = jointName(answer.posed);
  return (
    <div>
      <div className={styles.views}>
        <MovementFigure
          scene={scene.elevation}
          view={elevation}
          window={window3}
          column={column}
          hole={placement?.hole ?? null}
          label="Side view, to scale"
          handles={handles?.(scene.elevation, elevation)}
        />
        <MovementFigure
          scene={scene.plan}
          view={plan}
          window={window3}
          column={column}
          hole={placement?.hole ?? null}
          label="View from above, same scale"
        />
      </div>
      <div className={styles.scrub}>
        <button type="button" onClick={toggle} aria-label={playing ? 'Pause' : `Play at ${entry.tempo}`}>
          {playing ? <IconPlayerPause stroke={1.5} aria-hidden /> : <IconPlayerPlay stroke={1.5} aria-hidden />}
          <span>{entry.tempo}</span>
        </button>
        <input
          type="range"
          min={0}
          max={LAST}
          step={1}
          value={i}
          aria-label="Place in the range"
          aria-valuetext={
            `${Math.round((i / LAST) * 100)} percent of the ` +
            `way, ${Math.round(answer.samples.resistanceNm[i]!)} newton metres`
          }
          onChange={(e) => moveTo(Number(e.currentTarget.value))}
          onKeyDown={(e) => {
            const by = e.key === 'PageUp' ? STEP * 4 : e.key === 'PageDown' ? -STEP * 4 : 0;
            if (by !== 0) {
              e.preventDefault();
              moveTo(i + by);
            }
          }}
        />
        <output data-testid="now-nm">{Math.round(answer.samples.resistanceNm[i]!)} Nm</output>
      </div>
      <h2 className={styles.curveTitle}>
        Resistance at the {joint}
        {both ? ', each side' : ''}
        {loadIn(entry, loadSays)}
        <span>hatched: rest zone{metrics.rightAngleAt !== null && '; dotted: pull at a right angle'}</span>
      </h2>
      <ResistanceChart
        main={main}
        other={beside}
        peakAt={metrics.peakAt}
        peakNm={metrics.peakResistanceNm}
        rightAngleAt={metrics.rightAngleAt}
        height={CHART_PX}
        label={
          `Resistance over the rep: peak ${Math.round(metrics.peakResistanceNm)} newton metres ` +
          `at ${Math.round(metrics.peakAt * 100)} percent of the range, rest ` +
          `zone ${Math.round(metrics.restShare * 100)} percent`
        }
      />
    </div>
  );
}
