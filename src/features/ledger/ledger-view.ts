import type { Outcome } from '@/core/fault/floor-event';
import type { CorrectionCode, RemedyKind } from '@/core/fault/fault-book';
import type { FaultCode } from '@/core/movement/fault-code';

export interface LedgerCell {
  readonly reps: readonly number[];
  /** Sides other than both. */
  readonly side: 'left' | 'right' | null;
  readonly correction: { readonly code: CorrectionCode; readonly outcome: Outcome | null } | null;
}

export interface LedgerSet {
  readonly setId: string;
  readonly setNo: number;
  readonly load: string;
  readonly reps: number;
  readonly setup: string | null;
  readonly setupOff: boolean;
}

export interface LedgerSessionView {
  readonly itemId: string;
  readonly date: string;
  readonly sets: readonly LedgerSet[];
  readonly pains: readonly { readonly id: string; readonly rep: number; readonly note: string }[];
}

export interface LedgerFaultRow {
  readonly fault: FaultCode;
  readonly summary: string;
  readonly cleared: boolean;
  /** One cell per set, in the order of sessions and sets. */
  readonly cells: readonly LedgerCell[];
}

export interface LedgerCorrection {
  readonly id: string;
  readonly when: string;
  readonly fault: FaultCode;
  readonly code: CorrectionCode;
  readonly cause: RemedyKind;
  readonly outcome: Outcome | null;
}

export interface LedgerMovementView {
  readonly movement: string;
  readonly sessions: readonly LedgerSessionView[];
  readonly faults: readonly LedgerFaultRow[];
  readonly corrections: readonly LedgerCorrection[];
}
