'use client';
import type { Side } from '@/core/body/side';
import { memo, useMemo, useRef, type KeyboardEvent } from 'react';
import { toFloor } from '@/core/geometry/rotation';
import { holeOf, type Placement } from '@/core/setup/setup-problem';
import { toDeg, toRad } from '@/core/units/angle';
import { buildSetupMarks } from '@/drawing/setup-marks';
import type { Ghost } from '@/drawing/setup-scene';
import { GearShapes } from '@/drawing/gear-shapes';
import { Silhouettes } from '@/drawing/silhouettes';
import { lineEnds, px } from '@/drawing/svg-number';
import type { View, Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import type { Move } from './move-placement';
import { facingNote, sidewaysText } from './place-text';
import { FloorRuler } from './rulers';
import { Layer, Sheet } from './sheet';
import { useDrag } from './use-drag';
import { useScene } from './use-scene';
import type { BenchSetup } from './use-setup';
import { pulleyAt, type Column } from '@/core/kit/column';
import { WORDS } from '@/messages/screens/setup';

interface Props {
  readonly setup: BenchSetup;
  readonly view: View;
  readonly window: Window3;
  readonly onMove: (move: Move) => void;
  /** Sample of the range that the body is shown at. */
  readonly now: number;
  /** A limb with a fault in it, or of a comparison set-up, drawn as a ghost instead of the range. */
  readonly ghost: Ghost | null;
  readonly zoomed: boolean;
}

const NOSE_M = 0.42;
/** Half the breadth that a floor plate is drawn with, metres; only its reach is measured. */
const FLOOR_PLATE_HALF_M = 0.3;
const columnSides = (column: Column): readonly Side[] => (column.kind === 'single' ? ['right'] : ['left', 'right']);

interface ColumnsProps {
  readonly view: View;
  readonly column: Column;
  /** Holes of both carriages. */
  readonly left: number;
  readonly right: number;
  /** Sides whose pulley pulls, apart by commas. */
  readonly used: string;
}

/** The columns from above, paler where the pulley does not pull. */
const Columns = memo(function Columns({ view, column, left, right, used }: ColumnsProps) {
  return columnSides(column).map((side) => {
    const p = view.project(pulleyAt(column, side === 'left' ? left : right, side));
    return (
      <g key={side} opacity={used.includes(side) ? 1 : 0.35}>
        {column.floorPlateM > 0 && (
          <rect
            className={styles.rule}
            x={px(view.project([0, 0, 0]).u)}
            y={px(p.v - FLOOR_PLATE_HALF_M * view.scale)}
            width={px(column.floorPlateM * view.scale)}
            height={px(2 * FLOOR_PLATE_HALF_M * view.scale)}
          />
        )}
        <rect className={styles.rule} x={px(p.u - 26)} y={px(p.v - 15)} width={26} height={30} />
        <rect className={styles.carriage} x={px(p.u - 7)} y={px(p.v - 7)} width={14} height={14} />
        <text className={styles.quiet} x={px(p.u - 30)} y={px(p.v + 4)} textAnchor="end">
          {column.kind === 'single' ? '' : side}
        </text>
      </g>
    );
  });
});

/** View from above, same scale and same floor ruler. The client is dragged over the floor and turned by the nose. */
export function Plan({ setup, view, window: w, onMove, now, ghost, zoomed }: Props) {
  const { problem, placement, shown, entry, tolerance } = setup;
  const solved = setup.base.placement;
  const { column } = problem.input;
  const { figure, lines: scene, beside, shift } = useScene(setup, view, now, ghost);
  // The same elements while things are dragged: only their place on the sheet changes.
  const origin = useMemo(() => view.project([0, 0, 0]), [view]);
  const range = useMemo(() => <Silhouettes shapes={figure.range} ghost />, [figure]);
  const handPaths = useMemo(() => <path className={styles.handPath} d={figure.handPaths.join('')} />, [figure]);
  const body = useMemo(
    () => (
      <>
        <circle className={styles.halo} cx={px(origin.u)} cy={px(origin.v)} r={48} />
        <GearShapes shapes={figure.seats} />
        <Silhouettes shapes={figure.body.slice(0, 2)} ghost />
        <GearShapes shapes={figure.underArm} />
        <Silhouettes shapes={figure.idle} />
        <Silhouettes shapes={figure.arms} />
        <Silhouettes shapes={figure.body.slice(2)} />
        <path
          className={styles.grip}
          d={`M${px(origin.u - 12)} ${px(origin.v)}h24M${px(origin.u)} ${px(origin.v - 12)}v24`}
        />
      </>
    ),
    [figure, origin],
  );
  const marks = useMemo(() => buildSetupMarks(problem, shown, view, now), [problem, shown, view, now]);
  const picked = useRef<Placement>(placement);
  const client = useDrag(({ du, dv }) =>
    onMove({ what: 'stand', x: picked.current.standX + du / view.scale, z: picked.current.standZ + dv / view.scale }),
  );
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
  const used = columnSides(column)
    .filter((side) => {
      const p = view.project(pulleyAt(column, holeOf(placement, side), side));
      return scene.cables.some((c) => Math.hypot(c.from.u - p.u, c.from.v - p.v) < 1);
    })
    .join();
  return (
    <Sheet view={view} label={WORDS.viewFromAboveSameScale} zoomed={zoomed}>
      <Layer view={view}>
        <line
          className={styles.hair}
          x1={px(midline.u)}
          x2={px(view.project([w.maxX, 0, 0]).u)}
          y1={px(midline.v)}
          y2={px(midline.v)}
        />
        {!zoomed && <FloorRuler view={view} window={w} at="midline" />}
        <Columns
          view={view}
          column={column}
          left={holeOf(placement, 'left')}
          right={holeOf(placement, 'right')}
          used={used}
        />
        <line
          className={styles.hair}
          x1={px(origin.u)}
          x2={px(origin.u)}
          y1={px(view.project([0, 0, w.minZ]).v)}
          y2={px(view.project([0, 0, w.maxZ]).v)}
        />
        <text className={styles.quiet} x={px(view.width - 14)} y={26} textAnchor="end">
          {WORDS.fromAboveSameScaleCm}
        </text>
        {marks.stood && (
          <text className={styles.quiet} x={px(view.width - 14)} y={44} textAnchor="end">
            {WORDS.ringPressure}
          </text>
        )}
        {tolerance && (
          <rect
            className={styles.band}
            x={px(view.project([solved.standX + tolerance.standXM[0], 0, 0]).u)}
            width={px(Math.max(3, (tolerance.standXM[1] - tolerance.standXM[0]) * view.scale))}
            y={px(view.project([0, 0, solved.standZ + tolerance.standZM[0]]).v)}
            height={px(Math.max(3, (tolerance.standZM[1] - tolerance.standZM[0]) * view.scale))}
            data-testid="stand-band"
          />
        )}
        <Silhouettes shapes={beside} ghost />
        <path
          className={styles.ghostCable}
          d={scene.ghostCables.map((c) => `M${px(c.from.u)} ${px(c.from.v)}L${px(c.to.u)} ${px(c.to.v)}`).join('')}
        />
      </Layer>
      <Layer view={view} shift={shift}>
        {!ghost && range}
        {handPaths}
        <g
          role="slider"
          tabIndex={0}
          className={styles.grab}
          aria-label={WORDS.clientSidewaysPlace}
          aria-valuenow={sideways}
          aria-valuemin={Math.round(problem.bounds.standZ * 100) - 60}
          aria-valuemax={Math.round(problem.bounds.standZ * 100) + 60}
          aria-valuetext={sidewaysText(problem, placement)}
          data-testid="drag-client-plan"
          onKeyDown={(e) =>
            keys(e, { ArrowUp: at(0, -0.01), ArrowDown: at(0, 0.01), ArrowLeft: at(-0.01, 0), ArrowRight: at(0.01, 0) })
          }
          {...client}
          onPointerDown={(e) => {
            picked.current = placement;
            client.onPointerDown(e);
          }}
        >
          {body}
        </g>
      </Layer>
      <Layer view={view}>
        {marks.region && <line className={styles.region} {...lineEnds(marks.region)} />}
        {marks.stood && (
          <g data-testid="stood">
            <path className={styles.support} d={marks.stood.outline} />
            <path className={styles.pressureWay} d={marks.stood.way} />
            {marks.stood.at && (
              <circle className={styles.pressure} cx={px(marks.stood.at.u)} cy={px(marks.stood.at.v)} r={5} />
            )}
          </g>
        )}
        {marks.rest && <path className={styles.rest} d={marks.rest} />}
        {scene.cables.map((c) => (
          <line key={c.side} className={styles.cable} {...lineEnds(c)} />
        ))}
        <GearShapes shapes={scene.held} />
        {scene.cables.map((c) => (
          <circle key={c.side} className={styles.hand} cx={px(c.to.u)} cy={px(c.to.v)} r={6} />
        ))}
        <g
          role="slider"
          tabIndex={0}
          className={styles.grab}
          aria-label={WORDS.clientFacing}
          aria-valuenow={placement.yawDeg}
          aria-valuemin={-180}
          aria-valuemax={180}
          aria-valuetext={facingNote(entry, problem, placement)}
          data-testid="drag-facing"
          onKeyDown={(e) =>
            keys(e, {
              ArrowLeft: { what: 'yaw', to: placement.yawDeg + 1 },
              ArrowRight: { what: 'yaw', to: placement.yawDeg - 1 },
              ArrowUp: { what: 'yaw', to: placement.yawDeg + 1 },
              ArrowDown: { what: 'yaw', to: placement.yawDeg - 1 },
            })
          }
          {...facing}
        >
          <circle className={styles.halo} cx={px(nose.u)} cy={px(nose.v)} r={28} />
          <line className={styles.grip} x1={px(brow.u)} y1={px(brow.v)} x2={px(nose.u)} y2={px(nose.v)} />
          <circle className={styles.carriage} cx={px(nose.u)} cy={px(nose.v)} r={7} />
        </g>
        {zoomed && <FloorRuler view={view} window={w} at="midline" />}
      </Layer>
    </Sheet>
  );
}
