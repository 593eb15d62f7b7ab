import type { Body } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { GymKit } from '@/core/book/choose';
import type { EntryOptions } from '@/core/book/entry-options';
import type { EntryRange } from '@/core/book/pose-entry';
import type { StationKit } from '@/core/book/station-kit';

/** What choosing and showing a movement needs of a client and a gym: plain data. */
export interface ChoosingData {
  readonly clientId: string | null;
  readonly gymId: string | null;
  readonly clients: readonly { readonly id: string; readonly name: string }[];
  readonly gyms: readonly { readonly id: string; readonly name: string }[];
  readonly body: Body;
  readonly range: EntryRange;
  readonly notes: readonly ClientNote[];
  readonly kit: StationKit;
  readonly gym: GymKit;
  readonly variants: readonly {
    readonly id: string;
    readonly movement: string;
    readonly name: string;
    readonly cue: string;
    readonly options: Partial<EntryOptions>;
  }[];
}
