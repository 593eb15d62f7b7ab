import type { Body } from '@/core/body/body-model';
import { signOf, type Side } from '@/core/body/side';
import { sizeOf } from '@/core/body/body-model';
import { CHEST_DEPTH } from '@/core/body/segment-ratios';
import { fromFrame } from '@/core/geometry/frame';
import { add, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import type { ChainPath } from '@/core/movement/chain-path';
import type { Machine, MachineKind } from '@/core/kit/machine';
import type { BookEntry } from './book-entry';
import type { FootPlace } from './foot-place';

/** Machines whose handles run on a guide, or on an arm so long that the hand's way is nearly straight. */
export const isGuided = (machine: MachineKind): boolean => machine === 'chest-press' || machine === 'shoulder-press';

/** A press's handle ahead of the chest at the start, metres (common practice: 3 to 8 cm). */
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

/**
 * Where a handle or plate that runs on a straight guide ends up: as far as the keys go, along the machine's own slope
 * where it is measured, else straight to where they end; never further than the limb from `joint` reaches.
 */
export function guideEnd(start: Vec3, keyed: Vec3, measured: Machine | undefined, joint: Vec3, reachM: number): Vec3 {
  const way = subtract(keyed, start);
  const far = length(way);
  const own = normalise(way);
  const slope = measured?.path.kind === 'guide' ? toRad(measured.path.guideDeg) : null;
  const level: Vec3 = slope === null ? own : [Math.cos(slope), Math.sin(slope), 0];
  const ahead = dot(level, own) < 0 ? scale(level, -1) : level;
  // |start + x ahead - joint| = reach, the further of the two places.
  const from = subtract(start, joint);
  const b = dot(from, ahead);
  const most = -b + Math.sqrt(Math.max(0, b * b - dot(from, from) + reachM * reachM));
  return add(start, scale(ahead, Math.min(far, Math.max(0, most))));
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
