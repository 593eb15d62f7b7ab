import 'server-only';
import { BOOK } from '@/core/book/book';
import { foldSetLog } from '@/core/fault/set-log';
import { buildSetupPages, type SetupPage } from '@/core/fault/setup-book';
import type { Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';

/** Every set-up of a client as used, by movement and side, in the order of the book. */
export function loadSetupBook(db: Db, clientId: string): SetupPage[] {
  const events = listFloorEvents(db, clientId, null);
  return BOOK.flatMap((e) => buildSetupPages(e.id, foldSetLog(events.filter((x) => x.movement === e.id)).setups));
}
