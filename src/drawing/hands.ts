import { signOf, type Side } from '@/core/body/side';
import type { BookEntry } from '@/core/book/book-entry';
import { GRIP_TURN_DEG } from '@/core/book/palm';
import { add, cross, dot, normalise, scale, subtract, length, type Vec3 } from '@/core/geometry/vector';
import { flexingWay } from '@/core/mechanics/forearm-turn';
import type { ChainPath } from '@/core/movement/chain-path';
import { toRad } from '@/core/units/angle';

/** A hand that holds something, stand frame: where it grips, and where its thumb points along the handle (unit). */
export interface Hand {
  readonly side: Side;
  readonly at: Vec3;
  readonly thumb: Vec3;
}

/** A part of a direction square to another (unit); null where little of it is left. */
function squareTo(way: Vec3, to: Vec3): Vec3 | null {
  const own = subtract(way, scale(to, dot(way, to)));
  return length(own) < 0.05 ? null : normalise(own);
}

/**
 * A hand of an arm at a sample, as its grip turns it.
 *
 * A curl's grip is the turn of its forearm, from thumb up (`forearmTurnNm`). Elsewhere trainers name a grip by how the
 * hands look at each other: overhand with the thumbs towards each other, underhand with the thumbs outward, neutral
 * with the palms towards each other. Inward is towards the other side, and a little the way in which the elbow bends,
 * which is what is left of it where an arm is straight out to its side.
 */
export function handOf(e: BookEntry, path: ChainPath, i: number): Hand {
  const fore = normalise(subtract(path.contact[i]!, path.middle[i]!));
  const frame = path.frame[i] ?? path.frame[0]!;
  const flexes = flexingWay(path, i) ?? squareTo(frame.x, fore) ?? squareTo(frame.y, fore)!;
  const grip = e.grips[0] ?? 'neutral';
  const sign = signOf(path.side);
  const hand = (thumb: Vec3): Hand => ({ side: path.side, at: path.contact[i]!, thumb });
  if (e.action === 'elbow.flexion') {
    const share = i / Math.max(1, path.contact.length - 1);
    const start = GRIP_TURN_DEG[e.gripBefore ?? grip];
    const turn = toRad(start + (GRIP_TURN_DEG[grip] - start) * share);
    const outer = scale(cross(fore, flexes), sign);
    return hand(add(scale(flexes, Math.cos(turn)), scale(outer, Math.sin(turn))));
  }
  const inward = squareTo(add(scale(frame.z, -sign), scale(flexes, 0.35)), fore) ?? flexes;
  if (grip === 'neutral') return hand(scale(cross(fore, inward), sign));
  return hand(grip === 'pronated' ? inward : scale(inward, -1));
}
