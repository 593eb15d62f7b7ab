import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDb, type Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import { answerDelivery, takeDelivery } from '@/server/deliveries';
import { LINE, openLine } from '@/server/event-line';
import { loadDemoWorld } from '../demo/world';
import type { UseCase } from '@/server/use-case';
import { seeded } from './support/fixtures';
import { at as actingAt, NOW } from './support/world';

const rep = (n: number) => ({
  kind: 'rep',
  id: `door-${n}`,
  deviceId: 'tablet',
  seq: n,
  atMs: NOW + n,
  clientId: 'anselm',
  itemId: 'anselm-2026-11-24-0',
  movement: 'cable-fly-level',
  setId: 'a',
  rep: n % 100,
});

describe('deliveries at the server’s own door', () => {
  const bugs: unknown[] = [];
  let db: Db;
  let door: Server;
  let at = '';
  let who = (): UseCase => actingAt(db);
  const shared = globalThis as typeof globalThis & { jorvixDb?: Db };
  beforeAll(async () => {
    db = openDb(':memory:');
    loadDemoWorld(db, NOW);
    shared.jorvixDb = db;
    door = createServer((request, response) => void takeDelivery(who())(request, response, (e) => bugs.push(e)));
    await new Promise<void>((done) => door.listen(0, '127.0.0.1', done));
    at = `http://127.0.0.1:${(door.address() as AddressInfo).port}`;
  });
  afterAll(() => {
    door.closeAllConnections();
    door.close();
    delete shared.jorvixDb;
  });
  const send = async (body: string): Promise<{ status: number; reply: Record<string, unknown> }> => {
    const r = await fetch(at, { method: 'POST', body });
    return { status: r.status, reply: (await r.json()) as Record<string, unknown> };
  };
  const kept = (): string[] =>
    listFloorEvents(db, 'anselm', 'cable-fly-level').rows.flatMap((e) => (e.deviceId === 'tablet' ? [e.id] : []));

  it('answers as the route handler does, and keeps each id once however often it comes', async () => {
    const events = [rep(1), rep(2), { ...rep(3), rep: -1 }, { ...rep(4), itemId: 'nobody' }];
    const { status, reply } = await send(JSON.stringify({ events }));
    expect([status, { ...reply, nowMs: 0 }]).toEqual([
      200,
      { ...answerDelivery(actingAt(db), { events }).body, nowMs: 0 },
    ]);
    expect(reply).toMatchObject({
      kept: ['door-1', 'door-2'],
      refused: [
        { id: 'door-3', path: 'rep' },
        { id: 'door-4', path: 'itemId' },
      ],
    });
    await Promise.all([send(JSON.stringify({ events })), send(JSON.stringify({ events: events.toReversed() }))]);
    expect(kept()).toEqual(['door-1', 'door-2']);
  });
  it('who listens hears what is kept of that client and movement, the last day first, and nothing else', async () => {
    const lines = createServer((request, response) => openLine(request, response, actingAt(db, NOW + 1000)));
    await new Promise<void>((done) => lines.listen(0, '127.0.0.1', done));
    const line = `http://127.0.0.1:${(lines.address() as AddressInfo).port}${LINE}`;
    expect((await fetch(`${line}?client=anselm`)).status).toBe(400);
    const heard = (await fetch(`${line}?client=anselm&movement=cable-fly-level`)).body!.getReader();
    let text = '';
    const next = async (): Promise<string[]> => {
      const told = /(?:^|\n\n)data: (.*)\n\n/;
      while (!told.test(text)) text += new TextDecoder().decode((await heard.read()).value);
      const found = told.exec(text)!;
      text = text.slice(found.index + found[0].length);
      return (JSON.parse(found[1]!) as { id: string }[]).map((e) => e.id);
    };
    expect(await next()).toContain('door-1');
    await send(JSON.stringify({ events: [{ ...rep(5), clientId: 'sefina', itemId: 'sefina-2026-11-24-0' }, rep(6)] }));
    expect(await next()).toEqual(['door-6']);
    await heard.cancel();
    lines.closeAllConnections();
    lines.close();
  });
  it('many at once, late and doubled, from many tablets: each there once', async () => {
    const random = seeded(11);
    const events = Array.from({ length: 120 }, (_, i) => rep(100 + i));
    const deliveries = Array.from({ length: 60 }, () => {
      const from = Math.floor(random() * events.length);
      return events.slice(from, from + 1 + Math.floor(8 * random()));
    });
    const replies = await Promise.all(
      [...deliveries, ...events.map((e) => [e])].map((own) => send(JSON.stringify({ events: own }))),
    );
    expect(replies.every((r) => r.status === 200)).toBe(true);
    expect(kept().filter((id) => Number(id.slice(5)) >= 100)).toEqual(events.map((e) => e.id));
  });
  it.each([
    ['no JSON', '{"events": [', 'events'],
    ['nothing', '', ''],
    ['no events', '{"events": []}', 'events'],
    ['more than a tablet would send', JSON.stringify({ events: [{ id: 'x'.repeat(2_100_000) }] }), ''],
  ])('%s is malformed and names what is expected', async (_, body) => {
    const { status, reply } = await send(body);
    expect([status, reply.reason]).toEqual([400, 'malformed']);
    expect(JSON.stringify(reply.issues)).toContain('expected');
  });
  it('a bug is told to who serves, and the device hears that nothing was kept', async () => {
    const broken = {
      prepare: () => {
        throw new Error('broken');
      },
    } as unknown as Db;
    who = () => actingAt(broken);
    const { status, reply } = await send(JSON.stringify({ events: [rep(900)] }));
    who = () => actingAt(db);
    expect([status, reply.reason, (bugs[0] as Error).message]).toEqual([500, 'bug', 'broken']);
    expect(kept()).not.toContain('door-900');
  });
});
