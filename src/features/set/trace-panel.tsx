'use client';
import { Alert } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { FaultCode } from '@/core/movement/fault-code';
import type { SetRecord } from '@/core/record/set-log';
import { phaseSeconds } from '@/core/tempo/pace';
import { findInTrace, speedLoss, type AskedRep } from '@/core/trace/findings';
import { findRest } from '@/core/trace/segment-reps';
import { FAULT_TEXT } from '@/messages/faults';
import { FINDING } from '@/messages/trace';
import type { LiveSet } from './live-set-view';
import { SensorBar } from './sensor-bar';
import { TraceLine, type Trace } from './trace-line';
import type { Give } from './use-live-set';
import { useSetTrace } from './use-set-trace';
import type { Tracker } from './use-tracker';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

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

interface Props {
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly give: Give;
  readonly tracker: Tracker;
}

/** What a trace shows against what was asked, and what it proposes, taken one tap at a time. */
function Findings({ trace, set, live, give }: Omit<Props, 'tracker'> & { readonly trace: Trace }) {
  const { points, reps } = trace;
  const asked = reps.map((_, i) => askedOfRep(live, set, i + 1));
  const findings = findInTrace(reps, (rep) => asked[rep - 1]!, findRest(points, reps[0]!));
  const take = (fault: FaultCode, at: readonly number[]): void =>
    void give({ do: 'take-faults', setId: set.setId, fault, reps: at, severity: FAULT_BOOK[fault].severity });
  return (
    <>
      <TraceLine {...trace} paces={reps.map((_, i) => live.paceOfRep(set, i + 1))} />
      <p className={styles.done} data-testid="trace-reps">
        {WORDS.repsLiftedInSOf(
          reps.length,
          meanOf(reps, 'liftingS'),
          meanOf(asked, 'liftingS'),
          meanOf(reps, 'loweringS'),
          meanOf(asked, 'loweringS'),
          Math.round(100 * speedLoss(reps)),
        )}
      </p>
      {findings.map((f) => {
        const { says, fault } = FINDING[f.kind];
        const offered = fault !== null && live.faults.includes(fault) ? fault : null;
        const taken = f.reps.every((rep) => set.faults.some((x) => x.fault === offered && x.rep === rep));
        return (
          <div key={f.kind} className={styles.finding} data-testid={`finding-${f.kind}`}>
            <span>{WORDS.repsSay(f.reps.join(', '), says)}</span>
            {offered && (
              <button type="button" className={styles.plain} disabled={taken} onClick={() => take(offered, f.reps)}>
                {taken ? WORDS.taken : WORDS.take(FAULT_TEXT[offered].pad)}
              </button>
            )}
          </div>
        );
      })}
    </>
  );
}

/** A set's trace, from the sensor or from a file: its reps against what was asked, and what it proposes. */
export function TracePanel({ set, live, give, tracker }: Props) {
  const mounted = useMounted();
  const { opened, wrong, open } = useSetTrace(set, live, give, tracker);
  return (
    <details className={styles.tracePanel} open={opened !== null || undefined}>
      <summary>{WORDS.traceOfTheStackFrom}</summary>
      {opened && <Findings trace={opened} set={set} live={live} give={give} />}
      <SensorBar tracker={tracker} />
      <label className={styles.note}>
        {WORDS.csvWithTheColumnsT}
        <input
          type="file"
          accept=".csv,text/csv"
          disabled={!mounted}
          onChange={(e) => void open(e.currentTarget.files?.[0])}
        />
      </label>
      {wrong && <Alert className={styles.blocked}>{wrong}</Alert>}
    </details>
  );
}
