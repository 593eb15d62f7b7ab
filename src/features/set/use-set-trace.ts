'use client';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { SetRecord } from '@/core/record/set-log';
import { packTrace, unpackTrace } from '@/core/trace/pack-trace';
import { segmentReps, type TracePoint } from '@/core/trace/segment-reps';
import { parseTraceCsv } from '@/contract/trace-csv';
import type { LiveSet } from './live-set-view';
import type { Trace } from './trace-line';
import type { Give } from './use-live-set';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';

/** The last reading of a set is here by then, milliseconds. */
const SETTLED_MS = 600;

/**
 * A set's trace: as it is kept with the set, else from the sensor once its readings are in, or from a file. What is
 * read is kept.
 */
export function useSetTrace(set: SetRecord, live: LiveSet, give: Give, { readings, link }: Tracker) {
  const { setId, startedAtMs, endedAtMs } = set;
  const { startsWith } = live.paceOfRep(set, 1);
  const kept = live.traces[setId] ?? null;
  const [read, setRead] = useState<Trace | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const known = useMemo(() => {
    const points = kept && unpackTrace(kept);
    const reps = points && segmentReps(points, startsWith);
    return points && reps ? { points, reps } : null;
  }, [kept, startsWith]);
  const take = useCallback(
    (points: readonly TracePoint[]): boolean => {
      const reps = segmentReps(points, startsWith);
      if (!reps) return false;
      setRead({ points, reps });
      const trace = packTrace(points);
      if (trace) void give({ do: 'keep-trace', setId, trace });
      return true;
    },
    [give, setId, startsWith],
  );
  const has = known !== null || read !== null;
  useEffect(() => {
    if (has || link !== 'connected' || endedAtMs === null) return;
    let timer: ReturnType<typeof setTimeout>;
    const ask = (): void => {
      const points = readings(startedAtMs, endedAtMs + SETTLED_MS);
      if (points !== null) return void take(points);
      timer = setTimeout(ask, SETTLED_MS);
    };
    timer = setTimeout(ask, Math.max(0, endedAtMs + 2 * SETTLED_MS - Date.now()));
    return () => clearTimeout(timer);
  }, [has, link, readings, startedAtMs, endedAtMs, take]);
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const parsed = parseTraceCsv(await file.text());
    if (!parsed.ok) setWrong(`${file.name}: ${parsed.issues.map((i) => `${i.path}: ${i.message}`).join('; ')}`);
    else setWrong(take(parsed.points) ? null : WORDS.expectedATraceWithoutGaps(file.name));
    if (!parsed.ok) setRead(null);
  };
  return { opened: read ?? known, wrong, open };
}
