import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { backUp, backupFolder } from '@/data/backup';
import { checkDb } from '@/data/check-db';
import { readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb } from '@/data/open-db';
import { listChanges } from '@/data/queries/changes';
import { StagedRecords } from '@/data/records-in';
import { findClient } from '@/data/queries/clients';
import { saveClientForm } from '@/server/clients';
import { CLIENT } from './support/forms';
import { seeded } from './support/fixtures';
import { asOwner } from './support/world';

/** Fewer with every run of all tests; `npm run kills` makes 200 of each kind. */
const RUNS = Number(process.env.JORVIX_KILL_RUNS ?? 1);
const ID = '00000000-0000-4000-8000-000000000001';

/** Have it work on a file, kill it the hard way some time after its first word, and give what it said it had done. */
async function killed(file: string, what: string, afterMs: number): Promise<string[]> {
  const args = ['--conditions=react-server', 'test/support/work-until-killed.ts', file, what];
  const child = spawn('node_modules/.bin/tsx', args, { stdio: ['ignore', 'pipe', 'pipe'], detached: true });
  let said = '';
  let wrong = '';
  child.stderr.on('data', (text) => (wrong += String(text)));
  const first = new Promise<void>((resolve, reject) => {
    child.stdout.on('data', (text) => {
      said += String(text);
      resolve();
    });
    child.on('exit', () => reject(new Error(wrong)));
  });
  await first;
  await new Promise((done) => setTimeout(done, afterMs));
  const gone = new Promise((done) => child.once('close', done));
  process.kill(-child.pid!, 'SIGKILL');
  await gone;
  return said.split('\n').slice(0, -1);
}

const place = (): string => join(mkdtempSync(join(tmpdir(), 'jorvix-kill-')), 'gym.db');
const migrations = readMigrations(migrationsFolder());
const whole = (file: string): string | null => checkDb(file, migrations, false);

describe('killed the hard way, at any moment', () => {
  const random = seeded(20261129);
  it('while sheets are saved: what was said to be saved is, with its history, and nothing by halves', async () => {
    const file = place();
    openDb(file).close();
    for (let run = 0; run < RUNS; run++) {
      const said = (await killed(file, 'save', 150 * random())).map(Number);
      expect(whole(file)).toBeNull();
      const db = openDb(file);
      const { note, massKg } = findClient(db, ID)!;
      const last = said.at(-1)!;
      expect([last, last + 1]).toContain(Number(note));
      expect(massKg).toBe(60 + (Number(note) % 40));
      const newest = listChanges(db, { clientId: ID, beforeId: null, most: 2 }).find((c) => c.keys[0] === 'note');
      if (Number(note) > 1) expect(newest?.after).toBe(note);
      db.close();
    }
  });
  it('while it backs up: whatever has a backup’s name is one', async () => {
    const file = place();
    const db = openDb(file);
    saveClientForm(asOwner(db), ID, { ...CLIENT, note: '7' });
    db.close();
    for (let run = 0; run < RUNS; run++) {
      await killed(file, 'backup', 120 * random());
      const folder = backupFolder(file);
      const kept = readdirSync(folder).filter((f) => f.endsWith('.db'));
      expect(kept.length).toBeGreaterThan(0);
      for (const name of kept.slice(-3)) {
        const copy = new Database(join(folder, name), { readonly: true });
        expect([name, copy.pragma('integrity_check', { simple: true }), findClient(copy, ID)?.note]).toEqual([
          name,
          'ok',
          '7',
        ]);
        copy.close();
      }
    }
  });
  it('while it restores: one whole database stands there, the old or the new', async () => {
    const file = place();
    const db = openDb(file);
    for (const [at, note] of [
      [1, 'old'],
      [2, 'new'],
    ] as const) {
      saveClientForm(asOwner(db), ID, { ...CLIENT, note });
      await backUp(file, backupFolder(file), at);
    }
    db.close();
    for (let run = 0; run < RUNS; run++) {
      await killed(file, 'restore', 100 * random());
      expect([existsSync(file), whole(file)]).toEqual([true, null]);
      const there = new Database(file, { readonly: true });
      expect(['old', 'new']).toContain(findClient(there, ID)!.note);
      there.close();
      for (const f of readdirSync(join(file, '..'))) if (f.includes('.replaced-')) rmSync(join(file, '..', f));
    }
  });
  it('while a file is taken in: all of it is there, or nothing', async () => {
    const file = place();
    openDb(file).close();
    const stage = new StagedRecords(`${file}.staged`);
    const N = 4000;
    stage.add('gym', { id: 'g', name: 'Quay' });
    stage.add('client', { id: 'c', name: 'Bo', stature_m: 1.7, mass_kg: 70, note: '' });
    for (let k = 0; k < N; k++)
      stage.add('session', { id: `s${k}`, gym_id: 'g', client_id: 'c', starts_at_ms: k, minutes: 60 });
    expect([stage.rejected, stage.judge(file).find((t) => t.table === 'session')!.fresh]).toEqual([[], N]);
    stage.close();
    for (let run = 0; run < 2 * RUNS; run++) {
      await killed(file, 'import', 200 * random());
      expect(whole(file)).toBeNull();
      const db = openDb(file);
      const count = (table: string) => db.prepare(`SELECT count(*) FROM ${table}`).pluck().get();
      expect([
        [0, 0, 0],
        [1, 1, N],
      ]).toContainEqual(['gym', 'client', 'session'].map(count));
      db.exec('DELETE FROM session; DELETE FROM client; DELETE FROM gym');
      db.close();
    }
  });
});
