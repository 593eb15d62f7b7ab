import { bisect } from '@/core/units/bisect';
import { SIDES, type Side } from '@/core/body/side';
import { type ActiveRangeDeg } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import type { BodyPose } from '@/core/body/posture';
import { GRIP_SHARE_OF_HAND } from '@/core/body/segment-ratios';
import { slerp } from '@/core/geometry/rotation';
import { add, along, cross, dot, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { toDeg, toRad } from '@/core/units/angle';
import { SAMPLES, type ChainPath, type ChainTarget } from './chain-path';
import type { JointAction } from './joint-action';
import type { SweepChoice, SweepPath } from './sweep-path';

/** A sweep shorter than this is not the movement any more, degrees. */
export const SHORTEST_SWEEP_DEG = 40;

/** One arm sweeping about its shoulder, with what the sweep is and where its ends come from. */
export interface LimbPath extends ChainPath {
  readonly target: ChainTarget;
  /** Upper-arm azimuth in the sweep at start and finish, degrees. */
  readonly startDeg: number;
  readonly finishDeg: number;
  /** What set each end of the range. */
  readonly startFrom: RangeEnd;
  readonly finishFrom: RangeEnd;
}

/**
 * The movement's own end, the client's measured range, a clinician's limit, what a note changes, where the load begins
 * to count, or where what is held meets the floor or the body.
 */
export type RangeEnd = 'movement' | 'active-range' | 'limit' | 'note' | 'load' | 'touch';

/** A sweep as it is posed, with where it starts and what set that. */
export interface PosedSweep {
  readonly body: BodyPose;
  readonly arms: Readonly<Record<Side, LimbPath>>;
}

/** Orthonormal pair spanning a right arm's sweep: `out` to the side, `ahead` in the plane. */
function sweepPlane(
  sideElevationDeg: number,
  tiltDeg: number,
): { readonly out: Vec3; readonly ahead: Vec3; readonly up: Vec3 } {
  const e = toRad(sideElevationDeg);
  const t = toRad(tiltDeg);
  const out: Vec3 = [0, -Math.cos(e), Math.sin(e)];
  const front: Vec3 = [Math.cos(t), -Math.sin(t), 0];
  const ahead = normalise(subtract(front, scale(out, dot(front, out))));
  return { out, ahead, up: normalise(cross(out, ahead)) };
}

/** Halvings for where the hands meet: nearer than any tape reads. */
const FINE_HALVINGS = 50;

/** Azimuth of the upper arm at which a right hand's grip comes to half the gap from the midline; bisection, radians. */
function azimuthWhereHandsMeet(gripZ: (azimuthRad: number) => number, halfGapM: number): number {
  return bisect(toRad(20), toRad(170), (azimuthRad) => gripZ(azimuthRad) > halfGapM, FINE_HALVINGS);
}

function sweepArm(
  body: Body,
  pose: BodyPose,
  path: SweepPath,
  action: JointAction,
  tiltDeg: number,
  ends: RangeEnds,
  side: Side,
): LimbPath {
  const { out, ahead, up } = sweepPlane(path.sideElevationDeg, tiltDeg);
  const at = (azimuthRad: number): Vec3 => add(scale(out, Math.cos(azimuthRad)), scale(ahead, Math.sin(azimuthRad)));
  const upperM = body.length.upperArm.m;
  const wristM = body.length.forearm.m;
  const lowerM = wristM + body.length.hand.m * GRIP_SHARE_OF_HAND;
  const bendStart = toRad(path.elbowFlexionDeg.start);
  const bendFinish = toRad(path.elbowFlexionDeg.finish);
  const halfShoulder = body.length.shoulderBreadth.m / 2;

  const meet = azimuthWhereHandsMeet(
    (a) => halfShoulder + upperM * at(a)[2] + lowerM * at(a + bendFinish)[2],
    path.finishGapM / 2,
  );
  const start = narrowest('start', toRad(path.startAzimuthDeg), ends, side);
  const finish = narrowest('finish', meet, ends, side);

  // Keyframes of limb directions at both ends; slerp keeps the sweep in its plane at a constant rate.
  const upperEnds = [at(start.rad), at(finish.rad)] as const;
  const lowerEnds = [at(start.rad + bendStart), at(finish.rad + bendFinish)] as const;
  const { stopAt = 1 } = ends;
  const toSide = side === 'right' ? (v: Vec3) => v : mirrorZ;
  const shoulder = pose.shoulder[side];
  const elbow: Vec3[] = [];
  const wrist: Vec3[] = [];
  const grip: Vec3[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const s = (stopAt * i) / (SAMPLES - 1);
    const e = along(shoulder, toSide(slerp(...upperEnds, s)), upperM);
    const lower = toSide(slerp(...lowerEnds, s));
    elbow.push(e);
    wrist.push(along(e, lower, wristM));
    grip.push(along(e, lower, lowerM));
  }
  const sweepUp = toSide(up);
  const axis = side === 'right' ? sweepUp : scale(sweepUp, -1);
  const each = <T>(value: T): T[] => Array.from({ length: SAMPLES }, () => value);
  return {
    side,
    chain: 'arm',
    proximal: each(shoulder),
    middle: elbow,
    distal: wrist,
    contact: grip,
    frame: each(pose.trunkFrame),
    target: { action, joint: 'proximal', axis: each(axis), answers: each(axis), by: null, above: each(sweepUp) },
    startDeg: toDeg(start.rad),
    finishDeg: toDeg(start.rad * (1 - stopAt) + finish.rad * stopAt),
    startFrom: start.from,
    finishFrom: finish.from,
  };
}

/** What may end the range before the movement does. */
export interface RangeEnds {
  readonly active: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  /** Loaded stretches stop level with the trunk. */
  readonly stopLevel: boolean;
  /** Share of the way that is gone before it stops; left out: all of it. */
  readonly stopAt?: number;
}

/** The tightest end of the range in the sweep and what sets it; azimuth in radians. */
function narrowest(
  which: 'start' | 'finish',
  own: number,
  ends: RangeEnds,
  side: Side,
): { readonly rad: number; readonly from: RangeEnd } {
  const motion = which === 'start' ? 'shoulder.horizontalAbduction' : 'shoulder.horizontalAdduction';
  const sign = which === 'start' ? -1 : 1;
  const candidates: (readonly [number | undefined, RangeEnd])[] = [
    [ends.limits[side]?.[motion], 'limit'],
    [ends.active[side]?.[motion], 'active-range'],
    [which === 'start' && ends.stopLevel ? 0 : undefined, 'note'],
  ];
  let end: { rad: number; from: RangeEnd } = { rad: own, from: 'movement' };
  for (const [deg, from] of candidates) {
    if (deg !== undefined && sign * (sign * toRad(deg) - end.rad) < -1e-12) end = { rad: sign * toRad(deg), from };
  }
  return end;
}

/**
 * A sweep on this body: trunk pose and both arms over the range, body frame. The working range is the movement's own
 * cut to the client's active range; compare `finishDeg - startDeg` with `SHORTEST_SWEEP_DEG` before using it.
 */
export function poseSweep(
  body: Body,
  path: SweepPath,
  action: JointAction,
  choice: SweepChoice,
  ends: RangeEnds,
): PosedSweep {
  const pose = poseBody(body, choice.posture ?? { kind: 'staggered', frontFoot: choice.frontFoot }, {
    leanDeg: path.leanDeg,
    sideBendDeg: 0,
    turnDeg: 0,
  });
  const [left, right] = SIDES.map((side) => sweepArm(body, pose, path, action, choice.tiltDeg, ends, side));
  return { body: pose, arms: { left: left!, right: right! } };
}
