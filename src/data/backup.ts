import 'server-only';
import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  mkdirSync,
  openSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import Database from 'better-sqlite3';
import type { RecordCounts } from '@/core/record/record-counts';
import { checkDb, type DbTrouble } from './check-db';
import type { Migration } from './migrate';
import type { Db } from './open-db';

/** The newest ones are kept, and the last of each day for two weeks. */
const NEWEST = 12;
const DAYS = 14;
const BACKUP = /^jorvix-(\d{8})-(\d{9})\.db$/;
/** A copy that is not whole yet, and what lies beside it. */
const BEGUN = /^jorvix-\d{8}-\d{9}\.db\.part/;
/** One that nothing was written to for so long is of a program that ended on the way, milliseconds. */
const LEFT_MS = 15 * 60_000;

/**
 * Where the backups of a database file lie. The build is told to leave it alone: it would read every file there is in
 * it, which took more memory than a machine has where copies of five years lay.
 */
export const backupFolder = (file: string): string => join(/* turbopackIgnore: true */ dirname(file), 'backups');

/** Time as it stands in a backup's name: day and time of day in UTC, so that names sort by age. */
const stamp = (ms: number): string =>
  new Date(ms)
    .toISOString()
    .replace(/[-:.Z]/g, '')
    .replace('T', '-');

/** Backups of a folder, newest first. */
export const listBackups = (folder: string): string[] =>
  existsSync(folder)
    ? readdirSync(folder)
        .filter((f) => BACKUP.test(f))
        .sort()
        .reverse()
    : [];

/** Lets go the copies that were left half-made. */
function letGoLeft(folder: string, nowMs: number): void {
  for (const name of readdirSync(folder).filter((f) => BEGUN.test(f))) {
    const written = statSync(join(folder, name), { throwIfNoEntry: false });
    if (written && nowMs - written.mtimeMs > LEFT_MS) rmSync(join(folder, name), { force: true });
  }
}

/** Which of the backups fall away: all but the newest twelve and the last one of each of fourteen days. */
export function outworn(newestFirst: readonly string[]): string[] {
  const lastOfDay = new Map<string, string>();
  for (const name of newestFirst) {
    const day = BACKUP.exec(name)![1]!;
    if (!lastOfDay.has(day)) lastOfDay.set(day, name);
  }
  const kept = new Set([...newestFirst.slice(0, NEWEST), ...[...lastOfDay.values()].slice(0, DAYS)]);
  return newestFirst.filter((name) => !kept.has(name));
}

/** What a database holds. */
export function contentsOf(db: Db): RecordCounts {
  const count = (table: string): number => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get() as number;
  return {
    gyms: count('gym'),
    clients: count('client'),
    sessions: count('session'),
    events: count('floor_event'),
    newestMs: db.prepare('SELECT max(at_ms) FROM floor_event').pluck().get() as number | null,
  };
}

/** Pages that are copied at once, between which a copy may rest. */
const PAGES_AT_ONCE = 256;

/**
 * Copy a database as it stands now. Whatever is written meanwhile neither gets into the copy nor begins it anew. What
 * is copied goes to the disk as it comes: a system that is left with two gigabytes writes them at once half a minute
 * later, and every tap waits a tenth of a second for the disk meanwhile.
 */
async function copyAsItStands(file: string, to: string, rest: () => void): Promise<void> {
  const db = new Database(file, { readonly: true, fileMustExist: true });
  let copy: number | null = null;
  try {
    // The first read fixes what this connection sees until its transaction ends.
    db.exec('BEGIN; SELECT count(*) FROM sqlite_schema');
    await db.backup(to, {
      progress: () => {
        copy ??= openSync(to, 'r');
        fsyncSync(copy);
        rest();
        return PAGES_AT_ONCE;
      },
    });
  } finally {
    db.close();
    if (copy !== null) closeSync(copy);
  }
}

/**
 * Copy a database file while it is in use, look the copy over, and let go old ones and what a program that ended on the
 * way left half-made. The copy gets its name only once it is whole, so that whatever has a backup's name is one. `rest`
 * is called again and again on the way.
 * @throws when the disk is full or the copy is not whole; nothing half-made stays.
 */
export async function backUp(file: string, folder: string, nowMs: number, rest = (): void => {}): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  letGoLeft(folder, nowMs);
  const name = `jorvix-${stamp(nowMs)}.db`;
  const begun = join(folder, `${name}.part`);
  try {
    await copyAsItStands(file, begun, rest);
    const copy = new Database(begun);
    // A backup is one file: it takes no log beside it.
    copy.pragma('journal_mode = DELETE');
    const whole = copy.pragma('integrity_check(1)', { simple: true });
    copy.close();
    if (whole !== 'ok') throw new Error(`The copy is not whole: ${String(whole)}`);
    renameSync(begun, join(folder, name));
  } finally {
    for (const end of ['', '-journal', '-wal', '-shm']) rmSync(`${begun}${end}`, { force: true });
  }
  for (const old of outworn(listBackups(folder))) rmSync(join(folder, old), { force: true });
  return join(folder, name);
}

/** What came of a restore: where what was replaced lies now, or why nothing was changed. */
export type Restored =
  { readonly ok: true; readonly replaced: string | null } | { readonly ok: false; readonly why: DbTrouble | 'in-use' };

/** Whether another program has a database open. A journal can only be changed by who is alone with it. */
function inUse(file: string): boolean {
  const db = new Database(file, { timeout: 0 });
  try {
    return db.pragma('journal_mode = DELETE', { simple: true }) !== 'delete';
  } catch {
    return true;
  } finally {
    db.close();
  }
}

/** Have the disk itself hold a file, or the names in a folder. */
function toDisk(path: string): void {
  const handle = openSync(path, 'r');
  fsyncSync(handle);
  closeSync(handle);
}

/**
 * Put a backup in the place of a database file that nobody has open. What was there is kept beside it under another
 * name; a file that cannot be served from replaces nothing.
 */
export function restore(from: string, file: string, migrations: readonly Migration[], nowMs: number): Restored {
  const trouble = checkDb(from, migrations, false);
  if (trouble) return { ok: false, why: trouble };
  const there = existsSync(file);
  const readable = there && checkDb(file, migrations, false) === null;
  if (readable && inUse(file)) return { ok: false, why: 'in-use' };
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  const begun = `${file}.restoring`;
  copyFileSync(from, begun);
  toDisk(begun);
  const replaced = there ? `${file}.replaced-${stamp(nowMs)}` : null;
  if (replaced && readable) {
    // A second name for what is there, so that at every moment one whole database stands under the first: the old one
    // until the new one takes its name. Nobody has it open, so that nothing lies beside it.
    rmSync(replaced, { force: true });
    linkSync(file, replaced);
  } else if (replaced)
    for (const end of ['', '-wal', '-shm']) if (existsSync(file + end)) renameSync(file + end, replaced + end);
  renameSync(begun, file);
  toDisk(dirname(file));
  return { ok: true, replaced };
}
