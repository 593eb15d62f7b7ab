import { SIDES, type Side } from '@/core/body/side';
import { add, between, scale, type Vec3 } from '@/core/geometry/vector';
import type { Body } from './body-model';
import type { BodyPose } from './posture';
import {
  FOOT_MASS,
  FOREARM_HAND_MASS,
  HEAD_MASS_SHARE,
  SHANK_MASS,
  THIGH_MASS,
  TRUNK_MASS,
  UPPER_ARM_MASS,
} from './segment-mass';

/** An arm's joint centres, in the frame of the pose. */
export interface ArmPoints {
  readonly elbow: Vec3;
  readonly wrist: Vec3;
}

/**
 * Whole body's centre of mass, metres, in the frame of the pose. Arms not given hang from the shoulders.
 * Source: Winter's segment masses and centres; their shares sum to one.
 */
export function centreOfMass(body: Body, pose: BodyPose, arms: Partial<Record<Side, ArmPoints>> = {}): Vec3 {
  const parts: (readonly [number, Vec3])[] = [
    [TRUNK_MASS.share, between(pose.neckBase, pose.pelvis, TRUNK_MASS.centre)],
    [HEAD_MASS_SHARE, pose.head],
  ];
  for (const side of SIDES) {
    const leg = pose.leg[side];
    const shoulder = pose.shoulder[side];
    const hanging: ArmPoints = {
      elbow: add(shoulder, [0, -body.length.upperArm.m, 0]),
      wrist: add(shoulder, [0, -body.length.upperArm.m - body.length.forearm.m, 0]),
    };
    const { elbow, wrist } = arms[side] ?? hanging;
    parts.push(
      [THIGH_MASS.share, between(leg.hip, leg.knee, THIGH_MASS.centre)],
      [SHANK_MASS.share, between(leg.knee, leg.ankle, SHANK_MASS.centre)],
      [FOOT_MASS.share, between(leg.ankle, leg.toe, FOOT_MASS.centre)],
      [UPPER_ARM_MASS.share, between(shoulder, elbow, UPPER_ARM_MASS.centre)],
      [FOREARM_HAND_MASS.share, between(elbow, wrist, FOREARM_HAND_MASS.centre)],
    );
  }
  const total = parts.reduce((a, [share]) => a + share, 0);
  return parts.reduce<Vec3>((a, [share, at]) => add(a, scale(at, share / total)), [0, 0, 0]);
}

/**
 * Share of the body's weight on the hands when it rests on hands and feet, by moments about the feet; x positions in
 * metres along the body. Precondition: hands and feet apart.
 */
export const shareOnHands = (centreX: number, handsX: number, feetX: number): number =>
  (centreX - feetX) / (handsX - feetX);
