import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from './fault-book';
import type { SetRecord } from '@/core/record/set-log';

/** At most this many things to watch, and so to cue, per movement. */
const MOST_CUES = 2;
/** A fault unseen for this many sessions and sets is cleared; one sighting reopens it. */
const CLEARED_SESSIONS = 3;
const CLEARED_SETS = 6;
/** What a session's distance takes off a fault's weight. */
const FADE_PER_SESSION = 0.7;

/** How often a fault of a movement was seen, how long ago, and what it weighs. */
export interface WatchEntry {
  readonly fault: FaultCode;
  readonly setsSeen: number;
  readonly sets: number;
  readonly setsSince: number;
  readonly sessionsSince: number;
  readonly cleared: boolean;
  readonly weight: number;
}

/**
 * Every fault seen in a client's sets of one movement (oldest first), heaviest first:
 * weight = rate per set x severity x 0.7^sessions since last seen; none once cleared.
 */
export function rankFaults(sets: readonly SetRecord[]): WatchEntry[] {
  const sessions = [...new Set(sets.map((s) => s.sessionId))];
  const codes = [...new Set(sets.flatMap((s) => s.faults.map((f) => f.fault)))];
  return codes
    .map((fault): WatchEntry => {
      const seen = sets.map((s) => s.faults.some((f) => f.fault === fault));
      const last = seen.lastIndexOf(true);
      const setsSeen = seen.filter(Boolean).length;
      const setsSince = sets.length - 1 - last;
      const sessionsSince = sessions.length - 1 - sessions.indexOf(sets[last]!.sessionId);
      const cleared = sessionsSince >= CLEARED_SESSIONS && setsSince >= CLEARED_SETS;
      const rate = setsSeen / sets.length;
      const weight = cleared ? 0 : rate * FAULT_BOOK[fault].severity * FADE_PER_SESSION ** sessionsSince;
      return { fault, setsSeen, sets: sets.length, setsSince, sessionsSince, cleared, weight };
    })
    .sort((a, b) => b.weight - a.weight || (a.fault < b.fault ? -1 : 1));
}

/** The one or two faults to watch next time. */
export const watchList = (sets: readonly SetRecord[]): WatchEntry[] =>
  rankFaults(sets)
    .filter((e) => !e.cleared)
    .slice(0, MOST_CUES);
