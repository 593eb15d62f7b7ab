/** The live pacer. Times come in with the events: milliseconds of one monotonic clock. */
export type SetState =
  | { readonly mode: 'idle' }
  | { readonly mode: 'running'; readonly setId: string; readonly firstRepAtMs: number }
  | { readonly mode: 'paused'; readonly setId: string; readonly elapsedMs: number };

export type SetEvent =
  | {
      readonly type: 'started';
      readonly setId: string;
      readonly nowMs: number;
      readonly leadInMs: number;
      readonly skipMs: number;
    }
  | { readonly type: 'paused'; readonly nowMs: number }
  | { readonly type: 'resumed'; readonly nowMs: number }
  | { readonly type: 'ended' };

/** Seconds of lead-in before the first rep: time to take the handles and step out. */
export const LEAD_IN_MS = 5000;

export function reduceSet(state: SetState, event: SetEvent): SetState {
  switch (event.type) {
    case 'started':
      return { mode: 'running', setId: event.setId, firstRepAtMs: event.nowMs + event.leadInMs - event.skipMs };
    case 'paused':
      return state.mode === 'running'
        ? { mode: 'paused', setId: state.setId, elapsedMs: event.nowMs - state.firstRepAtMs }
        : state;
    case 'resumed':
      return state.mode === 'paused'
        ? { mode: 'running', setId: state.setId, firstRepAtMs: event.nowMs - state.elapsedMs }
        : state;
    case 'ended':
      return { mode: 'idle' };
  }
}

/** Milliseconds since the first rep began; negative in the lead-in; null when nothing runs. */
export function elapsedMs(state: SetState, nowMs: number): number | null {
  if (state.mode === 'running') return nowMs - state.firstRepAtMs;
  return state.mode === 'paused' ? state.elapsedMs : null;
}
