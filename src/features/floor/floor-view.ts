import type { ScreeningSummary } from '@/features/shell/screening-warning';
import type { FaultCode } from '@/core/movement/fault-code';

/** One planned movement on the floor board; all words and numbers, nothing to compute. */
export interface FloorItemView {
  readonly id: string;
  readonly movement: string;
  readonly variant: string | null;
  /** Column it hangs on; null for a movement without one. */
  readonly station: string | null;
  readonly plates: readonly {
    readonly label: string;
    readonly value: string;
    readonly unit?: string;
    readonly big: boolean;
    readonly estimated?: boolean;
  }[];
  readonly platesNote: string;
  readonly blocked: string | null;
  /** Planned kit that is out of order, and what stands in. */
  readonly replaced: string | null;
  readonly watch: readonly { readonly fault: FaultCode; readonly text: string }[];
  readonly since: string | null;
  readonly progress: string;
  readonly state: 'to-do' | 'under-way' | 'done' | 'stopped';
}

export interface FloorSessionView {
  readonly id: string;
  readonly clientId: string;
  readonly clientName: string;
  readonly note: string;
  readonly starts: string;
  readonly ends: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly done: boolean;
  readonly screening: ScreeningSummary;
  readonly items: readonly FloorItemView[];
}

export interface FloorView {
  readonly nowMs: number;
  readonly now: string;
  readonly sessions: readonly FloorSessionView[];
  /** Who is next: under way or first not done. */
  readonly nextId: string | null;
}
