import type { Vec3 } from '@/core/geometry/vector';
import { signOf, type Side } from '@/core/body/side';

/** How a client stands to a landmine's bar. */
export type LandmineStance = 'alongside' | 'square' | 'between';

/** A landmine: its pivot's height, the bar, and the middle of the plates from the pivot; metres, kilograms. */
export interface Landmine {
  readonly pivotHeightM: number;
  readonly barKg: number;
  readonly barM: number;
  readonly platesAtM: number;
}

/**
 * Where the hand holds the bar, share of its length from the pivot: one hand on the end of the sleeve behind the
 * plates, a handle for both hands round the bar before the collar (common practice).
 */
const GRIP_ON_BAR: Readonly<Record<LandmineStance, number>> = { alongside: 0.96, square: 0.96, between: 0.8 };

/** Distance of the grip from the pivot, metres: the same all the way, the bar is one piece. */
export const gripReachM = (at: LandmineStance, { barM }: Landmine): number => GRIP_ON_BAR[at] * barM;

/**
 * A landmine's pivot for the grip at the start: on the floor behind the hand, or out to its working side when standing
 * square.
 */
export function landminePivot(grip: Vec3, at: LandmineStance, side: Side, kit: Landmine): Vec3 {
  const level = Math.sqrt(Math.max(0.01, gripReachM(at, kit) ** 2 - (grip[1] - kit.pivotHeightM) ** 2));
  if (at === 'square') return [grip[0], kit.pivotHeightM, grip[2] + signOf(side) * level];
  return [grip[0] - level, kit.pivotHeightM, at === 'between' ? 0 : grip[2]];
}
