import type { Side } from '@/core/body/side';
import type { MovementId } from '@/core/book/book';
import type { UnreadableRow } from '../records/record';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { Outcome } from '@/core/record/floor-event';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Placement } from '@/core/setup/setup-problem';
import type { CaseInput } from '../case';

/** A correction where it was given, and how it fared. */
export interface LedgerSign {
  readonly setId: string;
  readonly code: CorrectionCode;
  readonly outcome: Outcome | null;
}

/** What one fault did in one session. */
export interface LedgerCell {
  /** In how many of how many sets it was seen. */
  readonly seen: number;
  readonly sets: number;
  /** The session ended what the fault was, or brought it back. */
  readonly turned: 'cleared' | 'reopened' | null;
  /** Reps with it by set, and the side if it was one alone. */
  readonly marks: readonly { readonly setId: string; readonly reps: readonly number[]; readonly side: Side | null }[];
  readonly signs: readonly LedgerSign[];
}

/** A set as it was done. */
export interface LedgerSet {
  readonly itemId: string;
  readonly setId: string;
  readonly setNo: number;
  /** Where one side works. */
  readonly side: Side | null;
  /** With the unit that its kit is stamped in. */
  readonly load: string;
  readonly reps: number;
  readonly setup: string | null;
  readonly setupOff: boolean;
  readonly tempo: string;
  /** A trace is kept of it. */
  readonly isTraced: boolean;
}

/** A session over its column. */
export interface LedgerSessionView {
  /** Left and right of one day are one session. */
  readonly sessionId: string;
  readonly date: string;
  /** The heaviest load of it, and the reps of its sets. */
  readonly load: string;
  readonly reps: string;
  readonly sets: readonly LedgerSet[];
  readonly pains: readonly { readonly id: string; readonly rep: number; readonly note: string }[];
}

/** A fault over the sessions; where one side works, of that side. */
export interface LedgerFaultRow {
  readonly fault: FaultCode;
  readonly side: Side | null;
  readonly summary: string;
  readonly cleared: boolean;
  /** Share of sets with it, 0 to 1, and the interval that likely holds it; null where the sets say too little. */
  readonly rate: { readonly seen: number; readonly low: number; readonly high: number } | null;
  /** One cell per session. */
  readonly cells: readonly LedgerCell[];
}

/** A correction as it was given, and how it fared. */
export interface LedgerCorrection {
  readonly id: string;
  readonly when: string;
  readonly fault: FaultCode;
  readonly code: CorrectionCode;
  readonly cause: RemedyKind;
  readonly outcome: Outcome | null;
}

/** How a correction of a fault fared over the sessions that judgement looks at. */
export interface LedgerEffect {
  readonly fault: FaultCode;
  readonly code: CorrectionCode;
  readonly says: string;
}

/** What keeps coming back and what worked, for one movement. */
export interface LedgerMovementView {
  readonly movement: MovementId;
  /** Sessions before those that are shown. */
  readonly earlier: number;
  readonly sessions: readonly LedgerSessionView[];
  readonly faults: readonly LedgerFaultRow[];
  readonly effects: readonly LedgerEffect[];
  readonly corrections: readonly LedgerCorrection[];
}

/** A client's whole ledger. */
export interface LedgerView {
  readonly client: { readonly id: string; readonly name: string };
  readonly movements: readonly LedgerMovementView[];
  readonly unreadable: readonly UnreadableRow[];
}

/** One client's line in the list of ledgers. */
export interface LedgerLine {
  readonly id: string;
  readonly name: string;
  readonly sets: number;
  /** The fault that weighs most; null where none is open. */
  readonly top: FaultCode | null;
}

/** A session in the course of a movement. */
export interface CourseSession {
  readonly sessionId: string;
  readonly date: string;
  /** In the unit of the course, and in grams. */
  readonly load: number;
  readonly loadG: number;
  readonly reps: readonly number[];
  readonly faulty: number;
  /** What a rep took beside what its tempo asks; empty where that is not known. */
  readonly pace: string;
  /** Null where nothing of it was saved. */
  readonly hole: number | null;
  /** Where it stood at the column that the movement was last done on; null elsewhere. */
  readonly placement: Placement | null;
  /** What stood, what changed and how it came about. */
  readonly setup: string;
  readonly changed: string;
  /** What the session meant for the next load, and on what evidence. */
  readonly evidence: string;
  readonly next: string;
}

/** How one movement went on one side. */
export interface CourseView {
  readonly side: Side | null;
  readonly unit: string;
  /** The movement as it was last done, for what it asks of the joint; null where nothing tells. */
  readonly demandCase: CaseInput | null;
  readonly sessions: readonly CourseSession[];
}

/** How a movement of a client went, session by session. */
export interface MovementCourseView {
  readonly client: { readonly id: string; readonly name: string };
  readonly movement: MovementId;
  readonly courses: readonly CourseView[];
  /** Sessions before those that are shown. */
  readonly earlier: number;
}

/** How a correction of a fault fares in a gym. */
export interface GymEffectView {
  readonly code: CorrectionCode;
  readonly says: string;
  /** Share that holds, drawn towards the gym's own, and the interval that likely holds what was seen; 0 to 1. */
  readonly drawnIn: number;
  readonly low: number;
  readonly high: number;
}

/** Which corrections work for which fault, gym by gym. */
export interface WhatWorksView {
  readonly gyms: readonly {
    readonly id: string;
    readonly name: string;
    readonly faults: readonly { readonly fault: FaultCode; readonly effects: readonly GymEffectView[] }[];
  }[];
}
