import { SIDES, type Side } from '@/core/body/side';
import { toFloor } from '@/core/geometry/rotation';
import { add, dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { holeHeightM } from '@/core/kit/column';
import { type ChainPath, LAST_SAMPLE, MIDDLE_SAMPLE } from '@/core/movement/chain-path';
import { type Placement, type SetupProblem } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import type { Dot } from './capsule';
import { armSilhouette, bodySilhouettes, type Silhouette } from './figure';
import { extentOf, handsAt, restingArm } from './movement-scene';
import { handOf } from './hands';
import { heldThings } from './held';
import { armPadOf, armPadThings, facesOf, seatThings, type Face } from './seats';
import { carried, gearShapes, type GearShape } from './gear';
import { searchOf, type PosedQuestion } from '@/core/book/posed-question';
import type { View, Window3 } from './view';

/** Samples shown as ghosts: the quarters of the range before the finish. */
const GHOST_SAMPLES = [0, 1, 2, 3].map((quarter) => (quarter * LAST_SAMPLE) / 4);

export interface CableLine {
  readonly side: Side;
  readonly from: Dot;
  readonly to: Dot;
  /** The line drawn on through the arm to the shoulder and beyond: the verdict that can be seen. */
  readonly shoulder: Dot;
}

/** The body of a set-up in one view, in pixels: the same wherever it stands, but for its place on the sheet. */
export interface SetupFigure {
  readonly body: readonly Silhouette[];
  readonly arms: readonly Silhouette[];
  /** Arms that do not work, behind the body. */
  readonly idle: readonly Silhouette[];
  /** Working arms over the range. */
  readonly range: readonly Silhouette[];
  /** Path of the hand over the range. */
  readonly handPaths: readonly string[];
  /** What the body sits, lies or leans on, under it, and the face of each: both ends. */
  readonly seats: readonly GearShape[];
  /** The pad that an arm lies on, over the trunk. */
  readonly underArm: readonly GearShape[];
  readonly surfaces: readonly { readonly from: Dot; readonly to: Dot }[];
  /** The face of the pad that an arm lies on. */
  readonly armPad: { readonly from: Dot; readonly to: Dot } | null;
}

/** What runs between body and column, in pixels. */
export interface SetupLines {
  readonly cables: readonly CableLine[];
  readonly ghostCables: readonly { readonly from: Dot; readonly to: Dot; readonly key: string }[];
  /** Handles, ropes and bars in the working hands. */
  readonly held: readonly GearShape[];
  readonly mark: Dot;
  /** Shortest way from the target joint to the line of pull: the lever a trainer would measure. */
  readonly lever: { readonly from: Dot; readonly to: Dot };
}

/** Room around a body that its own drag needs, metres. */
const AROUND_M = 0.25;

/** Floor window that holds column, client and room for a station; the same while things are dragged. */
export function windowFor(problem: SetupProblem, base: Placement): Window3 {
  const { column, room } = problem.input;
  const top = Math.max(holeHeightM(column, 1), holeHeightM(column, column.holes), problem.body.statureM);
  const side = Math.max(column.twinSpacingM / 2 + 0.14, 0.9);
  const at = [0, MIDDLE_SAMPLE, LAST_SAMPLE].map(problem.poseAt);
  const limbs = problem.sides.map((s) => problem.limbAt(s, base));
  const points = limbs.flatMap((l) => extentOf(at, l.path, false, base, null));
  const reach = (axis: 0 | 1 | 2, sign: 1 | -1): number => Math.max(...points.map((p) => sign * p[axis])) + AROUND_M;
  return {
    minX: Math.min(-0.3, room.minDistanceM, -reach(0, -1)),
    maxX: Math.max(1.3, Math.min(room.maxDistanceM, 1.6), reach(0, 1)),
    maxY: Math.max(top, reach(1, 1) - AROUND_M) + 0.12,
    minZ: -Math.max(side, reach(2, -1)),
    maxZ: Math.max(side, reach(2, 1)),
  };
}

/** A limb drawn beside the one that is shown, where it stands. */
export interface Ghost {
  readonly path: ChainPath;
  readonly placement: Placement;
}

/** Foot of the perpendicular from a joint on the line through a contact and a pulley. */
function leverFoot(joint: Vec3, contact: Vec3, pulley: Vec3): Vec3 {
  const u = normalise(subtract(pulley, contact));
  return add(contact, scale(u, dot(subtract(joint, contact), u)));
}

type Stand = Pick<Placement, 'standX' | 'standZ' | 'yawDeg'>;
const carryTo =
  (p: Stand) =>
  (v: Vec3): Vec3 =>
    toFloor(v, { x: p.standX, z: p.standZ, yawRad: toRad(p.yawDeg) });
// In the elevation the far arm is hidden behind the near one when both work: far ones come first.
const workingSides = (problem: SetupProblem): Side[] => SIDES.filter((s) => problem.sides.includes(s));

/**
 * The body of a placement drawn where `stand` says, at a sample of the range: working arms over the range, idle ones at
 * rest.
 */
export function buildSetupFigure(
  posed: PosedQuestion,
  at: Placement,
  stand: Stand,
  view: View,
  now = LAST_SAMPLE,
): SetupFigure {
  const { entry } = posed;
  const problem = searchOf(posed);
  const { body } = problem;
  const carry = carryTo(stand);
  const pose = problem.poseAt(now);
  const working = workingSides(problem);
  const path = (side: Side) => problem.limbAt(side, at).path;
  const pad = entry.armOn === null ? null : armPadOf(body, path(working.at(-1)!), now, 0);
  const faceOn = ({ from, to }: Face) => ({ from: view.project(carry(from)), to: view.project(carry(to)) });
  return {
    body: bodySilhouettes(view, carry, body, pose),
    arms: working.map((side) => armSilhouette(view, carry, body, path(side), now, `arm-${side}`)),
    idle: SIDES.filter((s) => !working.includes(s)).map((side) =>
      armSilhouette(view, carry, body, restingArm(body, pose, side), 0, `idle-${side}`),
    ),
    range: working.flatMap((side) =>
      GHOST_SAMPLES.map((i) => armSilhouette(view, carry, body, path(side), i, `ghost-${side}-${i}`)),
    ),
    handPaths: working.map((side) =>
      path(side)
        .contact.map((g, i) => {
          const d = view.project(carry(g));
          return `${i === 0 ? 'M' : 'L'}${Math.round(d.u * 10) / 10} ${Math.round(d.v * 10) / 10}`;
        })
        .join(''),
    ),
    seats: gearShapes(view, carried(seatThings(entry, body, pose, pad), carry)),
    underArm: gearShapes(view, carried(armPadThings(pad), carry)),
    surfaces: facesOf(entry, body, pose).map((f) => faceOn(f)),
    armPad: pad && faceOn(pad),
  };
}

/** A limb laid beside the one that is shown, at a sample of the range. */
export const buildGhost = (problem: SetupProblem, ghost: Ghost, view: View, now: number): Silhouette =>
  armSilhouette(view, carryTo(ghost.placement), problem.body, ghost.path, now, 'ghost');

/** Cables, mark and lever of a placement at a sample of the range. */
export function buildSetupLines(posed: PosedQuestion, placement: Placement, view: View, now = LAST_SAMPLE): SetupLines {
  const problem = searchOf(posed);
  const { shared } = problem;
  const carry = carryTo(placement);
  const at = (v: Vec3): Dot => view.project(carry(v));
  const working = workingSides(problem);
  const path = (side: Side) => problem.limbAt(side, placement).path;
  const pulley = (side: Side): Dot => view.project(problem.pulley(placement, side));
  const lineAt = (side: Side, i: number): Dot => {
    const g = path(side).contact[i]!;
    return at(shared ? [g[0], g[1], 0] : g);
  };
  const lines = shared ? working.slice(-1) : working;
  const last = working[working.length - 1]!;
  const limb = problem.limbAt(last, placement);
  const joint = carry(limb.target.joint === 'middle' ? limb.path.middle[now]! : limb.path.proximal[now]!);
  const grip = limb.path.contact[now]!;
  const foot = leverFoot(joint, carry(shared ? [grip[0], grip[1], 0] : grip), problem.pulley(placement, last));
  const held = heldThings({
    posed,
    hands: handsAt(
      carry,
      working.map((side) => handOf(posed.entry, path(side), now)),
    ),
    anchorOf: () => null,
    pulleyOf: (side) => problem.pulley(placement, side),
    axisOf: () => joint,
    soleOf: () => [joint, joint],
  });
  return {
    cables: lines.map((side) => ({
      side,
      from: pulley(side),
      to: lineAt(side, now),
      shoulder: at(path(side).proximal[now]!),
    })),
    ghostCables: lines.flatMap((side) =>
      GHOST_SAMPLES.map((i) => ({ key: `${side}-${i}`, from: pulley(side), to: lineAt(side, i) })),
    ),
    held: gearShapes(
      view,
      held.flatMap((h) => h.gear),
    ),
    mark: view.project([placement.standX, 0, placement.standZ]),
    lever: { from: view.project(joint), to: view.project(foot) },
  };
}
