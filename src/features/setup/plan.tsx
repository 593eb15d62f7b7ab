'use client';
import { useMemo, useRef, type KeyboardEvent } from 'react';
import { toFloor } from '@/core/geometry/rotation';
import type { Placement } from '@/core/setup/setup-problem';
import { toDeg, toRad } from '@/core/units/angle';
import { buildSetupScene } from '@/drawing/setup-scene';
import { Silhouettes } from '@/drawing/silhouettes';
import { px } from '@/drawing/svg-number';
import type { View, Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import type { Move } from './move-placement';
import { FloorRuler } from './rulers';
import { useDrag } from './use-drag';
import type { SetupView } from './use-setup';
import { pulleyAt } from '@/core/kit/column';

interface Props {
  readonly setup: SetupView;
  readonly view: View;
  readonly window: Window3;
  readonly onMove: (move: Move) => void;
}

const NOSE_M = 0.42;

/** View from above, same scale and same floor ruler. The client is dragged over the floor and turned by the nose. */
export function Plan({ setup, view, window: w, onMove }: Props) {
  const { problem, placement } = setup;
  const { column } = problem.input;
  const scene = useMemo(() => buildSetupScene(problem, placement, view), [problem, placement, view]);
  const picked = useRef<Placement>(placement);
  const client = useDrag(({ du, dv }) => onMove({ what: 'stand', x: picked.current.standX + du / view.scale, z: picked.current.standZ + dv / view.scale }));
  const facing = useDrag(({ u, v }) => {
    const dx = view.toX(u) - placement.standX;
    const dz = view.toOther(v) - placement.standZ;
    onMove({ what: 'yaw', to: toDeg(Math.atan2(-dz, dx)) });
  });
  const stand = { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) };
  const nose = view.project(toFloor([NOSE_M, 0, 0], stand));
  const brow = view.project(toFloor([0.2, 0, 0], stand));
  const midline = view.project([w.minX, 0, 0]);
  const keys = (e: KeyboardEvent, moves: Partial<Record<string, Move>>) => {
    const move = moves[e.key];
    if (!move) return;
    e.preventDefault();
    onMove(move);
  };
  const at = (dx: number, dz: number): Move => ({ what: 'stand', x: placement.standX + dx, z: placement.standZ + dz });
  const sideways = Math.round(placement.standZ * 100);
  return (
    <svg className={styles.sheet} width={px(view.width)} height={px(view.height)} data-testid="plan" aria-label="View from above, same scale">
      <line className={styles.hair} x1={px(midline.u)} x2={px(view.project([w.maxX, 0, 0]).u)} y1={px(midline.v)} y2={px(midline.v)} />
      <FloorRuler view={view} window={w} at="midline" />
      {(['left', 'right'] as const).map((side) => {
        const p = view.project(pulleyAt(column, placement.hole, side));
        const idle = !problem.sides.includes(side);
        return (
          <g key={side} opacity={idle ? 0.35 : 1}>
            <rect className={styles.rule} x={px(p.u - 26)} y={px(p.v - 15)} width={26} height={30} />
            <rect className={styles.carriage} x={px(p.u - 7)} y={px(p.v - 7)} width={14} height={14} />
            <text className={styles.quiet} x={px(p.u - 30)} y={px(p.v + 4)} textAnchor="end">
              {side}
            </text>
          </g>
        );
      })}
      <line className={styles.hair} x1={px(view.project([0, 0, 0]).u)} x2={px(view.project([0, 0, 0]).u)} y1={px(view.project([0, 0, w.minZ]).v)} y2={px(view.project([0, 0, w.maxZ]).v)} />
      {scene.ghostCables.map((c) => (
        <line key={c.key} className={styles.ghostCable} x1={px(c.from.u)} y1={px(c.from.v)} x2={px(c.to.u)} y2={px(c.to.v)} />
      ))}
      <Silhouettes shapes={scene.ghosts} ghost />
      {scene.handPaths.map((d) => (
        <path key={d} className={styles.handPath} d={d} />
      ))}
      <g
        role="slider"
        tabIndex={0}
        className={styles.grab}
        aria-label="Client, sideways place"
        aria-valuenow={sideways}
        aria-valuemin={-60}
        aria-valuemax={60}
        aria-valuetext={sideways === 0 ? 'midway' : `${Math.abs(sideways)} centimetres towards the ${sideways > 0 ? 'right' : 'left'} pulley`}
        data-testid="drag-client-plan"
        onKeyDown={(e) => keys(e, { ArrowUp: at(0, -0.01), ArrowDown: at(0, 0.01), ArrowLeft: at(-0.01, 0), ArrowRight: at(0.01, 0) })}
        {...client}
        onPointerDown={(e) => {
          picked.current = placement;
          client.onPointerDown(e);
        }}
      >
        <circle className={styles.halo} cx={px(scene.mark.u)} cy={px(scene.mark.v)} r={48} />
        <Silhouettes shapes={scene.body.slice(0, 2)} ghost />
        <Silhouettes shapes={scene.arms} />
        <Silhouettes shapes={scene.body.slice(2)} />
        <path className={styles.grip} d={`M${px(scene.mark.u - 12)} ${px(scene.mark.v)}h24M${px(scene.mark.u)} ${px(scene.mark.v - 12)}v24`} />
      </g>
      {scene.cables.map((c) => (
        <g key={c.side}>
          <line className={styles.cable} x1={px(c.from.u)} y1={px(c.from.v)} x2={px(c.to.u)} y2={px(c.to.v)} />
          <circle className={styles.hand} cx={px(c.to.u)} cy={px(c.to.v)} r={6} />
        </g>
      ))}
      <g
        role="slider"
        tabIndex={0}
        className={styles.grab}
        aria-label="Client, facing"
        aria-valuenow={placement.yawDeg}
        aria-valuemin={-180}
        aria-valuemax={180}
        aria-valuetext={placement.yawDeg === 0 ? 'square, facing away' : `turned ${Math.abs(placement.yawDeg)} degrees ${placement.yawDeg > 0 ? 'left' : 'right'}`}
        data-testid="drag-facing"
        onKeyDown={(e) => keys(e, { ArrowLeft: { what: 'yaw', to: placement.yawDeg + 1 }, ArrowRight: { what: 'yaw', to: placement.yawDeg - 1 }, ArrowUp: { what: 'yaw', to: placement.yawDeg + 1 }, ArrowDown: { what: 'yaw', to: placement.yawDeg - 1 } })}
        {...facing}
      >
        <circle className={styles.halo} cx={px(nose.u)} cy={px(nose.v)} r={28} />
        <line className={styles.grip} x1={px(brow.u)} y1={px(brow.v)} x2={px(nose.u)} y2={px(nose.v)} />
        <circle className={styles.carriage} cx={px(nose.u)} cy={px(nose.v)} r={7} />
      </g>
      <text className={styles.quiet} x={px(view.width - 14)} y={26} textAnchor="end">
        from above, same scale, cm
      </text>
    </svg>
  );
}
