'use client';
import { IconMinus, IconPlus } from '@tabler/icons-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { CORRECTION_KIND, FAULT_BOOK, type CorrectionCode } from '@/core/fault/fault-book';
import { OUTCOMES } from '@/core/fault/floor-event';
import { judgeCause, type JudgedCause } from '@/core/fault/judge-cause';
import type { SetRecord } from '@/core/fault/set-log';
import { findNeighbourStep } from '@/core/load/stack-steps';
import { timeUnderTensionS } from '@/core/tempo/tempo';
import type { FaultCode } from '@/core/movement/fault-code';
import { CAUSE_NAME, CORRECTION_TEXT, FAULT_TEXT, OUTCOME_TEXT, repText, SIGN_TEXT } from '@/messages/faults';
import type { LiveSet } from './use-live-set';
import type { SetScreenContext } from './set-screen-context';
import styles from './set.module.css';

/** Judge every fault of the set just done, worst first. */
export function judgeSet(set: SetRecord, all: readonly SetRecord[]): JudgedCause[] {
  const before = all.slice(0, all.indexOf(set));
  const codes = [...new Set(set.faults.map((f) => f.fault))];
  const failed = before.flatMap((s) => s.corrections.filter((c) => c.outcome === 'not' && s.itemId === set.itemId).map((c) => c.correction));
  return codes
    .map((fault: FaultCode) => {
      const marks = set.faults.filter((f) => f.fault === fault);
      return judgeCause({
        fault,
        reps: marks.map((m) => m.rep),
        repsDone: set.reps,
        sides: marks.map((m) => m.side),
        setupOff: set.setup?.off ?? null,
        loadG: set.loadG,
        earlier: before.map((s) => ({ loadG: s.loadG, seen: s.faults.some((f) => f.fault === fault) })),
        failed,
      });
    })
    .sort((a, b) => FAULT_BOOK[b.fault].severity - FAULT_BOOK[a.fault].severity);
}

function Confirm({ set, live, context }: { readonly set: SetRecord; readonly live: LiveSet; readonly context: SetScreenContext }) {
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
        <span>Stack used, kg</span>
        <b data-testid="confirm-load">{Math.round(loadG / 10) / 100}</b>
        <div className={styles.steppers}>
          <button type="button" aria-label="Used one step less" onClick={() => step(-1)}>
            <IconMinus stroke={1.5} aria-hidden />
          </button>
          <button type="button" aria-label="Used one step more" onClick={() => step(1)}>
            <IconPlus stroke={1.5} aria-hidden />
          </button>
        </div>
      </div>
      <button type="button" className={styles.strong} onClick={() => void live.append({ kind: 'set-confirmed', setId: set.setId, loadG, reps })}>
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
          <button key={outcome} type="button" className={styles.plain} onClick={() => void live.append({ kind: 'outcome', correctionId: asked.id, setId: set.setId, outcome })}>
            {OUTCOME_TEXT[outcome]}
          </button>
        ))}
      </div>
    </section>
  );
}

function FaultToCorrect({ judged, set, live, context }: { readonly judged: JudgedCause; readonly set: SetRecord; readonly live: LiveSet; readonly context: SetScreenContext }) {
  const [all, setAll] = useState(false);
  const marks = set.faults.filter((f) => f.fault === judged.fault);
  const given = set.corrections.at(-1) ?? null;
  const pick = (correction: CorrectionCode): void =>
    void live.append({ kind: 'correction', setId: set.setId, fault: judged.fault, correction, cause: judged.cause }).then((kept) => {
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
          {judged.onlySide ? `, ${judged.onlySide} only` : ''}. Likely {CAUSE_NAME[judged.cause]}: {SIGN_TEXT[judged.sign]}.
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
            <button type="button" className={styles.plain} onClick={() => setAll(true)} aria-label={`Other corrections for ${FAULT_TEXT[judged.fault].seen}`}>
              Other
            </button>
          )}
        </div>
      )}
    </li>
  );
}

/** Resting: confirm what was done, ask about the last correction, then give one for the next set. */
export function BetweenSets({ set, live, context }: { readonly set: SetRecord; readonly live: LiveSet; readonly context: SetScreenContext }) {
  const judged = useMemo(() => judgeSet(set, live.log.sets), [set, live.log.sets]);
  const given = set.corrections.at(-1) ?? null;
  const tension = Math.round(timeUnderTensionS(live.tempo, set.reps, context.tension));
  return (
    <div className={styles.between} data-testid="between">
      {!set.confirmed ? (
        <Confirm key={set.setId} set={set} live={live} context={context} />
      ) : (
        <p className={styles.done}>
          Set {set.setNo}: <b>{set.reps} reps</b> with <b>{Math.round(set.loadG / 10) / 100} kg</b>, {tension} s under tension as paced.
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
    </div>
  );
}
