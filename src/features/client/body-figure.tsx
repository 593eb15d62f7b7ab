'use client';
import { useMemo } from 'react';
import { sizeOf, type Body } from '@/core/body/body-model';
import {
  HEIGHT_NAMES,
  LENGTH_NAMES,
  type HeightName,
  type LengthName,
  type MeasureName,
} from '@/core/body/segment-ratios';
import { buildSeatedFigure } from '@/drawing/seated-figure';
import { useSaidIn } from '@/features/shell/said-in';
import { figureText } from '@/messages/numbers';
import { Silhouettes } from '@/drawing/silhouettes';
import { buildStandingFigure } from '@/drawing/standing-figure';
import { px } from '@/drawing/svg-number';
import drawing from '@/drawing/drawing.module.css';
import { MEASURE_LABEL } from '@/messages/measures';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

const HEIGHT = 430;
const WIDTH = 470;
const TALLEST_M = 2.05;
const SEATED_HEIGHT = 236;

/** Pixels to a metre: the tallest client sits within the box. */
const SEATED_SCALE = 142;

const lineLook = (source: string): string | undefined =>
  source === 'measured' ? styles.measuredLine : styles.estimatedLine;
const numberLook = (source: string): string | undefined =>
  source === 'measured' ? styles.measuredNumber : styles.estimatedNumber;

/** Where the tape goes for the measure that is being asked for, and its number. */
function Shown({
  figure,
  name,
  cm,
}: {
  readonly figure: ReturnType<typeof buildStandingFigure>;
  readonly name: MeasureName;
  readonly cm: string;
}) {
  const span = LENGTH_NAMES.includes(name as LengthName) ? figure.spans[name as LengthName] : null;
  const height = HEIGHT_NAMES.includes(name as HeightName) ? figure.lines.find((l) => l.name === name) : null;
  const [a, b] =
    span ??
    (height
      ? [
          { u: figure.midU + 120, v: figure.floorV },
          { u: figure.midU + 120, v: height.v },
        ]
      : [null, null]);
  if (!a || !b) return null;
  return (
    <g data-testid="tape">
      {height && <line className={styles.tapeThin} x1={px(figure.midU - 60)} x2={px(a.u)} y1={px(b.v)} y2={px(b.v)} />}
      <line className={styles.tape} x1={px(a.u)} y1={px(a.v)} x2={px(b.u)} y2={px(b.v)} />
      <circle className={drawing.carriage} cx={px(a.u)} cy={px(a.v)} r={5} />
      <circle className={drawing.carriage} cx={px(b.u)} cy={px(b.v)} r={5} />
      <text className={styles.tapeText} x={WIDTH / 2} y={14} textAnchor="middle">
        {WORDS.tapeNow(MEASURE_LABEL[name].toLowerCase(), cm)}
      </text>
    </g>
  );
}

/**
 * The client to scale, standing and seated; each height solid when measured and dashed when estimated, always with its
 * number.
 */
export function BodyFigure({
  body,
  shown,
  onMeasure,
}: {
  readonly body: Body;
  readonly shown: MeasureName | null;
  readonly onMeasure: (name: MeasureName) => void;
}) {
  const saidIn = useSaidIn();
  const figure = useMemo(() => buildStandingFigure(body, Math.max(TALLEST_M, body.statureM), HEIGHT, WIDTH), [body]);
  const seated = useMemo(() => buildSeatedFigure(body, SEATED_SCALE, WIDTH, SEATED_HEIGHT), [body]);
  const seatedShown = seated.lines.find((l) => l.name === shown);
  return (
    <>
      <svg
        className={styles.toScale}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        style={{ maxWidth: WIDTH }}
        data-testid="body-figure"
        aria-label={WORDS.figureToScaleWithHeights}
      >
        <line className={drawing.rule} x1={70} x2={WIDTH - 70} y1={px(figure.floorV)} y2={px(figure.floorV)} />
        {figure.lines.map((l) => {
          const left = l.column === 'left';
          const edge = left ? 118 : WIDTH - 118;
          return (
            <path
              key={l.name}
              className={lineLook(l.source)}
              d={`M${px(figure.midU)} ${px(l.v)}H${edge}L${left ? edge - 14 : edge + 14} ${px(l.labelV)}`}
            />
          );
        })}
        <Silhouettes shapes={figure.silhouettes} />
        <line
          className={styles.measuredLine}
          x1={px(figure.midU - 40)}
          x2={px(figure.midU + 40)}
          y1={px(figure.crownV)}
          y2={px(figure.crownV)}
        />
        {figure.lines.map((l) => {
          const left = l.column === 'left';
          return (
            <g
              key={l.name}
              className={styles.heightLabel}
              onClick={() => onMeasure(l.name)}
              data-testid={`height-${l.name}`}
              data-source={l.source}
            >
              <rect x={left ? 0 : WIDTH - 102} y={px(l.labelV - 12)} width={102} height={20} fill="transparent" />
              <text
                className={drawing.figure}
                x={left ? 100 : WIDTH - 100}
                y={px(l.labelV + 4.5)}
                textAnchor={left ? 'end' : 'start'}
              >
                {MEASURE_LABEL[l.name]} <tspan className={numberLook(l.source)}>{figureText(l.cm, saidIn)}</tspan>
              </text>
            </g>
          );
        })}
        {shown && <Shown figure={figure} name={shown} cm={figureText(sizeOf(body, shown).m * 100, saidIn)} />}
      </svg>
      <svg
        className={styles.toScale}
        viewBox={`0 0 ${WIDTH} ${SEATED_HEIGHT}`}
        width="100%"
        style={{ maxWidth: WIDTH }}
        aria-label={WORDS.seatedFigureToScaleWith}
      >
        <line className={drawing.rule} x1={20} x2={WIDTH - 70} y1={px(seated.floorV)} y2={px(seated.floorV)} />
        <path className={drawing.rule} d={`M${px(seated.backU)} ${px(seated.seatV)}H${px(seated.seatEndU)}`} />
        <Silhouettes shapes={seated.silhouettes} />
        {seated.lines.map((l) => (
          <g
            key={l.name}
            className={styles.heightLabel}
            onClick={() => onMeasure(l.name)}
            data-testid={`height-${l.name}`}
            data-source={l.source}
          >
            <path
              className={l.name === shown ? styles.tapeThin : lineLook(l.source)}
              d={`M${px(seated.backU + 20)} ${px(l.v)}H${WIDTH - 190}L${WIDTH - 176} ${px(l.labelV)}`}
            />
            <rect x={WIDTH - 176} y={px(l.labelV - 12)} width={170} height={20} fill="transparent" />
            <text className={drawing.figure} x={WIDTH - 170} y={px(l.labelV + 4.5)}>
              {MEASURE_LABEL[l.name].replace(WORDS.seated, WORDS.aboveTheSeat)}{' '}
              <tspan className={numberLook(l.source)}>{figureText(l.cm, saidIn)}</tspan>
            </text>
          </g>
        ))}
        {seatedShown && (
          <g data-testid="tape">
            <line
              className={styles.tape}
              x1={px(seated.backU - 12)}
              x2={px(seated.backU - 12)}
              y1={px(seated.seatV)}
              y2={px(seatedShown.v)}
            />
          </g>
        )}
      </svg>
    </>
  );
}
