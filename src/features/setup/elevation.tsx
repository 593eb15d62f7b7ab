'use client';
import type { Side } from '@/core/body/side';
import { Fragment, useMemo, useRef, type KeyboardEvent } from 'react';
import { holeHeightM, nearestHole } from '@/core/kit/column';
import { holeOf, type Placement } from '@/core/setup/setup-problem';
import { buildSetupMarks } from '@/drawing/setup-marks';
import type { Ghost } from '@/drawing/setup-scene';
import { backOnSheet } from '@/drawing/back-on-sheet';
import { GearShapes } from '@/drawing/gear-shapes';
import { Silhouettes } from '@/drawing/silhouettes';
import { lineEnds, px } from '@/drawing/svg-number';
import { holeText } from '@/messages/holes';
import type { View, Window3 } from '@/drawing/view';
import styles from '@/drawing/drawing.module.css';
import { BenchHandles } from './bench-handles';
import type { FitMoves } from './fit-plates';
import type { Move } from './move-placement';
import { ColumnRuler, FloorRuler, HoleBand } from './rulers';
import { Layer, Sheet } from './sheet';
import { useDrag } from './use-drag';
import { useScene } from './use-scene';
import type { BenchSetup } from './use-setup';
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
  /** Left and right carriage are moved each on its own. */
  readonly apart: boolean;
  readonly zoomed: boolean;
  readonly moves: FitMoves;
}

/** Side view to scale. The carriage is dragged up and down the holes, the client along the floor. */
export function Elevation({ setup, view, window: w, onMove, now, ghost, apart, zoomed, moves }: Props) {
  const { problem, placement, shown, base, tolerance, off, entry } = setup;
  const { column } = problem.input;
  const { figure, lines: scene, beside, surfaces, armPad, shift } = useScene(setup, view, now, ghost);
  // The same elements while things are dragged: only their place on the sheet changes.
  const origin = useMemo(() => view.project([0, 0, 0]), [view]);
  const range = useMemo(() => <Silhouettes shapes={figure.range} ghost />, [figure]);
  const body = useMemo(
    () => (
      <>
        <GearShapes shapes={figure.seats} />
        <Silhouettes shapes={figure.idle} />
        <Silhouettes shapes={figure.body} />
        <GearShapes shapes={figure.underArm} />
        <Silhouettes shapes={figure.arms.slice(-1)} />
        <path className={styles.carriage} d={`M${px(origin.u)} ${px(origin.v + 3)}l9 13h-18Z`} />
        <path
          className={styles.grip}
          d={
            `M${px(origin.u - 16)} ${px(origin.v + 10)}l-7 0m3 -3l-4 3l4 ` +
            `3M${px(origin.u + 16)} ${px(origin.v + 10)}l7 0m-3 -3l4 3l-4 3`
          }
        />
      </>
    ),
    [figure, origin],
  );
  const handPath = useMemo(() => <path className={styles.handPath} d={figure.handPaths.at(-1)} />, [figure]);
  const marks = useMemo(() => buildSetupMarks(problem, shown, view, now), [problem, shown, view, now]);
  const picked = useRef<Placement>(placement);
  const to = (v: number, only?: Side): Move => ({ what: 'hole', to: nearestHole(column, view.toOther(v)), only });
  const carriage = useDrag(({ v }) => onMove(to(v, apart ? 'right' : undefined)));
  const leftCarriage = useDrag(({ v }) => onMove(to(v, 'left')));
  const client = useDrag(({ du }) => onMove({ what: 'stand', x: picked.current.standX + du / view.scale }));
  const cable = scene.cables[scene.cables.length - 1]!;
  const floor = view.project([0, 0, 0]);
  const solvedMark = view.project([base.placement.standX, 0, 0]);
  const solvedPulley = view.project([0, holeHeightM(column, base.placement.hole), 0]);
  const shoulderSource = problem.body.height.shoulderHeight.source;
  const rulerX = Math.min(view.width - 20 - shift.u, view.project([0.62, 0, 0]).u);
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
  const beyond = {
    u: cable.to.u + ((cable.to.u - cable.from.u) / pull) * 0.35 * reach,
    v: cable.to.v + ((cable.to.v - cable.from.v) / pull) * 0.35 * reach,
  };
  const carriages = apart
    ? [
        {
          side: 'left' as const,
          drag: leftCarriage,
          at: view.project(problem.pulley(placement, 'left')),
          label: WORDS.leftCarriageHole,
          testId: 'drag-carriage-left',
        },
        {
          side: 'right' as const,
          drag: carriage,
          at: view.project(problem.pulley(placement, 'right')),
          label: WORDS.rightCarriageHole,
          testId: 'drag-carriage',
        },
      ]
    : [{ side: undefined, drag: carriage, at: cable.from, label: WORDS.carriageHole, testId: 'drag-carriage' }];
  // The end of the cable where it is shortest: a stroke square to it.
  const { from: q, to: end } = marks.clearance;
  const run = Math.max(1, Math.hypot(end.u - q.u, end.v - q.v));
  const [nu, nv] = [(-7 * (end.v - q.v)) / run, (7 * (end.u - q.u)) / run];
  const across = `M${px(end.u - nu)} ${px(end.v - nv)}L${px(end.u + nu)} ${px(end.v + nv)}`;
  return (
    <Sheet view={view} label={WORDS.sideViewToScale} zoomed={zoomed}>
      <Layer view={view}>
        <ColumnRuler view={view} column={column} hole={placement.hole} />
        {!zoomed && <FloorRuler view={view} window={w} at="floor" />}
        {tolerance && (
          <>
            <rect
              className={styles.band}
              x={px(view.project([base.placement.standX + tolerance.standXM[0], 0, 0]).u)}
              width={px(Math.max(3, (tolerance.standXM[1] - tolerance.standXM[0]) * view.scale))}
              y={px(origin.v - 5)}
              height={10}
            />
            <HoleBand view={view} column={column} holes={tolerance.holes.map((by) => base.placement.hole + by)} />
          </>
        )}
        <Silhouettes shapes={beside} ghost />
      </Layer>
      <Layer view={view} shift={shift}>
        <g transform={`translate(${px(rulerX)} 0)`}>
          <path
            className={shoulderSource === 'measured' ? styles.measured : styles.estimate}
            d={`M0 ${px(floor.v)}V${px(cable.shoulder.v)}H${px(cable.shoulder.u - shift.u - rulerX)}`}
          />
          <text className={styles.quiet} transform={`translate(14 ${px(floor.v - 14)}) rotate(-90)`}>
            {WORDS.shoulderInStance(
              Math.round(problem.pose.shoulder.right[1] * 100),
              shoulderSource === 'measured' ? WORDS.measured : WORDS.estimated,
            )}
          </text>
        </g>
        {!ghost && range}
        <g
          role="slider"
          tabIndex={0}
          className={styles.grab}
          aria-label={WORDS.clientDistanceFromTheColumns}
          aria-valuenow={Math.round(placement.standX * 100)}
          aria-valuetext={WORDS.centimetres(
            Math.abs(Math.round(placement.standX * 100)),
            placement.standX < 0 ? WORDS.behind : WORDS.inFront,
          )}
          aria-valuemin={Math.round(problem.input.floor.minDistanceM * 100)}
          aria-valuemax={Math.round(problem.input.floor.maxDistanceM * 100)}
          data-testid="drag-client"
          onKeyDown={(e) =>
            keys(e, { ArrowLeft: step(-0.01), ArrowRight: step(0.01), PageUp: step(0.1), PageDown: step(-0.1) })
          }
          {...client}
          onPointerDown={(e) => {
            picked.current = placement;
            client.onPointerDown(e);
          }}
        >
          <rect
            className={styles.halo}
            x={px(origin.u - 70)}
            y={px(cable.shoulder.v - 70)}
            width={140}
            height={px(floor.v - cable.shoulder.v + 90)}
          />
          {body}
        </g>
        {handPath}
      </Layer>
      <Layer view={view}>
        {off && (
          <>
            <line
              className={styles.was}
              x1={px(solvedMark.u)}
              x2={px(solvedMark.u)}
              y1={px(floor.v - 26)}
              y2={px(floor.v)}
            />
            <rect
              className={styles.was}
              x={px(solvedPulley.u - 19)}
              y={px(solvedPulley.v - 13)}
              width={26}
              height={26}
            />
          </>
        )}
        {marks.region && <line className={styles.region} {...lineEnds(marks.region)} />}
        {marks.rest && <path className={styles.rest} d={marks.rest} />}
        <line className={styles.cable} {...lineEnds(cable)} />
        <GearShapes shapes={scene.held} />
        <line className={styles.through} x1={px(cable.to.u)} y1={px(cable.to.v)} x2={px(beyond.u)} y2={px(beyond.v)} />
        <line className={styles.lever} {...lineEnds(scene.lever)} />
        <circle className={styles.joint} cx={px(cable.shoulder.u)} cy={px(cable.shoulder.v)} r={4} />
        <circle className={styles.hand} cx={px(cable.to.u)} cy={px(cable.to.v)} r={6} />
        {carriages.map(({ side, drag, at, label, testId }) => (
          <Fragment key={testId}>
            {side === 'left' && (
              <line
                className={styles.cable}
                x1={px(scene.cables[0]!.from.u)}
                y1={px(scene.cables[0]!.from.v)}
                x2={px(scene.cables[0]!.to.u)}
                y2={px(scene.cables[0]!.to.v)}
                opacity={0.5}
              />
            )}
            <g
              role="slider"
              tabIndex={0}
              className={styles.grab}
              aria-label={label}
              aria-valuenow={holeOf(placement, side ?? 'right')}
              aria-valuemin={1}
              aria-valuemax={column.holes}
              aria-valuetext={WORDS.holeOfColumn(holeOf(placement, side ?? 'right'), column.holes)}
              data-testid={testId}
              onKeyDown={(e) =>
                keys(e, {
                  ArrowUp: { what: 'carriage-up', by: 1, only: side },
                  ArrowDown: { what: 'carriage-up', by: -1, only: side },
                })
              }
              {...drag}
            >
              <rect className={styles.halo} x={px(at.u - 58)} y={px(at.v - 28)} width={86} height={56} />
              <rect
                className={side === 'left' ? styles.carriageLeft : styles.carriage}
                x={px(at.u - 19)}
                y={px(at.v - 13)}
                width={26}
                height={26}
              />
              {side && (
                <text
                  className={side === 'left' ? styles.letterLeft : styles.letter}
                  x={px(at.u - 6)}
                  y={px(at.v + 5.5)}
                  textAnchor="middle"
                >
                  {side === 'left' ? 'L' : 'R'}
                </text>
              )}
              <path
                className={styles.grip}
                d={
                  `M${px(at.u + 16)} ${px(at.v - 6)}l0 -8m-3 3l3 -4l3 4M${px(at.u + 16)} ${px(at.v + 6)}l0 ` +
                  '8m-3 -3l3 4l3 -4'
                }
              />
              <text className={styles.setThis} x={px(at.u - 24)} y={px(at.v + 9)} textAnchor="end" fontSize={26}>
                {holeText(column, placement, side ?? setup.state.side)}
              </text>
            </g>
          </Fragment>
        ))}
        <BenchHandles settings={setup.settings} moves={moves} back={backOnSheet(entry, surfaces, armPad)} seat={null} />
        <g className={styles.clearance}>
          <path d={across} />
          <g transform={`translate(${px(marks.clearance.from.u + 30)} ${px(marks.clearance.from.v - 18)})`}>
            <text>{WORDS.cmClear(marks.clearance.cm)}</text>
          </g>
        </g>
        {zoomed && <FloorRuler view={view} window={w} at="floor" />}
      </Layer>
    </Sheet>
  );
}
