import { signOf } from '@/core/body/side';
import { add, cross, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { toRad } from '@/core/units/angle';

/**
 * How a hand holds what loads it: turn of the forearm from thumb up (degrees, positive palm up) as the lift begins and
 * as it ends, and how far from the middle of the hand the load acts along the handle, metres, positive towards the
 * little finger.
 */
export interface Palm {
  readonly startDeg: number;
  readonly finishDeg: number;
  readonly offsetM: number;
}

/**
 * Greatest moments that turn the palm up and down, newton metres. Source: Askew, An, Morrey and Chao 1987, Clin Orthop
 * 222: 261, isometric, grown men's stronger arm with the elbow bent square: 91 and 73 kg cm. From memory.
 */
export const TURN_STRENGTH_NM = { up: 8.9, down: 7.2 } as const;

/** An elbow that is straighter than this shows no plane of its own (sine of its bend). */
const STRAIGHT = 0.05;

/** Direction in which the forearm moves as the elbow flexes, unit; null where the elbow is straight. */
export function flexingWay({ proximal, middle, contact }: ChainPath, i: number): Vec3 | null {
  const back = normalise(subtract(proximal[i]!, middle[i]!));
  const fore = normalise(subtract(contact[i]!, middle[i]!));
  const way = subtract(back, scale(fore, dot(back, fore)));
  return length(way) < STRAIGHT ? null : normalise(way);
}

/**
 * Moment about the forearm's own length that the muscles which turn it must hold, newton metres per sample: positive
 * where the load turns the palm down, so that biceps and supinator hold it. Forces are on the contact, flat, 3 each.
 *
 * With v the forearm from elbow to hand, f the way in which it flexes and l = f x v turned to the outer side: with the
 * thumb up the handle lies along f, with the palm up the thumb points along l, so that t = f cos a + l sin a points to
 * the thumb at a turn of a. The load acts at r = -offset t from the middle of the hand; the axis about which the thumb
 * goes from f to l is s = f x l, and the muscles hold -(r x F) . s.
 */
export function forearmTurnNm(path: ChainPath, forceN: Float64Array, palm: Palm): Float64Array {
  const n = path.contact.length;
  const out = new Float64Array(n);
  let f: Vec3 | null = null;
  for (let i = 0; i < n && !f; i++) f = flexingWay(path, i);
  for (let i = 0; i < n; i++) {
    f = flexingWay(path, i) ?? f;
    if (!f) return out;
    const fore = normalise(subtract(path.contact[i]!, path.middle[i]!));
    const outer = scale(cross(fore, f), signOf(path.side));
    const a = toRad(palm.startDeg + ((palm.finishDeg - palm.startDeg) * i) / (n - 1));
    const thumb = add(scale(f, Math.cos(a)), scale(outer, Math.sin(a)));
    const r = scale(thumb, -palm.offsetM);
    const force: Vec3 = [forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!];
    out[i] = -dot(cross(r, force), cross(f, outer));
  }
  return out;
}

/** The most that a load turns the forearm: where in the range, which way the palm, and against what people hold. */
export interface ForearmTurn {
  readonly mostNm: number;
  /** Position in [0, 1]. */
  readonly at: number;
  /** Which way the load turns the palm. */
  readonly turns: 'down' | 'up';
  /** Of the greatest moment of who holds it. */
  readonly share: number;
}

/** The sample at which a load turns the forearm most. */
export function mostForearmTurn(path: ChainPath, forceN: Float64Array, palm: Palm): ForearmTurn {
  const nm = forearmTurnNm(path, forceN, palm);
  const k = nm.reduce((best, v, i) => (Math.abs(v) > Math.abs(nm[best]!) ? i : best), 0);
  const turns = nm[k]! >= 0 ? 'down' : 'up';
  const mostNm = Math.abs(nm[k]!);
  // Who turns the palm up holds what turns it down.
  return { mostNm, at: k / (nm.length - 1), turns, share: mostNm / TURN_STRENGTH_NM[turns === 'down' ? 'up' : 'down'] };
}
