'use client';
import { IconPlayerPause, IconPlayerPlay } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { BookEntry } from '@/core/book/book-entry';
import { entryBodyAt } from '@/core/book/pose-entry';
import type { EntryAnswer } from '@/core/book/solve-entry';
import type { Column } from '@/core/kit/column';
import { holeHeightM } from '@/core/kit/column';
import { buildRep } from '@/core/tempo/pace';
import { parseTempo, repSeconds } from '@/core/tempo/tempo';
import { buildMovementScene, extentOf, movementWindow } from '@/drawing/movement-scene';
import { elevationView, MARGIN, planView } from '@/drawing/view';
import type { Curve } from '@/charts/resistance-series';
import type { ChoosingData } from '@/contract/choosing-data';
import { MovementFigure } from './movement-figure';
import styles from './movements.module.css';

const ResistanceChart = dynamic(() => import('@/charts/resistance-chart'), { ssr: false, loading: () => <div style={{ height: CHART_PX }} /> });
const CHART_PX = 150;
const VIEW_WIDTH = 400;
const VIEW_HEIGHT = 380;
const LAST = 40;
const STEP = 2;

type Solved = Extract<EntryAnswer, { ok: true }>;

/** Position in the range, 0 to 1, `t` seconds into the tempo; a rep after another. */
function positionAt(tempo: string, startsWith: 'lifting' | 'lowering', t: number): number {
  const parsed = parseTempo(tempo)!;
  const within = t % repSeconds(parsed);
  const legs = buildRep(parsed, startsWith);
  const leg = legs.find((l) => within < l.startS + l.seconds) ?? legs[legs.length - 1]!;
  return leg.from + (leg.to - leg.from) * Math.min(1, (within - leg.startS) / leg.seconds);
}

/** The weight every curve of the book is shown at; body weight and bands are themselves. */
export const SHOWN_KG = 15;
const WEIGHT_TEXT: Readonly<Record<BookEntry['load']['kind'], string>> = { cable: ' kg on the stack', machine: ' kg on the stack', weight: ' kg', landmine: ' kg of plates', body: '', none: '' };
const weightText = (e: BookEntry): string => (WEIGHT_TEXT[e.load.kind] ? `, ${SHOWN_KG}${WEIGHT_TEXT[e.load.kind]}` : '');

/** The joint the movement turns about. */
export function jointOf({ posed: { target, path } }: Solved): string {
  if (target.joint === 'middle') return path.chain === 'leg' ? 'knee' : 'elbow';
  return path.chain === 'leg' || path.chain === 'trunk' ? 'hip' : 'shoulder';
}

/** What the posture lies or sits on, for the drawing. */
function restsOn(e: BookEntry): 'seat' | 'back' | 'front' | null {
  const { posture } = e;
  if (posture.kind === 'lying') return posture.on === 'front' ? 'front' : posture.on === 'back' ? 'back' : 'seat';
  if (posture.kind === 'leg-machine') return 'back';
  return posture.kind === 'seated' ? (posture.on === 'bench' && posture.backDeg < 95 && e.load.kind !== 'cable' ? 'back' : 'seat') : null;
}

/** The movement on this body: moved through by finger or played at its tempo; figure and curve move together. */
export function MovementPlayer({ entry, answer, data, column, beside }: { readonly entry: BookEntry; readonly answer: Solved; readonly data: ChoosingData; readonly column: Column | null; readonly beside: Curve | null }) {
  const [i, setI] = useState(LAST);
  const [playing, setPlaying] = useState(false);
  const clock = useRef(0);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    const began = performance.now() - clock.current;
    const draw = (now: number): void => {
      clock.current = now - began;
      setI(Math.round(positionAt(entry.tempo, entry.startsWith, clock.current / 1000) * LAST));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [playing, entry]);
  const { posed, side, placement, pulley } = answer;
  const both = entry.hands === 'two';
  const shared = entry.load.kind === 'cable' && entry.load.shared;
  const { window3, elevation, plan } = useMemo(() => {
    const poses = [0, 20, 40].map((k) => entryBodyAt(entry, data.body, posed, side, data.surfaces, k));
    const top = column ? Math.max(...Array.from({ length: column.holes }, (_, k) => holeHeightM(column, k + 1))) : null;
    const w = movementWindow(extentOf(poses, posed.path, both, placement, pulley), top);
    const scale = Math.min((VIEW_WIDTH - MARGIN.left - MARGIN.right) / (w.maxX - w.minX), (VIEW_HEIGHT - MARGIN.top - MARGIN.bottom) / Math.max(w.maxY, w.maxZ - w.minZ));
    return { window3: w, elevation: elevationView(w, scale), plan: planView(w, scale) };
  }, [entry, data, posed, side, placement, pulley, both, column]);
  const scene = useMemo(() => {
    const pose = entryBodyAt(entry, data.body, posed, side, data.surfaces, i);
    const input = { body: data.body, pose, path: posed.path, side, both, placement, pulley, shared, rests: restsOn(entry), i };
    return { elevation: buildMovementScene(input, elevation), plan: buildMovementScene(input, plan) };
  }, [entry, data, posed, side, placement, pulley, both, shared, i, elevation, plan]);
  const main = useMemo(() => ({ name: 'now', resistanceNm: answer.samples.resistanceNm }), [answer]);
  const { metrics } = answer;
  const joint = jointOf(answer);
  return (
    <div>
      <div className={styles.views}>
        <MovementFigure scene={scene.elevation} view={elevation} window={window3} column={column} hole={placement?.hole ?? null} label="Side view, to scale" />
        <MovementFigure scene={scene.plan} view={plan} window={window3} column={column} hole={placement?.hole ?? null} label="View from above, same scale" />
      </div>
      <div className={styles.scrub}>
        <button type="button" onClick={() => setPlaying(!playing)} aria-label={playing ? 'Pause' : `Play at ${entry.tempo}`}>
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
          aria-valuetext={`${Math.round((i / LAST) * 100)} percent of the way, ${Math.round(answer.samples.resistanceNm[i]!)} newton metres`}
          onChange={(e) => {
            setPlaying(false);
            setI(Number(e.currentTarget.value));
          }}
          onKeyDown={(e) => {
            const by = e.key === 'PageUp' ? STEP * 4 : e.key === 'PageDown' ? -STEP * 4 : 0;
            if (by !== 0) {
              e.preventDefault();
              setI(Math.min(LAST, Math.max(0, i + by)));
            }
          }}
        />
        <output data-testid="now-nm">{Math.round(answer.samples.resistanceNm[i]!)} Nm</output>
      </div>
      <h2 className={styles.curveTitle}>
        Resistance at the {joint}
        {both ? ', each side' : ''}
        {weightText(entry)}
        <span>hatched: rest zone{metrics.rightAngleAt !== null && '; dotted: pull at a right angle'}</span>
      </h2>
      <ResistanceChart
        main={main}
        other={beside}
        peakAt={metrics.peakAt}
        peakNm={metrics.peakResistanceNm}
        rightAngleAt={metrics.rightAngleAt}
        height={CHART_PX}
        label={`Resistance over the rep: peak ${Math.round(metrics.peakResistanceNm)} newton metres at ${Math.round(metrics.peakAt * 100)} percent of the range, rest zone ${Math.round(metrics.restShare * 100)} percent`}
      />
    </div>
  );
}
