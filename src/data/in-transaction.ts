import type Database from 'better-sqlite3';

/** So often the right to write is asked for while another process has it, milliseconds. */
const ASKS_EVERY_MS = 1;

const nobodyWakes = new Int32Array(new SharedArrayBuffer(4));

/** Take the right to write, or be refused at once; otherwise the connection stays as patient as it is. */
function beginAtOnce(db: Database.Database, patienceMs: number): void {
  db.pragma('busy_timeout = 0');
  try {
    db.exec('BEGIN IMMEDIATE');
  } finally {
    db.pragma(`busy_timeout = ${patienceMs}`);
  }
}

const isBusy = (e: unknown): boolean => (e as { readonly code?: string }).code === 'SQLITE_BUSY';

/**
 * Do all of something or nothing. The right to write is taken at the start: two processes write to the records, and one
 * that reads first and then writes would be refused where the other wrote between.
 *
 * Where the other one has it just now, it is asked for every millisecond, as long as the connection is patient
 * (`busy_timeout`). The database's own wait asks ever more rarely, up to ten times a second, and one that writes many
 * things one after the other had it again each time: a tap waited for half a floor to be folded, though each movement
 * was written in a few milliseconds.
 */
export function inTransaction<T>(db: Database.Database, does: () => T): T {
  if (db.inTransaction) return db.transaction(does).immediate();
  const patienceMs = db.pragma('busy_timeout', { simple: true }) as number;
  const untilMs = Date.now() + patienceMs;
  for (;;) {
    try {
      beginAtOnce(db, patienceMs);
      break;
    } catch (e) {
      if (!isBusy(e) || Date.now() > untilMs) throw e;
      Atomics.wait(nobodyWakes, 0, 0, ASKS_EVERY_MS);
    }
  }
  try {
    const done = does();
    db.exec('COMMIT');
    return done;
  } catch (e) {
    if (db.inTransaction) db.exec('ROLLBACK');
    throw e;
  }
}
