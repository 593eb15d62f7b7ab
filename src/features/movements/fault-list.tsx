import { useMemo } from 'react';
import type { QuestionAnswer } from '@/core/book/answer-question';
import type { BookEntry } from '@/core/book/book-entry';
import { faultsOf } from '@/core/book/entry-faults';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { costOfFault } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import { CORRECTION_TEXT, FAULT_CAUSE_NAME, faultCostText, FAULT_TEXT, PHASE_NAME } from '@/messages/faults';
import { WORDS } from '@/messages/screens/movements';
import styles from './movements.module.css';

interface Props {
  readonly answer: QuestionAnswer;
  readonly own: BookEntry;
}

/** What goes wrong with a movement: what it costs on this body at its usual size, what to rule out and try first. */
export function FaultList({ answer, own }: Props) {
  const faults = faultsOf(answer.ok ? answer.from.entry : own);
  const costs = useMemo(() => {
    if (!answer.ok) return new Map<string, string>();
    const { from, placement } = answer;
    return new Map(
      faultsOf(from.entry).flatMap((f) => {
        const p = PERTURBATION[f];
        const cost = p && costOfFault(from, placement, from.shown, p, p.usual);
        return p && cost ? [[f, faultCostText(p, p.usual, cost)] as const] : [];
      }),
    );
  }, [answer]);
  if (faults.length === 0) return null;
  return (
    <details className={styles.faults}>
      <summary>{WORDS.whatGoesWrongWhatIt}</summary>
      <ul>
        {faults.map((f) => (
          <li key={f}>
            <b>{FAULT_TEXT[f].seen}</b>
            {costs.has(f) && <em>{costs.get(f)}</em>}
            <span>
              {WORDS.ruleOut(
                PHASE_NAME[FAULT_BOOK[f].phase],
                FAULT_BOOK[f].causes.map((c) => FAULT_CAUSE_NAME[c]).join(WORDS.then),
                FAULT_BOOK[f].corrections.map((c) => CORRECTION_TEXT[c].replace('Cue: ', '')).join('; '),
              )}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
