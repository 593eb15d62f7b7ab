import 'server-only';
import { BOOK } from '@/core/book/book';
import { buildSetupPages, type SetupEntry } from '@/core/record/setup-book';
import type { UnreadableRow } from '@/contract/records/record';
import type { SetupEntryView, SetupPageView } from '@/contract/views/setup-book';
import { usedSetups } from '@/data/queries/newest-records';
import { unreadableOf } from '@/data/queries/read-folds';
import { movementName } from '@/messages/book';
import { dayIn } from '@/messages/day';
import { holeText } from '@/messages/holes';
import { setupChangeText, setupPlaceText } from '@/messages/setup-book';
import { kitNames } from './kit-names';
import type { UseCase } from './use-case';

/** Every set-up of a client as used, by movement and side, in the order of the book. */
export function loadSetupBook(
  { db, nowMs }: UseCase,
  clientId: string,
): { readonly pages: readonly SetupPageView[]; readonly unreadable: readonly UnreadableRow[] } {
  const used = usedSetups(db, clientId);
  const unreadable = unreadableOf(db, clientId);
  const names = kitNames(db);
  const toView = (e: SetupEntry): SetupEntryView => {
    const station = names.stationOf(e.stationId);
    const { placement: p } = e;
    return {
      id: e.id,
      when: dayIn(e.atMs, nowMs),
      where: [station?.name, names.handle(e.attachmentId)].filter(Boolean).join(', '),
      place: setupPlaceText(p, p && station ? holeText(station.column, p, e.side) : null),
      changed: e.changed.length > 0 ? `Changed: ${e.changed.map((c) => setupChangeText(c, names)).join(', ')}.` : '',
      off: e.off,
    };
  };
  const pages = BOOK.flatMap(({ id }) => buildSetupPages(id, used.get(id) ?? []));
  return {
    pages: pages.map((p) => ({
      key: `${p.movement}-${p.side}`,
      name: `${movementName(p.movement)}${p.side === 'both' ? '' : `, ${p.side}`}`,
      entries: p.entries.map(toView),
    })),
    unreadable,
  };
}
