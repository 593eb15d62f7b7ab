import 'server-only';
import { lately } from '@/core/record/lately';
import type { Station } from '@/contract/views/station';
import type { Db } from '@/data/open-db';
import { findAttachment, findStation } from '@/data/queries/kit';
import type { KitNames } from '@/messages/setup-book';

/** Most pieces that are remembered while a page is made. */
const MOST = 200;

/** What pieces of kit are called, and the columns themselves; each is looked up once, however often it was used. */
export function kitNames(db: Db): KitNames & { readonly stationOf: (id: string | null) => Station | null } {
  const stations = lately<Station | null>(MOST);
  const handles = lately<string | null>(MOST);
  const stationOf = (id: string | null) => (id === null ? null : stations(id, () => findStation(db, id)));
  return {
    stationOf,
    station: (id) => stationOf(id)?.name ?? null,
    handle: (id) => (id === null ? null : handles(id, () => findAttachment(db, id)?.name ?? null)),
  };
}
