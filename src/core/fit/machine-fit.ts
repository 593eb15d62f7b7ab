import type { Body } from '@/core/body/body-model';
import { holePositionM } from '@/core/kit/calibrate-ruler';
import type { Machine } from '@/core/kit/machine';
import { fitSeat, type SeatFit } from './preacher-fit';

/**
 * Hip joint ahead of the back pad, share of stature: half the depth of the buttock (remembered, about 10 cm at 1.75 m).
 */
const HIP_BEFORE_BACK = 0.057;
/** Knee joint above the seat pad: about half a thigh near the knee (our judgement). */
const KNEE_OVER_SEAT = 0.035;

/** How a back-pad hole puts the knee to the machine's axis. */
export interface AxisFit {
  readonly hole: number;
  /** Knee beyond the axis (positive) or short of it along the seat, and above (positive) or below it, metres. */
  readonly aheadM: number;
  readonly aboveM: number;
  /** Distance of knee and axis, metres. */
  readonly offM: number;
  readonly estimated: boolean;
}

/**
 * Back-pad hole of a leg machine: the knee on the machine's axis. Best first; on a curl, of two alike the seat further
 * back (the knee short of the axis). Null for a machine without a back pad to set.
 */
export function fitAxis(body: Body, machine: Machine): AxisFit[] | null {
  const { back } = machine;
  if (!back) return null;
  const thighM = body.height.hipHeight.m - body.height.kneeHeight.m;
  const kneeM = HIP_BEFORE_BACK * body.statureM + thighM;
  const aboveM = KNEE_OVER_SEAT * body.statureM - machine.axisOverSeatM;
  const estimated = body.height.hipHeight.source !== 'measured' || body.height.kneeHeight.source !== 'measured';
  // On the curl "further back" wins ties: being short of the axis counts a little less than being beyond it.
  const shortWeighs = machine.kind === 'leg-curl' ? 0.8 : 1;
  const rank = (f: AxisFit): number => (f.aheadM < 0 ? shortWeighs : 1) * Math.abs(f.aheadM);
  return Array.from({ length: back.holes }, (_, i): AxisFit => {
    const hole = i + 1;
    const aheadM = kneeM - holePositionM(back, hole);
    return { hole, aheadM, aboveM, offM: Math.hypot(aheadM, aboveM), estimated };
  }).sort((a, b) => rank(a) - rank(b) || a.aheadM - b.aheadM);
}

/** What the handles of a machine should be level with, sitting (common practice). */
const HANDLE_MARK = {
  'chest-press': 'seatedNipple',
  'chest-fly': 'seatedShoulder',
  'reverse-fly': 'seatedShoulder',
  'shoulder-press': 'seatedShoulder',
  pullover: 'seatedShoulder',
} as const;

/**
 * Seat hole of a press or fly: handles level with nipples (press) or shoulders (fly, shoulder press). Best first; null
 * without a seat to set.
 */
export function fitHandles(body: Body, machine: Machine): SeatFit[] | null {
  const mark = HANDLE_MARK[machine.kind as keyof typeof HANDLE_MARK];
  return machine.seat && mark ? fitSeat(body, mark, machine.seat, machine.handleHeightM) : null;
}
