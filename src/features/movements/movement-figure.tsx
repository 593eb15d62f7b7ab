'use client';
import type { ReactNode } from 'react';
import type { Column } from '@/core/kit/column';
import { holeHeightM } from '@/core/kit/column';
import type { MovementScene } from '@/drawing/movement-scene';
import { GearShapes } from '@/drawing/gear-shapes';
import type { Silhouette } from '@/drawing/figure';
import { Silhouettes } from '@/drawing/silhouettes';
import { lineEnds, px } from '@/drawing/svg-number';
import { MARGIN, type View, type Window3 } from '@/drawing/view';
import drawing from '@/drawing/drawing.module.css';
import styles from './movements.module.css';

interface Props {
  readonly scene: MovementScene;
  readonly view: View;
  readonly window: Window3;
  readonly column: Column | null;
  readonly hole: number | null;
  readonly label: string;
  /** The same limb as it should be, outlined over what is shown. */
  readonly ghost?: readonly Silhouette[];
  /** Whether the hole is told by its number. */
  readonly isNumbered?: boolean;
  /** Looked at closer than whole: what lies outside the box is not shown. */
  readonly zoomed?: boolean;
  /** What can be taken hold of on it. */
  readonly handles?: ReactNode;
}

const STEP_CM = 50;

/** One view of the movement at one moment: the column's holes and the floor's centimetres are its rulers. */
export function MovementFigure({
  scene,
  view,
  window: w,
  column,
  hole,
  label,
  zoomed = false,
  handles,
  ghost,
  isNumbered = true,
}: Props) {
  const floor = view.kind === 'elevation' ? view.project([0, 0, 0]).v : view.height - MARGIN.bottom;
  const marks: number[] = [];
  for (let cm = Math.ceil((w.minX * 100) / STEP_CM) * STEP_CM; cm <= w.maxX * 100; cm += STEP_CM) marks.push(cm);
  const foot = view.project([0, 0, 0]);
  const heights = column ? Array.from({ length: column.holes }, (_, i) => holeHeightM(column, i + 1)) : [];
  return (
    <svg
      className={styles.toScale}
      viewBox={`0 0 ${px(view.width)} ${px(view.height)}`}
      width={px(view.width)}
      data-view={view.kind}
      data-zoomed={zoomed || undefined}
      role={handles ? 'group' : 'img'}
      aria-label={label}
    >
      <line
        className={drawing.rule}
        x1={px(view.project([w.minX, 0, 0]).u)}
        x2={px(view.project([w.maxX, 0, 0]).u)}
        y1={px(floor)}
        y2={px(floor)}
      />
      {marks.map((cm) => {
        const { u } = view.project([cm / 100, 0, 0]);
        return (
          <g key={cm}>
            <line className={drawing.tick} x1={px(u)} x2={px(u)} y1={px(floor)} y2={px(floor + 7)} />
            <text className={drawing.quiet} x={px(u)} y={px(floor + 22)} textAnchor="middle">
              {cm}
            </text>
          </g>
        );
      })}
      {column && hole !== null && view.kind === 'elevation' && (
        <g>
          <rect
            className={drawing.rule}
            x={px(foot.u - 10)}
            width={10}
            y={px(view.project([0, Math.max(...heights) + 0.05, 0]).v)}
            height={px(foot.v - view.project([0, Math.max(...heights) + 0.05, 0]).v)}
          />
          {heights.map((m, i) => (
            <circle
              key={i}
              className={drawing.holeDot}
              cx={px(foot.u - 5)}
              cy={px(view.project([0, m, 0]).v)}
              r={1.3}
            />
          ))}
          <rect
            className={drawing.carriage}
            x={px(foot.u - 15)}
            y={px(view.project([0, holeHeightM(column, hole), 0]).v - 10)}
            width={20}
            height={20}
          />
          {isNumbered && (
            <text
              className={drawing.setThis}
              x={px(foot.u - 20)}
              y={px(view.project([0, holeHeightM(column, hole), 0]).v + 8)}
              textAnchor="end"
              fontSize={22}
            >
              {hole}
            </text>
          )}
        </g>
      )}
      <GearShapes shapes={scene.seats} />
      <GearShapes shapes={scene.heldBehind} />
      <path className={drawing.handPath} d={scene.handPath} />
      <Silhouettes shapes={scene.back} />
      <GearShapes shapes={scene.underArm} />
      <Silhouettes shapes={scene.front} />
      {scene.cables.map((c) => (
        <line key={c.key} className={drawing.cable} {...lineEnds(c)} />
      ))}
      <GearShapes shapes={scene.held} />
      {ghost && <Silhouettes shapes={ghost} ghost />}
      <circle className={drawing.hand} cx={px(scene.contact.u)} cy={px(scene.contact.v)} r={6} />
      {handles}
    </svg>
  );
}
