import { wantedBy, type DaySession } from './day';

/** Starts are looked for in steps of five minutes, up to two hours either way. */
const STEP_MS = 5 * 60_000;
const FARTHEST = 24;

/** The same session at another start. */
const startingAt = (session: DaySession, startsAtMs: number): DaySession => {
  const by = startsAtMs - session.fromMs;
  const uses = session.uses.map((u) => ({ ...u, fromMs: u.fromMs + by, toMs: u.toMs + by }));
  return { ...session, startsAtMs, fromMs: startsAtMs, uses };
};

const isFree = (session: DaySession, others: readonly DaySession[]): boolean => wantedBy(session, others).length === 0;

/**
 * The nearest start at which nobody else wants a station of a session while it lasts, later before earlier; null where
 * there is none within two hours, nor before `notBeforeMs`.
 */
export function freeStart(session: DaySession, others: readonly DaySession[], notBeforeMs: number): number | null {
  for (let k = 1; k <= FARTHEST; k++)
    for (const way of [1, -1]) {
      const startsAtMs = session.startsAtMs + way * k * STEP_MS;
      if (startsAtMs >= notBeforeMs && isFree(startingAt(session, startsAtMs), others)) return startsAtMs;
    }
  return null;
}

/** Which of some stations nobody wants while a session uses one of its own, and the session itself does not either. */
export function freeStations(
  session: DaySession,
  others: readonly DaySession[],
  insteadOf: string,
  stationIds: readonly string[],
): string[] {
  const own = session.uses.filter((u) => u.stationId === insteadOf);
  const on = (stationId: string): DaySession => ({ ...session, uses: own.map((u) => ({ ...u, stationId })) });
  return stationIds.filter((id) => !session.uses.some((u) => u.stationId === id) && isFree(on(id), others));
}
