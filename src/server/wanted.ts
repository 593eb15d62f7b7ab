import 'server-only';
import { wantedTogether } from '@/core/plan/day';
import type { Session } from '@/contract/views/plan';
import { findStation } from '@/data/queries/kit';
import { wantedText } from '@/messages/floor';
import { dayOf } from './clock';
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

/** The same for one session, by who else trains on its day. */
export function wantedOf(uc: UseCase, session: Session): string[] {
  const { fromMs, toMs } = dayOf(session.startsAtMs);
  const own = reachSessions(uc, fromMs, toMs);
  const all = [...own.map(toDaySession), ...othersOnFloor(uc, fromMs, toMs)];
  const nameOf = (id: string): string | null => {
    const other = own.find((s) => s.id === id);
    return (other && reachClient(uc, other.clientId)?.name) ?? null;
  };
  return wantedTexts(uc, wantedTogether(all).get(session.id) ?? [], nameOf);
}
