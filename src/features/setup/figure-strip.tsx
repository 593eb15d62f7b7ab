'use client';
import { useMemo } from 'react';
import { posedOf, type GoodAnswer } from '@/core/book/answer-question';
import { LAST_SAMPLE } from '@/core/movement/chain-path';
import { GearShapes } from '@/drawing/gear-shapes';
import { buildMovementScene } from '@/drawing/movement-scene';
import { Silhouettes } from '@/drawing/silhouettes';
import { px } from '@/drawing/svg-number';
import { elevationView, MARGIN, type Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import { columnOf } from './rep-track';

const HEIGHT = 58;
const SHOWN = [0, 1, 2, 3, 4].map((quarter) => (quarter * LAST_SAMPLE) / 4);

interface Props {
  readonly answer: GoodAnswer;
  readonly window: Window3;
  readonly width: number;
}

/** The movement from the side at five points of the rep, right below the same points of the curve. */
export function FigureStrip({ answer, window: w, width }: Props) {
  const figures = useMemo(() => {
    const view = elevationView(w, HEIGHT / w.maxY);
    const from = { from: answer.from, posed: posedOf(answer), placement: null, pulley: null };
    return SHOWN.map((i) => ({ i, scene: buildMovementScene({ ...from, i }, view) }));
  }, [answer, w]);
  // The middle of a small figure stands below its point; the first and last one stay on the sheet.
  const half = ((w.maxX - w.minX) * HEIGHT) / w.maxY / 2;
  const at = (i: number): number => Math.min(width - half, Math.max(half, columnOf(i, width)));
  return (
    <svg className={styles.strip} data-small width={px(width)} height={HEIGHT} aria-hidden>
      {figures.map(({ i, scene }) => (
        <g key={i} transform={`translate(${px(at(i) - half - MARGIN.left)} ${px(-MARGIN.top)})`}>
          <Silhouettes shapes={scene.back} />
          <Silhouettes shapes={scene.front} />
          <GearShapes shapes={scene.held} />
          <circle className={styles.hand} cx={px(scene.contact.u)} cy={px(scene.contact.v)} r={3.5} />
        </g>
      ))}
    </svg>
  );
}
