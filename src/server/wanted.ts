import 'server-only';
import { entryOf } from '@/core/book/book';
import { serveHere } from '@/core/book/choose';
import { freeStart, freeStations } from '@/core/plan/conflict';
import { wantedTogether, type DaySession } from '@/core/plan/day';
import type { Client } from '@/contract/views/client';
import type { WantedView } from '@/contract/views/session-plan';
import type { Session } from '@/contract/views/plan';
import { findStation } from '@/data/queries/kit';
import { clock } from '@/messages/day';
import { wantedText } from '@/messages/floor';
import { choosingFor } from './choosing';
import { dayOf, dayText } from './clock';
import { othersOnFloor, reachClient, reachSessions, toDaySession } from './reach';
import type { UseCase } from './use-case';

/** Who wants a station at the same time, and which: one entry of `wantedTogether`. */
type Wanted = ReturnType<typeof wantedTogether> extends ReadonlyMap<string, infer V> ? V : never;

/**
 * Stations that somebody else wants at the same time, in words; `nameOf`: whose session it is, null of a client of
 * somebody else's.
 */
export const wantedTexts = (uc: UseCase, wanted: Wanted, nameOf: (sessionId: string) => string | null): string[] =>
  wanted.flatMap(({ otherId, stationIds }) =>
    stationIds
      .flatMap((id) => findStation(uc.db, id)?.name ?? [])
      .map((station) => wantedText(station, nameOf(otherId))),
  );

/** Who else trains on a session's day, when and where; and whose sessions they are. */
function othersOn(uc: UseCase, session: Session) {
  const { fromMs, toMs } = dayOf(session.startsAtMs);
  const own = reachSessions(uc, fromMs, toMs).filter((s) => s.id !== session.id);
  const nameOf = (id: string): string | null => {
    const other = own.find((s) => s.id === id);
    return (other && reachClient(uc, other.clientId)?.name) ?? null;
  };
  return { others: [...own.map(toDaySession), ...othersOnFloor(uc, fromMs, toMs)], nameOf };
}

/** Columns that nobody wants meanwhile and that serve every movement of a session on a wanted one. */
function standInsFor(uc: UseCase, session: Session, client: Client, stationId: string, others: readonly DaySession[]) {
  const items = session.items.filter((i) => i.stationId === stationId && i.skipped === null);
  const input = choosingFor(uc, client, session.gymId);
  const free = freeStations(
    toDaySession(session),
    others,
    input.gym.columns.map((c) => c.id),
  );
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

/**
 * Stations of a session that somebody else wants at the same time, with the ways out: another column, another start.
 * Where it has begun there are none.
 */
export function wantedOf(uc: UseCase, session: Session, client: Client, isBegun: boolean): WantedView[] {
  const { others, nameOf } = othersOn(uc, session);
  const day = toDaySession(session);
  const wanted = wantedTogether([day, ...others]).get(session.id) ?? [];
  const start = isBegun || wanted.length === 0 ? null : freeStart(day, others, uc.nowMs);
  return wanted.flatMap((w) =>
    w.stationIds.map((stationId) => ({
      stationId,
      says: wantedTexts(uc, [{ ...w, stationIds: [stationId] }], nameOf).join(' '),
      start: start !== null && dayText(start) === dayText(session.startsAtMs) ? clock(start) : null,
      standIns: isBegun ? [] : standInsFor(uc, session, client, stationId, others),
    })),
  );
}
