'use client';
import type { Severity } from '@/core/movement/fault-code';
import { Fragment, useRef } from 'react';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import type { FaultMark } from '@/core/record/set-log';
import type { FaultCode } from '@/core/movement/fault-code';
import { FAULT_TEXT, PHASE_NAME, repText, SEVERITY_TEXT } from '@/messages/faults';
import type { Counted } from '@/messages/live-set';
import { WORDS } from '@/messages/screens/set';
import type { PadColumn } from './pad-columns';
import styles from './set.module.css';

interface Props {
  /** What is counted, for the words of what was seen. */
  readonly of: Counted;
  readonly columns: readonly PadColumn[];
  /** Over a column that stands for all phases; null: each phase by its name. */
  readonly heading: string | null;
  /** Every fault, the likeliest first. */
  readonly likeliest: readonly FaultCode[];
  readonly marks: readonly FaultMark[];
  readonly disabled: boolean;
  /** The one that was tapped last, where the pad takes one answer. */
  readonly pressed?: FaultCode | null;
  /** Keys of the pad's buttons, in the order they stand. */
  readonly keyOf: (fault: FaultCode) => string | undefined;
  readonly onTap: (fault: FaultCode, severity: Severity) => void;
}

/** A press this long says it is worse than usual, milliseconds. */
const LONG_PRESS_MS = 500;
const worse = (s: Severity): Severity => (s === 1 ? 2 : 3);

/** Reps by side: both together, then those of one side. */
function sidesText(marks: readonly FaultMark[], counted: Counted): string {
  const of = (side: FaultMark['side']): number[] => marks.filter((m) => m.side === side).map((m) => m.rep);
  return (['both', 'left', 'right'] as const)
    .filter((side) => of(side).length > 0)
    .map((side) => (side === 'both' ? repText(of(side), counted) : `${side} ${repText(of(side), counted)}`))
    .join('; ');
}

/** One fault; a long press says that it is worse than usual. */
function FaultButton({
  fault,
  order,
  marks,
  of,
  disabled,
  pressed = null,
  keyOf,
  onTap,
}: Omit<Props, 'columns' | 'heading' | 'likeliest'> & OfFault) {
  const pressedAt = useRef(0);
  const { severity } = FAULT_BOOK[fault];
  const seen = marks.filter((m) => m.fault === fault);
  const most = Math.max(...seen.map((m) => m.severity)) as Severity;
  const isLong = (): boolean => performance.now() - pressedAt.current > LONG_PRESS_MS;
  return (
    <button
      type="button"
      className={styles.fault}
      style={{ order }}
      data-fault={fault}
      data-seen={seen.length || undefined}
      data-pressed={pressed === fault || undefined}
      data-severity={severity}
      disabled={disabled}
      title={`${FAULT_TEXT[fault].seen} (${SEVERITY_TEXT[severity]})`}
      onPointerDown={() => {
        pressedAt.current = performance.now();
      }}
      onContextMenu={(e) => e.preventDefault()}
      onClick={(e) => onTap(fault, e.detail > 0 && isLong() ? worse(severity) : severity)}
    >
      {FAULT_TEXT[fault].pad}
      {keyOf(fault) && <kbd aria-hidden>{keyOf(fault)}</kbd>}
      {seen.length > 0 && (
        <small>
          {sidesText(seen, of)}
          {most > severity ? `, ${SEVERITY_TEXT[most]}` : ''}
        </small>
      )}
    </button>
  );
}

interface OfFault {
  readonly fault: FaultCode;
  /** Its place on a phone, which shows the six likeliest. */
  readonly order: number;
}

/** Faults by phase of the rep in order; on a phone the likeliest first, the rest a swipe away. */
export function FaultPad({ columns, heading, likeliest, ...rest }: Props) {
  return (
    <div
      className={styles.pad}
      data-testid="fault-pad"
      tabIndex={0}
      role="group"
      aria-label={WORDS.faultsSeen}
      data-alone={columns.length === 1 || undefined}
    >
      {columns.map((column) => (
        <div key={column.map((g) => g.faults[0]).join()} className={styles.column}>
          {column.map(({ phase, goesOn, faults }) => (
            <Fragment key={phase}>
              <h2 data-on={goesOn || undefined}>
                {heading ?? (goesOn ? WORDS.phaseGoesOn(PHASE_NAME[phase]) : PHASE_NAME[phase])}
              </h2>
              {faults.map((fault) => (
                <FaultButton key={fault} fault={fault} order={likeliest.indexOf(fault)} {...rest} />
              ))}
            </Fragment>
          ))}
        </div>
      ))}
    </div>
  );
}
