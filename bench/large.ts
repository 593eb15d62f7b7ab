import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { App } from '../scripts/launch-app';
import { plannedToday, share, TABLETS, tapOnAll } from './floor-load';

const RUNS = 15;

/** A page as it came: milliseconds until its last byte, and bytes on the way, compressed. */
interface Came {
  readonly ms: number;
  readonly bytes: number;
}

const fetchPage = (url: string, cookie: string, agent: Agent): Promise<Came> =>
  new Promise((resolve, reject) => {
    const began = performance.now();
    get(url, { agent, headers: { cookie, 'accept-encoding': 'gzip' } }, (reply) => {
      if (reply.statusCode !== 200) reject(new Error(`${url}: ${reply.statusCode}`));
      let bytes = 0;
      reply.on('data', (chunk: Buffer) => (bytes += chunk.length));
      reply.on('end', () => resolve({ ms: performance.now() - began, bytes }));
    }).on('error', reject);
  });

/** A page by its name, and where it is. */
type Place = readonly [name: string, path: string];

/** The newest client with sets, that client's longest ledger, and a movement planned for today. */
function placesIn(file: string): readonly Place[] {
  const db = new Database(file, { readonly: true });
  const one = (sql: string, ...args: unknown[]): Record<string, string> =>
    db.prepare(sql).get(...args) as Record<string, string>;
  const client = one('SELECT client_id AS id FROM item_fold GROUP BY client_id ORDER BY count(*) DESC LIMIT 1').id!;
  const movement = one(
    'SELECT movement AS id FROM item_fold WHERE client_id = ? GROUP BY movement ORDER BY count(*) DESC LIMIT 1',
    client,
  ).id!;
  const item = one(
    `SELECT i.id FROM session s JOIN session_item i ON i.session_id = s.id
     WHERE s.client_id = ? AND i.movement = ? ORDER BY s.starts_at_ms DESC LIMIT 1`,
    client,
    movement,
  ).id!;
  const sets = one('SELECT count(*) AS n FROM set_fold').n;
  console.log(`${file}: ${sets} sets`);
  db.close();
  return [
    ['Floor', '/'],
    ['ledger of a client', `/ledger/${client}`],
    ['course of a movement', `/ledger/${client}/${movement}`],
    ['ledger index', '/ledger'],
    ['client sheet', `/clients/${client}`],
    ['hand-over', `/clients/${client}/hand-over`],
    ['set', `/set/${item}`],
    ['set-up', `/setup/${item}`],
  ];
}

async function measureAll(app: App): Promise<Map<string, { first: number; median: number; p95: number; kB: number }>> {
  const places = placesIn(app.database);
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  await app.start();
  try {
    const cookie = `jorvix=${app.newToken('owner')}`;
    const told = new Map<string, { first: number; median: number; p95: number; kB: number }>();
    for (const [name, path] of places) {
      const all: Came[] = [];
      for (let k = 0; k <= RUNS; k++) all.push(await fetchPage(app.url + path, cookie, agent));
      const warm = all
        .slice(1)
        .map((c) => c.ms)
        .sort((a, b) => a - b);
      const [median, p95] = [warm[Math.floor(RUNS / 2)]!, warm[RUNS - 1]!];
      told.set(name, { first: all[0]!.ms, median, p95, kB: all.at(-1)!.bytes / 1000 });
    }
    return told;
  } finally {
    agent.destroy();
    await app.stop();
  }
}

const TOUR_S = 30;
/** A system writes some of a file half a minute later, however much it was asked to before: taps waited 0.1 s each. */
const WRITTEN_AFTER_MS = 45_000;

/** Taps of a whole floor while somebody opens every page of the file, one after the other. */
async function tapDuringTour(file: string): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'jorvix-tour-'));
  const copy = join(folder, 'tour.db');
  copyFileSync(file, copy);
  // What the disk has still to write of the copy is no part of what is measured.
  spawnSync('sync');
  await new Promise((r) => setTimeout(r, WRITTEN_AFTER_MS));
  const app = new App(true, copy);
  const places = placesIn(copy);
  const agent = new Agent({ keepAlive: true, maxSockets: TABLETS });
  await app.start();
  try {
    const cookie = `jorvix=${app.newToken('owner')}`;
    let tapping = true;
    const opened: number[] = [];
    const tour = (async () => {
      for (let k = 0; tapping; k++)
        opened.push((await fetchPage(app.url + places[k % places.length]![1], cookie, agent)).ms);
    })();
    const door = { url: new URL(app.url), agent, cookie, planned: plannedToday(copy) };
    console.log(`\nTaps of ${TABLETS} tablets to their reply, while somebody opens every page, ${TOUR_S} s each`);
    for (const perSecond of [0.2, 2]) {
      const { times, failed } = await tapOnAll({ ...door, name: `tour-${10 * perSecond}` }, TOUR_S, perSecond);
      console.log(
        `${perSecond} a second each   median ${share(times, 0.5).toFixed(1)} ms   ` +
          `p99 ${share(times, 0.99).toFixed(1)} ms (bar 150)   worst ${times.at(-1)!.toFixed(0)} ms, ` +
          `${times.length} taps, broken off ${failed}`,
      );
    }
    tapping = false;
    await tour;
    opened.sort((a, b) => a - b);
    console.log(`pages          median ${share(opened, 0.5).toFixed(0)} ms, ${opened.length} opened`);
    console.log(
      `memory         ${app
        .memoryMb()
        .map((m) => m.toFixed(0))
        .join(' and ')} MB, door and pages (bar 300)`,
    );
  } finally {
    agent.destroy();
    await app.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Every page on the five-year file beside the same on the demo's, in one run. */
export async function benchLarge(): Promise<void> {
  const file = process.env.JORVIX_LARGE ?? './data/large.db';
  if (!existsSync(file)) {
    console.error(`${file}: expected a file made by npm run seed:large`);
    process.exit(1);
  }
  const small = await measureAll(new App(true));
  const large = await measureAll(new App(true, file));
  const cell = (n: number): string => n.toFixed(0).padStart(7);
  console.log('\nPage (milliseconds to the last byte, one after the other; kB compressed)');
  console.log(`${''.padEnd(24)}   small   large   p95   first    kB   large / small`);
  for (const [name, l] of large) {
    const s = small.get(name)!;
    console.log(
      `${name.padEnd(24)} ${cell(s.median)} ${cell(l.median)} ${cell(l.p95)} ${cell(l.first)} ${cell(l.kB)}` +
        `   ${(l.median / s.median).toPrecision(3)}`,
    );
  }
  await tapDuringTour(file);
}
