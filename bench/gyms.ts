import { spawn } from 'node:child_process';
import { copyFileSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { demoDatabase, ONE_MORE_PORT } from '../scripts/launch-app';
import { openDb } from '@/data/open-db';
import { loadFloor } from '@/server/floor';
import { DEMO_TRAINER } from '../demo/people';
import { plannedToday, share, tapOnAll } from './floor-load';

const GYMS = 50;
const TABLETS_EACH = 4;
const SECONDS = 60;
const PER_SECOND = 1;
const FLOOR_EACH_S = 15;

const sorted = (all: readonly number[]): number[] => [...all].sort((a, b) => a - b);
const line = (name: string, all: readonly number[], bar: string): void => {
  const times = sorted(all);
  const [half, p99] = [share(times, 0.5).toFixed(1), share(times, 0.99).toFixed(1)];
  console.log(`${name.padEnd(30)}median ${half} ms   p99 ${p99} ms${bar}   worst ${times.at(-1)!.toFixed(1)} ms`);
};

/** All gyms of a folder served by a process of its own. */
async function serve(folder: string, port: number, what: 'taps' | 'pages') {
  const args = ['--conditions=react-server', 'bench/gyms-server.ts', folder, String(port), what];
  const server = spawn('node_modules/.bin/tsx', args, { stdio: ['ignore', 'pipe', 'inherit'], detached: true });
  const told = await new Promise<string>((resolve) => server.stdout.once('data', (d) => resolve(String(d))));
  const [, openedMs, before, after] = told.trim().split(' ');
  return { url: `http://127.0.0.1:${port}`, openedMs, before, after, end: () => process.kill(-server.pid!) };
}

/** Reads a gym's floor every now and then until the end; milliseconds each. */
async function readFloors(url: string, endMs: number): Promise<number[]> {
  const times: number[] = [];
  await new Promise((r) => setTimeout(r, Math.random() * FLOOR_EACH_S * 1000));
  while (performance.now() < endMs) {
    const began = performance.now();
    await (await fetch(url)).text();
    times.push(performance.now() - began);
    await new Promise((r) => setTimeout(r, FLOOR_EACH_S * 1000));
  }
  return times;
}

/** The gyms of a chain in one process, a database file each, with four tablets at work in every one of them. */
export async function benchGyms(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'jorvix-gyms-'));
  // As on any day but the first: what is planned was solved before.
  const first = join(folder, '000.db');
  copyFileSync(demoDatabase(), first);
  const db = openDb(first);
  loadFloor({ db, actor: DEMO_TRAINER, nowMs: Date.now() });
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.close();
  for (let k = 1; k < GYMS; k++) copyFileSync(first, join(folder, `${String(k).padStart(3, '0')}.db`));
  const planned = plannedToday(first);
  // Taps in one process and pages in another, as one gym has them: no page keeps a tap waiting.
  const [taking, pages] = await Promise.all([
    serve(folder, ONE_MORE_PORT, 'taps'),
    serve(folder, ONE_MORE_PORT + 1, 'pages'),
  ]);
  const agent = new Agent({ keepAlive: true, maxSockets: GYMS * TABLETS_EACH });
  try {
    const endMs = performance.now() + SECONDS * 1000;
    const floors = Array.from({ length: GYMS }, (_, k) => readFloors(`${pages.url}/${k}/floor`, endMs));
    const taps = await Promise.all(
      Array.from({ length: GYMS }, (_, k) => {
        const door = { url: new URL(`${taking.url}/${k}`), agent, cookie: '', planned, name: `gym-${k}` };
        return tapOnAll(door, SECONDS, PER_SECOND, TABLETS_EACH);
      }),
    );
    const [memory, ofPages] = await Promise.all(
      [taking, pages].map(async ({ url }) => (await fetch(`${url}/0/memory`)).text()),
    );
    console.log(
      `Gyms (${GYMS} files in one process, and in another for pages; ${GYMS * TABLETS_EACH} tablets, ${SECONDS} s)`,
    );
    console.log(
      `opened in ${taking.openedMs} ms; memory ${taking.before} MB before, ${taking.after} MB open, ` +
        `${memory} MB at the end; pages ${ofPages} MB`,
    );
    line(
      'tap to reply',
      taps.flatMap((t) => t.times),
      ' (bar 150)',
    );
    line('floor read', (await Promise.all(floors)).flat(), '');
    const sent = GYMS * TABLETS_EACH * SECONDS * PER_SECOND;
    const kept = Array.from({ length: GYMS }, (_, k) => {
      const db = new Database(join(folder, `${String(k).padStart(3, '0')}.db`), { readonly: true });
      const n = db
        .prepare('SELECT count(*) FROM floor_event WHERE device_id LIKE ?')
        .pluck()
        .get(`gym-${k}-%`) as number;
      db.close();
      return n;
    }).reduce((a, b) => a + b, 0);
    console.log(`   sent ${sent}, kept each in the file of its own gym ${kept}`);
  } finally {
    agent.destroy();
    taking.end();
    pages.end();
    rmSync(folder, { recursive: true, force: true });
  }
}
