/** The live pacer. Times come in with the events: milliseconds of one monotonic clock. */
export type SetState =
  | { readonly mode: 'idle' }
  | {
      readonly mode: 'running';
      readonly setId: string;
      readonly firstRepAtMs: number;
      readonly taps: CountedTaps;
    }
  | { readonly mode: 'paused'; readonly setId: string; readonly elapsedMs: number; readonly taps: CountedTaps };

/**
 * What was counted by tap in this part of a set, and what that tells of the client's own pace. While somebody counts by
 * tap the pacer waits at the end of the rep that is under way, until it looks as if nobody does any more.
 */
export interface CountedTaps {
  /** When the last reps were tapped, milliseconds, oldest first; a rep that the pacer counted ends the row. */
  readonly atMs: readonly number[];
  /** Reps of the set that were behind it when the pacer was last set by hand. */
  readonly since: number;
  /** The client's own seconds of a rep over those that the tempo asks for. */
  readonly scale: number;
  /** Where the pacer waits, milliseconds since its first rep, and until when; null while it counts by itself. */
  readonly waits: { readonly atMs: number; readonly untilMs: number } | null;
}

/** Nothing was counted by tap. */
export const NO_TAPS: CountedTaps = { atMs: [], since: 0, scale: 1, waits: null };

export type SetEvent =
  | {
      readonly type: 'started';
      readonly setId: string;
      readonly nowMs: number;
      readonly leadInMs: number;
      readonly skipMs: number;
      readonly taps?: CountedTaps;
    }
  | { readonly type: 'paused'; readonly nowMs: number }
  | { readonly type: 'resumed'; readonly nowMs: number }
  | { readonly type: 'ended' };

/** Seconds of lead-in before the first rep: time to take the handles and step out. */
export const LEAD_IN_MS = 5000;

export function reduceSet(state: SetState, event: SetEvent): SetState {
  switch (event.type) {
    case 'started':
      return {
        mode: 'running',
        setId: event.setId,
        firstRepAtMs: event.nowMs + event.leadInMs - event.skipMs,
        taps: event.taps ?? NO_TAPS,
      };
    case 'paused':
      return state.mode === 'running'
        ? { mode: 'paused', setId: state.setId, elapsedMs: elapsedMs(state, event.nowMs)!, taps: state.taps }
        : state;
    case 'resumed':
      return state.mode === 'paused'
        ? {
            mode: 'running',
            setId: state.setId,
            firstRepAtMs: event.nowMs - state.elapsedMs,
            taps: { ...state.taps, atMs: [], waits: null },
          }
        : state;
    case 'ended':
      return { mode: 'idle' };
  }
}

/** Milliseconds since the first rep began; negative in the lead-in; null when nothing runs. */
export function elapsedMs(state: SetState, nowMs: number): number | null {
  if (state.mode === 'running') {
    const ms = nowMs - state.firstRepAtMs;
    const { waits } = state.taps;
    if (!waits || ms < waits.atMs) return ms;
    // It goes on from where it waited.
    return nowMs < waits.untilMs ? waits.atMs - 1 : waits.atMs + Math.min(ms - waits.atMs, nowMs - waits.untilMs);
  }
  return state.mode === 'paused' ? state.elapsedMs : null;
}
