import 'server-only';
import { chmodSync, mkdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { migrate, readMigrations } from './migrate';

export type Db = Database.Database;

/** So long one process waits for the other to have written, milliseconds. */
const PATIENCE_MS = 5000;
const DEFAULT_DB = './data/jorvix.db';
export const migrationsFolder = (): string => join(process.cwd(), 'src/data/migrations');

/**
 * Open and migrate a database file, or `:memory:`. Foreign keys on, write-ahead log, full sync: a confirmed tap
 * survives.
 */
export function openDb(file: string): Db {
  if (file !== ':memory:') mkdirSync(dirname(resolve(file)), { recursive: true, mode: 0o700 });
  const db = new Database(file);
  // Health notes are for this account alone; what lies beside the file takes its mode.
  if (file !== ':memory:' && statSync(file).uid === process.getuid?.()) chmodSync(file, 0o600);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma(`busy_timeout = ${PATIENCE_MS}`);
  migrate(db, readMigrations(migrationsFolder()), Date.now());
  return db;
}

/** The database that this process serves. */
export const databaseFile = (): string => process.env.JORVIX_DB ?? DEFAULT_DB;

const shared = globalThis as typeof globalThis & { jorvixDb?: Db; jorvixLeavesLog?: boolean };

/** This process's one connection, opened on first use from JORVIX_DB. */
export function sharedDb(): Db {
  shared.jorvixDb ??= openShared();
  return shared.jorvixDb;
}

function openShared(): Db {
  const db = openDb(databaseFile());
  if (shared.jorvixLeavesLog) db.pragma('wal_autocheckpoint = 0');
  return db;
}

/**
 * From now on what this process writes stays in the log until `tidyLog` is called, here or in another process: whoever
 * taps never waits until the log is brought into the file.
 */
export function leaveLog(): void {
  shared.jorvixLeavesLog = true;
  shared.jorvixDb?.pragma('wal_autocheckpoint = 0');
}

/** A log that is longer than this is begun anew at the next moment when nobody writes, pages. */
const LONG_LOG = 20_000;

/** Bring as much of the log into the file as nobody reads from any more; nobody waits for it. */
export function tidyLog(): void {
  const db = sharedDb();
  const [told] = db.pragma('wal_checkpoint(PASSIVE)') as { readonly log: number }[];
  if (!told || told.log < LONG_LOG) return;
  // Where somebody writes or reads just now it is left for the next time.
  db.pragma('busy_timeout = 0');
  try {
    db.pragma('wal_checkpoint(RESTART)');
  } finally {
    db.pragma(`busy_timeout = ${PATIENCE_MS}`);
  }
}

/** Bring the log into the one file and let it go; nothing where it was not open. */
export function closeSharedDb(): void {
  const db = shared.jorvixDb;
  delete shared.jorvixDb;
  if (!db?.open) return;
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}
