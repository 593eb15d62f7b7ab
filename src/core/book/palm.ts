import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import type { Side } from '@/core/body/side';
import type { AttachmentKind } from '@/core/kit/attachment';
import type { Palm } from '@/core/mechanics/forearm-turn';
import type { BookEntry, Grip } from './book-entry';

/** How far a grip turns the forearm from thumb up, degrees: as far as forearms go (AAOS norm 80). */
export const GRIP_TURN_DEG: Readonly<Record<Grip, number>> = { pronated: -80, neutral: 0, supinated: 80 };
/** Breadth of a hand, share of stature (remembered: 8.8 cm at 1.76 m). */
const HAND_BREADTH = 0.05;
/** Handle of a dumbbell between its ends, metres (common practice). */
const HANDLE_M = 0.125;

/** Whether each hand has a dumbbell of its own that a bent elbow carries, so that its handle can be held at an end. */
export const hasHandlePlace = ({ load, action, hold }: BookEntry): boolean =>
  load.kind === 'weight' && load.kit === 'dumbbells' && load.share === 1 && hold === null && action === 'elbow.flexion';

/**
 * How far from the middle of the hand the load acts, towards the little finger, metres. Thumb against the plate, the
 * bell's middle lies past the little finger, by half of what the handle is longer than the hand is broad. A rope that
 * is held in the fist leaves it past the little finger, with its knob over the thumb (common practice for curls).
 */
function offsetM(e: BookEntry, { statureM }: Body, attachment: AttachmentKind | null): number {
  const hand = HAND_BREADTH * statureM;
  if (e.load.kind === 'cable') return attachment === 'half-rope' || attachment === 'rope' ? hand / 2 : 0;
  if (!hasHandlePlace(e) || e.handlePlace === 'middle') return 0;
  return ((e.handlePlace === 'thumb-side' ? 1 : -1) * Math.max(0, HANDLE_M - hand)) / 2;
}

/**
 * How the hand holds what loads the elbow's flexors; null for every other movement. The forearm turns as far as the
 * grip asks, or as far as was measured on that side.
 */
export function palmOf(
  e: BookEntry,
  body: Body,
  side: Side,
  active: ActiveRangeDeg,
  attachment: AttachmentKind | null,
): Palm | null {
  const grip = e.grips[0];
  if (e.action !== 'elbow.flexion' || (e.hands === 'two' && e.load.kind === 'cable') || !grip) return null;
  const own = active[side] ?? {};
  const within = (deg: number): number =>
    Math.max(-(own['forearm.pronation'] ?? Infinity), Math.min(own['forearm.supination'] ?? Infinity, deg));
  return {
    startDeg: within(GRIP_TURN_DEG[e.gripBefore ?? grip]),
    finishDeg: within(GRIP_TURN_DEG[grip]),
    offsetM: offsetM(e, body, attachment),
  };
}
