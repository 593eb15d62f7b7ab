import { wantedTogether, type DaySession } from './day';

/** Starts are looked for in steps of five minutes, up to two hours either way. */
const STEP_MS = 5 * 60_000;
const FARTHEST = 24;

const isFree = (session: DaySession, others: readonly DaySession[]): boolean =>
  wantedTogether([session, ...others]).get(session.id)!.length === 0;

/**
 * The nearest start at which nobody else wants a station of a session while it lasts, later before earlier; null where
 * there is none within two hours, nor before `notBeforeMs`.
 */
export function freeStart(session: DaySession, others: readonly DaySession[], notBeforeMs: number): number | null {
  for (let k = 1; k <= FARTHEST; k++)
    for (const way of [1, -1]) {
      const startsAtMs = session.startsAtMs + way * k * STEP_MS;
      if (startsAtMs >= notBeforeMs && isFree({ ...session, startsAtMs }, others)) return startsAtMs;
    }
  return null;
}

/** Which of some stations nobody wants while a session lasts, and the session itself does not either. */
export const freeStations = (
  session: DaySession,
  others: readonly DaySession[],
  stationIds: readonly string[],
): string[] =>
  stationIds.filter((id) => !session.stationIds.includes(id) && isFree({ ...session, stationIds: [id] }, others));
