import { SIDES, type Side } from '@/core/body/active-range';
import { toFloor } from '@/core/geometry/rotation';
import type { Vec3 } from '@/core/geometry/vector';
import { holeHeightM, pulleyAt } from '@/core/kit/column';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { armSilhouette, bodySilhouettes, type Silhouette } from './figure';
import type { View, Window3 } from './view';

/** Samples shown as ghosts: the quarters of the range before the finish. */
export const GHOST_SAMPLES = [0, 10, 20, 30] as const;
const FINISH = 40;

export interface CableLine {
  readonly side: Side;
  readonly from: Dot;
  readonly to: Dot;
  /** The line drawn on through the arm to the shoulder and beyond: the verdict that can be seen. */
  readonly shoulder: Dot;
}

/** Everything to draw of a set-up in one view, in pixels. */
export interface SetupScene {
  readonly body: readonly Silhouette[];
  readonly arms: readonly Silhouette[];
  readonly ghosts: readonly Silhouette[];
  readonly cables: readonly CableLine[];
  readonly ghostCables: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  /** Path of the hand over the range. */
  readonly handPaths: readonly string[];
  readonly mark: Dot;
}

/** Floor window that holds column, client and room for a station; the same while things are dragged. */
export function windowFor(problem: SetupProblem): Window3 {
  const { column, room, body } = problem.input;
  const top = Math.max(holeHeightM(column, 1), holeHeightM(column, column.holes), body.statureM);
  const side = Math.max(column.twinSpacingM / 2 + 0.14, 0.9);
  return { minX: Math.min(-0.3, room.minDistanceM), maxX: Math.max(1.3, Math.min(room.maxDistanceM, 1.6)), maxY: top + 0.12, minZ: -side, maxZ: side };
}

/** Build the scene of a placement. Both arms are posed; idle ones hang with the working side's ghost left out. */
export function buildSetupScene(problem: SetupProblem, placement: Placement, view: View): SetupScene {
  const { body, column } = problem.input;
  const stand = { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) };
  const carry = (v: Vec3): Vec3 => toFloor(v, stand);
  const at = (v: Vec3): Dot => view.project(carry(v));
  // In the elevation the far arm is hidden behind the near one when both work: draw far first.
  const working = SIDES.filter((s) => problem.sides.includes(s));
  const pulley = (side: Side): Dot => view.project(pulleyAt(column, placement.hole, side));
  return {
    body: bodySilhouettes(view, carry, body, problem.posed.body),
    arms: working.map((side) => armSilhouette(view, carry, body, problem.posed.arms[side], FINISH, `arm-${side}`)),
    ghosts: working.flatMap((side) => GHOST_SAMPLES.map((i) => armSilhouette(view, carry, body, problem.posed.arms[side], i, `ghost-${side}-${i}`))),
    cables: working.map((side) => ({ side, from: pulley(side), to: at(problem.posed.arms[side].contact[FINISH]!), shoulder: at(problem.posed.arms[side].proximal[FINISH]!) })),
    ghostCables: working.flatMap((side) => GHOST_SAMPLES.map((i) => ({ key: `${side}-${i}`, from: pulley(side), to: at(problem.posed.arms[side].contact[i]!) }))),
    handPaths: working.map((side) =>
      problem.posed.arms[side].contact.map((g, i) => {
        const d = at(g);
        return `${i === 0 ? 'M' : 'L'}${Math.round(d.u * 10) / 10} ${Math.round(d.v * 10) / 10}`;
      }).join(''),
    ),
    mark: view.project([placement.standX, 0, placement.standZ]),
  };
}
