import { sizeOf, type Body } from '@/core/body/body-model';
import { holePositionM } from '@/core/kit/calibrate-ruler';
import type { PreacherBench } from '@/core/kit/machine';

/** How a seat hole puts the armpit to the top edge of the pad. */
export interface SeatFit {
  readonly hole: number;
  /**
   * Top edge of the pad above the armpit (preacher), or handle above its mark (press), metres; positive: the seat is
   * too low.
   */
  readonly gapM: number;
  readonly estimated: boolean;
}

/**
 * A gap this small lets the arm lie flat up to the armpit; half a common seat step (common practice: a hole or two).
 */
export const SNUG_M = 0.015;

/**
 * Every seat hole with its gap, best first: the smallest gap, of two alike the higher seat (a gap nearly always means
 * too low).
 */
export function fitSeat(
  body: Body,
  mark: 'seatedArmpit' | 'seatedNipple' | 'seatedShoulder',
  seat: PreacherBench['seat'],
  targetM: number,
): SeatFit[] {
  const own = sizeOf(body, mark);
  return Array.from({ length: seat.holes }, (_, i): SeatFit => {
    const hole = i + 1;
    return { hole, gapM: targetM - (holePositionM(seat, hole) + own.m), estimated: own.source !== 'measured' };
  }).sort((a, b) => Math.abs(a.gapM) - Math.abs(b.gapM) || a.gapM - b.gapM);
}

/**
 * Seat hole of a preacher bench: the armpit meets the top edge of the pad, so that the back of the upper arm lies flat
 * on it. Best first.
 */
export const fitPreacher = (body: Body, bench: PreacherBench): SeatFit[] =>
  fitSeat(body, 'seatedArmpit', bench.seat, bench.padTopM);
