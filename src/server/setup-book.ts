import 'server-only';
import { BOOK } from '@/core/book/book';
import { foldSetLog } from '@/core/record/set-log';
import { buildSetupPages, type SetupEntry } from '@/core/record/setup-book';
import type { UnreadableRow } from '@/contract/records/record';
import type { SetupEntryView, SetupPageView } from '@/contract/views/setup-book';
import { listFloorEvents } from '@/data/queries/floor-events';
import { findAttachment, findStation } from '@/data/queries/kit';
import { plannedItemsOf } from '@/data/queries/sessions';
import { movementName } from '@/messages/book';
import { day } from '@/messages/day';
import { holeText } from '@/messages/holes';
import { setupChangeText, setupPlaceText, type KitNames } from '@/messages/setup-book';
import type { UseCase } from './use-case';

/** Every set-up of a client as used, by movement and side, in the order of the book. */
export function loadSetupBook(
  { db }: UseCase,
  clientId: string,
): { readonly pages: readonly SetupPageView[]; readonly unreadable: readonly UnreadableRow[] } {
  const { rows, unreadable } = listFloorEvents(db, clientId, null);
  const planned = plannedItemsOf(db, clientId);
  const names: KitNames = {
    station: (id) => (id === null ? null : (findStation(db, id)?.name ?? null)),
    handle: (id) => (id === null ? null : (findAttachment(db, id)?.name ?? null)),
  };
  const toView = (e: SetupEntry): SetupEntryView => {
    const station = e.stationId === null ? null : findStation(db, e.stationId);
    const { placement: p } = e;
    return {
      id: e.id,
      when: day(e.atMs),
      where: [station?.name, names.handle(e.attachmentId)].filter(Boolean).join(', '),
      place: setupPlaceText(p, p && station ? holeText(station.column, p, e.side) : null),
      changed: e.changed.length > 0 ? `Changed: ${e.changed.map((c) => setupChangeText(c, names)).join(', ')}.` : '',
      off: e.off,
    };
  };
  const pages = BOOK.flatMap((entry) => {
    const log = foldSetLog(
      rows.filter((event) => event.movement === entry.id),
      planned,
    );
    return buildSetupPages(entry.id, log.setups);
  });
  return {
    pages: pages.map((p) => ({
      key: `${p.movement}-${p.side}`,
      name: `${movementName(p.movement)}${p.side === 'both' ? '' : `, ${p.side}`}`,
      entries: p.entries.map(toView),
    })),
    unreadable,
  };
}
