import 'server-only';
import type { Session } from '@/contract/views/plan';
import { dayOf } from './clock';
import { reachSessions } from './reach';
import type { UseCase } from './use-case';

const MINUTE_MS = 60_000;
/** So long after its planned end a session of yesterday is still looked for, milliseconds. */
export const RUNS_ON_MS = 4 * 60 * MINUTE_MS;
/** No session is longer, milliseconds. */
const LONGEST_MS = 240 * MINUTE_MS;

/**
 * Sessions of the floor, earliest first: today's, and those of yesterday that run past midnight, until they are
 * finished or four hours past their end.
 */
export function floorSessions(uc: UseCase): Session[] {
  const { fromMs, toMs } = dayOf(uc.nowMs);
  // What of yesterday still runs began no longer ago than this.
  const lateMs = uc.nowMs - LONGEST_MS - RUNS_ON_MS;
  const yesterdays = lateMs < fromMs ? reachSessions(uc, lateMs, fromMs) : [];
  const late = yesterdays.filter(
    (s) =>
      s.finishedAtMs === null && s.items.length > 0 && s.startsAtMs + s.minutes * MINUTE_MS + RUNS_ON_MS > uc.nowMs,
  );
  return [...late, ...reachSessions(uc, fromMs, toMs)];
}
