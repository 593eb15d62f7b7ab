/** How far a session has come. */
export type SessionState = 'planned' | 'under-way' | 'done';

/** A session on the day: when, in milliseconds, and the stations that are planned in it. */
export interface DaySession {
  readonly id: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly stationIds: readonly string[];
  /** The same for two sessions of clients who train together; null or left out for one alone. */
  readonly togetherId?: string | null;
}

const endsAtMs = (s: Pick<DaySession, 'startsAtMs' | 'minutes'>): number => s.startsAtMs + s.minutes * 60_000;

/** Whether two sessions share any time; one that begins as the other ends does not. */
const overlap = (a: DaySession, b: DaySession): boolean => a.startsAtMs < endsAtMs(b) && b.startsAtMs < endsAtMs(a);

/** Who trains together takes turns on a station instead of wanting it from each other. */
const areTogether = (a: DaySession, b: DaySession): boolean => !!a.togetherId && a.togetherId === b.togetherId;

/** For each session the other ones that want a station of its own at the same time, and which. */
export function wantedTogether(
  sessions: readonly DaySession[],
): ReadonlyMap<string, readonly { readonly otherId: string; readonly stationIds: readonly string[] }[]> {
  const shared = (a: DaySession, b: DaySession): string[] => a.stationIds.filter((id) => b.stationIds.includes(id));
  return new Map(
    sessions.map((a) => [
      a.id,
      sessions
        .filter((b) => b.id !== a.id && !areTogether(a, b) && overlap(a, b) && shared(a, b).length > 0)
        .map((b) => ({ otherId: b.id, stationIds: [...new Set(shared(a, b))] })),
    ]),
  );
}

/**
 * Lanes for sessions drawn along the day: each in the first lane that is free when it begins, so that none lies over
 * another. Lane by session, from 0.
 */
export function lanesOf(
  sessions: readonly Pick<DaySession, 'id' | 'startsAtMs' | 'minutes'>[],
): ReadonlyMap<string, number> {
  const free: number[] = [];
  return new Map(
    sessions
      .toSorted((a, b) => a.startsAtMs - b.startsAtMs)
      .map((s) => {
        const found = free.findIndex((ms) => ms <= s.startsAtMs);
        const lane = found === -1 ? free.length : found;
        free[lane] = endsAtMs(s);
        return [s.id, lane];
      }),
  );
}
