import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildRep, paceOfPart, phaseSeconds, wholePace } from '@/core/tempo/pace';
import { parseTempo } from '@/core/tempo/tempo';
import { findInTrace, type FindingKind } from '@/core/trace/findings';
import { between, clockOffsetS, clocksCompared, NO_TRACE, withDelivery } from '@/core/trace/live-trace';
import { findRest, segmentReps, type TracePoint } from '@/core/trace/segment-reps';
import { deliverySchema, sensorListSchema } from '@/contract/tracker';
import { forwardToTracker } from '@/server/tracker';
import { LIFTERS, liftSet, stackAt, type Lifter } from '../tracker/lifter';
import { seeded } from '../tracker/seeded';
import { HZ, Sensor } from '../tracker/sensor';
import { serveTracker } from '../tracker/server';

const pace = wholePace(parseTempo('3-1-2-1')!, 'lifting');
const REPS = 8;
const call = (p = pace, reps = REPS) => ({ legs: buildRep(p), reps, leadInS: 5, rangeM: 0.5 });

/** What a sensor tells of a whole set. */
function lift(lifter: Lifter, p = pace): TracePoint[] {
  const sensor = new Sensor(lifter, seeded(3), 0);
  sensor.call(call(p), 1);
  return sensor.readings(0, 90).points.map(([tS, xM]) => ({ tS, xM }));
}
const findings = (lifter: Lifter, p = pace) => {
  const points = lift(lifter, p);
  const reps = segmentReps(points, p.startsWith)!;
  const asked = { liftingS: phaseSeconds(p, 'lifting'), loweringS: phaseSeconds(p, 'lowering'), share: p.to - p.from };
  return {
    reps,
    found: Object.fromEntries(
      findInTrace(reps, () => asked, findRest(points, reps[0]!)).map((f) => [f.kind, f.reps]),
    ) as Partial<Record<FindingKind, number[]>>,
  };
};
const all = Array.from({ length: REPS }, (_, i) => i + 1);

describe('what the stack of each simulated lifter shows', () => {
  it.each<[Lifter, Partial<Record<FindingKind, number[]>>]>([
    ['steady', {}],
    ['bouncing', { bounces: all.slice(1), 'lowering-rushed': all, 'off-tempo': all }],
    ['rushed', { 'lowering-rushed': all, 'off-tempo': all }],
    ['shrinking', { 'range-shrinks': [5, 6, 7, 8] }],
    ['drops-last', { 'last-lowering-dropped': [8], 'off-tempo': [8] }],
    ['touching', { 'stack-touches': all.slice(2) }],
  ])('%s', (lifter, want) => {
    const { reps, found } = findings(lifter);
    expect(reps).toHaveLength(REPS);
    expect(found).toEqual(want);
  });
  it(
    'a movement that begins with the lowering is told the same way: phases within 0.1 s, and the ' +
      'dropped last one named',
    () => {
      const down = { ...pace, startsWith: 'lowering' as const };
      const { reps, found } = findings('steady', down);
      expect(found).toEqual({});
      for (const r of reps)
        expect([
          Math.abs(r.loweringS - 3) < 0.22,
          Math.abs(r.liftingS - 2) < 0.18,
          Math.abs(r.stretchS! - 1) < 0.14,
        ]).toEqual([true, true, true]);
      expect(findings('drops-last', down).found).toEqual({ 'last-lowering-dropped': [8], 'off-tempo': [8] });
    },
  );
  it('a slow section and half reps are what was asked, and no fault', () => {
    const { reps, found } = findings('steady', { ...pace, slow: { from: 0.3, to: 0.6, seconds: 3 } });
    expect(found).toEqual({});
    for (const r of reps)
      expect(
        [Math.abs(r.liftingS - 4.4), Math.abs(r.loweringS - 5.1)].every((d) => d < 0.35),
        `${r.liftingS} ${r.loweringS}`,
      ).toBe(true);
    const half = paceOfPart({ tempo: '3-1-2-1', from: 0, to: 0.5 }, 'lifting', null)!;
    expect(findings('steady', { ...half, to: 0.5 }).reps.every((r) => Math.abs(r.rangeM - 0.25) < 0.02)).toBe(true);
  });
  it('a set that is broken off comes down from where it is, however late it is asked', () => {
    const sensor = new Sensor('steady', seeded(3), 0);
    sensor.call(call(), 1);
    sensor.rest(8.5);
    const x = sensor.readings(0, 12).points.map((p) => p[1]);
    expect(Math.max(...x)).toBeGreaterThan(0.5);
    for (let i = 1; i < x.length; i++) expect(Math.abs(x[i]! - x[i - 1]!)).toBeLessThan(0.06);
  });
  it.each(Object.keys(LIFTERS) as Lifter[])('%s never jumps and ends on the stop', (lifter) => {
    const legs = liftSet(lifter, call(), seeded(1));
    const total = legs.reduce((a, l) => a + l.seconds, 0);
    for (let t = 0; t < total; t += 0.01)
      expect(Math.abs(stackAt(legs, t + 0.01) - stackAt(legs, t))).toBeLessThan(0.045);
    expect([stackAt(legs, -1), stackAt(legs, total + 1)]).toEqual([0, 0]);
  });
});

describe('readings as they come in', () => {
  const points = (n: number, count: number): TracePoint[] =>
    Array.from({ length: count }, (_, i) => ({ tS: (n + i) / HZ, xM: n + i }));
  it('twice the same, overlapping and late deliveries leave each reading once', () => {
    let t = NO_TRACE;
    for (const [n, count] of [
      [0, 5],
      [0, 5],
      [3, 4],
      [7, 3],
      [2, 2],
    ] as const)
      t = withDelivery(t, n, points(n, count), 100 + n / HZ);
    expect(t.points.map((p) => p.xM)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 9]);
  });
  it('a sensor that was started anew begins a new trace', () => {
    const old = withDelivery(NO_TRACE, 500, points(500, 50), 20);
    expect(withDelivery(old, 0, points(0, 5), 40).points.map((p) => p.xM)).toEqual([0, 1, 2, 3, 4]);
    // It does not begin at nought for a listener who named a later reading.
    expect(withDelivery(old, 20, points(20, 5), 40).last).toBe(24);
    // The same readings once more, a little late, are no new start.
    expect(withDelivery(old, 500, points(500, 50), 22)).toBe(old);
  });
  it('clocks are compared by the quickest delivery, and readings found by the receiver’s clock', () => {
    const random = seeded(4);
    let t = NO_TRACE;
    // The first, with all that the sensor held, sat two seconds behind a loading page: it is not believed alone.
    t = withDelivery(t, 0, points(0, 5), 1002);
    expect(clocksCompared(t)).toBe(false);
    for (let n = 5; n < 3000; n += 5)
      t = withDelivery(t, n, points(n, 5), 1000 + (n + 4) / HZ + 0.005 + 0.3 * random());
    expect(clocksCompared(t)).toBe(true);
    expect(clockOffsetS(t)! - 1000).toBeLessThan(0.01);
    expect(between(t, 1010, 1011).length).toBeCloseTo(HZ, -1);
  });
});

describe('the stand-in over its protocol, through the application’s own route', () => {
  const server = serveTracker();
  beforeAll(async () => {
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    process.env.JORVIX_TRACKER = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });
  const ask = (path: string, init: RequestInit = {}) =>
    forwardToTracker(path.split('/'), new Request('http://app/', init));
  async function listen(lastId: string | null, deliveries: number) {
    const stop = new AbortController();
    const reply = await ask('sensors/steady/line', {
      signal: stop.signal,
      headers: lastId === null ? {} : { 'last-event-id': lastId },
    });
    const got: { n: number; points: (readonly [number, number])[] }[] = [];
    let text = '';
    for await (const chunk of reply.body!) {
      text += new TextDecoder().decode(chunk);
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        got.push(deliverySchema.parse(JSON.parse(/^data: (.*)$/m.exec(text.slice(0, end))![1]!)));
        text = text.slice(end + 2);
      }
      if (got.length >= deliveries) break;
    }
    stop.abort();
    return got;
  }
  it('lists its sensors', async () => {
    const list = sensorListSchema.parse(await (await ask('sensors')).json());
    expect(list.sensors.map((s) => s.id)).toEqual(Object.keys(LIFTERS));
  });
  it('streams readings without a gap, and goes on after the last that was had', async () => {
    await new Promise((r) => setTimeout(r, 300));
    const first = await listen(null, 3);
    const numbers = first.flatMap((d) => d.points.map((_, i) => d.n + i));
    expect(numbers).toEqual(numbers.map((_, i) => i));
    expect((await listen(String(numbers.at(-1)), 1))[0]!.n).toBe(numbers.length);
  });
  it('a called set moves the stack; what cannot be read is refused by name', async () => {
    expect(
      (
        await ask('sensors/steady/set', {
          method: 'POST',
          body: JSON.stringify({ legs: [{ seconds: 2, from: 0, to: 1 }], reps: 1, lead_in_s: 0, range_m: 0.5 }),
        })
      ).status,
    ).toBe(204);
    const moved = (await listen(null, 12)).flatMap((d) => d.points.map(([, x]) => x));
    expect(Math.max(...moved)).toBeGreaterThan(0.02);
    const wrong = await ask('sensors/steady/set', {
      method: 'POST',
      body: '{"legs":[],"reps":1,"lead_in_s":0,"range_m":0.5}',
    });
    expect([wrong.status, ((await wrong.json()) as { error: string }).error]).toEqual([
      400,
      expect.stringContaining('legs'),
    ]);
    expect((await ask('sensors/nobody/line')).status).toBe(404);
  });
  it.each([
    ['another way out', '../../etc', 'GET', 404],
    ['a sensor with a path in its name', 'sensors/..%2Fx/line', 'GET', 404],
    ['what the protocol does not know', 'sensors/steady/erase', 'POST', 404],
    ['a line that is written', 'sensors/steady/line', 'POST', 404],
  ])('%s is not passed on', async (_, path, method, status) =>
    expect((await ask(path, { method, ...(method === 'POST' ? { body: '{}' } : {}) })).status).toBe(status),
  );
  it('a stand-in for a sensor that sends elsewhere, talks too much or is no line of events, is none', async () => {
    const evil = createServer((request, response) => {
      if (request.url === '/v1/sensors') response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end();
      else if (request.url === '/v1/sensors/loud/rest') response.end('x'.repeat(200_000));
      else response.writeHead(200, { 'content-type': 'text/html' }).end('<script>alert(1)</script>');
    });
    await new Promise<void>((done) => evil.listen(0, '127.0.0.1', done));
    const was = process.env.JORVIX_TRACKER;
    process.env.JORVIX_TRACKER = `http://127.0.0.1:${(evil.address() as AddressInfo).port}`;
    const asked = [['sensors'], ['sensors/steady/line'], ['sensors/loud/rest', { method: 'POST' }]] as const;
    const replies = await Promise.all(asked.map(([path, init]) => ask(path, init ?? {})));
    process.env.JORVIX_TRACKER = was;
    evil.close();
    expect(replies.map((r) => r.status)).toEqual([503, 503, 503]);
  });
  it('says so when no sensor answers', async () => {
    const was = process.env.JORVIX_TRACKER;
    process.env.JORVIX_TRACKER = 'http://127.0.0.1:9';
    const reply = await ask('sensors');
    process.env.JORVIX_TRACKER = was;
    expect([reply.status, await reply.json()]).toEqual([503, { reason: 'no-tracker', at: 'http://127.0.0.1:9' }]);
  });
});
