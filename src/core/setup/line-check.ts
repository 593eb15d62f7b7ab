import type { Side } from '@/core/body/side';
import { toFloor } from '@/core/geometry/rotation';
import { holeHeightM, nearestHole } from '@/core/kit/column';
import { toDeg, toRad } from '@/core/units/angle';
import { limbOf, type Placement, type SetupProblem } from './setup-problem';
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
  const g = limbOf(problem, side).path.contact[i]!;
  const grip = toFloor(problem.shared ? [g[0], g[1], 0] : g, {
    x: placement.standX,
    z: placement.standZ,
    yawRad: toRad(placement.yawDeg),
  });
  const pulley = problem.pulley(placement, side);
  const across = Math.hypot(pulley[0] - grip[0], pulley[2] - grip[2]);
  const rise = pulley[1] - grip[1];
  const computedDeg = toDeg(Math.atan2(rise, across));
  const slope = Math.tan(toRad(measuredDeg));
  const pulleyM = grip[1] + across * slope;
  const { column } = problem.input;
  const needed = Math.abs(slope) > FLAT && rise / slope > 0 ? rise / slope : null;
  // A step moves the hand along X only; what the line runs sideways stays.
  const sideways = pulley[2] - grip[2];
  const along =
    needed === null || needed < Math.abs(sideways) ? null : Math.sqrt(needed * needed - sideways * sideways);
  return {
    computedDeg,
    differsDeg: measuredDeg - computedDeg,
    agrees: Math.abs(measuredDeg - computedDeg) <= LINE_TOLERANCE_DEG,
    handHigherM: rise - across * slope,
    hole:
      Math.abs(holeHeightM(column, placement.hole) - pulleyM) < 1e-9 ? placement.hole : nearestHole(column, pulleyM),
    furtherM: along === null ? null : along - Math.abs(pulley[0] - grip[0]),
  };
}
