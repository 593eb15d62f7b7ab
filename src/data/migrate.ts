import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type Database from 'better-sqlite3';
import { inTransaction } from './in-transaction';

const FILE = /^(\d{4})_[a-z0-9_]+\.sql$/;

export interface Migration {
  readonly version: number;
  readonly name: string;
  readonly sql: string;
  readonly checksum: string;
}

/** Numbered migrations of a folder, in order and without gaps. */
export function readMigrations(folder: string): Migration[] {
  const list = readdirSync(folder)
    .filter((f) => FILE.test(f))
    .sort()
    .map((name) => {
      const sql = readFileSync(join(folder, name), 'utf8');
      return {
        version: Number(FILE.exec(name)![1]),
        name,
        sql,
        checksum: createHash('sha256').update(sql).digest('hex'),
      };
    });
  list.forEach((m, i) => {
    if (m.version !== i + 1) throw new Error(`migrations: expected number ${i + 1}, found ${m.name}`);
  });
  return list;
}

/**
 * Bring a database to the newest migration, each in one transaction with its ledger row written first.
 * Refuses a database that is newer than the code, or whose applied migrations were changed since. Foreign keys rest
 * while tables are rebuilt and are checked before each migration is kept.
 */
export function migrate(db: Database.Database, migrations: readonly Migration[], nowMs: number): number {
  db.exec(
    'CREATE TABLE IF NOT EXISTS migration (version INTEGER PRIMARY KEY, name TEXT NOT NULL, checksum ' +
      'TEXT NOT NULL, applied_at_ms INTEGER NOT NULL) STRICT',
  );
  const applied = db.prepare('SELECT version, name, checksum FROM migration ORDER BY version').all() as {
    version: number;
    name: string;
    checksum: string;
  }[];
  for (const row of applied) {
    const known = migrations[row.version - 1];
    if (!known)
      throw new Error(
        `The database is newer than this program: it has migration ${row.name}. Start the newer ` +
          'program, or restore a backup.',
      );
    if (known.checksum !== row.checksum)
      throw new Error(`Migration ${row.name} was changed after it was applied to this database.`);
  }
  const pending = migrations.slice(applied.length);
  db.pragma('foreign_keys = OFF');
  for (const m of pending) {
    inTransaction(db, () => {
      db.prepare('INSERT INTO migration (version, name, checksum, applied_at_ms) VALUES (?, ?, ?, ?)').run(
        m.version,
        m.name,
        m.checksum,
        nowMs,
      );
      db.exec(m.sql);
      const broken = db.pragma('foreign_key_check') as unknown[];
      if (broken.length > 0) throw new Error(`Migration ${m.name} left ${broken.length} rows that refer to nothing.`);
    });
  }
  db.pragma('foreign_keys = ON');
  return pending.length;
}
