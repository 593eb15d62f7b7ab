import { GRAVITY_MS2 } from '@/core/units/mass';

/**
 * Peak acceleration of a minimum-jerk move over `distanceM` in `timeS`: 10 / sqrt(3) * D / t^2.
 * Source: Flash and Hogan 1985, J. Neurosci. 5:1688-1703; the greatest second derivative of 10 t^3 - 15 t^4 + 6 t^5.
 */
export const peakAccelerationMs2 = (distanceM: number, timeS: number): number =>
  ((10 / Math.sqrt(3)) * distanceM) / timeS ** 2;

/** Peak tension of a stack or weight lifted that fast, newtons: m (g + a). Precondition: positive time. */
export const peakTensionN = (massKg: number, distanceM: number, timeS: number): number =>
  massKg * (GRAVITY_MS2 + peakAccelerationMs2(distanceM, timeS));
