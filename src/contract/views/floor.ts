import type { MovementId } from '@/core/book/book';
import type { UnreadableRow } from '../records/record';
import type { WaysOut } from './session-plan';
import type { SettingView } from './setting';
import type { ScreeningView } from './client';
import type { WorkingSide } from '@/core/body/side';
import type { ItemState } from '@/core/plan/item-state';
import type { FaultCode } from '@/core/movement/fault-code';

/** One planned movement on the floor board; all words and numbers, nothing to compute. */
export interface FloorItemView {
  readonly id: string;
  readonly movement: MovementId;
  readonly side: WorkingSide;
  /** The same movement for the other side, which is one with it here. */
  readonly otherSide: { readonly id: string; readonly side: WorkingSide } | null;
  readonly variant: string | null;
  /** Column it hangs on; null for a movement without one. */
  readonly station: string | null;
  /** What to set, biggest first; nothing when it is blocked. */
  readonly settings: readonly SettingView[];
  /** Where the settings come from. */
  readonly settingsNote: string;
  readonly blocked: string | null;
  /** Planned kit that is out of order, and what stands in. */
  readonly replaced: string | null;
  readonly watch: readonly { readonly fault: FaultCode; readonly text: string }[];
  /** What is other than the last time, in words. */
  readonly since: readonly string[];
  readonly progress: string;
  readonly state: ItemState;
  /** Why it is not done this time; null where it is to be done. */
  readonly skipped: string | null;
}

/** A client's session of today as the day's strip has it. */
export interface FloorBlockView {
  readonly id: string;
  readonly clientName: string;
  readonly starts: string;
  readonly ends: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly done: boolean;
  /** Somebody trains in it now. */
  readonly underWay: boolean;
  /** There is something to tell of it: sets, pain, or a movement that is skipped. */
  readonly isTouched: boolean;
  /** Row of the day's strip: nobody lies over another. */
  readonly lane: number;
}

/** A session of a full day that is over or far off. */
export interface BriefSessionView extends FloorBlockView {
  /** What is done in it, in words. */
  readonly movements: readonly string[];
  /** How many of its sets are done, in words. */
  readonly progress: string;
}

/** A client's session of today, with what to set and what to watch. */
export interface FloorSessionView extends FloorBlockView {
  readonly clientId: string;
  readonly note: string;
  /** Its day like 2026-11-24. */
  readonly day: string;
  readonly screening: ScreeningView;
  /** What is due for the client about now, in words. */
  readonly due: readonly string[];
  /** Stations that somebody else wants at the same time, with the ways out; null where nobody does. */
  readonly wanted: WaysOut | null;
  readonly items: readonly FloorItemView[];
}

/** The day on the floor. */
export interface FloorView {
  readonly nowMs: number;
  readonly now: string;
  /** Who is on the floor and who comes, earliest first. */
  readonly sessions: readonly FloorSessionView[];
  /** Of a full day the others: who still comes, then who was here, earliest first. */
  readonly others: readonly BriefSessionView[];
  /** Who is next (core/plan/day-standing). */
  readonly nextId: string | null;
  /** Sets of earlier days that nobody ended. */
  readonly unfinished: readonly { readonly itemId: string; readonly text: string }[];
  readonly unreadable: readonly UnreadableRow[];
}
