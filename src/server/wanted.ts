import 'server-only';
import { entryOf } from '@/core/book/book';
import { serveHere } from '@/core/book/choose';
import { freeStart, freeStations } from '@/core/plan/conflict';
import { wantedBy, type DaySession, type WantedStation } from '@/core/plan/day';
import type { Client } from '@/contract/views/client';
import { refused, type SaveResult } from '@/contract/save-result';
import type { StandInColumn, WantedView, WaysOut } from '@/contract/views/session-plan';
import type { Session } from '@/contract/views/plan';
import { findStation } from '@/data/queries/kit';
import { clock } from '@/messages/day';
import { movementName } from '@/messages/book';
import { wantedText } from '@/messages/floor';
import { PLAN_REFUSAL } from '@/messages/plan';
import { choosingFor } from './choosing';
import { dayOf, dayText } from './clock';
import { daySessions, otherOrder, othersSessions } from './day-sessions';
import { reachClient, reachSession, reachSessions } from './reach';
import type { UseCase } from './use-case';

/** Whose session it is; null of a client of somebody else's. */
type NameOf = (sessionId: string) => string | null;

const saysOf = (uc: UseCase, { stationId, otherId, fromMs }: WantedStation, nameOf: NameOf): string =>
  wantedText(findStation(uc.db, stationId)?.name ?? '', clock(fromMs), nameOf(otherId));

/** When nobody else would want a station of a session, on its day; null where there is no such time. */
function startFor(uc: UseCase, session: Session, day: DaySession, others: readonly DaySession[]): string | null {
  const start = freeStart(day, others, uc.nowMs);
  return start !== null && dayText(start) === dayText(session.startsAtMs) ? clock(start) : null;
}

/** The order in which nobody else wants a station of a session, in words too. */
function orderFor(uc: UseCase, session: Session, client: Client, others: readonly DaySession[]): WaysOut['order'] {
  const found = session.unreadable.length > 0 ? null : otherOrder(uc, session, client, others);
  if (!found || found.itemIds.every((id, k) => session.items[k]!.id === id)) return null;
  return { itemIds: found.itemIds, says: found.movements.map((m) => movementName(m)).join(', ') };
}

/**
 * What the floor says of a session's stations that others want at the same time, and the ways out that are known at
 * once: another start where it has not begun, another order of what is left.
 */
export function wantedOnFloor(
  uc: UseCase,
  of: { readonly session: Session; readonly client: Client; readonly isBegun: boolean },
  day: { readonly own: DaySession; readonly others: readonly DaySession[]; readonly nameOf: NameOf },
): WaysOut | null {
  const { session, client, isBegun } = of;
  const { own, others, nameOf } = day;
  const wanted = wantedBy(own, others);
  if (wanted.length === 0) return null;
  return {
    says: wanted.map((w) => saysOf(uc, w, nameOf)),
    isBegun,
    start: isBegun ? null : startFor(uc, session, own, others),
    order: orderFor(uc, session, client, others),
  };
}

/** Who else trains on a session's day, when and where; and whose sessions they are. */
function othersOn(uc: UseCase, session: Session) {
  const { fromMs, toMs } = dayOf(session.startsAtMs);
  const own = reachSessions(uc, fromMs, toMs).filter((s) => s.id !== session.id);
  const nameOf = (id: string): string | null => {
    const other = own.find((s) => s.id === id);
    return (other && reachClient(uc, other.clientId)?.name) ?? null;
  };
  return { others: [...daySessions(uc, own), ...othersSessions(uc, fromMs, toMs)], nameOf };
}

/** Columns that nobody wants meanwhile and that serve every movement of a session on a wanted one. */
function standInsFor(uc: UseCase, { session, client, own, others }: Wanting, stationId: string): StandInColumn[] {
  const items = session.items.filter((i) => i.stationId === stationId && i.skipped === null);
  const input = choosingFor(uc, client, session.gymId);
  const columns = input.gym.columns.map((c) => c.id);
  const free = freeStations(own, others, stationId, columns);
  const serves = (id: string): boolean => {
    const gym = { ...input.gym, columns: input.gym.columns.filter((c) => c.id === id) };
    return items.every((i) => serveHere(entryOf(i.movement), { ...input, gym }).objection === null);
  };
  return free.filter(serves).map((id) => ({
    stationId: id,
    name: findStation(uc.db, id)?.name ?? '',
    itemIds: items.map((i) => i.id),
  }));
}

interface Wanting {
  readonly session: Session;
  readonly client: Client;
  readonly own: DaySession;
  readonly others: readonly DaySession[];
}

/** Columns that serve instead of each wanted one. */
function standInsOf(uc: UseCase, wanting: Wanting): StandInColumn[] {
  const stations = new Set(wantedBy(wanting.own, wanting.others).map((w) => w.stationId));
  return [...stations].flatMap((id) => standInsFor(uc, wanting, id));
}

/**
 * Stations of a session that somebody else wants at the same time, with the ways out: another start, another order,
 * another column. Where it has begun it neither starts at another time nor on another column.
 */
export function wantedOf(uc: UseCase, session: Session, client: Client, isBegun: boolean): WantedView | null {
  const { others, nameOf } = othersOn(uc, session);
  const [own] = daySessions(uc, [session]);
  const ways = own ? wantedOnFloor(uc, { session, client, isBegun }, { own, others, nameOf }) : null;
  if (!own || !ways) return null;
  return { ...ways, standIns: isBegun ? [] : standInsOf(uc, { session, client, own, others }) };
}

/** The columns alone, for the floor, where they are solved when they are asked for. */
export function findStandIns(uc: UseCase, sessionId: string): SaveResult<readonly StandInColumn[]> {
  const session = reachSession(uc, sessionId);
  const client = session && reachClient(uc, session.clientId);
  if (!session || !client) return refused('session', PLAN_REFUSAL.notListed);
  const [own] = daySessions(uc, [session]);
  const kept = own ? standInsOf(uc, { session, client, own, others: othersOn(uc, session).others }) : [];
  return { ok: true, id: sessionId, kept };
}
