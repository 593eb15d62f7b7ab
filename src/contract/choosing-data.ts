import type { Body } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { GymKit } from '@/core/book/choose';
import type { EntryRange, Surfaces } from '@/core/book/pose-entry';

/** What choosing and showing a movement needs of a client and a gym: plain data. */
export interface ChoosingData {
  readonly clientId: string | null;
  readonly gymId: string | null;
  readonly clients: readonly { readonly id: string; readonly name: string }[];
  readonly gyms: readonly { readonly id: string; readonly name: string }[];
  readonly body: Body;
  readonly range: EntryRange;
  readonly notes: readonly ClientNote[];
  readonly surfaces: Surfaces;
  readonly kit: GymKit;
}
