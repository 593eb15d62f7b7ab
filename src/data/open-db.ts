import 'server-only';
import { mkdirSync } from 'node:fs';
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
  if (file !== ':memory:') mkdirSync(dirname(resolve(file)), { recursive: true });
  const db = new Database(file);
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('busy_timeout = 5000');
  migrate(db, readMigrations(migrationsFolder()), Date.now());
  return db;
}

const shared = globalThis as typeof globalThis & { jorvixDb?: Db };

/** The server's one connection, opened on first use from JORVIX_DB. */
export function sharedDb(): Db {
  shared.jorvixDb ??= openDb(process.env.JORVIX_DB ?? DEFAULT_DB);
  return shared.jorvixDb;
}
