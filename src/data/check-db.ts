import 'server-only';
import { existsSync, statSync } from 'node:fs';
import Database from 'better-sqlite3';
import type { Migration } from './migrate';

/** Why a file cannot be served from as it is. */
export type DbTrouble =
  'missing' | 'no-database' | 'foreign' | 'newer' | 'changed' | 'broken' | 'read-only' | 'unreadable';

/** Up to here every page is looked at before it is served from, bytes: some seconds at most. */
const CHECKED_BYTES = 300_000_000;

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';

const TROUBLE_OF: readonly (readonly [RegExp, DbTrouble])[] = [
  [/^SQLITE_NOTADB/, 'no-database'],
  [/^SQLITE_CORRUPT/, 'broken'],
  [/^SQLITE_READONLY/, 'read-only'],
];

/** What SQLite's refusal of a file means. */
const troubleOf = (error: unknown): DbTrouble =>
  TROUBLE_OF.find(([code]) => code.test(codeOf(error)))?.[1] ?? 'unreadable';

/** What the migrations that were applied to a file say of it; null when this program can go on from there. */
function ledgerTrouble(db: Database.Database, migrations: readonly Migration[]): DbTrouble | null {
  const tables = db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table'").pluck().all() as string[];
  if (tables.length === 0) return null;
  if (!tables.includes('migration')) return 'foreign';
  const applied = db.prepare('SELECT version, name, checksum FROM migration ORDER BY version').all() as {
    version: number;
    name: string;
    checksum: string;
  }[];
  if (applied[0] && applied[0].name !== migrations[0]!.name) return 'foreign';
  if (applied.some((a) => !migrations[a.version - 1])) return 'newer';
  return applied.some((a) => migrations[a.version - 1]!.checksum !== a.checksum) ? 'changed' : null;
}

/**
 * Look at a database file before it is served from, changing nothing: whether it is there, whole, this program's own,
 * not newer than it, and writable. Null when all is well, or when it is missing and may be begun anew.
 */
export function checkDb(file: string, migrations: readonly Migration[], mayBegin: boolean): DbTrouble | null {
  if (!existsSync(file)) return mayBegin ? null : 'missing';
  let db: Database.Database;
  try {
    db = new Database(file, { fileMustExist: true });
  } catch (error) {
    return troubleOf(error);
  }
  try {
    const trouble = ledgerTrouble(db, migrations);
    if (trouble) return trouble;
    if (statSync(file).size <= CHECKED_BYTES && db.pragma('quick_check(1)', { simple: true }) !== 'ok') return 'broken';
    db.exec('BEGIN IMMEDIATE; ROLLBACK');
    return null;
  } catch (error) {
    return troubleOf(error);
  } finally {
    db.close();
  }
}
