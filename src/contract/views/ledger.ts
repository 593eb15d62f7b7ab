import type { Side } from '@/core/body/side';
import type { MovementId } from '@/core/book/book';
import type { UnreadableRow } from '../records/record';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { Outcome } from '@/core/record/floor-event';
import type { FaultCode } from '@/core/movement/fault-code';

/** What one fault did in one set. */
export interface LedgerCell {
  readonly reps: readonly number[];
  /** Sides other than both. */
  readonly side: Side | null;
  readonly correction: { readonly code: CorrectionCode; readonly outcome: Outcome | null } | null;
}

/** A set over its column of the ledger. */
export interface LedgerSet {
  readonly setId: string;
  readonly setNo: number;
  /** Where one side works. */
  readonly side: Side | null;
  /** With the unit that its kit is stamped in. */
  readonly load: string;
  readonly reps: number;
  readonly setup: string | null;
  readonly setupOff: boolean;
}

/** A session over its columns. */
export interface LedgerSessionView {
  /** Left and right of one day are one session. */
  readonly sessionId: string;
  readonly date: string;
  readonly sets: readonly LedgerSet[];
  readonly pains: readonly { readonly id: string; readonly rep: number; readonly note: string }[];
}

/** A fault over the sets. */
export interface LedgerFaultRow {
  readonly fault: FaultCode;
  readonly summary: string;
  readonly cleared: boolean;
  /** One cell per set, in the order of sessions and sets. */
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
