import type { LearnedTime } from '@/core/plan/change-times';
import type { SessionState } from '@/core/plan/day';
import type { Opposites } from '@/core/plan/fit-session';
import type { Change, ChangeTimes } from '@/core/plan/session-time';
import type { CalendarState } from '@/messages/calendar';
import type { PlanBlock } from '@/core/plan/plan-blocks';
import type { Aimed } from '@/core/tempo/set-aims';
import type { LoadUnit } from '@/core/units/mass';
import type { Choice, PlanTemplate } from './plan';

/** A block of a session's plan with what is read of it. */
export interface PlanBlockView extends PlanBlock {
  readonly name: string;
  /** Sets, reps, tempo and load. */
  readonly says: string;
  readonly station: string | null;
  /** A set of it was begun: it is not moved any longer. */
  readonly isBegun: boolean;
  /** Why it is not done this time; null where it is to be done. */
  readonly skipped: string | null;
  /** Load of its first side, as stamped; null where nothing is loaded. */
  readonly load: number | null;
  readonly unit: LoadUnit;
  /** Whether its other side is planned otherwise. */
  readonly sidesDiffer: boolean;
  /** Its sets, reps and tempo as they are planned, of its first side. */
  readonly planned: Aimed & { readonly tempo: string };
  /** The newest plain set on record of it, which loads are suggested by; null where there is none with a load. */
  readonly lifted: LiftedSet | null;
  /** Loads that there are for it, integer grams. */
  readonly stepsG: readonly number[];
}

/** A set that was lifted: with the reps that were kept, as many as the load would have allowed. */
export interface LiftedSet {
  readonly loadG: number;
  readonly reps: number;
  /** Which set it was. */
  readonly says: string;
}

/** Stations of a session that somebody else wants at the same time, and what is known at once to get round it. */
export interface WaysOut {
  readonly says: readonly string[];
  /** Whether a set was begun: then it neither starts at another time nor on another column. */
  readonly isBegun: boolean;
  /** The nearest start on its day at which nobody does; null where there is none, or it has begun. */
  readonly start: string | null;
  /** An order of what is left in which nobody does: every planned movement, and what is left in words. */
  readonly order: { readonly itemIds: readonly string[]; readonly says: string } | null;
}

/** The same with the columns that nobody wants meanwhile and that serve the movements. */
export interface WantedView extends WaysOut {
  readonly standIns: readonly StandInColumn[];
}

/** A column that nobody wants meanwhile and that serves what is planned on a wanted one. */
export interface StandInColumn {
  readonly stationId: string;
  readonly name: string;
  readonly itemIds: readonly string[];
}

/** A session in its order. */
export interface SessionPlanView {
  readonly sessionId: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly when: string;
  /** Its day like 2026-11-24, and when it starts on it like 14:30. */
  readonly day: string;
  readonly startsAt: string;
  /** The time there is, and what changes between movements take at its gym. */
  readonly minutes: number;
  readonly times: ChangeTimes;
  /** When opposite muscles take turns for this client. */
  readonly opposites: Opposites;
  readonly isFinished: boolean;
  readonly isCalledOff: boolean;
  /** Stations that somebody else wants at the same time; null where nobody does. */
  readonly wanted: WantedView | null;
  readonly blocks: readonly PlanBlockView[];
  /** Movements that this program cannot read: then nothing is moved. */
  readonly unreadable: number;
}

/** A session in the week. */
export interface WeekSessionView {
  readonly id: string;
  readonly clientName: string;
  readonly starts: string;
  readonly ends: string;
  /** How many movements there are, both sides of one together. */
  readonly movements: number;
  readonly state: SessionState;
  /** Whether somebody else wants one of its stations at the same time. */
  readonly isWanted: boolean;
}

/** A week of sessions, Monday first. */
export interface WeekView {
  /** Its Monday, and those of the weeks before and after it, like 2026-11-23. */
  readonly monday: string;
  readonly before: string;
  readonly after: string;
  readonly titled: string;
  readonly isThisWeek: boolean;
  readonly days: readonly {
    readonly day: string;
    readonly says: string;
    readonly isToday: boolean;
    readonly sessions: readonly WeekSessionView[];
  }[];
  readonly changeTimes: readonly ChangeTimesView[];
  /** Clients, gyms and templates that a session can be made with. */
  readonly clients: readonly Choice[];
  readonly gyms: readonly Choice[];
  readonly templates: readonly (PlanTemplate & { readonly mayDrop: boolean })[];
  readonly unreadable: number;
}

/** What a new session's form opens with. */
export interface AskedSession {
  /** Another place asked for it: the form is open. */
  readonly isAsked: boolean;
  readonly clientId: string;
  readonly day: string;
  readonly startsAt: string;
  readonly minutes: number;
  /** The session that it repeats; empty for none. */
  readonly fromId: string;
}

/** An event of a calendar file, and what becomes of it. */
export interface CalendarLine {
  /** The session that it is, or would be. */
  readonly id: string;
  readonly when: string;
  readonly minutes: number;
  readonly summary: string;
  readonly state: CalendarState;
  /** Why it is left out; empty where it is not. */
  readonly why: string;
}

/** A calendar file, line by line. */
export interface CalendarView {
  readonly lines: readonly CalendarLine[];
}

/** What a gym's changes between movements take, seconds. */
export interface ChangeTimesView {
  readonly gymId: string;
  readonly gymName: string;
  readonly changes: readonly {
    readonly change: Change;
    readonly entered: number | null;
    readonly learned: LearnedTime | null;
    readonly ours: number;
  }[];
}
