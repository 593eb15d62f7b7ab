// Many gyms in one process, a database file each: /0/…, /1/… name the gym, as a proxy would by the host that is asked.
// Takes taps as the door does and reads the floor as its page does. Arguments: the folder of files, a port, and whether
// it takes taps, which leave the log as it is, or serves pages and tidies the logs, one gym after the other.
import { createServer } from 'node:http';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { openDb } from '@/data/open-db';
import { takeDelivery } from '@/server/deliveries';
import { loadFloor } from '@/server/floor';
import { DEMO_TRAINER } from '../demo/people';

const [folder, port, what] = process.argv.slice(2) as [string, string, 'taps' | 'pages'];
const TIDY_EACH_MS = 100;
const megabytes = (): number => Math.round(process.memoryUsage().rss / 1e6);
const before = megabytes();
const began = performance.now();
const gyms = readdirSync(folder)
  .filter((f) => f.endsWith('.db'))
  .map((f) => openDb(join(folder, f)));
for (const db of gyms) db.pragma('wal_autocheckpoint = 0');
let at = 0;
if (what === 'pages') setInterval(() => gyms[at++ % gyms.length]!.pragma('wal_checkpoint(PASSIVE)'), TIDY_EACH_MS);
const openedMs = Math.round(performance.now() - began);

createServer((request, response) => {
  const [, no, rest] = /^\/(\d+)(\/.*)$/.exec(request.url ?? '') ?? [];
  const db = gyms[Number(no)];
  if (!db || rest === undefined) return void response.writeHead(404).end();
  const uc = { db, actor: DEMO_TRAINER, nowMs: Date.now() };
  request.url = rest;
  if (request.method === 'POST') return void takeDelivery(uc)(request, response, (e) => console.error(e));
  response.writeHead(200, { 'content-type': 'application/json' });
  response.end(rest === '/memory' ? String(megabytes()) : JSON.stringify(loadFloor(uc)));
}).listen(Number(port), '127.0.0.1', () => console.log(`open ${openedMs} ${before} ${megabytes()}`));
