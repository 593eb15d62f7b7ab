import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Which of the things that a gym begins with are on record. */
export interface Begun {
  readonly gym: boolean;
  readonly column: boolean;
  readonly client: boolean;
  readonly setup: boolean;
}

/** What is on record of what a gym begins with. */
export function readBegun(db: Db): Begun {
  const row = prepared(
    db,
    `SELECT EXISTS (SELECT 1 FROM gym) AS gym, EXISTS (SELECT 1 FROM kit_piece WHERE kind = 'column') AS "column",
       EXISTS (SELECT 1 FROM client) AS client, EXISTS (SELECT 1 FROM session_item) AS setup`,
  ).get() as Record<keyof Begun, number>;
  return { gym: row.gym === 1, column: row.column === 1, client: row.client === 1, setup: row.setup === 1 };
}

/** Steps that were skipped. */
export const skippedSteps = (db: Db): ReadonlySet<string> =>
  new Set(prepared(db, 'SELECT step FROM first_step').pluck().all() as string[]);

/** Skip a step, or take it up again. */
export function setSkipped(db: Db, step: string, isSkipped: boolean, actorId: string, nowMs: number): void {
  if (isSkipped)
    prepared(
      db,
      'INSERT INTO first_step (step, skipped_at_ms, actor_id) VALUES (?, ?, ?) ON CONFLICT (step) DO NOTHING',
    ).run(step, nowMs, actorId);
  else prepared(db, 'DELETE FROM first_step WHERE step = ?').run(step);
}
