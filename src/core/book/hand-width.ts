import type { Body } from '@/core/body/body-model';
import type { HandWidths } from '@/core/movement/hand-pair';
import type { BookEntry, GripRule, HandHold } from './book-entry';

/**
 * Hands apart by rule, shares of the shoulder breadth (joint to joint): narrow a hand's breadth inside, wide half as
 * much again, past the bend of a long bar nearly the whole of its straight part (common practice; the shares are our
 * judgement).
 */
const RULE_SHARE: Readonly<Record<GripRule, number>> = { narrow: 0.7, shoulder: 1.05, wide: 1.5, 'past-bend': 1.8 };

/** What a trainer can find again on a bar, metres. */
export const WIDTH_STEP_M = 0.05;
/** Hands on a free bar between its sleeves, metres (common practice: a 2.2 m bar has 1.31 m between the collars). */
const FREE_BAR_M: readonly [number, number] = [0.2, 1.2];

/** Whether the hands' distance is somebody's choice: a rule on a bar, not the size of a plate or a dumbbell. */
export const hasGripWidth = ({ hold }: BookEntry): boolean =>
  typeof hold?.start === 'string' || hold?.rule !== undefined;

const metres = (rule: GripRule | number, body: Body): number =>
  typeof rule === 'number' ? rule : RULE_SHARE[rule] * body.length.shoulderBreadth.m;

/** A width as it can be set: whole steps within what the thing allows. */
function settable(widthM: number, room: readonly [number, number] | null): number {
  const whole = Math.round(widthM / WIDTH_STEP_M) * WIDTH_STEP_M;
  const [least, most] = room ?? FREE_BAR_M;
  // A handle with one place for each hand has no steps.
  return Math.round(Math.min(most, Math.max(least, whole)) * 1000) / 1000;
}

/**
 * Hands of a movement on a body, metres: by rule in whole steps, cut to what the thing in them allows (`room`, null for
 * a free bar); a size of the thing itself as it is, no wider than the thing. Null where each hand has its own.
 */
export function handWidths(
  hold: HandHold | null,
  body: Body,
  room: readonly [number, number] | null,
): HandWidths | null {
  if (!hold) return null;
  const of = (rule: GripRule | number): number => {
    const own = metres(rule, body);
    return typeof rule === 'string' ? settable(own, room) : room ? Math.min(room[1], Math.max(room[0], own)) : own;
  };
  return { startM: of(hold.start), finishM: of(hold.finish), gives: hold.gives };
}

/** The movement with its hands at a chosen distance, or by its rule within what the thing allows. */
export function withHands(
  e: BookEntry,
  body: Body,
  room: readonly [number, number] | null,
  chosenM: number | null,
): BookEntry {
  if (!e.hold) return e;
  const own = hasGripWidth(e) && chosenM !== null ? { ...e.hold, start: chosenM, finish: chosenM } : e.hold;
  const { startM, finishM } = handWidths(own, body, room)!;
  const rule = typeof e.hold.start === 'string' ? { rule: e.hold.start, chosen: chosenM !== null } : {};
  return { ...e, hold: { ...own, ...rule, start: startM, finish: finishM } };
}
