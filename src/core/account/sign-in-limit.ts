/** Tries without waiting. */
const FREE_TRIES = 5;
const FIRST_WAIT_MS = 30_000;
const LONGEST_WAIT_MS = 15 * 60_000;
/** Failed tries older than this count no more, milliseconds. */
export const TRY_COUNTS_MS = 60 * 60_000;

/**
 * How long the next try to sign in must wait, milliseconds: nought for the first five in an hour, then half a minute
 * after the last one, doubled with each, up to a quarter of an hour. `failedAtMs`: failed tries, in any order; `free`:
 * how many of them cost nothing.
 */
export function signInWaitMs(failedAtMs: readonly number[], nowMs: number, free = FREE_TRIES): number {
  const counted = failedAtMs.filter((t) => nowMs - t < TRY_COUNTS_MS);
  if (counted.length < free) return 0;
  const wait = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (counted.length - free));
  return Math.max(0, Math.max(...counted) + wait - nowMs);
}
