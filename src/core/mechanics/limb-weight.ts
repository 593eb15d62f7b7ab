import type { Body } from '@/core/body/body-model';
import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import { add, cross, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { GRAVITY_MS2 } from '@/core/units/mass';

/** Weight force of a mass, newtons, in any frame whose y is up. */
export const weightN = (massKg: number): Vec3 => [0, -massKg * GRAVITY_MS2, 0];

/**
 * Moment of an arm's own weight about the shoulder, newton metres, in the frame of the points given (y up).
 * The forearm and hand's centre lies 0.682 of the way from elbow to wrist (Winter, table 4.1).
 */
export function armWeightMomentNm(body: Body, shoulder: Vec3, elbow: Vec3, wrist: Vec3): Vec3 {
  const upperCentre = scale(subtract(elbow, shoulder), UPPER_ARM_MASS.centre);
  const lowerCentre = add(subtract(elbow, shoulder), scale(subtract(wrist, elbow), FOREARM_HAND_MASS.centre));
  return add(
    cross(upperCentre, weightN(body.massKg * UPPER_ARM_MASS.share)),
    cross(lowerCentre, weightN(body.massKg * FOREARM_HAND_MASS.share)),
  );
}
