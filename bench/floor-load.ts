import { Agent, request } from 'node:http';
import { spawn } from 'node:child_process';
import { copyFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { openDb } from '@/data/open-db';
import { insertFloorEvents } from '@/data/queries/floor-events';
import { BEFORE_ACCOUNTS } from '@/contract/actor';
import type { FloorEvent } from '@/core/record/floor-event';
import { App } from '../scripts/launch-app';

/** On the floor at once. */
export const TABLETS = 200;
const PER_SECOND = 2;
const SECONDS = 60;
const SOLVING = 10;
/** What so much of a sorted list stays under. */
export const share = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))]!;

/** What is planned today, which the tablets share among them. */
type Planned = Pick<FloorEvent, 'clientId' | 'itemId' | 'movement'>;

/** The planned movements of the day that holds now. */
export function plannedToday(file: string): readonly Planned[] {
  const db = new Database(file, { readonly: true });
  const midnight = new Date().setHours(0, 0, 0, 0);
  const planned = db
    .prepare(
      `SELECT s.client_id AS clientId, i.id AS itemId, i.movement FROM session s JOIN session_item i
       ON i.session_id = s.id WHERE s.starts_at_ms >= ? AND s.starts_at_ms < ? ORDER BY i.id`,
    )
    .all(midnight, midnight + 86_400_000) as Planned[];
  db.close();
  return planned;
}

/** Taps of a set: its start, faults, its end. */
const TAPS_A_SET = 10;

/** A tap on a tablet: sets are begun and ended, with faults seen between. */
function eventOf({ planned, name }: Pick<Door, 'planned' | 'name'>, tablet: number, seq: number): FloorEvent {
  const [set, tap] = [Math.floor(seq / TAPS_A_SET), seq % TAPS_A_SET];
  const common = {
    ...planned[tablet % planned.length]!,
    id: `${name}-${tablet}-${seq}`,
    actorId: BEFORE_ACCOUNTS,
    deviceId: `${name}-${tablet}`,
    seq,
    atMs: Date.now(),
    setId: `${name}-${tablet}-${set}`,
  };
  if (tap === 0 || seq === 1)
    return { ...common, kind: 'set-started', setNo: set + 1, loadG: 10_000, targetReps: 12, tempo: '3-1-1-1' };
  if (tap === TAPS_A_SET - 1) return { ...common, kind: 'set-ended', reps: 12 };
  return { ...common, kind: 'fault', rep: tap, fault: 'shrugs', side: 'both', severity: 2 };
}

/** Where a tablet writes to, signed in. */
export interface Door {
  readonly url: URL;
  readonly agent: Agent;
  readonly cookie: string;
  readonly planned: readonly Planned[];
  /** What its tablets are called. */
  readonly name: string;
}

/** As many cases as one call takes, and of the kind that takes longest: one arm, both places and the facing free. */
const WORST_SOLVE = JSON.stringify(
  Array.from({ length: 200 }, (_, i) => ({
    format: 'jorvix-case/1',
    client: { statureM: 1.5 + i / 400, massKg: 75 },
    attachment: { lengthM: 0.14 },
    movement: 'cable-fly-high-to-low',
    side: 'right',
    loadKg: 15,
    station: { column: { firstHoleM: 0.25, pitchM: 0.05, holes: 40, numberedFrom: 'bottom', twinSpacingM: 2.4 } },
  })),
);
const ONE_SOLVE = JSON.stringify((JSON.parse(WORST_SOLVE) as unknown[])[0]);

/** One delivery; milliseconds until the reply, and whether it was kept. */
type Reply = { readonly ms: number; readonly kept: boolean };

const deliver = (at: Door, event: FloorEvent): Promise<Reply> =>
  post(at, `${at.url.pathname.replace(/\/$/, '')}/api/v1/floor-events`, JSON.stringify({ events: [event] }));

/** One write; milliseconds until the reply, and whether it was taken. */
function post({ url, agent, cookie }: Door, path: string, body: string): Promise<Reply> {
  const began = performance.now();
  return new Promise((resolve) => {
    const r = request(
      {
        host: url.hostname,
        port: url.port,
        path,
        method: 'POST',
        agent,
        headers: { cookie, 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) },
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

/** Taps while the solver's thread answers the longest call that it takes; milliseconds each. */
async function besideWorstSolve(door: Door): Promise<number[]> {
  let solving = true;
  const call = post(door, '/api/v1/solve', WORST_SOLVE).finally(() => (solving = false));
  const times: number[] = [];
  for (let seq = 1; solving; seq++) {
    times.push((await deliver(door, eventOf(door, TABLETS, seq))).ms);
    await new Promise((r) => setTimeout(r, 20));
  }
  await call;
  return times;
}

/** Tablets that solve one case after the other, a second apart; milliseconds each. */
async function solveUntil(door: Door, endMs: number): Promise<number[]> {
  const times: number[] = [];
  await Promise.all(
    Array.from({ length: SOLVING }, async () => {
      while (performance.now() < endMs) {
        times.push((await post(door, '/api/v1/solve', ONE_SOLVE)).ms);
        await new Promise((r) => setTimeout(r, 1000));
      }
    }),
  );
  return times;
}

/** Another tablet's open page: how long after its tap each event was heard, milliseconds. */
async function listen({ url, cookie, planned }: Door): Promise<{ readonly close: () => number[] }> {
  const stop = new AbortController();
  const { clientId, movement } = planned[0]!;
  const path = `/api/v1/floor-events/line?client=${clientId}&movement=${movement}`;
  const line = await fetch(new URL(path, url), { headers: { cookie }, signal: stop.signal });
  const lates: number[] = [];
  const read = async (): Promise<void> => {
    for await (const chunk of line.body!) {
      const text = new TextDecoder().decode(chunk as Uint8Array);
      for (const [, at] of text.matchAll(/"atMs":(\d+)/g)) lates.push(Date.now() - Number(at));
    }
  };
  void read().catch(() => undefined);
  return {
    close: () => {
      stop.abort();
      return lates;
    },
  };
}

const backUp = (file: string): void =>
  void spawn('node_modules/.bin/tsx', ['--conditions=react-server', 'scripts/backup.ts'], {
    env: { ...process.env, JORVIX_DB: file },
    stdio: 'ignore',
  });

/** Every tablet sends its taps, each until it is kept; milliseconds each, sorted, and how many were broken off. */
export async function tapOnAll(
  door: Door,
  seconds: number,
  perSecond = PER_SECOND,
  tablets = TABLETS,
): Promise<{ times: readonly number[]; failed: number }> {
  const times: number[] = [];
  let failed = 0;
  await Promise.all(
    Array.from({ length: tablets }, async (_, tablet) => {
      await new Promise((r) => setTimeout(r, (tablet / tablets) * (1000 / perSecond)));
      const start = performance.now();
      for (let seq = 1; seq <= perSecond * seconds; seq++) {
        const wait = start + (seq * 1000) / perSecond - performance.now();
        if (wait > 0) await new Promise((r) => setTimeout(r, wait));
        const event = eventOf(door, tablet, seq);
        // As an outbox does: what was not confirmed is sent again with its id.
        for (let done = false; !done;) {
          const { ms, kept } = await deliver(door, event);
          times.push(ms);
          if (!kept) failed += 1;
          done = kept;
        }
      }
    }),
  );
  return { times: times.sort((a, b) => a - b), failed };
}

/** Tablets on the floor sending taps to the real server, beside a bare loop of the same inserts. */
export async function benchFloorLoad(): Promise<void> {
  const app = new App(true);
  const planned = plannedToday(app.database);
  const copy = `${app.database}.bare`;
  copyFileSync(app.database, copy);
  const bare = openDb(copy);
  const n = 2000;
  const began = performance.now();
  for (let i = 0; i < n; i++) insertFloorEvents(bare, [eventOf({ planned, name: 'bare' }, 999, i)], Date.now());
  const each = (performance.now() - began) / n;
  bare.close();
  await app.start();
  const agent = new Agent({ keepAlive: true, maxSockets: TABLETS + SOLVING });
  let times: readonly number[] = [];
  let failed = 0;
  let heard: readonly number[] = [];
  let worst: readonly number[] = [];
  let solved: readonly number[] = [];
  try {
    const door = { url: new URL(app.url), agent, cookie: `jorvix=${app.newToken('owner')}`, planned, name: 'tablet' };
    worst = await besideWorstSolve(door);
    const line = await listen(door);
    const solving = solveUntil(door, performance.now() + SECONDS * 1000);
    setTimeout(() => void backUp(app.database), (SECONDS * 1000) / 2);
    ({ times, failed } = await tapOnAll(door, SECONDS));
    solved = await solving;
    heard = line.close();
  } finally {
    agent.destroy();
    await app.stop();
  }
  const db = new Database(app.database, { readonly: true });
  const { n: rows, ids } = db
    .prepare(
      "SELECT count(*) AS n, count(DISTINCT id) AS ids FROM floor_event WHERE device_id LIKE 'tablet-%' AND " +
        'device_id <> ?',
    )
    .get(`tablet-${TABLETS}`) as { n: number; ids: number };
  db.close();
  const sorted = (all: readonly number[]): number[] => [...all].sort((a, b) => a - b);
  const sent = TABLETS * PER_SECOND * SECONDS;
  console.log(
    `Floor (${TABLETS} tablets, ${PER_SECOND} taps a second each, ${SECONDS} s, one delivery a tap, ` +
      `beside ${SOLVING} tablets that solve and a backup)`,
  );
  console.log(`bare insert, one a transaction               mean ${each.toFixed(2)} ms`);
  console.log(
    `delivery to reply                            median ${share(times, 0.5).toFixed(1)} ms   ` +
      `p99 ${share(times, 0.99).toFixed(1)} ms (bar 150)   worst ${times.at(-1)!.toFixed(1)} ms  ` +
      ` ${(share(times, 0.5) / each).toFixed(1)} x bare insert`,
  );
  console.log(
    `tap beside the worst call of the solver       median ${share(sorted(worst), 0.5).toFixed(1)} ms   ` +
      `worst ${Math.max(...worst).toFixed(1)} ms (bar 50), ${worst.length} taps`,
  );
  console.log(
    `tap to another open page                     median ${share(sorted(heard), 0.5).toFixed(0)} ms   ` +
      `p95 ${share(sorted(heard), 0.95).toFixed(0)} ms (bar 2000), ${heard.length} heard`,
  );
  console.log(
    `a case solved meanwhile                      median ${share(sorted(solved), 0.5).toFixed(0)} ms, ${solved.length}`,
  );
  console.log(
    `   sent ${sent}, in the database ${rows}, lost ${sent - rows}, doubled ${rows - ids}, ` +
      `broken off and sent again ${failed}`,
  );
}
