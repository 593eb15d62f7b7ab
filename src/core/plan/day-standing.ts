import type { SessionState } from './day';

/** A session of the day as it stands: when it is planned, milliseconds, and how far it has come. */
export interface DayStanding {
  readonly id: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly state: SessionState;
  /** One of its sets is open. */
  readonly isOpen: boolean;
  /** When a set of it was begun or ended last; null where none was. */
  readonly lastSetMs: number | null;
}

/** So long after its last set somebody is taken to rest or to change over, milliseconds; later they have gone. */
const RESTS_MS = 15 * 60_000;

/** Whether the time of a session is not over. */
export const isInTime = (
  { startsAtMs, minutes }: Pick<DayStanding, 'startsAtMs' | 'minutes'>,
  nowMs: number,
): boolean => startsAtMs + minutes * 60_000 > nowMs;

/**
 * Whether somebody trains now: a set is open, whatever the clock says, or one was begun and either the session's time
 * is not over or the last set was just now. Who left with a set to do is not on the floor all day, and nobody is whose
 * session was finished, though a set of it was never ended.
 */
export function isOnFloor(s: DayStanding, nowMs: number): boolean {
  if (s.state === 'done') return false;
  if (s.isOpen) return true;
  // A tablet whose clock is hours ahead keeps nobody on the floor.
  const rests = s.lastSetMs !== null && Math.abs(nowMs - s.lastSetMs) < RESTS_MS;
  return s.state === 'under-way' && (isInTime(s, nowMs) || rests);
}

/**
 * Who is next, of sessions by their start: whose set is open, who is on the floor (first those whose time is not over),
 * who comes, else the first that is not done; null where all are.
 */
export function nextOf<S extends DayStanding>(sessions: readonly S[], nowMs: number): S | null {
  const left = sessions.filter((s) => s.state !== 'done');
  const onFloor = left.filter((s) => isOnFloor(s, nowMs));
  return (
    left.find((s) => s.isOpen) ??
    onFloor.find((s) => isInTime(s, nowMs)) ??
    onFloor[0] ??
    left.find((s) => isInTime(s, nowMs)) ??
    left[0] ??
    null
  );
}

/**
 * So many sessions of a day are told with what to set and what to watch (our judgement): two hours of three trainers,
 * or what one trainer still has ahead.
 */
export const MOST_IN_FULL = 6;

const RANKS = ['comes', 'was left or never began', 'done'] as const;

/** Who comes stands before who did not begin or finish, and those before who is done. */
function rankOf(s: DayStanding, nowMs: number): (typeof RANKS)[number] {
  if (s.state === 'done') return 'done';
  return isInTime(s, nowMs) ? 'comes' : 'was left or never began';
}

/**
 * The sessions of a day that are told in full: the one that is next, everybody on the floor, and of the others so many
 * that it is six, in the order of `rankOf`: of those who come the earliest first, of the others the latest.
 */
export function inFull(sessions: readonly DayStanding[], nowMs: number): ReadonlySet<string> {
  const next = nextOf(sessions, nowMs);
  const isFirst = (s: DayStanding): boolean => s === next || isOnFloor(s, nowMs);
  const [first, others] = [sessions.filter(isFirst), sessions.filter((s) => !isFirst(s))];
  const ranked = RANKS.flatMap((rank) => {
    const own = others.filter((s) => rankOf(s, nowMs) === rank).toSorted((a, b) => a.startsAtMs - b.startsAtMs);
    return rank === 'comes' ? own : own.toReversed();
  });
  return new Set([...first, ...ranked.slice(0, Math.max(0, MOST_IN_FULL - first.length))].map((s) => s.id));
}
