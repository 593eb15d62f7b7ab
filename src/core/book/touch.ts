import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { SIDES } from '@/core/body/side';
import { CHEST_DEPTH } from '@/core/body/segment-ratios';
import { intoFrame } from '@/core/geometry/frame';
import { segmentDistance } from '@/core/geometry/segments';
import { subtract, type Vec3 } from '@/core/geometry/vector';
import { GRAZE_M, THIGH_HALF, TRUNK_HALF } from '@/core/setup/line-clear';
import { barHalfHeightM, BIGGEST_PLATE_RADIUS_M } from '@/core/kit/plates';
import type { BookEntry } from './book-entry';
import type { PosedEntry } from './pose-entry';

/**
 * Half the height of a dumbbell's head by its mass: a lump of iron grows with the cube root (our judgement: 10 kg about
 * 17 cm across).
 */
const DUMBBELL_M_PER_KG_THIRD = 0.04;
/** A hand this far from the midline passes beside the chest, share of the shoulder breadth. */
const BESIDE_CHEST = 0.62;

const sizeOf = (e: BookEntry, loadKg: number): number | null => {
  if (e.load.kind !== 'weight') return null;
  if (e.load.kit === 'bar') {
    // Rows are begun from full plates, or blocks as high; over a hip pad what the load takes meets the floor.
    if (e.posture.kind === 'hip-pad') return barHalfHeightM(loadKg);
    return e.posture.kind === 'hinged' ? BIGGEST_PLATE_RADIUS_M : null;
  }
  return e.load.kit === 'dumbbells' ? DUMBBELL_M_PER_KG_THIRD * Math.cbrt(loadKg) : null;
};

/** Half the thickness of a bar, and how much of it is beyond each hand, metres (our judgement). */
const BAR_RADIUS_M = 0.015;
const BEYOND_HAND_M = 0.05;

/** Whether both hands hold one bar or handle that would meet trunk or thighs. */
const holdsBar = ({ hold, load }: BookEntry): boolean =>
  hold !== null && ((load.kind === 'weight' && load.kit === 'bar') || (load.kind === 'cable' && load.shared));

/** How far a bar is pulled into the belly, which gives, metres (our judgement). */
const BELLY_GIVES_M = 0.03;

/** Room between a bar in both hands and the nearest of trunk and thighs at a sample, with what they give; metres. */
function barRoom({ statureM }: Body, pose: BodyPose, [x, y, z]: Vec3): number {
  const end = Math.abs(z) + BEYOND_HAND_M;
  const off = (from: Vec3, to: Vec3, radius: number, gives: number): number =>
    segmentDistance(x, y, -end, x, y, end, ...from, ...to) - radius * statureM - BAR_RADIUS_M + gives;
  const { pelvis, neckBase, leg } = pose;
  return Math.min(
    off(pelvis, neckBase, TRUNK_HALF, BELLY_GIVES_M),
    ...SIDES.map((s) => off(leg[s].hip, leg[s].knee, THIGH_HALF, GRAZE_M)),
  );
}

/**
 * The part of a posed range, shares in [0, 1], in which what is held meets neither the floor nor the body: bigger
 * plates and dumbbells cut the range short, and a bar ends at the thighs or the belly. Ends are found between samples
 * by straight lines; what grazes the body half way cuts nothing.
 */
export function clearOfTouch(
  e: BookEntry,
  body: Body,
  posed: PosedEntry,
  loadKg: number,
): { readonly from: number; readonly to: number } {
  const size = sizeOf(e, loadKg);
  const bar = holdsBar(e);
  if ((size === null && !bar) || posed.path.chain === 'leg') return { from: 0, to: 1 };
  const { contact, frame } = posed.path;
  const half = body.length.shoulderBreadth.m / 2;
  const lying = e.group === 'chest' && e.posture.kind === 'lying' && e.posture.on === 'back';
  const room = contact.map((c, i) => {
    const floor = size === null ? Infinity : c[1] - size;
    if (bar) return Math.min(floor, barRoom(body, posed.bodyAt(i), c));
    if (!lying || size === null) return floor;
    const own = intoFrame(frame[i]!, subtract(c, posed.pose.neckBase));
    return Math.abs(own[2]) > BESIDE_CHEST * 2 * half
      ? floor
      : Math.min(floor, own[0] - CHEST_DEPTH * body.statureM - size);
  });
  const last = room.length - 1;
  let a = 0;
  while (a < last && room[a]! < 0) a += 1;
  let b = last;
  while (b > a && room[b]! < 0) b -= 1;
  const cross = (out: number, into: number): number => out + ((into - out) * -room[out]!) / (room[into]! - room[out]!);
  return { from: a === 0 ? 0 : cross(a - 1, a) / last, to: b === last ? 1 : cross(b + 1, b) / last };
}
