import { SIDES, type ActiveRangeDeg, type Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { poseTrunk, type TrunkPose } from '@/core/body/posture';
import { GRIP_SHARE_OF_HAND } from '@/core/body/segment-ratios';
import { slerp } from '@/core/geometry/rotation';
import { add, along, cross, dot, mirrorZ, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { Movement, MovementOptions } from './movement';

/** Samples over the range s = 0 (start of the lift) to 1 (finish). */
export const SAMPLES = 41;

/** A sweep shorter than this is not the movement any more, degrees. */
export const SHORTEST_SWEEP_DEG = 40;

/** Joint centres and grip of one arm over the range, body frame, metres. */
export interface LimbPath {
  readonly side: Side;
  readonly shoulder: Vec3;
  readonly elbow: readonly Vec3[];
  readonly grip: readonly Vec3[];
  readonly wrist: readonly Vec3[];
  /** Unit normal of the sweep, upwards. */
  readonly sweepUp: Vec3;
  /** Unit axis of the target action (right-handed), so that resistance is minus the moment along it. */
  readonly actionAxis: Vec3;
  /** Upper-arm azimuth in the sweep at start and finish, degrees. */
  readonly startDeg: number;
  readonly finishDeg: number;
  /** What set each end of the range. */
  readonly startFrom: 'movement' | 'active-range';
  readonly finishFrom: 'movement' | 'active-range';
}

export interface PosedMovement {
  readonly trunk: TrunkPose;
  readonly arms: Readonly<Record<Side, LimbPath>>;
}

/** Orthonormal pair spanning a right arm's sweep: `out` to the side, `ahead` in the plane. */
function sweepPlane(sideElevationDeg: number, tiltDeg: number): { readonly out: Vec3; readonly ahead: Vec3; readonly up: Vec3 } {
  const e = toRad(sideElevationDeg);
  const t = toRad(tiltDeg);
  const out: Vec3 = [0, -Math.cos(e), Math.sin(e)];
  const front: Vec3 = [Math.cos(t), -Math.sin(t), 0];
  const ahead = normalise(subtract(front, scale(out, dot(front, out))));
  return { out, ahead, up: normalise(cross(out, ahead)) };
}

/** Azimuth of the upper arm at which a right hand's grip comes to half the gap from the midline; bisection, radians. */
function azimuthWhereHandsMeet(gripZ: (azimuthRad: number) => number, halfGapM: number): number {
  let lo = toRad(20);
  let hi = toRad(170);
  for (let i = 0; i < 50; i++) {
    const mid = (lo + hi) / 2;
    if (gripZ(mid) > halfGapM) lo = mid;
    else hi = mid;
  }
  return (lo + hi) / 2;
}

function sweepArm(body: Body, trunk: TrunkPose, movement: Movement, tiltDeg: number, range: ActiveRangeDeg, side: Side): LimbPath {
  const path = movement.path;
  const { out, ahead, up } = sweepPlane(path.sideElevationDeg, tiltDeg);
  const at = (azimuthRad: number): Vec3 => add(scale(out, Math.cos(azimuthRad)), scale(ahead, Math.sin(azimuthRad)));
  const upperM = body.length.upperArm.m;
  const wristM = body.length.forearm.m;
  const lowerM = wristM + body.length.hand.m * GRIP_SHARE_OF_HAND;
  const bendStart = toRad(path.elbowFlexionDeg.start);
  const bendFinish = toRad(path.elbowFlexionDeg.finish);
  const halfShoulder = body.length.shoulderBreadth.m / 2;

  const abduction = range[side]?.['shoulder.horizontalAbduction'];
  const adduction = range[side]?.['shoulder.horizontalAdduction'];
  const start = Math.max(toRad(path.startAzimuthDeg), abduction === undefined ? -Infinity : -toRad(abduction));
  const meet = azimuthWhereHandsMeet((a) => halfShoulder + upperM * at(a)[2] + lowerM * at(a + bendFinish)[2], path.finishGapM / 2);
  const finish = Math.min(meet, adduction === undefined ? Infinity : toRad(adduction));

  // Keyframes of limb directions at both ends; slerp keeps the sweep in its plane at a constant rate.
  const upperEnds = [at(start), at(finish)] as const;
  const lowerEnds = [at(start + bendStart), at(finish + bendFinish)] as const;
  const toSide = side === 'right' ? (v: Vec3) => v : mirrorZ;
  const shoulder = trunk.shoulder[side];
  const elbow: Vec3[] = [];
  const wrist: Vec3[] = [];
  const grip: Vec3[] = [];
  for (let i = 0; i < SAMPLES; i++) {
    const s = i / (SAMPLES - 1);
    const e = along(shoulder, toSide(slerp(...upperEnds, s)), upperM);
    const lower = toSide(slerp(...lowerEnds, s));
    elbow.push(e);
    wrist.push(along(e, lower, wristM));
    grip.push(along(e, lower, lowerM));
  }
  const sweepUp = toSide(up);
  return {
    side,
    shoulder,
    elbow,
    wrist,
    grip,
    sweepUp,
    actionAxis: side === 'right' ? sweepUp : scale(sweepUp, -1),
    startDeg: (start * 180) / Math.PI,
    finishDeg: (finish * 180) / Math.PI,
    startFrom: start > toRad(path.startAzimuthDeg) ? 'active-range' : 'movement',
    finishFrom: finish < meet ? 'active-range' : 'movement',
  };
}

/**
 * The movement on this body: trunk pose and both arms over the range, body frame. The working range is the movement's
 * own cut to the client's active range; compare `finishDeg - startDeg` with `SHORTEST_SWEEP_DEG` before using it.
 */
export function poseMovement(body: Body, movement: Movement, options: MovementOptions, range: ActiveRangeDeg): PosedMovement {
  const trunk = poseTrunk(body, { kind: 'staggered', frontFoot: options.frontFoot, trunkLeanDeg: movement.trunkLeanDeg });
  const [left, right] = SIDES.map((side) => sweepArm(body, trunk, movement, options.tiltDeg, range, side));
  return { trunk, arms: { left: left!, right: right! } };
}
