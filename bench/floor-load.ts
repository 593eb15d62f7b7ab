import { Agent, request } from 'node:http';
import { copyFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { openDb } from '@/data/open-db';
import { appendFloorEvents } from '@/data/queries/floor-events';
import { BEFORE_ACCOUNTS } from '@/contract/actor';
import type { FloorEvent } from '@/core/record/floor-event';
import { App, itemId } from '../scripts/launch-app';

const TABLETS = 200;
const PER_SECOND = 2;
const SECONDS = 60;
const share = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

const eventOf = (tablet: number, seq: number): FloorEvent => ({
  kind: 'rep',
  id: `bench-${tablet}-${seq}`,
  actorId: BEFORE_ACCOUNTS,
  deviceId: `tablet-${tablet}`,
  seq,
  atMs: Date.now(),
  clientId: 'anselm',
  itemId: itemId('anselm', 0),
  movement: 'cable-fly-level',
  setId: `set-${tablet}`,
  rep: seq,
});

/** One delivery; milliseconds until the reply, and whether it was kept. */
function deliver(url: URL, agent: Agent, event: FloorEvent): Promise<{ readonly ms: number; readonly kept: boolean }> {
  const body = JSON.stringify({ events: [event] });
  const began = performance.now();
  return new Promise((resolve) => {
    const r = request(
      {
        host: url.hostname,
        port: url.port,
        path: '/api/v1/floor-events',
        method: 'POST',
        agent,
        headers: { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) },
      },
      (reply) => {
        reply.resume();
        reply.on('end', () => resolve({ ms: performance.now() - began, kept: reply.statusCode === 200 }));
      },
    );
    r.on('error', () => resolve({ ms: performance.now() - began, kept: false }));
    r.end(body);
  });
}

/** Tablets on the floor sending taps to the real server, beside a bare loop of the same inserts. */
export async function benchFloorLoad(): Promise<void> {
  const app = new App(true);
  const copy = `${app.database}.bare`;
  copyFileSync(app.database, copy);
  const bare = openDb(copy);
  const n = 2000;
  const began = performance.now();
  for (let i = 0; i < n; i++) appendFloorEvents(bare, [eventOf(999, i)], Date.now());
  const each = (performance.now() - began) / n;
  bare.close();
  await app.start();
  const agent = new Agent({ keepAlive: true, maxSockets: TABLETS });
  const times: number[] = [];
  let failed = 0;
  try {
    const url = new URL(app.url);
    await Promise.all(
      Array.from({ length: TABLETS }, async (_, tablet) => {
        await new Promise((r) => setTimeout(r, (tablet / TABLETS) * (1000 / PER_SECOND)));
        const start = performance.now();
        for (let seq = 1; seq <= PER_SECOND * SECONDS; seq++) {
          const wait = start + (seq * 1000) / PER_SECOND - performance.now();
          if (wait > 0) await new Promise((r) => setTimeout(r, wait));
          const event = eventOf(tablet, seq);
          // As an outbox does: what was not confirmed is sent again with its id.
          for (let done = false; !done;) {
            const { ms, kept } = await deliver(url, agent, event);
            times.push(ms);
            if (!kept) failed += 1;
            done = kept;
          }
        }
      }),
    );
  } finally {
    agent.destroy();
    await app.stop();
  }
  const db = new Database(app.database, { readonly: true });
  const { n: rows, ids } = db
    .prepare("SELECT count(*) AS n, count(DISTINCT id) AS ids FROM floor_event WHERE device_id LIKE 'tablet-%'")
    .get() as { n: number; ids: number };
  db.close();
  times.sort((a, b) => a - b);
  const sent = TABLETS * PER_SECOND * SECONDS;
  console.log(`Floor (${TABLETS} tablets, ${PER_SECOND} taps a second each, ${SECONDS} s, one delivery a tap)`);
  console.log(`bare insert, one a transaction               mean ${each.toFixed(2)} ms`);
  console.log(
    `delivery to reply                            median ${share(times, 0.5).toFixed(1)} ms   ` +
      `p99 ${share(times, 0.99).toFixed(1)} ms (bar 150)   worst ${times.at(-1)!.toFixed(1)} ms  ` +
      ` ${(share(times, 0.5) / each).toFixed(1)} x bare insert`,
  );
  console.log(
    `   sent ${sent}, in the database ${rows}, lost ${sent - rows}, doubled ${rows - ids}, ` +
      `broken off and sent again ${failed}`,
  );
}
