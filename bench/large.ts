import { existsSync } from 'node:fs';
import { Agent, get } from 'node:http';
import Database from 'better-sqlite3';
import { App } from '../scripts/launch-app';

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

/** The newest client with sets, that client's longest ledger, and a movement planned for today. */
function placesIn(file: string): readonly (readonly [string, string])[] {
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
}
