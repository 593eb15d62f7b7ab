'use client';
import { useEffect, useState } from 'react';
import type { SetRecord } from '@/core/record/set-log';
import type { StartPhase } from '@/core/tempo/tempo';
import { segmentReps } from '@/core/trace/segment-reps';
import { parseTraceCsv } from '@/contract/trace-csv';
import type { Trace } from './trace-line';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';

/** The last reading of a set is here by then, milliseconds. */
const SETTLED_MS = 600;

/** A set's trace, from the sensor once its readings are in, or from a file. */
export function useSetTrace(set: SetRecord, startsWith: StartPhase, { readings, link }: Tracker) {
  const [opened, setOpened] = useState<Trace | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const { startedAtMs, endedAtMs } = set;
  useEffect(() => {
    if (link !== 'connected' || endedAtMs === null) return;
    let timer: ReturnType<typeof setTimeout>;
    const read = (): void => {
      const points = readings(startedAtMs, endedAtMs + SETTLED_MS);
      if (points === null) {
        timer = setTimeout(read, SETTLED_MS);
        return;
      }
      const reps = segmentReps(points, startsWith);
      if (reps) setOpened((was) => was ?? { points, reps });
    };
    timer = setTimeout(read, Math.max(0, endedAtMs + 2 * SETTLED_MS - Date.now()));
    return () => clearTimeout(timer);
  }, [link, readings, startedAtMs, endedAtMs, startsWith]);
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const parsed = parseTraceCsv(await file.text());
    const reps = parsed.ok ? segmentReps(parsed.points, startsWith) : null;
    setOpened(parsed.ok && reps ? { points: parsed.points, reps } : null);
    if (!parsed.ok) setWrong(`${file.name}: ${parsed.issues.map((i) => `${i.path}: ${i.message}`).join('; ')}`);
    else if (reps) setWrong(null);
    else setWrong(WORDS.expectedATraceWithoutGaps(file.name));
  };
  return { opened, wrong, open };
}
