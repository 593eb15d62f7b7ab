'use client';
import { useMemo, useRef, type KeyboardEvent } from 'react';
import { holeHeightM, nearestHole } from '@/core/kit/column';
import type { Placement } from '@/core/setup/setup-problem';
import { buildSetupScene } from '@/drawing/setup-scene';
import { Silhouettes } from '@/drawing/silhouettes';
import { px } from '@/drawing/svg-number';
import { holeText } from '@/messages/holes';
import type { View, Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import type { Move } from './move-placement';
import { ColumnRuler, FloorRuler } from './rulers';
import { useDrag } from './use-drag';
import type { SetupView } from './use-setup';

interface Props {
  readonly setup: SetupView;
  readonly view: View;
  readonly window: Window3;
  readonly onMove: (move: Move) => void;
}

/** Side view to scale. The carriage is dragged up and down the holes, the client along the floor. */
export function Elevation({ setup, view, window: w, onMove }: Props) {
  const { problem, placement, base, tolerance, off } = setup;
  const { column, body } = problem.input;
  const scene = useMemo(() => buildSetupScene(problem, placement, view), [problem, placement, view]);
  const picked = useRef<Placement>(placement);
  const carriage = useDrag(({ v }) => onMove({ what: 'hole', to: nearestHole(column, view.toOther(v)) }));
  const client = useDrag(({ du }) => onMove({ what: 'stand', x: picked.current.standX + du / view.scale }));
  const cable = scene.cables[scene.cables.length - 1]!;
  const floor = view.project([0, 0, 0]);
  const solvedMark = view.project([base.placement.standX, 0, 0]);
  const solvedPulley = view.project([0, holeHeightM(column, base.placement.hole), 0]);
  const shoulderSource = body.height.shoulderHeight.source;
  const rulerX = Math.min(view.width - 20, view.project([placement.standX + 0.62, 0, 0]).u);
  const keys = (e: KeyboardEvent, moves: Partial<Record<string, Move>>) => {
    const move = moves[e.key];
    if (!move) return;
    e.preventDefault();
    onMove(move);
  };
  const step = (by: number): Move => ({ what: 'stand', x: placement.standX + by });
  // The line of pull drawn on past the shoulder shows at a glance whether all three line up.
  const reach = Math.hypot(cable.shoulder.u - cable.to.u, cable.shoulder.v - cable.to.v);
  const pull = Math.hypot(cable.to.u - cable.from.u, cable.to.v - cable.from.v);
  const beyond = { u: cable.to.u + ((cable.to.u - cable.from.u) / pull) * 0.35 * reach, v: cable.to.v + ((cable.to.v - cable.from.v) / pull) * 0.35 * reach };
  return (
    <svg className={styles.sheet} width={px(view.width)} height={px(view.height)} data-testid="elevation" aria-label="Side view, to scale">
      <ColumnRuler view={view} column={column} hole={placement.hole} />
      <FloorRuler view={view} window={w} at="floor" />
      {tolerance && (
        <rect
          className={styles.band}
          x={px(view.project([base.placement.standX + tolerance.standXM[0], 0, 0]).u)}
          width={px(Math.max(3, (tolerance.standXM[1] - tolerance.standXM[0]) * view.scale))}
          y={px(floor.v - 5)}
          height={10}
        />
      )}
      <line className={shoulderSource === 'measured' ? styles.measured : styles.estimate} x1={px(rulerX)} x2={px(rulerX)} y1={px(cable.shoulder.v)} y2={px(floor.v)} />
      <line className={shoulderSource === 'measured' ? styles.measured : styles.estimate} x1={px(cable.shoulder.u)} x2={px(rulerX)} y1={px(cable.shoulder.v)} y2={px(cable.shoulder.v)} />
      <text className={styles.quiet} transform={`translate(${px(rulerX + 14)} ${px(floor.v - 14)}) rotate(-90)`}>
        shoulder {Math.round(problem.posed.body.shoulder.right[1] * 100)} in stance, {shoulderSource === 'measured' ? 'measured' : 'estimated'}
      </text>
      <Silhouettes shapes={scene.ghosts} ghost />
      <g
        role="slider"
        tabIndex={0}
        className={styles.grab}
        aria-label="Client, distance from the columns"
        aria-valuenow={Math.round(placement.standX * 100)}
        aria-valuetext={`${Math.round(placement.standX * 100)} centimetres in front`}
        aria-valuemin={Math.round(problem.input.room.minDistanceM * 100)}
        aria-valuemax={Math.round(problem.input.room.maxDistanceM * 100)}
        data-testid="drag-client"
        onKeyDown={(e) => keys(e, { ArrowLeft: step(-0.01), ArrowRight: step(0.01), PageUp: step(0.1), PageDown: step(-0.1) })}
        {...client}
        onPointerDown={(e) => {
          picked.current = placement;
          client.onPointerDown(e);
        }}
      >
        <rect className={styles.halo} x={px(scene.mark.u - 70)} y={px(cable.shoulder.v - 70)} width={140} height={px(floor.v - cable.shoulder.v + 90)} />
        <Silhouettes shapes={scene.body} />
        <Silhouettes shapes={scene.arms.slice(-1)} />
        <path className={styles.carriage} d={`M${px(scene.mark.u)} ${px(floor.v + 3)}l9 13h-18Z`} />
        <path className={styles.grip} d={`M${px(scene.mark.u - 16)} ${px(floor.v + 10)}l-7 0m3 -3l-4 3l4 3M${px(scene.mark.u + 16)} ${px(floor.v + 10)}l7 0m-3 -3l4 3l-4 3`} />
      </g>
      {off && (
        <>
          <line className={styles.was} x1={px(solvedMark.u)} x2={px(solvedMark.u)} y1={px(floor.v - 26)} y2={px(floor.v)} />
          <rect className={styles.was} x={px(solvedPulley.u - 19)} y={px(solvedPulley.v - 13)} width={26} height={26} />
        </>
      )}
      {scene.handPaths.slice(-1).map((d) => (
        <path key={d} className={styles.handPath} d={d} />
      ))}
      <line className={styles.cable} x1={px(cable.from.u)} y1={px(cable.from.v)} x2={px(cable.to.u)} y2={px(cable.to.v)} />
      <line className={styles.through} x1={px(cable.to.u)} y1={px(cable.to.v)} x2={px(beyond.u)} y2={px(beyond.v)} />
      <circle className={styles.joint} cx={px(cable.shoulder.u)} cy={px(cable.shoulder.v)} r={4} />
      <circle className={styles.hand} cx={px(cable.to.u)} cy={px(cable.to.v)} r={6} />
      <g
        role="slider"
        tabIndex={0}
        className={styles.grab}
        aria-label="Carriage, hole"
        aria-valuenow={placement.hole}
        aria-valuemin={1}
        aria-valuemax={column.holes}
        aria-valuetext={`hole ${placement.hole} of ${column.holes}`}
        data-testid="drag-carriage"
        onKeyDown={(e) => keys(e, { ArrowUp: { what: 'carriage-up', by: 1 }, ArrowDown: { what: 'carriage-up', by: -1 } })}
        {...carriage}
      >
        <rect className={styles.halo} x={px(cable.from.u - 58)} y={px(cable.from.v - 28)} width={86} height={56} />
        <rect className={styles.carriage} x={px(cable.from.u - 19)} y={px(cable.from.v - 13)} width={26} height={26} />
        <path className={styles.grip} d={`M${px(cable.from.u + 16)} ${px(cable.from.v - 6)}l0 -8m-3 3l3 -4l3 4M${px(cable.from.u + 16)} ${px(cable.from.v + 6)}l0 8m-3 -3l3 4l3 -4`} />
        <text className={styles.setThis} x={px(cable.from.u - 24)} y={px(cable.from.v + 9)} textAnchor="end" fontSize={26}>
          {holeText(column, placement.hole, problem.input.side)}
        </text>
      </g>
    </svg>
  );
}
