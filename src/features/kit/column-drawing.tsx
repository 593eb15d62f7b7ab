import type { ColumnFit } from '@/core/kit/calibrate-column';
import { px } from '@/drawing/svg-number';
import drawing from '@/drawing/drawing.module.css';
import type { StationValues } from './station-values';
import styles from './kit.module.css';

const HEIGHT = 520;
const WIDTH = 300;
const TOP_M = 2.6;

/** The column to scale with its own ruler: holes on the left with numbers, heights on the right; measured ones solid. */
export function ColumnDrawing({ values, fit }: { readonly values: StationValues; readonly fit: ColumnFit }) {
  const holes = typeof values.holes === 'number' ? values.holes : 0;
  const up = values.numberedFrom === 'top' ? -1 : 1;
  const heightM = (hole: number): number => fit.firstHoleM + up * (hole - 1) * fit.pitchM;
  const top = Math.max(TOP_M, heightM(1), heightM(holes)) + 0.05;
  const floor = HEIGHT - 24;
  const y = (m: number): number => floor - (m / top) * (floor - 10);
  const measured = new Set(values.readings.map((r) => r.hole));
  const list = Array.from({ length: holes }, (_, i) => i + 1);
  const gap = Math.abs(y(heightM(1)) - y(heightM(2)));
  const every = Math.max(1, Math.ceil(17 / gap));
  return (
    <svg className={drawing.sheet} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" style={{ maxWidth: WIDTH }} aria-label={`Column to scale: ${holes} holes`}>
      <line className={drawing.rule} x1={20} x2={WIDTH - 20} y1={floor} y2={floor} />
      <rect className={drawing.rule} x={128} width={26} y={px(Math.min(y(heightM(1)), y(heightM(holes))) - 12)} height={px(floor - Math.min(y(heightM(1)), y(heightM(holes))) + 12)} />
      {list.map((h) => {
        const v = y(heightM(h));
        const own = measured.has(h);
        const numbered = own || (h - 1) % every === 0;
        return (
          <g key={h}>
            <circle className={drawing.holeDot} cx={141} cy={px(v)} r={own ? 4 : 2} />
            <line className={own ? drawing.measured : drawing.estimate} x1={154} x2={own ? 186 : 172} y1={px(v)} y2={px(v)} />
            {numbered && (
              <>
                <text className={drawing.figure} x={118} y={px(v + 4.5)} textAnchor="end">
                  {h}
                </text>
                <text className={`${drawing.figure} ${own ? styles.measuredNumber : styles.estimatedNumber}`} x={192} y={px(v + 4.5)}>
                  {(heightM(h) * 100).toFixed(1)}
                </text>
              </>
            )}
          </g>
        );
      })}
      <text className={drawing.quiet} x={118} y={floor + 18} textAnchor="end">
        hole
      </text>
      <text className={drawing.quiet} x={192} y={floor + 18}>
        cm above floor
      </text>
    </svg>
  );
}
