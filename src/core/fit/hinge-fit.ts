import { bisect } from '@/core/units/bisect';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { armToGripM } from '@/core/body/arm-length';

/** Knee bend of a hinge with soft knees, degrees (common practice). */
export const SOFT_KNEES_DEG = 20;

/** Knuckles above the kneecaps (negative below), metres, of hanging arms at a hinge: the client's own centimetres. */
export function knucklesOverKneesM(body: Body, trunkDeg: number, kneeFlexionDeg = SOFT_KNEES_DEG): number {
  const pose = poseBody(body, { kind: 'hinged', trunkDeg, kneeFlexionDeg });
  return pose.shoulder.right[1] - armToGripM(body) - pose.leg.right.knee[1];
}

/**
 * Trunk angle above level at which the knuckles hang `overM` above the kneecaps, degrees in [0, 90]; null when no hinge
 * does that. Bisection.
 */
export function findHingeDeg(body: Body, overM: number, kneeFlexionDeg = SOFT_KNEES_DEG): number | null {
  if (overM < knucklesOverKneesM(body, 0, kneeFlexionDeg) || overM > knucklesOverKneesM(body, 90, kneeFlexionDeg))
    return null;
  return bisect(0, 90, (trunkDeg) => knucklesOverKneesM(body, trunkDeg, kneeFlexionDeg) < overM);
}
