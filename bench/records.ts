import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { Agent } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { BOOK } from '@/core/book/book';
import { backupFolder, listBackups, restore } from '@/data/backup';
import { readMigrations } from '@/data/migrate';
import { migrationsFolder, openDb } from '@/data/open-db';
import { recordsOut } from '@/data/records-out';
import type { SheetPlan } from '@/server/past-sets';
import { recordsApart } from '@/server/records-apart';
import { App, demoDatabase } from '../scripts/launch-app';
import { plannedToday, share, tapOnAll } from './floor-load';

const LARGE = 'data/large.db';
const ROWS = 100_000;
const TABLETS = 50;
const seconds = (sinceMs: number): string => `${((performance.now() - sinceMs) / 1000).toFixed(1)} s`;
/** The most that this process held while something went on, MB. */
function watchMemory(): () => number {
  let most = 0;
  const look = (): void => void (most = Math.max(most, process.memoryUsage().rss / 1e6));
  const timer = setInterval(look, 50);
  return () => {
    clearInterval(timer);
    return Math.round(most);
  };
}

/** A spreadsheet of as many sets as a busy trainer has in ten years. */
async function benchSheet(folder: string): Promise<void> {
  const file = join(folder, 'sheet.db');
  copyFileSync(demoDatabase(), file);
  const db = openDb(file);
  const clients = db.prepare('SELECT id, name FROM client').all() as { id: string; name: string }[];
  const gymId = db.prepare('SELECT id FROM gym').pluck().get() as string;
  db.close();
  const rows = Array.from({ length: ROWS }, (_, i) => {
    const day = new Date(Date.UTC(2018, 0, 1) + Math.floor(i / 60) * 86_400_000).toISOString().slice(0, 10);
    return `${clients[i % clients.length]!.name},${day},${BOOK[(i * 7) % 40]!.id},${20 + (i % 30)},${8 + (i % 5)}`;
  });
  const csv = join(folder, 'sheet.csv');
  writeFileSync(csv, ['client,day,movement,load,reps', ...rows].join('\n'));
  const sheet: SheetPlan = {
    reading: {
      kind: 'sets',
      columns: { client: 0, day: 1, movement: 2, load: 3, reps: 4 },
      ...{ dayOrder: 'year-month-day', unit: 'kg', gymId, clientId: '' },
    },
    names: {
      movements: Object.fromEntries(BOOK.map((b) => [b.id, b.id])),
      clients: Object.fromEntries(clients.map((c) => [c.name.toLowerCase(), c.id])),
    },
    headers: ['client', 'day', 'movement', 'load', 'reps'],
    actorId: 'owner',
    nowMs: Date.now(),
  };
  const staged = join(folder, 'sheet.staged');
  const memory = watchMemory();
  const began = performance.now();
  const looked = await recordsApart({ does: 'look', sheet, file: csv, staged, records: file }, () => {});
  const lookedS = seconds(began);
  await recordsApart({ does: 'take', file: '', staged, records: file }, () => {});
  const fresh = looked.ok ? looked.counts[0]!.fresh : 0;
  console.log(
    `spreadsheet of ${fresh} sets                  looked at in ${lookedS}, with taking ${seconds(began)} (bar 20), ` +
      `memory ${memory()} MB at most (bar 300)`,
  );
}

/** The five-year file written out, backed up while tablets tap, and put back. */
async function benchFiveYears(folder: string): Promise<void> {
  const file = join(folder, 'app.db');
  copyFileSync(LARGE, file);
  const db = openDb(file);
  const memory = watchMemory();
  let began = performance.now();
  let bytes = 0;
  for (const bit of recordsOut(db, null, Date.now())) {
    bytes += bit.length;
    if (bytes % 64 === 0) await new Promise((r) => setImmediate(r));
  }
  console.log(
    `five years as JSON, ${Math.round(bytes / 1e6)} MB            written in ${seconds(began)} (bar 60), ` +
      `memory ${memory()} MB at most`,
  );
  db.close();
  const app = new App(false, file, { JORVIX_NEW: '' });
  await app.start();
  const agent = new Agent({ keepAlive: true, maxSockets: TABLETS });
  const planned = plannedToday(file);
  const door = { url: new URL(app.url), agent, cookie: `jorvix=${app.newToken('owner')}`, planned, name: 'tablet' };
  const alone = await tapOnAll(door, 20, 1, TABLETS);
  began = performance.now();
  let backedUp = '';
  const copy = spawn('node_modules/.bin/tsx', ['--conditions=react-server', 'scripts/backup.ts'], {
    env: { ...process.env, JORVIX_DB: file },
    stdio: 'ignore',
  });
  copy.once('exit', () => (backedUp = seconds(began)));
  const beside: number[] = [];
  for (let k = 0; backedUp === '' && k < 20; k++)
    beside.push(...(await tapOnAll({ ...door, name: `beside-${k}` }, 10, 1, TABLETS)).times);
  agent.destroy();
  await app.stop();
  beside.sort((a, b) => a - b);
  const line = (times: readonly number[]): string =>
    `median ${share(times, 0.5).toFixed(1)} ms   p99 ${share(times, 0.99).toFixed(1)} ms   ` +
    `worst ${times.at(-1)!.toFixed(1)} ms`;
  console.log(`tap of ${TABLETS} tablets                      ${line(alone.times)}`);
  console.log(`the same beside a backup (${backedUp})       ${line(beside)} (bar 250)`);
  const [newest] = listBackups(backupFolder(file));
  began = performance.now();
  const done = restore(join(backupFolder(file), newest!), file, readMigrations(migrationsFolder()), Date.now());
  console.log(
    `${Math.round(statSync(file).size / 1e6)} MB put back                        ${seconds(began)} (bar 60), ` +
      (done.ok ? 'whole' : done.why),
  );
}

/** Records in and out at the size that they have after years. */
export async function benchRecords(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'jorvix-records-'));
  try {
    await benchSheet(folder);
    if (existsSync(LARGE)) await benchFiveYears(folder);
    else console.log(`${LARGE} is not there: npm run seed:large makes it`);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
