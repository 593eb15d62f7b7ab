import 'server-only';
import { statSync } from 'node:fs';
import type { IncomingMessage, ServerResponse } from 'node:http';
import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client';
import { databaseFile, sharedDb } from '@/data/open-db';
import { isLoopback } from './serving';

/** Words of addresses that are places; every other part may be an id, and could tell whose it is. */
const PLACES = new Set(
  (
    'account api calendar cards clients day events floor-events gyms hand-over healthz kit kits ledger line metrics ' +
    'movements new of offline openapi.json papers people plan practice propose records sessions set sets setup ' +
    'setups sheets sign-in solve spotting start summary tables taps together traces tracker v1 what-works _next ' +
    'static sw.js icon.svg favicon.ico'
  ).split(' '),
);

/** An address without ids: what is called, not of whom. */
export function routeOf(url: string): string {
  const parts = url.split(/[?#]/)[0]!.split('/').slice(1);
  // What pages are made of has names of its own, which change with every build.
  const shown = parts[0] === '_next' ? ['_next'] : parts.map((p) => (p === '' || PLACES.has(p) ? p : ':'));
  return `/${shown.join('/')}`;
}

/** What kind of work a call is. */
function kindOf(route: string, { headers }: IncomingMessage): string {
  if (route.startsWith('/_next')) return 'asset';
  if (route.startsWith('/api/v1/floor-events/line')) return 'line';
  if (route.startsWith('/api/v1/floor-events')) return 'taps';
  if (route.startsWith('/api/')) return headers.authorization ? 'program' : 'api';
  return 'page';
}

const sizeOf = (file: string): number => statSync(file, { throwIfNoEntry: false })?.size ?? 0;

/** What is counted while this process serves: how long calls take by kind, and how large the records are. */
function makeMeter() {
  const registry = new Registry();
  collectDefaultMetrics({ register: registry, prefix: 'jorvix_' });
  const seconds = new Histogram({
    name: 'jorvix_call_seconds',
    help: 'Calls by kind and status, seconds to the last byte; lines of events last as long as they are open',
    labelNames: ['kind', 'status'] as const,
    buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5],
    registers: [registry],
  });
  const gauge = (name: string, help: string, suffix: string): void => {
    const size: Gauge = new Gauge({
      ...{ name, help, registers: [registry] },
      collect: () => size.set(sizeOf(`${databaseFile()}${suffix}`)),
    });
  };
  gauge('jorvix_records_bytes', 'Size of the database file', '');
  gauge('jorvix_log_bytes', 'Size of its log', '-wal');
  return { registry, seconds };
}

let meter: ReturnType<typeof makeMeter> | null = null;
const meterHere = () => (meter ??= makeMeter());

/** A line about a call for the machine's own log: nothing that tells of whom. */
export const logLine = (method: string, route: string, status: number, ms: number, nowMs: number): string =>
  JSON.stringify({ at: new Date(nowMs).toISOString(), method, route, status, ms: Math.round(ms) });

/** Count a call when it ends, and say a line about it where that is asked for (JORVIX_LOG=yes). */
export function watchCall(request: IncomingMessage, response: ServerResponse): void {
  const from = performance.now();
  const route = routeOf(request.url ?? '/');
  const kind = kindOf(route, request);
  response.once('close', () => {
    const ms = performance.now() - from;
    meterHere().seconds.observe({ kind, status: response.statusCode }, ms / 1000);
    if (process.env.JORVIX_LOG === 'yes' && kind !== 'asset')
      process.stdout.write(`${logLine(request.method ?? '', route, response.statusCode, ms, Date.now())}\n`);
  });
}

/** Whether the records can be read just now. */
function isWell(): boolean {
  try {
    return sharedDb().prepare('SELECT 1').pluck().get() === 1;
  } catch {
    return false;
  }
}

/**
 * Answer whether this process is well (to anybody), and what it counted (to this machine alone); false for any other
 * call.
 */
export async function answerWatch(
  request: IncomingMessage,
  response: ServerResponse,
  isAway: boolean,
): Promise<boolean> {
  const path = (request.url ?? '').split('?')[0];
  if (request.method !== 'GET' || (path !== '/healthz' && path !== '/metrics')) return false;
  const text = { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' };
  if (path === '/healthz') {
    const well = !isAway && isWell();
    response.writeHead(well ? 200 : 503, text).end(well ? 'well\n' : 'away\n');
    return true;
  }
  const from = (request.socket.remoteAddress ?? '').replace(/^::ffff:/, '');
  if (!isLoopback(from) || request.headers['x-forwarded-for'] !== undefined) return false;
  const { registry } = meterHere();
  response.writeHead(200, { ...text, 'content-type': registry.contentType }).end(await registry.metrics());
  return true;
}
