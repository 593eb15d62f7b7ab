'use client';
import { useMemo } from 'react';
import type { Body } from '@/core/body/body-model';
import { Silhouettes } from '@/drawing/silhouettes';
import { buildStandingFigure } from '@/drawing/standing-figure';
import { px } from '@/drawing/svg-number';
import drawing from '@/drawing/drawing.module.css';
import { MEASURE_LABEL } from '@/messages/measures';
import styles from './client.module.css';

const HEIGHT = 640;
const WIDTH = 470;
const TALLEST_M = 2.05;

/** The client to scale, each height solid when measured and dashed when estimated, always with its number. */
export function BodyFigure({ body, onMeasure }: { readonly body: Body; readonly onMeasure: (name: string) => void }) {
  const figure = useMemo(() => buildStandingFigure(body, Math.max(TALLEST_M, body.statureM), HEIGHT, WIDTH), [body]);
  return (
    <svg className={drawing.sheet} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" style={{ maxWidth: WIDTH }} data-testid="body-figure" aria-label="Figure to scale with heights">
      <line className={drawing.rule} x1={70} x2={WIDTH - 70} y1={px(figure.floorV)} y2={px(figure.floorV)} />
      {figure.lines.map((l) => {
        const edge = l.column === 'left' ? 118 : WIDTH - 118;
        return (
          <path
            key={l.name}
            className={l.source === 'measured' ? styles.measuredLine : styles.estimatedLine}
            d={`M${px(figure.midU)} ${px(l.v)}H${edge}L${l.column === 'left' ? edge - 14 : edge + 14} ${px(l.labelV)}`}
          />
        );
      })}
      <Silhouettes shapes={figure.silhouettes} />
      <line className={styles.measuredLine} x1={px(figure.midU - 40)} x2={px(figure.midU + 40)} y1={px(figure.crownV)} y2={px(figure.crownV)} />
      {figure.lines.map((l) => {
        const left = l.column === 'left';
        return (
          <g key={l.name} className={styles.heightLabel} onClick={() => onMeasure(l.name)} data-testid={`height-${l.name}`} data-source={l.source}>
            <rect x={left ? 0 : WIDTH - 102} y={px(l.labelV - 12)} width={102} height={20} fill="transparent" />
            <text className={drawing.figure} x={left ? 100 : WIDTH - 100} y={px(l.labelV + 4.5)} textAnchor={left ? 'end' : 'start'}>
              {MEASURE_LABEL[l.name]}{' '}
              <tspan className={l.source === 'measured' ? styles.measuredNumber : styles.estimatedNumber}>{l.cm.toFixed(1)}</tspan>
            </text>
          </g>
        );
      })}
    </svg>
  );
}
