import 'server-only';
import { chmodSync, mkdirSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import Database from 'better-sqlite3';
import { migrate, readMigrations } from './migrate';

export type Db = Database.Database;

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
  db.pragma('busy_timeout = 5000');
  migrate(db, readMigrations(migrationsFolder()), Date.now());
  return db;
}

/** The database that this process serves. */
export const databaseFile = (): string => process.env.JORVIX_DB ?? DEFAULT_DB;

const shared = globalThis as typeof globalThis & { jorvixDb?: Db };

/** The server's one connection, opened on first use from JORVIX_DB. */
export function sharedDb(): Db {
  shared.jorvixDb ??= openDb(databaseFile());
  return shared.jorvixDb;
}

/** Bring the log into the one file and let it go; nothing where it was not open. */
export function closeSharedDb(): void {
  const db = shared.jorvixDb;
  delete shared.jorvixDb;
  if (!db?.open) return;
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
}
