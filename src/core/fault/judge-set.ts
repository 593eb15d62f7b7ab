import type { SessionResult } from '@/core/load/progress';
import type { CorrectionCode } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_BOOK } from './fault-book';
import { groupBy } from '@/core/record/group-by';
import type { SetRecord } from '@/core/record/set-log';
import { judgeCause, type JudgedCause } from './judge-cause';
import { WINDOW_SESSIONS } from './watch-list';

/** The pacer counts on past the target until somebody says how many they were. */
const repsDone = (s: SetRecord): number => (s.confirmed ? s.reps : Math.min(s.reps, s.targetReps));

/**
 * Judge every fault of a set, worst first; `all` are the sets of the movement in order, this one among them; `fits`:
 * whether a correction can be made of the movement.
 */
export function judgeSet(
  set: SetRecord,
  all: readonly SetRecord[],
  fits: (c: CorrectionCode) => boolean,
): JudgedCause[] {
  const before = all.slice(0, all.indexOf(set));
  const codes = [...new Set(set.faults.map((f) => f.fault))];
  const failed = before.flatMap((s) =>
    s.corrections.filter((c) => c.outcome === 'not' && s.sessionId === set.sessionId).map((c) => c.correction),
  );
  return codes
    .map((fault: FaultCode) => {
      const marks = set.faults.filter((f) => f.fault === fault);
      return judgeCause({
        fault,
        reps: marks.map((m) => m.rep),
        repsDone: repsDone(set),
        sides: marks.map((m) => m.side),
        setupOff: set.setup?.off ?? null,
        loadG: set.loadG,
        earlier: before.map((s) => ({
          loadG: s.loadG,
          repsDone: repsDone(s),
          reps: s.faults.flatMap((f) => (f.fault === fault ? [f.rep] : [])),
        })),
        failed,
        fits,
      });
    })
    .sort((a, b) => FAULT_BOOK[b.fault].severity - FAULT_BOOK[a.fault].severity);
}

/** A severity from which a fault holds the load back. */
const HOLDS_BACK = 2;

/**
 * What each session of a movement on one side says about the next load, oldest first; sessions without a finished set
 * say nothing, nor does the one under way. `fits` as for a set.
 */
export function sessionResults(
  sets: readonly SetRecord[],
  exceptSession: string,
  fits: (c: CorrectionCode) => boolean,
): (SessionResult & { readonly sessionId: string })[] {
  const sessions = [...groupBy(sets, (s) => s.sessionId)].filter(([id]) => id !== exceptSession);
  return sessions.flatMap(([sessionId, all], k) => {
    const own = all.filter((s) => s.endedAtMs !== null && s.reps > 0);
    if (own.length === 0) return [];
    // What is judged looks as far back as the watch list does.
    const near = sessions.slice(Math.max(0, k - WINDOW_SESSIONS), k + 1).flatMap(([, those]) => those);
    return [
      {
        sessionId,
        loadG: Math.max(...own.map((s) => s.loadG)),
        topReached: own.every((s) => s.reps >= s.targetReps),
        clean: own.every((s) => s.faults.every((f) => f.severity < HOLDS_BACK)),
        loadCaused: own.some((s) => judgeSet(s, near, fits).some((j) => j.cause === 'load')),
      },
    ];
  });
}
