import type { Body } from '@/core/body/body-model';
import { signOf, type Side } from '@/core/body/side';
import { sizeOf } from '@/core/body/body-model';
import { fromFrame } from '@/core/geometry/frame';
import { add, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import type { MachineKind } from '@/core/kit/machine';
import type { BookEntry } from './book-entry';
import type { FootPlace } from './foot-place';

/** Machines whose handles run on a guide, or on an arm so long that the hand's way is nearly straight. */
export const isGuided = (machine: MachineKind): boolean => machine === 'chest-press' || machine === 'shoulder-press';

/** Front of the chest before the line of the neck, share of stature (our judgement), and a handle's way ahead of it. */
const CHEST_DEPTH = 0.06;
const AHEAD_OF_CHEST_M = 0.055;
/** Hand out from the midline at the start of a press, share of the shoulder breadth (common practice). */
const PRESS_HANDS = 0.72;

/**
 * Where a press machine's handle starts: level with the nipple and a few centimetres ahead of the chest, never beside
 * it; stand frame, metres. The seat is fitted to the same mark (`fitHandles`).
 */
export function pressStart(body: Body, path: ChainPath): Vec3 {
  const frame = path.frame[0]!;
  const down = sizeOf(body, 'seatedShoulder').m - sizeOf(body, 'seatedNipple').m;
  const shoulder = path.proximal[0]!;
  const neck: Vec3 = [shoulder[0], shoulder[1], 0];
  const out = signOf(path.side) * PRESS_HANDS * body.length.shoulderBreadth.m;
  return add(neck, fromFrame(frame, [CHEST_DEPTH * body.statureM + AHEAD_OF_CHEST_M, -down, out]));
}

/** How far a place moves the ankles on the plate, shares of stature: up it, and out from the middle one. */
const PLACE_SHARE: Readonly<Record<FootPlace, readonly [up: number, out: number]>> = {
  middle: [0, 0],
  low: [-0.06, 0],
  high: [0.07, 0],
  narrow: [0, -0.035],
  wide: [0, 0.09],
};

/** Where a movement's feet stand on the plate from its middle place, metres, stand frame: up the plate and out. */
export function platePlace({ load, posture }: BookEntry, body: Body, side: Side): Vec3 {
  if (load.kind !== 'machine' || posture.kind !== 'leg-machine') return [0, 0, 0];
  const [up, out] = PLACE_SHARE[load.feet ?? 'middle'];
  // The plate stands square to the guide, which leaves the seat between level and the back's own slope.
  const tilt = ((90 - posture.backDeg) / 2 / 180) * Math.PI;
  const rise = up * body.statureM;
  return [-rise * Math.sin(tilt), rise * Math.cos(tilt), signOf(side) * out * body.statureM];
}
