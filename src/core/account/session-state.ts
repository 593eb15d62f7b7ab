/** How a signed-in device stands: let in, asked for its PIN or passphrase, or signed out. */
export type SessionState = 'open' | 'locked' | 'over';

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;
/** A tablet that nobody used for this long has slept: whoever takes it up says who they are. */
export const LOCKS_AFTER_MS = 15 * MINUTE_MS;
/** However much it is used, a device signs in anew after this long. */
export const LASTS_MS = 30 * DAY_MS;
/** A device's token is changed for another once it is this old. */
const ROTATES_MS = DAY_MS;
/** So long at least the token before still opens: what was under way when it changed. */
const PREVIOUS_OPENS_MS = MINUTE_MS;
/** Wrong PINs in a row after which the device is signed out. */
export const PIN_TRIES = 5;

/** When a device was signed in, got its token and was last used, milliseconds since 1970. */
export interface SessionTimes {
  readonly begunAtMs: number;
  readonly rotatedAtMs: number;
  readonly seenAtMs: number;
  readonly endedAtMs: number | null;
}

/** A clock set back makes no session older or younger than it is: time before its last use counts as none. */
export function sessionState(s: SessionTimes, nowMs: number): SessionState {
  if (s.endedAtMs !== null || nowMs - s.begunAtMs >= LASTS_MS) return 'over';
  return nowMs - s.seenAtMs >= LOCKS_AFTER_MS ? 'locked' : 'open';
}

/** Whether the token is due to be changed. */
export const rotationDue = (s: SessionTimes, nowMs: number): boolean => nowMs - s.rotatedAtMs >= ROTATES_MS;

/** Whether the change of the token is long enough ago that nothing under way still brings the one before. */
export const changeOver = (s: SessionTimes, nowMs: number): boolean => nowMs - s.rotatedAtMs >= PREVIOUS_OPENS_MS;
