import { useMemo } from 'react';
import type { BookEntry } from '@/core/book/book-entry';
import type { EntryOptions } from '@/core/book/entry-options';
import { fitUnder } from '@/core/book/entry-options';
import { faultsOf } from '@/core/book/entry-faults';
import { toSetupInput, type EntryAnswer } from '@/core/book/solve-entry';
import { FAULT_BOOK } from '@/core/fault/fault-book';
import { costOnCable, costWithoutCable } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import type { WorkingSide } from '@/core/setup/setup-problem';
import type { ChoosingData } from '@/contract/choosing-data';
import { CORRECTION_TEXT, FAULT_CAUSE_NAME, faultCostText, FAULT_TEXT, PHASE_NAME } from '@/messages/faults';
import { handleLengthM } from './movement-answer';
import { SHOWN_KG } from './movement-player';
import styles from './movements.module.css';

interface Props {
  readonly entry: BookEntry;
  readonly options: EntryOptions;
  readonly answer: EntryAnswer;
  readonly column: ChoosingData['gym']['columns'][number] | null;
  readonly data: ChoosingData;
  readonly side: WorkingSide;
}

/** What goes wrong with a movement: what it costs on this body at its usual size, what to rule out and try first. */
export function FaultList({ entry, options, answer, column, data, side }: Props) {
  const costs = useMemo(() => {
    if (!answer.ok) return new Map<string, string>();
    const input = {
      body: data.body,
      range: { ...data.range, fit: fitUnder(data.range.fit, options) },
      side,
      loadKg: SHOWN_KG,
      kit: data.kit,
    };
    const at = column && { column: column.column, room: column.room, attachmentM: handleLengthM(entry, data) };
    return new Map(
      faultsOf(entry).flatMap((f) => {
        const p = PERTURBATION[f];
        if (!p) return [];
        const cost =
          answer.placement && at
            ? costOnCable(
                toSetupInput(entry, { ...input, column: at }, at, options),
                answer.placement,
                answer.side,
                p,
                p.usual,
              )
            : costWithoutCable(entry, input, answer.side, p, p.usual);
        return cost ? [[f, faultCostText(p, p.usual, cost)] as const] : [];
      }),
    );
  }, [entry, options, answer, column, data, side]);
  const faults = faultsOf(entry);
  if (faults.length === 0) return null;
  return (
    <details className={styles.faults}>
      <summary>What goes wrong, what it costs, and what to try first</summary>
      <ul>
        {faults.map((f) => (
          <li key={f}>
            <b>{FAULT_TEXT[f].seen}</b>
            {costs.has(f) && <em>{costs.get(f)}</em>}
            <span>
              {PHASE_NAME[FAULT_BOOK[f].phase]}; rule out{' '}
              {FAULT_BOOK[f].causes.map((c) => FAULT_CAUSE_NAME[c]).join(', then ')}.{' '}
              {FAULT_BOOK[f].corrections.map((c) => CORRECTION_TEXT[c].replace('Cue: ', '')).join('; ')}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
