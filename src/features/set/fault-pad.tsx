'use client';
import type { Severity } from '@/core/movement/fault-code';
import { useRef } from 'react';
import { FAULT_BOOK, FAULT_PHASES, type FaultPhase } from '@/core/fault/fault-book';
import type { FaultMark } from '@/core/record/set-log';
import type { WatchEntry } from '@/core/fault/watch-list';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_TEXT, PHASE_NAME, repText, SEVERITY_TEXT } from '@/messages/faults';
import styles from './set.module.css';

interface Props {
  readonly faults: readonly FaultCode[];
  readonly ranked: readonly WatchEntry[];
  readonly marks: readonly FaultMark[];
  readonly disabled: boolean;
  /** Keys of the pad's buttons, in the order they stand. */
  readonly keyOf: (fault: FaultCode) => string | undefined;
  readonly onTap: (fault: FaultCode, severity: Severity) => void;
}

/** A press this long says it is worse than usual, milliseconds. */
const LONG_PRESS_MS = 500;
const worse = (s: Severity): Severity => (s === 1 ? 2 : 3);

/** Start and lifting share a column: a start fault is seen as the lift begins. */
const COLUMNS: readonly (readonly FaultPhase[])[] = [['start', 'lifting'], ['finish'], ['lowering'], ['stretch']];

/** A column of the pad: this client's likeliest first. */
function padColumn(
  faults: readonly FaultCode[],
  ranked: readonly WatchEntry[],
  phases: readonly FaultPhase[],
): FaultCode[] {
  const weight = new Map(ranked.map((r) => [r.fault, r.weight]));
  return faults
    .filter((f) => phases.includes(FAULT_BOOK[f].phase))
    .toSorted(
      (a, b) =>
        (weight.get(b) ?? 0) - (weight.get(a) ?? 0) ||
        FAULT_PHASES.indexOf(FAULT_BOOK[b].phase) - FAULT_PHASES.indexOf(FAULT_BOOK[a].phase),
    );
}

/** Every fault of the pad in the order it stands there, column by column. */
export const padOrder = (faults: readonly FaultCode[], ranked: readonly WatchEntry[]): FaultCode[] =>
  COLUMNS.flatMap((phases) => padColumn(faults, ranked, phases));

/** Reps by side: both together, then those of one side. */
function sidesText(marks: readonly FaultMark[]): string {
  const of = (side: FaultMark['side']): number[] => marks.filter((m) => m.side === side).map((m) => m.rep);
  return (['both', 'left', 'right'] as const)
    .filter((side) => of(side).length > 0)
    .map((side) => (side === 'both' ? repText(of(side)) : `${side} ${repText(of(side))}`))
    .join('; ');
}

/** Faults by phase of the rep in order; this client's likeliest first in each column. */
export function FaultPad({ faults, ranked, marks, disabled, keyOf, onTap }: Props) {
  const pressedAt = useRef(0);
  return (
    <div className={styles.pad} data-testid="fault-pad">
      {COLUMNS.map((phases) => {
        const column = padColumn(faults, ranked, phases);
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
                  title={`${FAULT_TEXT[fault].seen} (${SEVERITY_TEXT[severity]})`}
                  onPointerDown={() => {
                    pressedAt.current = performance.now();
                  }}
                  onContextMenu={(e) => e.preventDefault()}
                  onClick={(e) =>
                    onTap(
                      fault,
                      e.detail > 0 && performance.now() - pressedAt.current > LONG_PRESS_MS
                        ? worse(severity)
                        : severity,
                    )
                  }
                >
                  {FAULT_TEXT[fault].pad}
                  {keyOf(fault) && <kbd aria-hidden>{keyOf(fault)}</kbd>}
                  {seen.length > 0 && (
                    <small>
                      {sidesText(seen)}
                      {Math.max(...seen.map((m) => m.severity)) > severity
                        ? `, ${SEVERITY_TEXT[Math.max(...seen.map((m) => m.severity)) as Severity]}`
                        : ''}
                    </small>
                  )}
                </button>
              );
            })}
          </div>
        );
      })}
    </div>
  );
}
