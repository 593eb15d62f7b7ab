import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  truncateSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { basename, join } from 'node:path';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { backUp, backupFolder, contentsOf, listBackups, outworn, restore } from '@/data/backup';
import { checkDb } from '@/data/check-db';
import { readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb, type Db } from '@/data/open-db';
import { recordEvents } from '@/server/record-events';
import { at, NOW, worldIn } from './support/world';

const MIGRATIONS = readMigrations(migrationsFolder());
const place = (): string => join(mkdtempSync(join(tmpdir(), 'jorvix-file-')), 'gym.db');

/** Every row of every table, so that two files can be compared whole. */
function rowsOf(file: string): Record<string, unknown[]> {
  const db = new Database(file, { readonly: true });
  const tables = db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table'").pluck().all() as string[];
  const rows = Object.fromEntries(tables.map((t) => [t, db.prepare(`SELECT * FROM ${t} ORDER BY rowid`).all()]));
  db.close();
  return rows;
}

const tap = (db: Db, n: number) =>
  recordEvents(at(db), {
    events: [
      {
        ...{ id: `tap${n}`, version: 2, actorId: 'trainer', deviceId: 'd', seq: n, atMs: NOW + n, clientId: 'anselm' },
        ...{ itemId: 'anselm-2026-11-24-0', movement: 'cable-fly-level', kind: 'rep', setId: 's', rep: n },
      },
    ],
  });

describe('a file is looked at before it is served from', () => {
  it.each<[string, (file: string) => void, string | null]>([
    ['nothing there', () => undefined, 'missing'],
    ['this program’s own', (f) => openDb(f).close(), null],
    ['an empty file', (f) => writeFileSync(f, ''), null],
    [
      'no database',
      (f) => writeFileSync(f, 'a letter to the gym, not a database, and long enough to be read'),
      'no-database',
    ],
    ['another program’s', (f) => void new Database(f).exec('CREATE TABLE note (text)').close(), 'foreign'],
    [
      'a newer one',
      (f) => void openDb(f).exec("INSERT INTO migration VALUES (999, '0999_later.sql', 'x', 1)").close(),
      'newer',
    ],
    [
      'one of another history',
      (f) => void openDb(f).exec("UPDATE migration SET checksum = 'x' WHERE version = 2").close(),
      'changed',
    ],
    [
      'one cut off',
      (f) => {
        openDb(f).close();
        truncateSync(f, 20_480);
      },
      'broken',
    ],
  ])('%s', (_, make, want) => {
    const file = place();
    make(file);
    const before = existsSync(file) ? readFileSync(file) : null;
    expect(checkDb(file, MIGRATIONS, false)).toBe(want);
    if (want !== null) expect(existsSync(file) ? readFileSync(file) : null).toEqual(before);
    expect(checkDb(file, MIGRATIONS, true)).toBe(want === 'missing' ? null : want);
  });
});

describe('backups', () => {
  it('one made while taps come in is whole, and restored it equals what was there when it was made', async () => {
    const file = place();
    const db = worldIn(file);
    for (let n = 0; n < 40; n++) tap(db, n);
    const making = backUp(file, backupFolder(file), NOW);
    let [taps, done] = [80, false];
    for (let n = 40; n < taps; n++) tap(db, n);
    // However many come in on the way, it is not begun anew.
    const coming = (async () => {
      for (; !done && taps < 5000; taps++) {
        tap(db, taps);
        await new Promise((r) => setImmediate(r));
      }
    })();
    const made = await making;
    done = true;
    await coming;
    expect(taps).toBeLessThan(5000);
    expect(contentsOf(db).events).toBeGreaterThanOrEqual(80);
    expect(restore(made, file, MIGRATIONS, NOW)).toEqual({ ok: false, why: 'in-use' });
    db.close();
    const now = rowsOf(file);
    const copied = rowsOf(made);
    const back = restore(made, file, MIGRATIONS, NOW + 1);
    expect(back.ok && rowsOf(back.replaced!)).toEqual(now);
    expect(rowsOf(file)).toEqual(copied);
    expect(checkDb(file, MIGRATIONS, false)).toBeNull();
    expect(listBackups(backupFolder(file))).toHaveLength(1);
  });
  it('a damaged backup replaces nothing', async () => {
    const file = place();
    const db = worldIn(file);
    const made = await backUp(file, backupFolder(file), NOW);
    db.close();
    const before = rowsOf(file);
    const cut = `${made}.cut`;
    copyFileSync(made, cut);
    truncateSync(cut, 40_960);
    expect(restore(cut, file, MIGRATIONS, NOW)).toMatchObject({ ok: false, why: 'broken' });
    expect(rowsOf(file)).toEqual(before);
  });
  it('what a program that was killed left half-made goes with the next one; what is being made stays', async () => {
    const file = place();
    worldIn(file).close();
    const folder = backupFolder(file);
    mkdirSync(folder, { recursive: true });
    const part = (name: string, minutesAgo: number): string => {
      const path = join(folder, name);
      writeFileSync(path, 'half');
      const s = (NOW - minutesAgo * 60_000) / 1000;
      utimesSync(path, s, s);
      return name;
    };
    for (const end of ['', '-journal']) part(`jorvix-20261123-100000000.db.part${end}`, 20);
    const stays = [part('jorvix-20261124-100000000.db.part', 5), part('notes.part', 20)];
    const made = await backUp(file, folder, NOW);
    expect(readdirSync(folder).sort()).toEqual([...stays, basename(made)].sort());
  });
  it('the newest twelve stay, and the last of each of fourteen days', () => {
    const name = (day: number, hour: number): string =>
      `jorvix-202611${String(day).padStart(2, '0')}-${String(hour).padStart(2, '0')}0000000.db`;
    const all = Array.from({ length: 20 * 24 }, (_, k) => name(1 + Math.floor(k / 24), k % 24)).reverse();
    const gone = new Set(outworn(all));
    const kept = all.filter((f) => !gone.has(f));
    expect(kept.slice(0, 12)).toEqual(all.slice(0, 12));
    expect(kept.slice(12)).toEqual(Array.from({ length: 13 }, (_, k) => name(19 - k, 23)));
    expect(outworn(all.slice(0, 12))).toEqual([]);
  });
});

it(
  'the commands at the machine do what they say: back up, show, put back, fold anew, a new passphrase',
  { timeout: 90_000 },
  () => {
    const file = place();
    worldIn(file).close();
    const command = (name: string, args: readonly string[] = [], input = ''): string => {
      const { status, stdout, stderr } = spawnSync(
        'node_modules/.bin/tsx',
        ['--conditions=react-server', `scripts/${name}.ts`, ...args],
        { env: { ...process.env, JORVIX_DB: file }, input, encoding: 'utf8' },
      );
      expect([name, status, stderr]).toEqual([name, 0, '']);
      return stdout;
    };
    expect(command('backup')).toMatch(/jorvix-\d{8}-\d{9}\.db\n2 gyms, /);
    const db = openDb(file);
    tap(db, 1);
    db.close();
    expect(command('rebuild')).toContain('folded');
    expect(command('passphrase', ['Casimir', 'Vell'], 'nine kettles in a row\n')).toContain('signs in anew');
    expect(command('restore')).toContain('--yes');
    command('restore', ['--yes']);
    const back = new Database(file, { readonly: true });
    expect(back.prepare("SELECT count(*) FROM floor_event WHERE id = 'tap1'").pluck().get()).toBe(0);
    back.close();
  },
);
