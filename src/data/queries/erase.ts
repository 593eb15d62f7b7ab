import type { Db } from '../open-db';

/** What is left of a client who was erased: how much there was, without whose it was. */
export interface ErasedCounts {
  readonly sessions: number;
  readonly sets: number;
  readonly taps: number;
}

/** Rows of a client, those that refer to others first. `?` is the client. */
const ROWS = [
  'stale_fold WHERE client_id = ?',
  'item_fold WHERE client_id = ?',
  'fold_stamp WHERE client_id = ?',
  'floor_event WHERE client_id = ?',
  'change WHERE client_id = ?',
  'session_item WHERE session_id IN (SELECT id FROM session WHERE client_id = ?)',
  'session WHERE client_id = ?',
  'screening WHERE client_id = ?',
  'client_cover WHERE client_id = ?',
  'sheet_name WHERE client_id = ?',
  'practice_choice WHERE client_id = ?',
  'client_goal WHERE client_id = ?',
  'client WHERE id = ?',
];

/** Triggers that keep logs as they were written. */
const KEEPERS = "SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND name LIKE '%_is_kept'";

/**
 * Take everything of a client out of the records, overwritten on the disk; only counts are left. In the caller's
 * transaction: logs are held open for it and closed again within it. What answers were worked out for whom cannot be
 * told, so that all that are remembered go.
 */
export function eraseClient(db: Db, clientId: string): ErasedCounts {
  const count = (sql: string): number => db.prepare(`SELECT count(*) FROM ${sql}`).pluck().get(clientId) as number;
  const counts = {
    sessions: count('session WHERE client_id = ?'),
    sets: count('set_fold s JOIN item_fold i ON i.item_id = s.item_id WHERE i.client_id = ?'),
    taps: count('floor_event WHERE client_id = ?'),
  };
  const keepers = db.prepare(KEEPERS).all() as { name: string; sql: string }[];
  for (const { name } of keepers) db.exec(`DROP TRIGGER ${name}`);
  // Who trained with them trains alone.
  db.prepare(
    `UPDATE session SET together_id = NULL
     WHERE together_id IN (SELECT together_id FROM session WHERE client_id = ? AND together_id IS NOT NULL)`,
  ).run(clientId);
  // In the history of others a client is named as whom they train with.
  const name = db.prepare('SELECT json_quote(name) FROM client WHERE id = ?').pluck().get(clientId);
  db.prepare('DELETE FROM change WHERE before = :name OR after = :name').run({ name });
  for (const rows of ROWS) db.prepare(`DELETE FROM ${rows}`).run(clientId);
  db.exec('DELETE FROM kept_solve');
  for (const { sql } of keepers) db.exec(sql);
  return counts;
}
