import Papa from 'papaparse';
import { expect, it } from 'vitest';
import { packTrace } from '@/core/trace/pack-trace';
import { parseTraceCsv } from '@/contract/trace-csv';
import { listEventsOf } from '@/data/queries/floor-events';
import { findItem } from '@/data/queries/sessions';
import { eraseClientForGood } from '@/server/erase';
import { loadLedger } from '@/server/ledger';
import { recordEvents } from '@/server/record-events';
import { writeTable } from '@/server/records-flow';
import { writeTrace } from '@/server/traces';
import { makeLog } from './support/make-log';
import { asOwner, at, NOW, world } from './support/world';

const ITEM = 'sefina-2026-11-24-0';
const points = Array.from({ length: 240 }, (_, i) => ({ tS: i / 50, xM: 0.3 - 0.25 * Math.cos((i / 50) * 2) }));
const packed = packTrace(points)!;

it('a trace is kept with its set, told in the ledger, exported as it came, and goes with its client', async () => {
  const db = world();
  makeLog(db, ITEM).set({});
  const sets = () => loadLedger(at(db), 'sefina')!.movements.flatMap((m) => m.sessions.flatMap((s) => s.sets));
  const own = sets().find((s) => s.itemId === ITEM)!;
  expect(sets().some((s) => s.isTraced)).toBe(false);
  const { movement } = findItem(db, ITEM)!;
  const tap = (id: string, body: object) =>
    recordEvents(at(db), {
      events: [
        {
          id,
          deviceId: 't',
          actorId: 'x',
          seq: 1,
          atMs: NOW + 9000,
          clientId: 'sefina',
          itemId: ITEM,
          movement,
          ...body,
        },
      ],
    });
  const trace = { kind: 'trace', setId: own.setId };
  for (const bad of [{ hz: 0 }, { hz: 400 }, { data: 'not signs!' }, { data: 'A'.repeat(20_000) }, { data: '' }])
    expect(tap('bad', { ...trace, ...packed, ...bad })).toMatchObject({
      reply: { kept: [], refused: [{ id: 'bad' }] },
    });
  expect(tap('first', { ...trace, hz: 10, data: 'AAIF' })).toMatchObject({ reply: { kept: ['first'] } });
  expect(tap('last', { ...trace, ...packed })).toMatchObject({ reply: { kept: ['last'] } });
  expect(sets().filter((s) => s.isTraced)).toEqual([{ ...own, isTraced: true }]);

  const read = parseTraceCsv(writeTrace(at(db), ITEM, own.setId)!);
  expect(read).toMatchObject({ ok: true });
  if (read.ok) read.points.forEach((p, i) => expect(Math.abs(p.xM - points[i]!.xM)).toBeLessThan(0.0001));
  expect(read.ok && read.points.length).toBe(points.length);
  expect(writeTrace(at(db, NOW, { id: 'stranger', name: 'S', role: 'trainer' }), ITEM, own.setId)).toBeNull();
  expect(writeTrace(at(db), ITEM, 'none')).toBeNull();

  const table = Papa.parse<Record<string, string>>(await new Response(writeTable(asOwner(db), 'traces')).text(), {
    header: true,
    skipEmptyLines: true,
  });
  expect(table.errors).toEqual([]);
  expect(table.data).toHaveLength(points.length + 3);
  expect(table.data.at(-1)).toMatchObject({
    client: 'Sefina Taualofa',
    'time, s': '4.780',
    'height, m': expect.any(String),
  });

  // A page takes the traces of its own session alone: they are long.
  const kinds = (tracesOf: string[]) =>
    listEventsOf(db, [ITEM], tracesOf).rows.filter((e) => e.kind === 'trace').length;
  expect([kinds([]), kinds([ITEM])]).toEqual([0, 2]);
  expect(eraseClientForGood(asOwner(db), 'sefina', 'Sefina Taualofa').ok).toBe(true);
  expect(db.prepare("SELECT count(*) FROM floor_event WHERE kind = 'trace'").pluck().get()).toBe(0);
});
