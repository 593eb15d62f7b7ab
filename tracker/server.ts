import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http';
import { calledSetSchema, TRACKER_PROTOCOL, type SensorList } from '@/contract/tracker';
import { LIFTERS, type Lifter } from './lifter';
import { seeded } from './seeded';
import { HZ, Sensor } from './sensor';

const EVERY_MS = 100;
const MOST_BYTES = 10_000;
const nowS = (): number => performance.now() / 1000;

function answer(response: ServerResponse, status: number, body: unknown = null): void {
  response.writeHead(status, { 'content-type': 'application/json' });
  response.end(body === null ? undefined : JSON.stringify(body));
}

async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST_BYTES) return null;
  }
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Readings as server-sent events, from the one after the last that the listener had. */
function stream(sensor: Sensor, from: number, response: ServerResponse): void {
  response.writeHead(200, { 'content-type': 'text/event-stream', 'cache-control': 'no-store' });
  let next = from;
  const send = (): void => {
    const { n, points } = sensor.readings(next, nowS());
    if (points.length === 0) return;
    next = n + points.length;
    response.write(`id: ${next - 1}\ndata: ${JSON.stringify({ n, points })}\n\n`);
  };
  send();
  const timer = setInterval(send, EVERY_MS);
  response.on('close', () => clearInterval(timer));
}

/** A stand-in for the sensors on a gym's stacks: one for each simulated lifter, speaking the stack-line protocol. */
export function serveTracker(): Server {
  const began = nowS();
  const sensors = new Map(
    Object.keys(LIFTERS).map((lifter, i) => [lifter, new Sensor(lifter as Lifter, seeded(i + 1), began)]),
  );
  const list: SensorList = {
    protocol: TRACKER_PROTOCOL.name,
    version: TRACKER_PROTOCOL.version,
    sensors: Object.entries(LIFTERS).map(([id, habit]) => ({ id, name: `simulated lifter: ${habit}`, hz: HZ })),
  };
  return createServer((request, response) => {
    const url = new URL(request.url ?? '/', 'http://tracker');
    const [, version, room, id, what] = url.pathname.split('/');
    if (version !== 'v1' || room !== 'sensors') return answer(response, 404, { error: 'expected /v1/sensors' });
    if (id === undefined) return answer(response, 200, list);
    const sensor = sensors.get(id);
    if (!sensor)
      return answer(response, 404, { error: `expected one of the sensors ${[...sensors.keys()].join(', ')}` });
    if (what === 'line' && request.method === 'GET') {
      const last = request.headers['last-event-id'];
      return stream(sensor, typeof last === 'string' && /^\d{1,12}$/.test(last) ? Number(last) + 1 : 0, response);
    }
    if (what === 'rest' && request.method === 'POST') {
      sensor.rest(nowS());
      return answer(response, 204);
    }
    if (what === 'set' && request.method === 'POST') {
      void bodyOf(request).then((body) => {
        const called = calledSetSchema.safeParse(body);
        if (!called.success)
          return answer(response, 400, {
            error: called.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; '),
          });
        const { legs, reps, lead_in_s: leadInS, range_m: rangeM } = called.data;
        sensor.call({ legs, reps, leadInS, rangeM }, nowS());
        return answer(response, 204);
      });
      return undefined;
    }
    return answer(response, 404, { error: 'expected line, set or rest' });
  });
}
