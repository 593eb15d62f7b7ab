import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { Agent, get } from 'node:http';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { App, ONE_MORE_PORT } from '../scripts/launch-app';
import { plannedToday, share, TABLETS, tapOnAll } from './floor-load';

/** So often a page is opened before it is measured: its code is compiled for what it does by then. */
const WARM = 40;
const RUNS = 60;

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

/** How a page was opened: the first time, and warm. */
interface Told {
  readonly first: number;
  readonly median: number;
  readonly p95: number;
  readonly kB: number;
}

const tell = (all: readonly Came[]): Told => {
  const warm = all
    .slice(WARM)
    .map((c) => c.ms)
    .sort((a, b) => a - b);
  const [first, last] = [all[0]!, all.at(-1)!];
  return { first: first.ms, median: share(warm, 0.5), p95: share(warm, 0.95), kB: last.bytes / 1000 };
};

/** Every page of some applications, opened on one after the other in turn: a machine's moods are the same for all. */
async function measureBeside(apps: readonly App[]): Promise<readonly ReadonlyMap<string, Told>[]> {
  const opened = apps.map((app) => ({ app, places: placesIn(app.database), told: new Map<string, Told>() }));
  const agent = new Agent({ keepAlive: true, maxSockets: 1 });
  try {
    for (const { app } of opened) await app.start();
    const cookies = opened.map(({ app }) => `jorvix=${app.newToken('owner')}`);
    for (const k of opened[0]!.places.keys()) {
      const all: Came[][] = opened.map(() => []);
      for (let run = 0; run < WARM + RUNS; run++)
        for (const [i, { app, places }] of opened.entries())
          all[i]!.push(await fetchPage(app.url + places[k]![1], cookies[i]!, agent));
      for (const [i, { places, told }] of opened.entries()) told.set(places[k]![0], tell(all[i]!));
    }
    return opened.map(({ told }) => told);
  } finally {
    agent.destroy();
    for (const { app } of opened) await app.stop();
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
  const apart = { PORT: String(ONE_MORE_PORT) };
  const [small, large] = await measureBeside([new App(true), new App(true, file, apart)]);
  const cell = (n: number): string => n.toFixed(0).padStart(7);
  console.log('\nPage (milliseconds to the last byte, one after the other; kB compressed)');
  console.log(`${''.padEnd(24)}   small   large   p95   first    kB   large / small`);
  for (const [name, l] of large!) {
    const s = small!.get(name)!;
    console.log(
      `${name.padEnd(24)} ${cell(s.median)} ${cell(l.median)} ${cell(l.p95)} ${cell(l.first)} ${cell(l.kB)}` +
        `   ${(l.median / s.median).toPrecision(3)}`,
    );
  }
  await tapDuringTour(file);
}
