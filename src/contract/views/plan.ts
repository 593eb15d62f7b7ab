import type { UnreadableRow } from '../records/record';
import type { MovementId } from '@/core/book/book';
import type { WorkingSide } from '@/core/body/side';
import type { EntryOptions } from '@/core/book/entry-options';
import type { AimBlock } from '@/core/tempo/set-aims';
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
  /** Blocks of its sets where they are not alike, or something is asked at their end; null for plain sets. */
  readonly aims: readonly AimBlock[] | null;
  /** The same for two movements, both sides of each, whose sets take turns; null for one alone. */
  readonly pairId: string | null;
  /** It keeps its place when an order is computed. */
  readonly isPinned: boolean;
  /** Why it is not done this time; null where it is to be done. */
  readonly skipped: string | null;
}

/** A movement as it is put into a plan; in turns with none and free to be moved where nothing is said. */
export type NewItem = Omit<SessionItem, 'skipped' | 'pairId' | 'isPinned' | 'aims'> &
  Partial<Pick<SessionItem, 'pairId' | 'isPinned' | 'aims'>>;

/** A client's time in the gym, with what is planned for it. */
export interface Session {
  readonly id: string;
  readonly gymId: string;
  readonly clientId: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly items: readonly SessionItem[];
  /** When it was finished by hand; null where it is over when everything in it is. */
  readonly finishedAtMs: number | null;
  readonly calledOffAtMs: number | null;
  /** The same for two sessions of clients who train together; null for one alone. */
  readonly togetherId: string | null;
  /** Planned movements that this program cannot read. */
  readonly unreadable: readonly UnreadableRow[];
}

/** A session as it is made. */
export interface NewSession extends Pick<Session, 'id' | 'gymId' | 'clientId' | 'startsAtMs' | 'minutes'> {
  readonly items: readonly NewItem[];
}

/** A movement of a template: what is the same for everybody. */
export type TemplateMovement = Pick<SessionItem, 'movement' | 'variantId' | 'side' | 'sets' | 'reps' | 'tempo'> &
  Partial<Pick<SessionItem, 'aims' | 'pairId' | 'isPinned'>>;

/** Movements that are planned together, for any client. */
export interface PlanTemplate {
  readonly id: string;
  readonly name: string;
  /** Who made it, and whether everybody plans by it. */
  readonly accountId: string;
  readonly forAll: boolean;
  readonly minutes: number;
  readonly movements: readonly TemplateMovement[];
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
