import type { MovementId } from '@/core/book/book';
import type { WorkingSide } from '@/core/body/side';
import type { CorrectionCode, RemedyKind } from '@/core/movement/correction-code';
import type { FaultCode, Severity } from '@/core/movement/fault-code';
import type { EntryOptions } from '@/core/book/entry-options';
import type { Scheme, SchemeChoices } from '@/core/tempo/scheme';
import type { PackedTrace } from '@/core/trace/pack-trace';
import type { Placement } from '@/core/setup/setup-problem';

/** Who, where and when of everything tapped on the floor. Ids are made on the device; records are only ever added. */
export interface FloorEventBase {
  readonly id: string;
  /** Who tapped it. */
  readonly actorId: string;
  readonly deviceId: string;
  /** Counts up on one device; orders taps of the same millisecond. */
  readonly seq: number;
  readonly atMs: number;
  readonly clientId: string;
  readonly itemId: string;
  readonly movement: MovementId;
}

/** How a correction can fare. */
export const OUTCOMES = ['held', 'partly', 'not', 'not-checked'] as const;
/** How a correction fared. */
export type Outcome = (typeof OUTCOMES)[number];

/** A set-up as really used, with the solved one it was measured against. */
export interface SavedSetup {
  /** Null for a movement without a place at a column. */
  readonly placement: Placement | null;
  readonly solved: Placement | null;
  /** Outside the tolerance of the solved set-up. */
  readonly off: boolean;
  readonly stationId: string | null;
  readonly attachmentId: string | null;
  readonly side: WorkingSide;
  readonly options: EntryOptions;
}

/** What was tapped. */
export type FloorEventBody =
  | ({ readonly kind: 'setup-saved' } & SavedSetup)
  | {
      readonly kind: 'set-started';
      readonly setId: string;
      readonly setNo: number;
      readonly loadG: number;
      readonly targetReps: number;
      readonly tempo: string;
      readonly scheme?: Scheme | undefined;
      readonly choices?: SchemeChoices | undefined;
      /** Band under the feet. */
      readonly bandId?: string | undefined;
    }
  /** How the sets of the movement are done from now on. */
  | { readonly kind: 'scheme-chosen'; readonly scheme: Scheme; readonly choices: SchemeChoices }
  /** The set goes on with another part of its scheme; `reps` were done before it. */
  | {
      readonly kind: 'part';
      readonly setId: string;
      readonly part: number;
      readonly reps: number;
      readonly loadG: number;
      readonly standX: number | null;
    }
  | { readonly kind: 'rep'; readonly setId: string; readonly rep: number }
  | {
      readonly kind: 'fault';
      readonly setId: string;
      readonly rep: number;
      readonly fault: FaultCode;
      readonly side: WorkingSide;
      readonly severity: Severity;
    }
  /** Every rep up to this one was watched and clean, but for the faults tapped. */
  | { readonly kind: 'clean'; readonly setId: string; readonly rep: number }
  | { readonly kind: 'set-note'; readonly setId: string; readonly note: string }
  | { readonly kind: 'undo'; readonly eventId: string }
  /** What a sensor or a file told of the set; the last one stands. */
  | ({ readonly kind: 'trace'; readonly setId: string } & PackedTrace)
  | { readonly kind: 'set-ended'; readonly setId: string; readonly reps: number }
  | { readonly kind: 'set-confirmed'; readonly setId: string; readonly loadG: number; readonly reps: number }
  | { readonly kind: 'pain'; readonly setId: string | null; readonly rep: number }
  | { readonly kind: 'pain-note'; readonly painId: string; readonly note: string }
  /**
   * The movement goes ahead today although a note asks for a clinician's limit that is not there: the trainer says why.
   */
  | { readonly kind: 'go-ahead'; readonly why: string }
  | {
      readonly kind: 'correction';
      readonly setId: string;
      readonly fault: FaultCode;
      readonly correction: CorrectionCode;
      readonly cause: RemedyKind;
    }
  | { readonly kind: 'outcome'; readonly correctionId: string; readonly setId: string; readonly outcome: Outcome };

/** A tap with who, where and when. */
export type FloorEvent = FloorEventBase & FloorEventBody;
/** A kind of tap. */
export type FloorEventKind = FloorEvent['kind'];

/** Every kind of tap. */
export const FLOOR_EVENT_KINDS = [
  'setup-saved',
  'scheme-chosen',
  'set-started',
  'part',
  'rep',
  'fault',
  'clean',
  'set-note',
  'undo',
  'trace',
  'set-ended',
  'set-confirmed',
  'pain',
  'pain-note',
  'go-ahead',
  'correction',
  'outcome',
] as const satisfies readonly FloorEventKind[];
