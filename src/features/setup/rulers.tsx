import { holeHeightM, type Column } from '@/core/kit/column';
import { memo } from 'react';
import { px } from '@/drawing/svg-number';
import { MARGIN, type View, type Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';

const COLUMN_PX = 12;
const HALF_HOLE_PX = 5;
/** Pixels to a metre at which there is room for every tenth centimetre's number. */
const CLOSE = 330;

/** The column: its holes are the vertical ruler. Every fifth hole, both ends and the one in use carry their number. */
export const ColumnRuler = memo(function ColumnRuler({
  view,
  column,
  hole,
}: {
  readonly view: View;
  readonly column: Column;
  readonly hole: number;
}) {
  const holes = Array.from({ length: column.holes }, (_, i) => i + 1);
  const heights = holes.map((h) => holeHeightM(column, h));
  const spread =
    heights.length > 1 ? (view.scale * (Math.max(...heights) - Math.min(...heights))) / (heights.length - 1) : 99;
  const every = spread < 5 ? 10 : spread > 24 ? 1 : 5;
  const foot = view.project([0, 0, 0]);
  const head = view.project([0, Math.max(...heights) + 0.06, 0]);
  return (
    <g>
      <rect
        className={styles.rule}
        x={px(foot.u - COLUMN_PX)}
        y={px(head.v)}
        width={COLUMN_PX}
        height={px(foot.v - head.v)}
      />
      {holes.map((h) => {
        const { v } = view.project([0, holeHeightM(column, h), 0]);
        const numbered =
          h !== hole &&
          Math.abs(h - hole) > (every === 10 ? 3 : every === 5 ? 1 : 0) &&
          (h === 1 || h === column.holes || h % every === 0);
        return (
          <g key={h}>
            <circle className={styles.holeDot} cx={px(foot.u - COLUMN_PX / 2)} cy={px(v)} r={1.5} />
            <line
              className={styles.tick}
              x1={px(foot.u - COLUMN_PX - (numbered ? 8 : 4))}
              x2={px(foot.u - COLUMN_PX)}
              y1={px(v)}
              y2={px(v)}
            />
            {numbered && (
              <text className={styles.figure} x={px(foot.u - COLUMN_PX - 12)} y={px(v + 4.5)} textAnchor="end">
                {h}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** Holes that will do, on the column. */
export function HoleBand({
  view,
  column,
  holes,
}: {
  readonly view: View;
  readonly column: Column;
  readonly holes: readonly number[];
}) {
  const vs = holes.map((h) => view.project([0, holeHeightM(column, h), 0]).v);
  const [top, bottom] = [Math.min(...vs), Math.max(...vs)];
  return (
    <rect
      className={styles.band}
      x={px(view.project([0, 0, 0]).u - COLUMN_PX)}
      y={px(top - HALF_HOLE_PX)}
      width={COLUMN_PX}
      height={px(bottom - top + 2 * HALF_HOLE_PX)}
      data-testid="hole-band"
    />
  );
}

/** The floor: centimetres from the line of the pulleys are the horizontal ruler. */
export const FloorRuler = memo(function FloorRuler({
  view,
  window: w,
  at,
}: {
  readonly view: View;
  readonly window: Window3;
  readonly at: 'floor' | 'midline';
}) {
  // Looked at closer, the floor may lie below the sheet: its ruler stays at the edge, over what is beyond it.
  const baseline =
    at === 'floor' ? Math.min(view.project([0, 0, 0]).v, view.height - MARGIN.bottom) : view.height - MARGIN.bottom;
  const every = view.scale > CLOSE ? 10 : 50;
  const marks: number[] = [];
  for (let cm = Math.ceil((w.minX * 100) / 10) * 10; cm <= w.maxX * 100 + 1e-6; cm += 10) marks.push(cm);
  return (
    <g>
      {(at === 'midline' || baseline < view.project([0, 0, 0]).v) && (
        <rect className={styles.under} x={0} y={px(baseline)} width={px(view.width)} height={MARGIN.bottom} />
      )}
      <line
        className={styles.rule}
        x1={px(view.project([w.minX, 0, 0]).u)}
        x2={px(view.project([w.maxX, 0, 0]).u)}
        y1={px(baseline)}
        y2={px(baseline)}
      />
      {marks.map((cm) => {
        const { u } = view.project([cm / 100, 0, 0]);
        const long = cm % every === 0;
        return (
          <g key={cm}>
            <line className={styles.tick} x1={px(u)} x2={px(u)} y1={px(baseline)} y2={px(baseline + (long ? 9 : 5))} />
            {long && (
              <text className={styles.figure} x={px(u)} y={px(baseline + 24)} textAnchor="middle">
                {cm}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});
