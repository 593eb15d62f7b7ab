import { groupBy } from '@/core/record/group-by';
import { changeBetween, CHANGES, OUR_TIMES, type Change, type ChangeTime, type Placed } from './session-time';

/** What was changed between two movements of a past session, and the seconds between their sets. */
export interface ObservedChange {
  readonly change: Change;
  readonly seconds: number;
}

/** What past sessions really took between movements: the median, and where it likely lies. */
export interface LearnedTime {
  readonly seconds: number;
  readonly from: number;
  readonly to: number;
  readonly observations: number;
}

/** A set of a past session: of which planned movement, from when to when, milliseconds. */
export interface PastSet {
  readonly sessionId: string;
  readonly itemId: string;
  readonly startedAtMs: number;
  readonly endedAtMs: number;
}

/** What was changed from one set of a session to the next one, where they are of two planned movements. */
export function observeChanges(
  sets: readonly PastSet[],
  itemOf: (itemId: string) => Placed | null,
): readonly ObservedChange[] {
  return [...groupBy(sets, (s) => s.sessionId).values()].flatMap((own) => {
    const inOrder = own.toSorted((a, b) => a.startedAtMs - b.startedAtMs);
    return inOrder.slice(1).flatMap((next, k) => {
      const before = inOrder[k]!;
      const [from, to] = [itemOf(before.itemId), itemOf(next.itemId)];
      if (before.itemId === next.itemId || !from || !to) return [];
      return [{ change: changeBetween(from, to), seconds: (next.startedAtMs - before.endedAtMs) / 1000 }];
    });
  });
}

/** Longer than this something else went on, seconds. */
const LONGEST_S = 900;
/** From so many observations on a time is taken from them (ours; the interval has both its ends from six on). */
const ENOUGH = 8;
const CONFIDENCE = 0.95;

/** Chance of at most k heads of n throws of a fair coin. */
function atMost(k: number, n: number): number {
  let [term, sum] = [2 ** -n, 0];
  for (let i = 0; i <= k; i++) {
    sum += term;
    term *= (n - i) / (i + 1);
  }
  return sum;
}

/**
 * Median with its interval free of any distribution: the k-th value from either end, with the largest k at which the
 * chance that the true median lies outside is at most one in twenty (Conover, Practical Nonparametric Statistics).
 */
export function medianOf(values: readonly number[]): Omit<LearnedTime, 'observations'> {
  const sorted = values.toSorted((a, b) => a - b);
  const n = sorted.length;
  let k = 0;
  while (k + 1 <= n / 2 && 2 * atMost(k, n) <= 1 - CONFIDENCE) k += 1;
  const [low, high] = [sorted[Math.max(0, k - 1)]!, sorted[n - Math.max(1, k)]!];
  return { seconds: (sorted[Math.floor((n - 1) / 2)]! + sorted[Math.floor(n / 2)]!) / 2, from: low, to: high };
}

/** What past sessions took by what was changed; null where too few are on record. */
export function learnTimes(observed: readonly ObservedChange[]): Readonly<Record<Change, LearnedTime | null>> {
  const of = (change: Change): LearnedTime | null => {
    const own = observed.filter((o) => o.change === change && o.seconds > 0 && o.seconds <= LONGEST_S);
    return own.length < ENOUGH ? null : { ...medianOf(own.map((o) => o.seconds)), observations: own.length };
  };
  return Object.fromEntries(CHANGES.map((c) => [c, of(c)])) as Record<Change, LearnedTime | null>;
}

/** The times that a gym's sessions are reckoned by: what somebody entered, else what was learned, else ours. */
export const timesFor = (
  entered: Readonly<Partial<Record<Change, number>>>,
  learned: Readonly<Record<Change, LearnedTime | null>>,
): Readonly<Record<Change, ChangeTime>> =>
  Object.fromEntries(
    CHANGES.map((c): [Change, ChangeTime] => {
      const own = entered[c];
      if (own !== undefined) return [c, { seconds: own, isWhole: false }];
      const seen = learned[c];
      return [c, seen ? { seconds: Math.round(seen.seconds), isWhole: true } : OUR_TIMES[c]];
    }),
  ) as Record<Change, ChangeTime>;
