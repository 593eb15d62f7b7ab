'use client';
import { useMounted } from '@mantine/hooks';
import { useEffect, useState } from 'react';
import type { SetRecord } from '@/core/fault/set-log';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { phaseSeconds } from '@/core/tempo/pace';
import { findInTrace, speedLoss, type AskedRep } from '@/core/trace/findings';
import { findRest, segmentReps, type TracePoint, type TraceRep } from '@/core/trace/segment-reps';
import { parseTraceCsv } from '@/contract/trace-csv';
import { px } from '@/drawing/svg-number';
import { FAULT_TEXT } from '@/messages/faults';
import { FINDING } from '@/messages/trace';
import { SensorBar } from './sensor-bar';
import type { LiveSet } from './use-live-set';
import type { Tracker } from './use-tracker';
import styles from './set.module.css';

interface Trace {
  readonly points: readonly TracePoint[];
  readonly reps: readonly TraceRep[];
}

const WIDTH = 480;
const HEIGHT = 120;
/** The last reading of a set is here by then, milliseconds. */
const SETTLED_MS = 600;

/** The trace with a line where each rep begins. */
function TraceLine({ points, reps }: Trace) {
  const t0 = points[0]!.tS;
  const span = points.at(-1)!.tS - t0;
  const xs = points.map((p) => p.xM);
  const [low, high] = [xs.reduce((a, b) => Math.min(a, b)), xs.reduce((a, b) => Math.max(a, b))];
  const u = (tS: number): number => px(((tS - t0) / span) * WIDTH);
  const v = (xM: number): number => px(HEIGHT - 8 - ((xM - low) / Math.max(1e-6, high - low)) * (HEIGHT - 16));
  // As many points as the sheet has pixels.
  const every = Math.max(1, Math.floor(points.length / WIDTH));
  const d = points
    .filter((_, i) => i % every === 0)
    .map((p, i) => `${i === 0 ? 'M' : 'L'}${u(p.tS)} ${v(p.xM)}`)
    .join('');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.trace}
      role="img"
      aria-label={`Trace of ${reps.length} reps`}
    >
      {reps.map((r) => (
        <line key={r.startS} x1={u(r.startS)} x2={u(r.startS)} y1={0} y2={HEIGHT} />
      ))}
      <path d={d} />
    </svg>
  );
}

/** Asked of a rep of a set: seconds each way, share of the range. */
export function askedOfRep(live: LiveSet, set: SetRecord, rep: number): AskedRep {
  const pace = live.paceOfRep(set, rep);
  return {
    liftingS: phaseSeconds(pace, 'lifting'),
    loweringS: phaseSeconds(pace, 'lowering'),
    share: pace.to - pace.from,
  };
}

/** Mean seconds of one way of a rep, in words. */
const meanOf = <K extends 'liftingS' | 'loweringS'>(of: readonly Readonly<Record<K, number>>[], way: K): string =>
  (of.reduce((sum, r) => sum + r[way], 0) / of.length).toFixed(1);

/**
 * A set's trace, from the sensor or from a file: its reps against what was asked, and what it proposes, taken one tap
 * at a time.
 */
export function TracePanel({
  set,
  live,
  tracker,
}: {
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly tracker: Tracker;
}) {
  const mounted = useMounted();
  const [opened, setOpened] = useState<Trace | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const startsWith = live.paceOfRep(set, 1).startsWith;
  const { readings, link } = tracker;
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
    setWrong(
      !parsed.ok
        ? `${file.name}: ${parsed.issues.map((i) => `${i.path}: ${i.message}`).join('; ')}`
        : reps === null
          ? `${file.name}: expected a trace without gaps that starts at rest and holds at least one rep`
          : null,
    );
    setOpened(parsed.ok && reps ? { points: parsed.points, reps } : null);
  };
  const asked = opened ? opened.reps.map((_, i) => askedOfRep(live, set, i + 1)) : [];
  const findings = opened
    ? findInTrace(opened.reps, (rep) => asked[rep - 1]!, findRest(opened.points, opened.reps[0]!))
    : [];
  const take = async (
    reps: readonly number[],
    fault: (typeof FINDING)[keyof typeof FINDING]['fault'],
  ): Promise<void> => {
    if (!fault) return;
    for (const rep of reps)
      if (!set.faults.some((f) => f.fault === fault && f.rep === rep))
        await live.append({
          kind: 'fault',
          setId: set.setId,
          rep,
          fault,
          side: 'both',
          severity: FAULT_BOOK[fault].severity,
        });
  };
  return (
    <details className={styles.tracePanel} open={opened !== null || undefined}>
      <summary>Trace of the stack, from a sensor or a file</summary>
      {opened && (
        <>
          <TraceLine {...opened} />
          <p className={styles.done} data-testid="trace-reps">
            {opened.reps.length} reps. Lifted in {meanOf(opened.reps, 'liftingS')} s of {meanOf(asked, 'liftingS')}{' '}
            asked, lowered in {meanOf(opened.reps, 'loweringS')} s of {meanOf(asked, 'loweringS')};{' '}
            {Math.round(100 * speedLoss(opened.reps))} % of the fastest rep’s speed lost by the last.
          </p>
          {findings.map((f) => {
            const { says, fault } = FINDING[f.kind];
            const offered = fault !== null && live.faults.includes(fault) ? fault : null;
            const taken =
              offered !== null && f.reps.every((rep) => set.faults.some((x) => x.fault === offered && x.rep === rep));
            return (
              <div key={f.kind} className={styles.finding} data-testid={`finding-${f.kind}`}>
                <span>
                  Rep {f.reps.join(', ')}: {says}.
                </span>
                {offered && (
                  <button
                    type="button"
                    className={styles.plain}
                    disabled={taken}
                    onClick={() => void take(f.reps, offered)}
                  >
                    {taken ? 'Taken' : `Take: ${FAULT_TEXT[offered].pad}`}
                  </button>
                )}
              </div>
            );
          })}
        </>
      )}
      <SensorBar tracker={tracker} />
      <label className={styles.note}>
        CSV with the columns t_s and x_m: seconds and metres, up while lifting
        <input
          type="file"
          accept=".csv,text/csv"
          disabled={!mounted}
          onChange={(e) => void open(e.currentTarget.files?.[0])}
        />
      </label>
      {wrong && (
        <p className={styles.blocked} role="alert">
          {wrong}
        </p>
      )}
    </details>
  );
}
