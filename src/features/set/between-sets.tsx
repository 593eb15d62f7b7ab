'use client';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { CORRECTION_KIND, type CorrectionCode } from '@/core/fault/fault-book';
import { OUTCOMES } from '@/core/fault/floor-event';
import type { JudgedCause } from '@/core/fault/judge-cause';
import { judgeSet } from '@/core/fault/judge-set';
import type { SetRecord } from '@/core/fault/set-log';
import { findNeighbourStep } from '@/core/load/stack-steps';
import { estimateMax, loadForReps } from '@/core/load/one-rep-max';
import { timeUnderTensionS } from '@/core/tempo/pace';
import { CAUSE_NAME, CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT, repText, SIGN_TEXT } from '@/messages/faults';
import { loadNumber, loadText } from '@/messages/loads';
import { TracePanel } from './trace-panel';
import type { LiveSet } from './use-live-set';
import type { Tracker } from './use-tracker';
import type { SetScreenContext } from './set-screen-context';
import styles from './set.module.css';

function Confirm({
  set,
  live,
  context,
}: {
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly context: SetScreenContext;
}) {
  const [reps, setReps] = useState(set.reps);
  const [loadG, setLoadG] = useState(set.loadG);
  const step = (d: -1 | 1): void => {
    const next = findNeighbourStep(context.stackG, loadG, d);
    // What was really used is kept as it was, also past a limit: the record must be true.
    if (next !== null) setLoadG(next);
  };
  return (
    <section className={styles.confirm} aria-label="Confirm load and reps">
      <div className={styles.confirmCell}>
        <span>Reps done</span>
        <b data-testid="confirm-reps">{reps}</b>
        <div className={styles.steppers}>
          <button type="button" aria-label="One rep less" onClick={() => setReps(Math.max(0, reps - 1))}>
            <IconMinus stroke={1.5} aria-hidden />
          </button>
          <button type="button" aria-label="One rep more" onClick={() => setReps(Math.min(200, reps + 1))}>
            <IconPlus stroke={1.5} aria-hidden />
          </button>
        </div>
      </div>
      <div className={styles.confirmCell}>
        <span>
          {context.loadLabel ?? 'Load'}, used, {context.unit}
        </span>
        <b data-testid="confirm-load">{loadNumber(loadG, context.unit)}</b>
        <div className={styles.steppers}>
          <button type="button" aria-label="Used one step less" onClick={() => step(-1)}>
            <IconMinus stroke={1.5} aria-hidden />
          </button>
          <button type="button" aria-label="Used one step more" onClick={() => step(1)}>
            <IconPlus stroke={1.5} aria-hidden />
          </button>
        </div>
      </div>
      <button
        type="button"
        className={styles.strong}
        onClick={() => void live.append({ kind: 'set-confirmed', setId: set.setId, loadG, reps })}
      >
        Keep this
      </button>
    </section>
  );
}

function AskOutcome({ set, live }: { readonly set: SetRecord; readonly live: LiveSet }) {
  const asked = live.openCorrection;
  if (!asked) return null;
  return (
    <section className={styles.ask} aria-label="Outcome of the last correction">
      <p>
        <b>{CORRECTION_TEXT[asked.correction]}</b>, for: {FAULT_TEXT[asked.fault].seen}. Did it hold?
      </p>
      <div className={styles.row}>
        {OUTCOMES.map((outcome) => (
          <button
            key={outcome}
            type="button"
            className={styles.plain}
            onClick={() => void live.append({ kind: 'outcome', correctionId: asked.id, setId: set.setId, outcome })}
          >
            {OUTCOME_TEXT[outcome]}
          </button>
        ))}
      </div>
    </section>
  );
}

function FaultToCorrect({
  judged,
  set,
  live,
  context,
}: {
  readonly judged: JudgedCause;
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly context: SetScreenContext;
}) {
  const [all, setAll] = useState(false);
  const marks = set.faults.filter((f) => f.fault === judged.fault);
  const given = set.corrections.at(-1) ?? null;
  const pick = (correction: CorrectionCode): void =>
    void live
      .append({ kind: 'correction', setId: set.setId, fault: judged.fault, correction, cause: judged.cause })
      .then((kept) => {
        if (kept && correction === 'one-step-lighter') {
          const lighter = findNeighbourStep(context.stackG, live.loadG, -1);
          if (lighter !== null) live.setChosenLoadG(lighter);
        }
      });
  return (
    <li className={styles.judged} data-testid={`judged-${judged.fault}`}>
      <p>
        <b>{FAULT_TEXT[judged.fault].seen}</b>
        <span>
          {repText(marks.map((m) => m.rep))}
          {judged.onlySide ? `, ${judged.onlySide} only` : ''}. Likely {CAUSE_NAME[judged.cause]}:{' '}
          {SIGN_TEXT[judged.sign]}.
        </span>
      </p>
      {!given && (
        <div className={styles.remedies}>
          {(all ? judged.remedies : judged.remedies.slice(0, 1)).map((c, i) => (
            <button key={c} type="button" className={i === 0 ? styles.strong : styles.plain} onClick={() => pick(c)}>
              {CORRECTION_TEXT[c]}
            </button>
          ))}
          {!all && judged.remedies.length > 1 && (
            <button
              type="button"
              className={styles.plain}
              onClick={() => setAll(true)}
              aria-label={`Other corrections for ${FAULT_TEXT[judged.fault].seen}`}
            >
              Other
            </button>
          )}
        </div>
      )}
    </li>
  );
}

/** A free note, kept when the field is left. */
function SetNote({ set, live }: { readonly set: SetRecord; readonly live: LiveSet }) {
  const [note, setNote] = useState(set.note);
  return (
    <label className={styles.note}>
      Note on this set, for next time
      <textarea
        value={note}
        maxLength={1000}
        rows={2}
        onChange={(e) => setNote(e.currentTarget.value)}
        onBlur={() => note !== set.note && void live.append({ kind: 'set-note', setId: set.setId, note })}
      />
    </label>
  );
}

/** Resting: confirm what was done, ask about the last correction, then give one for the next set. */
export function BetweenSets({
  set,
  live,
  tracker,
  context,
}: {
  readonly set: SetRecord;
  readonly live: LiveSet;
  readonly tracker: Tracker;
  readonly context: SetScreenContext;
}) {
  const judged = useMemo(() => judgeSet(set, live.log.sets), [set, live.log.sets]);
  const given = set.corrections.at(-1) ?? null;
  /** An estimate has no more digits than it is good for. */
  const whole = (g: number): string => Number(loadNumber(g, context.unit)).toFixed(1);
  // A set to its limit speaks for other reps too; one without a load does not.
  const most = set.loadG > 0 ? estimateMax(set.loadG, set.reps) : null;
  const twenty = set.loadG > 0 ? loadForReps(set.loadG, set.reps, 20) : null;
  const tension = Math.round(
    Array.from({ length: set.reps }, (_, i) => timeUnderTensionS(live.paceOfRep(set, i + 1), 1, context.loaded)).reduce(
      (a, b) => a + b,
      0,
    ),
  );
  return (
    <div className={styles.between} data-testid="between">
      {!set.confirmed ? (
        <Confirm key={set.setId} set={set} live={live} context={context} />
      ) : (
        <p className={styles.done}>
          Set {set.setNo}: <b>{set.reps} reps</b> with <b>{loadText(set.loadG, context.unit)}</b>, {tension} s under
          tension as paced{set.cleanTo > 0 ? `, watched clean to rep ${set.cleanTo}` : ''}.
          {most && twenty && (
            <span className={styles.estimate} data-testid="estimate">
              If that was the limit: {whole(most.least)} to {whole(most.most)} {context.unit} once,{' '}
              {whole(twenty.least)} to {whole(twenty.most)} {context.unit} twenty times.
            </span>
          )}
        </p>
      )}
      <AskOutcome set={set} live={live} />
      {given && (
        <p className={styles.given} data-testid="given">
          For the next set: <b>{CORRECTION_TEXT[given.correction]}</b>
          {CORRECTION_KIND[given.correction] === 'set-up' && (
            <Link className={styles.strong} href={`/setup/${context.item.id}`}>
              Back to the plates
            </Link>
          )}
        </p>
      )}
      {judged.length > 0 ? (
        <ul className={styles.judgedList} aria-label="Faults seen">
          {judged.map((j) => (
            <FaultToCorrect key={j.fault} judged={j} set={set} live={live} context={context} />
          ))}
        </ul>
      ) : (
        <p className={styles.done}>No faults tapped in this set.</p>
      )}
      <SetNote key={`note-${set.setId}-${set.note}`} set={set} live={live} />
      <TracePanel key={`trace-${set.setId}`} set={set} live={live} tracker={tracker} />
    </div>
  );
}
