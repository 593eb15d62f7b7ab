import type { FaultCode } from '@/core/movement/fault-code';
import { groupBy } from '@/core/record/group-by';
import { CLEARED_SESSIONS, CLEARED_SETS, type WatchedSet } from './watch-list';

/** A session's sets of a movement, and in how many of them a fault was seen. */
export interface SeenInSession {
  readonly sessionId: string;
  readonly seen: number;
  readonly sets: number;
  /** What the session turned: the fault was cleared by its end, or seen again after it had been cleared. */
  readonly turned: 'cleared' | 'reopened' | null;
}

/** Where a fault's rate goes over the sessions. */
export type Trend = 'rarer' | 'more-often';

/** A trend is told where it is seen by chance in at most one of ten: 90 % of the normal distribution lie within. */
const CLEAR_Z = 1.645;
/** Fewer sessions than these tell no trend. */
const LEAST_SESSIONS = 3;

/**
 * Trend in proportions over equally spaced groups, as a normal score: above nought where they rise. With t the group's
 * number, r of n seen in it, R of N in all:
 * z = (sum r t - R sum n t / N) / sqrt(p (1 - p) (sum n t^2 - (sum n t)^2 / N)), p = R / N.
 * Nought where all or none were seen. Source: Cochran 1954, Biometrics 10: 417; Armitage 1955, Biometrics 11: 375.
 */
export function trendScore(groups: readonly { readonly seen: number; readonly of: number; readonly at: number }[]) {
  const sum = (f: (g: (typeof groups)[number]) => number): number => groups.reduce((s, g) => s + f(g), 0);
  const [all, times] = [sum((g) => g.of), sum((g) => g.seen)];
  const [at, at2] = [sum((g) => g.of * g.at), sum((g) => g.of * g.at * g.at)];
  const p = times / all;
  const spread = p * (1 - p) * (at2 - (at * at) / all);
  return spread > 0 ? (sum((g) => g.seen * g.at) - (times * at) / all) / Math.sqrt(spread) : 0;
}

/** How a fault came and went over a movement’s sets, told oldest first; and its trend, null where none is clear. */
export function faultCourse(
  all: readonly WatchedSet[],
  fault: FaultCode,
): { readonly sessions: readonly SeenInSession[]; readonly trend: Trend | null } {
  let [ever, cleared, sessionsSince, setsSince] = [false, false, 0, 0];
  const sessions = [...groupBy(all, (s) => s.sessionId)].map(([sessionId, sets]): SeenInSession => {
    const has = sets.map((s) => s.faults.some((f) => f.fault === fault));
    const seen = has.filter(Boolean).length;
    const again = seen > 0 && cleared;
    if (seen > 0) [ever, cleared, sessionsSince, setsSince] = [true, false, 0, has.length - 1 - has.lastIndexOf(true)];
    else [sessionsSince, setsSince] = [sessionsSince + 1, setsSince + sets.length];
    const ends = ever && !cleared && sessionsSince >= CLEARED_SESSIONS && setsSince >= CLEARED_SETS;
    cleared ||= ends;
    return { sessionId, seen, sets: sets.length, turned: again ? 'reopened' : ends ? 'cleared' : null };
  });
  const z = trendScore(sessions.map((s, at) => ({ seen: s.seen, of: s.sets, at })));
  const clear = sessions.length >= LEAST_SESSIONS && Math.abs(z) > CLEAR_Z;
  return { sessions, trend: clear ? (z < 0 ? 'rarer' : 'more-often') : null };
}
