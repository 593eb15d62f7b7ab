import 'server-only';
import { otherSideOf } from '@/core/record/side-pair';
import type { Session, SessionItem } from '@/contract/views/plan';
import type { OnwardView } from '@/contract/views/set';
import { changeOver } from '@/messages/change-over';
import { dayOf } from './clock';
import { loadItem, type ItemContext } from './item-context';
import { reachClient, reachSessions, reachTogether } from './reach';
import { findSettings, platesOf } from './settings';
import type { UseCase } from './use-case';

/** A planned movement with what is changed on the way to it. */
function toOnward(uc: UseCase, from: ItemContext, itemId: string): OnwardView | null {
  const to = loadItem(uc, itemId, undefined, 'folds');
  if (!to) return null;
  const here = platesOf(from, findSettings(uc, from));
  const there = platesOf(to, findSettings(uc, to));
  const { id, movement, side, stationId } = to.item;
  return {
    itemId: id,
    movement,
    side,
    clientName: to.client.id === from.client.id ? null : to.client.name,
    station: stationId === from.item.stationId ? null : (to.station?.name ?? null),
    changes: changeOver(here, there),
  };
}

/** Whether planned sets of a movement are left that nothing stops. */
export type HasSetsLeft = (session: Session, item: SessionItem) => boolean;

/** The next movement of the session with sets left, in its order and round to its start; the other side is none. */
export function nextOf(uc: UseCase, from: ItemContext, hasSetsLeft: HasSetsLeft): OnwardView | null {
  const { session, item } = from;
  const other = otherSideOf(session.items, item.id)?.id;
  const at = session.items.findIndex((i) => i.id === item.id);
  const later = [...session.items.slice(at + 1), ...session.items.slice(0, at)];
  const next = later.find((i) => i.id !== other && hasSetsLeft(session, i));
  return next ? toOnward(uc, from, next.id) : null;
}

/** The movement that a planned one takes turns with, as long as sets of it are left; null where it has none. */
export function inTurnsWith(uc: UseCase, from: ItemContext, hasSetsLeft: HasSetsLeft): OnwardView | null {
  const { session, item } = from;
  if (item.pairId === null) return null;
  const others = session.items.filter((i) => i.pairId === item.pairId && i.movement !== item.movement);
  const next = others.find((i) => hasSetsLeft(session, i));
  return next ? toOnward(uc, from, next.id) : null;
}

/** Whether two sessions are planned for the same time. */
const together = (a: Session, b: Session): boolean =>
  a.startsAtMs < b.startsAtMs + b.minutes * 60_000 && b.startsAtMs < a.startsAtMs + a.minutes * 60_000;

/** The same movement of who trains together with this client, as long as sets of it are left. */
function sharedWith(uc: UseCase, { session, item }: ItemContext, hasSetsLeft: HasSetsLeft): SessionItem | null {
  const other = reachTogether(uc, session);
  const same = other?.items.filter((i) => i.movement === item.movement && hasSetsLeft(other, i)) ?? [];
  return same.find((i) => i.side === item.side) ?? same[0] ?? null;
}

/**
 * Who takes turns with this client: who trains together, at the same movement; else another client of the same hour
 * whose next movement is on this column.
 */
export function partnerOf(uc: UseCase, from: ItemContext, hasSetsLeft: HasSetsLeft): OnwardView | null {
  const { session, station } = from;
  const shared = sharedWith(uc, from, hasSetsLeft);
  if (shared) return toOnward(uc, from, shared.id);
  if (!station) return null;
  const { fromMs, toMs } = dayOf(session.startsAtMs);
  for (const other of reachSessions(uc, fromMs, toMs)) {
    if (other.clientId === session.clientId || !together(session, other) || !reachClient(uc, other.clientId)) continue;
    const next = other.items.find((i) => hasSetsLeft(other, i));
    if (next?.stationId === station.id) return toOnward(uc, from, next.id);
  }
  return null;
}
