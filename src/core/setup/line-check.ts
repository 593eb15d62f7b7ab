import type { Side } from '@/core/body/side';
import { toFloor } from '@/core/geometry/rotation';
import { holeHeightM, nearestHole } from '@/core/kit/column';
import { toDeg, toRad } from '@/core/units/angle';
import { bisect } from '@/core/units/bisect';
import { standOf, type Placement, type SetupProblem } from './setup-problem';
import { LINE_TOLERANCE_DEG } from './tolerance';

/** A cable's measured slope against the computed one, and what each measurement would have to be to explain it. */
export interface LineCheck {
  /** Above level from the hand to the pulley, degrees. */
  readonly computedDeg: number;
  readonly differsDeg: number;
  readonly agrees: boolean;
  /** The hand, and with it the shoulder, higher (positive) or lower than computed, metres. */
  readonly handHigherM: number;
  /** The hole whose pulley would explain it, nearest there is. */
  readonly hole: number;
  /**
   * The client further from the columns (positive) or nearer, metres; null where a step explains nothing (a level
   * line).
   */
  readonly furtherM: number | null;
}

/** A line flatter than this does not change its slope by a step, tangent. */
const FLAT = 0.02;

/** Grip and pulley of a place at a sample, floor frame, with the line's slope above level from the hand, degrees. */
function lineOf(problem: SetupProblem, placement: Placement, side: Side, i: number) {
  const g = problem.limbAt(side, placement).path.contact[i]!;
  const grip = toFloor(problem.shared ? [g[0], g[1], 0] : g, standOf(placement));
  const pulley = problem.pulley(placement, side);
  const across = Math.hypot(pulley[0] - grip[0], pulley[2] - grip[2]);
  return { grip, pulley, across, slopeDeg: toDeg(Math.atan2(pulley[1] - grip[1], across)) };
}

/** Furthest step that is looked at to explain a line, metres, and how fine. */
const WIDEST_STEP_M = 0.6;
const STEP_M = 0.02;

/** What would explain a pull's line: the arm follows the cable, so that every hole and every step is posed anew. */
function explainPull(problem: SetupProblem, placement: Placement, side: Side, i: number, measuredDeg: number) {
  const off = (at: Placement): number => lineOf(problem, at, side, i).slopeDeg - measuredDeg;
  const holes = Array.from({ length: problem.input.column.holes }, (_, k) => k + 1);
  const hole = holes.reduce((best, h) =>
    Math.abs(off({ ...placement, hole: h })) < Math.abs(off({ ...placement, hole: best })) ? h : best,
  );
  const stepped = (m: number): number => off({ ...placement, standX: placement.standX + m });
  // The nearest step, either way, across which the slope passes what was measured.
  for (let m = 0; m < WIDEST_STEP_M; m += STEP_M) {
    for (const way of [1, -1]) {
      const [from, to] = [way * m, way * (m + STEP_M)];
      const start = stepped(from);
      if (start * stepped(to) > 0) continue;
      const rising = stepped(to) > start;
      const share = bisect(0, 1, (x) => stepped(from + (to - from) * x) < 0 === rising);
      return { hole, furtherM: from + (to - from) * share };
    }
  }
  return { hole, furtherM: null };
}

/** What would explain a line whose hand stays where it is: by the tangent of the slope. */
function explainStill(problem: SetupProblem, placement: Placement, side: Side, i: number, measuredDeg: number) {
  const { grip, pulley, across } = lineOf(problem, placement, side, i);
  const { column } = problem.input;
  const slope = Math.tan(toRad(measuredDeg));
  const pulleyM = grip[1] + across * slope;
  const rise = pulley[1] - grip[1];
  const needed = Math.abs(slope) > FLAT && rise / slope > 0 ? rise / slope : null;
  // A step moves the hand along X only; what the line runs sideways stays.
  const sideways = pulley[2] - grip[2];
  const along =
    needed === null || needed < Math.abs(sideways) ? null : Math.sqrt(needed * needed - sideways * sideways);
  return {
    hole:
      Math.abs(holeHeightM(column, placement.hole) - pulleyM) < 1e-9 ? placement.hole : nearestHole(column, pulleyM),
    furtherM: along === null ? null : along - Math.abs(pulley[0] - grip[0]),
  };
}

/**
 * Compare an inclinometer's reading on the cable, degrees above level from hand to pulley, at a sample of the range.
 */
export function checkLine(
  problem: SetupProblem,
  placement: Placement,
  side: Side,
  i: number,
  measuredDeg: number,
): LineCheck {
  const { grip, pulley, across, slopeDeg } = lineOf(problem, placement, side, i);
  const explain = problem.pulls ? explainPull : explainStill;
  return {
    computedDeg: slopeDeg,
    differsDeg: measuredDeg - slopeDeg,
    agrees: Math.abs(measuredDeg - slopeDeg) <= LINE_TOLERANCE_DEG,
    handHigherM: pulley[1] - grip[1] - across * Math.tan(toRad(measuredDeg)),
    ...explain(problem, placement, side, i, measuredDeg),
  };
}
