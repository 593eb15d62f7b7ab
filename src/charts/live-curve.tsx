import { REST_BELOW } from '@/core/mechanics/line-profile';
import { CURVE_GRID, LABEL_AT, valueAt, type Curve, type MainCurve } from './resistance-series';
import styles from './live-curve.module.css';

interface Props {
  readonly main: MainCurve;
  /** Laid beside it, dashed. */
  readonly other: Curve | null;
  readonly peakAt: number;
  readonly peakNm: number;
  readonly rightAngleAt: number | null;
  /** Ends of the moment axis that the chart below is drawn with, newton metres. */
  readonly span: { readonly min: number; readonly max: number };
  readonly width: number;
  readonly height: number;
}

const round = (v: number): number => Math.round(v * 10) / 10;

/** The curve that follows a finger, over a chart that holds its axes: as cheap as a frame has to be. */
export function LiveCurve({ main, other, peakAt, peakNm, rightAngleAt, span, width, height }: Props) {
  const { left, right, top, bottom } = CURVE_GRID;
  const x = (share: number): number => round(left + share * (width - left - right));
  const y = (nm: number): number => round(top + ((span.max - nm) / (span.max - span.min)) * (height - top - bottom));
  const line = (nms: ArrayLike<number>): string =>
    Array.from(nms, (nm, i) => `${i === 0 ? 'M' : 'L'}${x(i / (nms.length - 1))} ${y(nm)}`).join('');
  // Named on the side of the dashed line that the other one leaves free.
  const above = other !== null && valueAt(other, LABEL_AT) > valueAt(main, LABEL_AT);
  const floor = y(Math.min(0, span.min));
  const rest = y(REST_BELOW * peakNm);
  return (
    <svg className={styles.live} width={width} height={height} aria-hidden>
      <defs>
        <pattern id="rest-hatch" width={8} height={8} patternUnits="userSpaceOnUse">
          <path className={styles.hatch} d="M-2 2l4 -4M0 8l8 -8M6 10l4 -4" />
        </pattern>
        <clipPath id="curve-grid">
          <rect x={left} y={top} width={width - left - right} height={height - top - bottom} />
        </clipPath>
      </defs>
      <rect x={x(0)} y={rest} width={x(1) - x(0)} height={Math.max(0, floor - rest)} fill="url(#rest-hatch)" />
      {rightAngleAt !== null && (
        <line className={styles.square} x1={x(rightAngleAt)} x2={x(rightAngleAt)} y1={top} y2={height - bottom} />
      )}
      {other && (
        <>
          <path className={styles.other} d={line(other.resistanceNm)} />
          <text
            className={styles.otherName}
            x={x(LABEL_AT)}
            y={y(valueAt(other, LABEL_AT)) + (above ? -7 : 17)}
            textAnchor="middle"
            data-testid="other-curve"
          >
            {other.name}
          </text>
        </>
      )}
      <path className={styles.curve} d={line(main.resistanceNm)} />
      <path className={styles.strength} d={line(main.strengthNm)} clipPath="url(#curve-grid)" />
      <circle className={styles.peak} cx={x(peakAt)} cy={y(peakNm)} r={4.5} />
      <text
        className={styles.label}
        x={x(peakAt) + (peakAt > 0.8 ? -13 : 13)}
        y={y(peakNm) - 4}
        textAnchor={peakAt > 0.8 ? 'end' : 'start'}
      >
        peak {Math.round(peakNm)} Nm
      </text>
    </svg>
  );
}
