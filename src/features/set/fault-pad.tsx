'use client';
import { FAULT_BOOK, FAULT_PHASES, type FaultPhase, type Severity } from '@/core/fault/fault-book';
import type { FaultMark } from '@/core/fault/set-log';
import type { WatchEntry } from '@/core/fault/watch-list';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_TEXT, PHASE_NAME, repText } from '@/messages/faults';
import styles from './set.module.css';

interface Props {
  readonly faults: readonly FaultCode[];
  readonly ranked: readonly WatchEntry[];
  readonly marks: readonly FaultMark[];
  readonly disabled: boolean;
  readonly onTap: (fault: FaultCode) => void;
}

/** Start and lifting share a column: a start fault is seen as the lift begins. */
const COLUMNS: readonly (readonly FaultPhase[])[] = [['start', 'lifting'], ['finish'], ['lowering'], ['stretch']];

/** Severity in words and shape: a bar for each step, never colour alone. */
const SEVERITY_BARS: Readonly<Record<Severity, string>> = { 1: 'watch', 2: 'correct', 3: 'stop the set' };

/** Reps by side: both together, then those of one side. */
function sidesText(marks: readonly FaultMark[]): string {
  const of = (side: FaultMark['side']): number[] => marks.filter((m) => m.side === side).map((m) => m.rep);
  return (['both', 'left', 'right'] as const)
    .filter((side) => of(side).length > 0)
    .map((side) => (side === 'both' ? repText(of(side)) : `${side} ${repText(of(side))}`))
    .join('; ');
}

/** Faults by phase of the rep in order; this client's likeliest first in each column. */
export function FaultPad({ faults, ranked, marks, disabled, onTap }: Props) {
  const weight = new Map(ranked.map((r) => [r.fault, r.weight]));
  return (
    <div className={styles.pad} data-testid="fault-pad">
      {COLUMNS.map((phases) => {
        const column = faults
          .filter((f) => phases.includes(FAULT_BOOK[f].phase))
          .toSorted((a, b) => (weight.get(b) ?? 0) - (weight.get(a) ?? 0) || FAULT_PHASES.indexOf(FAULT_BOOK[b].phase) - FAULT_PHASES.indexOf(FAULT_BOOK[a].phase));
        return (
          <div key={phases.join()} className={styles.column}>
            <h2>{PHASE_NAME[phases[phases.length - 1]!]}</h2>
            {column.map((fault) => {
              const seen = marks.filter((m) => m.fault === fault);
              const { severity } = FAULT_BOOK[fault];
              return (
                <button
                  key={fault}
                  type="button"
                  className={styles.fault}
                  data-fault={fault}
                  data-seen={seen.length || undefined}
                  data-severity={severity}
                  disabled={disabled}
                  title={`${FAULT_TEXT[fault].seen} (${SEVERITY_BARS[severity]})`}
                  onClick={() => onTap(fault)}
                >
                  {FAULT_TEXT[fault].pad}
                  {seen.length > 0 && <small>{sidesText(seen)}</small>}
                </button>
              );
            })}
          </div>
        );
      })}
    </div>
  );
}
