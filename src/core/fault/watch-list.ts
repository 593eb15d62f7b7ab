import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from './fault-book';
import type { FaultMark, SetRecord } from '@/core/record/set-log';

/** At most this many things to watch, and so to cue, per movement. */
const MOST_CUES = 2;
/** A fault unseen for this many sessions and sets is cleared; one sighting reopens it. */
export const CLEARED_SESSIONS = 3;
/** As `CLEARED_SESSIONS`. */
export const CLEARED_SETS = 6;
/**
 * Sessions of a movement that judgement looks at, its newest: what a client did years ago says little of today, and a
 * fault of the last sessions is not drowned by it (our judgement: about a quarter of a year of weekly work).
 */
export const WINDOW_SESSIONS = 12;
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

/** What of a set says which faults are seen how often. */
export interface WatchedSet extends Pick<SetRecord, 'sessionId'> {
  readonly faults: readonly Pick<FaultMark, 'fault'>[];
}

/** The sets of the newest sessions among sets that are told oldest first. */
function inWindow(sets: readonly WatchedSet[]): readonly WatchedSet[] {
  const newest = new Set([...new Set(sets.map((s) => s.sessionId))].slice(-WINDOW_SESSIONS));
  return sets.filter((s) => newest.has(s.sessionId));
}

/**
 * Every fault seen in a client's sets of one movement (oldest first), heaviest first:
 * weight = rate per set x severity x 0.7^sessions since last seen; none once cleared. Rates are of the newest sessions;
 * a fault that was seen before them alone is cleared. `everSeen`: faults that were seen in sets that are not told.
 */
export function rankFaults(all: readonly WatchedSet[], everSeen: readonly FaultCode[] = []): WatchEntry[] {
  const sets = inWindow(all);
  const sessions = [...new Set(sets.map((s) => s.sessionId))];
  // One pass: where each fault was seen, and last of all.
  const seen = new Map<FaultCode, { times: number; last: number }>();
  for (const fault of [...everSeen, ...all.flatMap((s) => s.faults.map((f) => f.fault))])
    if (!seen.has(fault)) seen.set(fault, { times: 0, last: -1 });
  sets.forEach((s, k) => {
    for (const fault of new Set(s.faults.map((f) => f.fault))) {
      const own = seen.get(fault)!;
      own.times += 1;
      own.last = k;
    }
  });
  return [...seen]
    .map(([fault, { times, last }]): WatchEntry => {
      const setsSince = sets.length - 1 - last;
      const sessionsSince = last < 0 ? sessions.length : sessions.length - 1 - sessions.indexOf(sets[last]!.sessionId);
      const cleared = last < 0 || (sessionsSince >= CLEARED_SESSIONS && setsSince >= CLEARED_SETS);
      const weight = cleared
        ? 0
        : (times / sets.length) * FAULT_BOOK[fault].severity * FADE_PER_SESSION ** sessionsSince;
      return { fault, setsSeen: times, sets: sets.length, setsSince, sessionsSince, cleared, weight };
    })
    .sort((a, b) => b.weight - a.weight || (a.fault < b.fault ? -1 : 1));
}

/** The one or two faults to watch next time. */
export const watchList = (sets: readonly WatchedSet[]): WatchEntry[] =>
  rankFaults(sets)
    .filter((e) => !e.cleared)
    .slice(0, MOST_CUES);
