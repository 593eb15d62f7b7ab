import { findEntry } from '@/core/book/book';
import { FAULT_CODES, type FaultCode } from '@/core/movement/fault-code';
import type { SpottingAnswer } from '@/core/spotting/spotting-answer';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

interface AnswerRow {
  id: string;
  at_ms: number;
  movement: string;
  shown_fault: string | null;
  shown_size: number | null;
  said_fault: string | null;
  took_ms: number;
}

const faultOf = (code: string | null): FaultCode | null => FAULT_CODES.find((f) => f === code) ?? null;

/** Keep an answer of an account; one that is there already stays as it is. */
export function addSpottingAnswer(db: Db, accountId: string, a: SpottingAnswer): void {
  prepared(
    db,
    `INSERT INTO spotting_answer (id, account_id, at_ms, movement, shown_fault, shown_size, said_fault, took_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(a.id, accountId, a.atMs, a.movement, a.shown?.fault ?? null, a.shown?.size ?? null, a.said, a.tookMs);
}

/**
 * The newest answers of an account, oldest first, so many at most. What a later program wrote of movements or faults
 * that this one does not know is left out.
 */
export function listSpottingAnswers(db: Db, accountId: string, atMost: number): readonly SpottingAnswer[] {
  const rows = prepared(
    db,
    'SELECT * FROM spotting_answer WHERE account_id = ? ORDER BY at_ms DESC, id DESC LIMIT ?',
  ).all(accountId, atMost) as AnswerRow[];
  return rows.reverse().flatMap((r) => {
    const movement = findEntry(r.movement)?.id;
    const fault = faultOf(r.shown_fault);
    const said = faultOf(r.said_fault);
    if (!movement || (r.shown_fault && !fault) || (r.said_fault && !said)) return [];
    const shown = fault && r.shown_size !== null ? { fault, size: r.shown_size } : null;
    return [{ id: r.id, atMs: r.at_ms, movement, shown, said, tookMs: r.took_ms }];
  });
}
