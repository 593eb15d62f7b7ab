import type { Body } from '@/core/body/body-model';
import { CHEST_DEPTH } from '@/core/body/segment-ratios';
import { intoFrame } from '@/core/geometry/frame';
import { subtract } from '@/core/geometry/vector';
import type { BookEntry } from './book-entry';
import type { PosedEntry } from './pose-entry';

/**
 * Half the height of a dumbbell's head by its mass: a lump of iron grows with the cube root (our judgement: 10 kg about
 * 17 cm across).
 */
const DUMBBELL_M_PER_KG_THIRD = 0.04;
/** Half the height of the biggest common plate, metres (common practice: 45 cm across). */
const PLATE_RADIUS_M = 0.225;
/** A hand this far from the midline passes beside the chest, share of the shoulder breadth. */
const BESIDE_CHEST = 0.62;

const sizeOf = (e: BookEntry, loadKg: number): number | null => {
  if (e.load.kind !== 'weight') return null;
  if (e.load.kit === 'bar') return e.posture.kind === 'hinged' ? PLATE_RADIUS_M : null;
  return e.load.kit === 'dumbbells' ? DUMBBELL_M_PER_KG_THIRD * Math.cbrt(loadKg) : null;
};

/**
 * The part of a posed range, shares in [0, 1], in which the weight meets neither the floor nor the chest: bigger plates
 * and dumbbells cut the range short. Ends are found between samples by straight lines.
 */
export function clearOfTouch(
  e: BookEntry,
  body: Body,
  posed: PosedEntry,
  loadKg: number,
): { readonly from: number; readonly to: number } {
  const size = sizeOf(e, loadKg);
  if (size === null || posed.path.chain !== 'arm') return { from: 0, to: 1 };
  const { contact, frame } = posed.path;
  const half = body.length.shoulderBreadth.m / 2;
  const lying = e.group === 'chest' && e.posture.kind === 'lying' && e.posture.on === 'back';
  const room = contact.map((c, i) => {
    const floor = c[1] - size;
    if (!lying) return floor;
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
