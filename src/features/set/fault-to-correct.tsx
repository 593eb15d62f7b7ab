'use client';
import { useState } from 'react';
import type { JudgedCause } from '@/core/fault/judge-cause';
import { findNeighbourStep } from '@/core/load/stack-steps';
import type { CorrectionCode } from '@/core/movement/correction-code';
import type { SetRecord } from '@/core/record/set-log';
import { CAUSE_NAME, CORRECTION_TEXT, FAULT_TEXT, repText, SIGN_TEXT } from '@/messages/faults';
import { countedIn } from '@/messages/live-set';
import type { LiveSetControl } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface Props {
  readonly judged: JudgedCause;
  readonly set: SetRecord;
  readonly control: LiveSetControl;
  readonly stackG: readonly number[];
}

/** One fault with its likely cause; its first remedy at a tap, the others behind one more. */
export function FaultToCorrect({ judged, set, control, stackG }: Props) {
  const [all, setAll] = useState(false);
  const { fault, cause } = judged;
  const marks = set.faults.filter((f) => f.fault === fault);
  const pick = async (correction: CorrectionCode): Promise<void> => {
    const kept = await control.give({ do: 'correct', setId: set.setId, fault, correction, cause });
    if (!kept || correction !== 'one-step-lighter') return;
    const lighter = findNeighbourStep(stackG, control.live.loadG, -1);
    if (lighter !== null) control.chooseLoad(lighter);
  };
  return (
    <li className={styles.judged} data-testid={`judged-${fault}`}>
      <p>
        <b>{FAULT_TEXT[fault].seen}</b>
        <span>
          {WORDS.likely(
            repText(
              marks.map((m) => m.rep),
              countedIn(control.live.movement.work),
            ),
            judged.onlySide ? WORDS.only(judged.onlySide) : '',
            CAUSE_NAME[cause],
            SIGN_TEXT[judged.sign],
          )}
        </span>
      </p>
      {set.corrections.length === 0 && (
        <div className={styles.remedies}>
          {(all ? judged.remedies : judged.remedies.slice(0, 1)).map((c, i) => (
            <button
              key={c}
              type="button"
              className={i === 0 ? styles.strong : styles.plain}
              onClick={() => void pick(c)}
            >
              {CORRECTION_TEXT[c]}
            </button>
          ))}
          {!all && judged.remedies.length > 1 && (
            <button
              type="button"
              className={styles.plain}
              onClick={() => setAll(true)}
              aria-label={WORDS.otherCorrectionsFor(FAULT_TEXT[fault].seen)}
            >
              {WORDS.other}
            </button>
          )}
        </div>
      )}
    </li>
  );
}
