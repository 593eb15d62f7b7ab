import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** What was kept under a hash, as JSON; null where nothing was. */
export const findKeptSolve = (db: Db, hash: string): string | null =>
  (prepared(db, 'SELECT told FROM kept_solve WHERE hash = ?').get(hash) as { told: string } | undefined)?.told ?? null;

/** Keep what a case was solved to on a day, as JSON, and let go of what was kept before another day. */
export function keepSolve(db: Db, hash: string, told: string, day: number, before: number): void {
  prepared(db, 'DELETE FROM kept_solve WHERE day < ?').run(before);
  prepared(db, 'INSERT OR REPLACE INTO kept_solve (hash, day, told) VALUES (?, ?, ?)').run(hash, day, told);
}
