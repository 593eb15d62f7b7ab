import type { UnreadableRow } from '../records/record';
import type { MovementId } from '@/core/book/book';
import type { WorkingSide } from '@/core/body/side';
import type { EntryOptions } from '@/core/book/entry-options';
import type { AttachmentKind } from '@/core/kit/attachment';
import type { LoadUnit } from '@/core/units/mass';

/** One movement of a session, as planned. */
export interface SessionItem {
  readonly id: string;
  readonly sessionId: string;
  readonly position: number;
  readonly movement: MovementId;
  /** A trainer's own way of doing it; null: as the book has it. */
  readonly variantId: string | null;
  readonly side: WorkingSide;
  /** Column and what hangs on it; null for a movement without a cable. */
  readonly stationId: string | null;
  readonly attachmentId: string | null;
  /** Band under the feet; null where none is hung. */
  readonly bandId: string | null;
  readonly sets: number;
  readonly reps: number;
  readonly tempo: string;
  readonly loadG: number;
}

/** A client's time in the gym, with what is planned for it. */
export interface Session {
  readonly id: string;
  readonly gymId: string;
  readonly clientId: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly items: readonly SessionItem[];
  /** Planned movements that this program cannot read. */
  readonly unreadable: readonly UnreadableRow[];
}

/** A trainer's own way of doing a movement of the book. */
export interface Variant {
  readonly id: string;
  readonly movement: MovementId;
  readonly name: string;
  /** For the client, one breath; empty: the movement's own. */
  readonly cue: string;
  readonly options: Partial<EntryOptions>;
  readonly keptAtMs: number;
}

/** One of a list to choose from. */
export interface Choice {
  readonly value: string;
  readonly label: string;
}

/** What a movement can be planned with today. */
export interface PlanChoices {
  /** With the movements whose load is stamped in pounds where the client trains, cables aside. */
  readonly clients: readonly (Choice & { readonly oneArm: boolean; readonly inPounds: readonly string[] })[];
  readonly stations: readonly (Choice & { readonly unit: LoadUnit })[];
  readonly attachments: readonly (Choice & { readonly kind: AttachmentKind })[];
  /** Measured bands. */
  readonly bands: readonly Choice[];
  readonly variants: readonly (Choice & { readonly movement: string })[];
}
