import { collide, type StationUse } from './station-use';

/** How far a session has come. */
export type SessionState = 'planned' | 'under-way' | 'done';

/** A session on the day: when, in milliseconds, and when it uses which stations. */
export interface DaySession {
  readonly id: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  /** From when its uses are reckoned: its start, or now where it is late. */
  readonly fromMs: number;
  readonly uses: readonly StationUse[];
  /** The same for two sessions of clients who train together; null or left out for one alone. */
  readonly togetherId?: string | null;
}

const endsAtMs = (s: Pick<DaySession, 'startsAtMs' | 'minutes'>): number => s.startsAtMs + s.minutes * 60_000;

/** Who trains together takes turns on a station instead of wanting it from each other. */
const areTogether = (a: DaySession, b: DaySession): boolean => !!a.togetherId && a.togetherId === b.togetherId;

/** A station that another session wants at the same time as one's own, and from when. */
export interface WantedStation {
  readonly otherId: string;
  readonly stationId: string;
  readonly fromMs: number;
}

/** Stations that two sessions want at the same time, each once, from when it first happens. */
function wantedOfTwo(a: DaySession, b: DaySession): WantedStation[] {
  const first = new Map<string, number>();
  for (const own of a.uses)
    for (const theirs of b.uses)
      if (collide(own, theirs)) {
        const fromMs = Math.max(own.fromMs, theirs.fromMs);
        first.set(own.stationId, Math.min(fromMs, first.get(own.stationId) ?? Infinity));
      }
  return [...first].map(([stationId, fromMs]) => ({ otherId: b.id, stationId, fromMs }));
}

/** The other sessions that want a station of one's own at the same time, and which from when. */
export const wantedBy = (own: DaySession, others: readonly DaySession[]): readonly WantedStation[] =>
  others.flatMap((other) => (other.id !== own.id && !areTogether(own, other) ? wantedOfTwo(own, other) : []));

/** The same for each of some sessions. */
export const wantedTogether = (sessions: readonly DaySession[]): ReadonlyMap<string, readonly WantedStation[]> =>
  new Map(sessions.map((own) => [own.id, wantedBy(own, sessions)]));

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
