import type { Body } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { GymKit } from '@/core/book/choose';
import type { Standing } from '@/core/book/standing-practice';
import type { UnreadableRow } from '../records/record';
import type { Variant } from './plan';
import type { EntryRange } from '@/core/book/pose-entry';
import type { StationKit } from '@/core/book/station-kit';

/** What choosing and showing a movement needs of a client and a gym: plain data. */
export interface ChoosingView {
  readonly clientId: string | null;
  readonly gymId: string | null;
  readonly clients: readonly { readonly id: string; readonly name: string }[];
  readonly gyms: readonly { readonly id: string; readonly name: string }[];
  readonly body: Body;
  readonly range: EntryRange;
  readonly notes: readonly ClientNote[];
  /** Sides that stand for the client; nobody's where there is none. */
  readonly standing: Standing;
  readonly kit: StationKit;
  readonly gym: GymKit;
  readonly variants: readonly Variant[];
  readonly unreadable: readonly UnreadableRow[];
}
