import type { TracePoint } from './segment-reps';

/** Readings as they come in from a sensor with a clock of its own. */
export interface LiveTrace {
  readonly points: readonly TracePoint[];
  /** Number of the last reading, counted by the sensor; -1 before the first. */
  readonly last: number;
  /**
   * What each of the last deliveries would make of the clocks, seconds: receiver's clock less the sensor's, the way's
   * delay included.
   */
  readonly offsets: readonly number[];
}

/** A trace of which nothing has come in. */
export const NO_TRACE: LiveTrace = { points: [], last: -1, offsets: [] };

/** Readings kept: ten minutes at 100 Hz. */
const MOST_KEPT = 60_000;
/** Numbers that were had, from a clock this far behind the known one, are a sensor's that was started anew, seconds. */
const RESTARTED_S = 10;
/** Deliveries that the clocks are compared by: a minute of ten a second, so that slow drift is followed. */
const COMPARED = 600;
/** Deliveries until the quickest of them is believed: a second of ten a second. */
const TOLD_BY = 10;

/**
 * With a delivery added: `n` is the number of its first reading. What was had before falls away; a sensor that counts
 * anew, or whose clock goes back, begins a new trace. `nowS`: receiver's clock at arrival, seconds.
 */
export function withDelivery(trace: LiveTrace, n: number, points: readonly TracePoint[], nowS: number): LiveTrace {
  if (points.length === 0) return trace;
  const end = n + points.length - 1;
  const offset = clockOffsetS(trace);
  const old = n <= trace.last && offset !== null && nowS - points.at(-1)!.tS - offset > RESTARTED_S;
  const restarted = old || (n > trace.last && trace.points.length > 0 && points[0]!.tS <= trace.points.at(-1)!.tS);
  if (restarted) return withDelivery(NO_TRACE, n, points, nowS);
  if (end <= trace.last) return trace;
  return {
    points: [...trace.points.slice(-MOST_KEPT), ...points.slice(Math.max(0, trace.last + 1 - n))],
    last: end,
    offsets: [...trace.offsets.slice(1 - COMPARED), nowS - points.at(-1)!.tS],
  };
}

/**
 * The receiver's clock less the sensor's, seconds: the least seen, for the quickest delivery is the nearest to the
 * truth. Null before the first.
 */
export const clockOffsetS = (trace: LiveTrace): number | null =>
  trace.offsets.length === 0 ? null : trace.offsets.reduce((a, b) => Math.min(a, b));

/**
 * Whether enough deliveries were seen to tell the clocks apart from the way's delay: a first one can sit behind a page
 * that is still loading.
 */
export const clocksCompared = (trace: LiveTrace): boolean => trace.offsets.length >= TOLD_BY;

/** Readings between two times of the receiver's clock, seconds. */
export function between(trace: LiveTrace, fromS: number, toS: number): TracePoint[] {
  const offset = clockOffsetS(trace) ?? 0;
  return trace.points.filter((p) => p.tS + offset >= fromS && p.tS + offset <= toS);
}
