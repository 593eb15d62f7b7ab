'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { buildRep, type Pace } from '@/core/tempo/pace';
import { between, clockOffsetS, clocksCompared, NO_TRACE, withDelivery, type LiveTrace } from '@/core/trace/live-trace';
import type { TracePoint } from '@/core/trace/segment-reps';
import { deliverySchema, sensorListSchema, type CalledSet, type Sensor } from '@/contract/tracker';
import type { SetState } from './set-machine';

const AT = '/api/v1/tracker/sensors';
/** The sensor chosen in this tab: a reload goes on with it. */
const CHOSEN = 'jorvix-tracker';
/** Way of a stack that nothing is known of, metres (our judgement). */
const USUAL_RANGE_M = 0.4;

export type TrackerLink = 'off' | 'asking' | 'none' | 'connected' | 'lost';
const nowS = (): number => Date.now() / 1000;

async function post(id: string, what: 'set' | 'rest', body: CalledSet | null): Promise<void> {
  // A sensor that does not hear it still tells what the stack does.
  await fetch(`${AT}/${id}/${what}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: body ? JSON.stringify(body) : '{}',
  }).catch(() => undefined);
}

/** The sensors that answer, and the one chosen in this tab. */
function useSensorChoice() {
  const [link, setLink] = useState<TrackerLink>('off');
  const [sensors, setSensors] = useState<readonly Sensor[]>([]);
  const [id, setId] = useState<string | null>(null);
  const find = useCallback(async () => {
    setLink('asking');
    const list = await fetch(AT)
      .then(
        (r) => r.json(),
        () => null,
      )
      .catch(() => null);
    const read = sensorListSchema.safeParse(list);
    setSensors(read.success ? read.data.sensors : []);
    setLink(read.success ? 'off' : 'none');
  }, []);
  const choose = useCallback((next: string | null) => {
    if (next === null) sessionStorage.removeItem(CHOSEN);
    else sessionStorage.setItem(CHOSEN, next);
    setSensors([]);
    setLink(next === null ? 'off' : 'asking');
    setId(next);
  }, []);
  useEffect(() => {
    const first = setTimeout(() => setId(sessionStorage.getItem(CHOSEN)), 0);
    return () => clearTimeout(first);
  }, []);
  return { link, setLink, sensors, id, find, choose };
}

/** Everything a sensor delivers, kept in order. */
function useDeliveries(id: string | null, setLink: (link: TrackerLink) => void) {
  const trace = useRef<LiveTrace>(NO_TRACE);
  useEffect(() => {
    if (id === null) return;
    trace.current = NO_TRACE;
    const line = new EventSource(`${AT}/${id}/line`);
    line.onmessage = (e: MessageEvent<string>) => {
      const read = deliverySchema.safeParse(JSON.parse(e.data));
      if (!read.success) return;
      trace.current = withDelivery(
        trace.current,
        read.data.n,
        read.data.points.map(([tS, xM]) => ({ tS, xM })),
        nowS(),
      );
      setLink('connected');
    };
    line.onerror = () => setLink(line.readyState === EventSource.CLOSED ? 'none' : 'lost');
    return () => line.close();
  }, [id, setLink]);
  return trace;
}

/** What is asked of the client now: the pace, the reps left, and the way of the stack, metres. */
interface Asked {
  readonly pace: Pace;
  readonly repsLeft: number;
  readonly rangeM: number;
}

/** Tells the sensor when a set is called and when it rests. */
function useCalls(
  id: string | null,
  firstRepAtMs: number | null,
  latest: { readonly current: Asked },
  nowMs: () => number,
) {
  const called = useRef(false);
  useEffect(() => {
    if (id === null) return;
    if (firstRepAtMs === null) {
      if (called.current) void post(id, 'rest', null);
      called.current = false;
      return;
    }
    called.current = true;
    const { pace, repsLeft, rangeM: range_m } = latest.current;
    void post(id, 'set', {
      legs: buildRep(pace).map(({ seconds, from, to }) => ({ seconds, from, to })),
      reps: Math.max(1, repsLeft),
      lead_in_s: Math.max(0, (firstRepAtMs - nowMs()) / 1000),
      range_m,
    });
  }, [id, firstRepAtMs, latest, nowMs]);
}

/**
 * The last seconds of a trace as shares of the range: seconds before now, 0 stretch, 1 finish. `sinceS`: seconds since
 * the first rep began. Empty while nothing is heard.
 */
function recentShares(trace: LiveTrace, asked: Asked, spanS: number, sinceS: number) {
  const offset = clockOffsetS(trace);
  if (offset === null || sinceS < 0) return [];
  const { points } = trace;
  const now = nowS() - offset;
  let [low, high, first] = [Infinity, -Infinity, points.length];
  for (let i = points.length - 1; i >= 0 && points[i]!.tS >= now - sinceS; i--) {
    [low, high] = [Math.min(low, points[i]!.xM), Math.max(high, points[i]!.xM)];
    if (points[i]!.tS >= now - spanS) first = i;
  }
  const range = Math.max(asked.rangeM, high - low);
  const base = asked.pace.startsWith === 'lifting' ? low : high - range;
  return points.slice(first).map((p) => ({ agoS: now - p.tS, share: (p.xM - base) / range }));
}

/**
 * A sensor on the stack; `nowMs` is the set's clock. Found, listened to, told when a set is called, and read by this
 * device's clock.
 */
export function useTracker(
  live: SetState,
  pace: Pace,
  repsLeft: number,
  stackTravelM: number | null,
  nowMs: () => number,
) {
  const { link, setLink, sensors, id, find, choose } = useSensorChoice();
  const trace = useDeliveries(id, setLink);
  const rangeM = stackTravelM ?? USUAL_RANGE_M;
  const latest = useRef<Asked>({ pace, repsLeft, rangeM });
  useEffect(() => {
    latest.current = { pace, repsLeft, rangeM };
  }, [pace, repsLeft, rangeM]);
  useCalls(id, live.mode === 'running' ? live.firstRepAtMs : null, latest, nowMs);
  /**
   * Readings between two times of this device's clock, milliseconds; null while the sensor's clock is not known well
   * enough to say.
   */
  const readings = useCallback(
    (fromMs: number, toMs: number): TracePoint[] | null =>
      clocksCompared(trace.current) ? between(trace.current, fromMs / 1000, toMs / 1000) : null,
    [trace],
  );
  /** The last seconds, for the pacer. */
  const recent = useCallback(
    (spanS: number, sinceS: number) => recentShares(trace.current, latest.current, spanS, sinceS),
    [trace],
  );
  return useMemo(
    () => ({ link, sensors, id, find, choose, readings, recent }),
    [link, sensors, id, find, choose, readings, recent],
  );
}

export type Tracker = ReturnType<typeof useTracker>;
