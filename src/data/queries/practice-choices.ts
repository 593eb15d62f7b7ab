import type { Standing, StandingQuestion, StandingSide } from '@/core/book/standing-practice';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Whose sides: a client's, or a trainer's for all their clients. */
export type PracticeOf = { readonly clientId: string } | { readonly accountId: string };

const ROWS = 'SELECT question, side, since_ms AS sinceMs FROM practice_choice';

/** Sides that a client or a trainer took once, in no order. */
export const listSides = (db: Db, of: PracticeOf): readonly StandingSide[] =>
  ('clientId' in of
    ? prepared(db, `${ROWS} WHERE client_id = ?`).all(of.clientId)
    : prepared(db, `${ROWS} WHERE account_id = ?`).all(of.accountId)) as StandingSide[];

/** What stands for a client: their own sides, and those of the trainer who has them. */
export const standingOf = (db: Db, clientId: string): Standing => ({
  client: listSides(db, { clientId }),
  trainer: prepared(db, `${ROWS} WHERE account_id = (SELECT trainer_id FROM client WHERE id = ?)`).all(
    clientId,
  ) as StandingSide[],
});

/** Keep a side from a moment on; null takes it back. */
export function keepSide(db: Db, of: PracticeOf, question: StandingQuestion, side: string | null, nowMs: number): void {
  const [clientId, accountId] = 'clientId' in of ? [of.clientId, null] : [null, of.accountId];
  prepared(db, 'DELETE FROM practice_choice WHERE client_id IS ? AND account_id IS ? AND question = ?').run(
    clientId,
    accountId,
    question,
  );
  if (side === null) return;
  prepared(
    db,
    'INSERT INTO practice_choice (client_id, account_id, question, side, since_ms) VALUES (?, ?, ?, ?, ?)',
  ).run(clientId, accountId, question, side, nowMs);
}
