import type { SessionState } from './day';

/** How far a session of the day has come, and when it is planned, milliseconds. */
interface Standing {
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly state: SessionState;
}

/**
 * So many sessions of a day are told with what to set and what to watch (our judgement): two hours of three trainers,
 * or what one trainer still has ahead.
 */
export const MOST_IN_FULL = 6;

/** So long past its end a session that was begun is taken to go on, milliseconds; later it was left as it stands. */
const OVERTIME_MS = 3_600_000;

const RANKS = ['on the floor', 'comes', 'was left or never began', 'done'] as const;

/** Who is on the floor comes first, then who comes, then who did not begin or finish, then who is done. */
function rankOf({ startsAtMs, minutes, state }: Standing, nowMs: number): (typeof RANKS)[number] {
  const endsAtMs = startsAtMs + minutes * 60_000;
  if (state === 'done') return 'done';
  if (state === 'under-way' && endsAtMs + OVERTIME_MS > nowMs) return 'on the floor';
  return endsAtMs > nowMs ? 'comes' : 'was left or never began';
}

/**
 * The sessions of a day that are told in full: the one that is next (`nextId`), everybody on the floor, and of the
 * others so many that it is six, in the order of `rankOf`, earliest first; of those done the latest first.
 */
export function inFull<S extends Standing & { readonly id: string }>(
  sessions: readonly S[],
  nextId: string | null,
  nowMs: number,
): ReadonlySet<string> {
  const isFirst = (s: S): boolean => s.id === nextId || rankOf(s, nowMs) === 'on the floor';
  const sign = (s: S): number => (rankOf(s, nowMs) === 'done' ? -1 : 1);
  const [first, others] = [sessions.filter(isFirst), sessions.filter((s) => !isFirst(s))];
  const ranked = others.toSorted(
    (a, b) =>
      RANKS.indexOf(rankOf(a, nowMs)) - RANKS.indexOf(rankOf(b, nowMs)) || sign(a) * (a.startsAtMs - b.startsAtMs),
  );
  return new Set([...first, ...ranked.slice(0, Math.max(0, MOST_IN_FULL - first.length))].map((s) => s.id));
}
