import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/record/floor-event';
import { foldSetLog } from '@/core/record/set-log';
import { openDb } from '@/data/open-db';
import { listEventsOf, listFloorEvents } from '@/data/queries/floor-events';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { loadLedger } from '@/server/ledger';
import { recordEvents } from '@/server/record-events';
import { loadDemoWorld } from '../demo/world';
import { seeded } from './support/fixtures';
import { at, NOW, world } from './support/world';

const ITEM = 'anselm-2026-11-24-0';

describe('records', () => {
  let n = 0;
  const event = (body: object): FloorEvent =>
    ({
      id: `t${++n}`,
      actorId: 'marit',
      deviceId: 'd',
      seq: n,
      atMs: NOW + n * 1000,
      clientId: 'anselm',
      itemId: ITEM,
      movement: 'cable-fly-level',
      ...body,
    }) as FloorEvent;
  const set = [
    event({ kind: 'set-started', setId: 'S1', setNo: 1, loadG: 15000, targetReps: 12, tempo: '3-1-2-1' }),
    event({ kind: 'fault', setId: 'S1', rep: 3, fault: 'shrugs', side: 'left', severity: 2 }),
    event({ kind: 'fault', setId: 'S1', rep: 4, fault: 'chin-forward', side: 'both', severity: 1 }),
    event({ kind: 'set-ended', setId: 'S1', reps: 12 }),
    event({ kind: 'correction', setId: 'S1', fault: 'shrugs', correction: 'blades-down', cause: 'cue' }),
  ];
  it('are kept once, however often and in whatever order they are delivered', () => {
    const db = world();
    const random = seeded(11);
    for (let k = 0; k < 40; k++) {
      const some = set.filter(() => random() < 0.6).sort(() => random() - 0.5);
      if (some.length > 0) expect(recordEvents(at(db), { events: some }).ok).toBe(true);
    }
    recordEvents(at(db), { events: set });
    const kept = listFloorEvents(db, 'anselm', 'cable-fly-level').rows.filter((e) => e.itemId === ITEM);
    expect(kept).toEqual(set);
    const [movement] = loadLedger(at(db), 'anselm')!.movements;
    expect(movement!.faults.map((f) => [f.fault, f.cells.at(-1)!.marks])).toEqual(
      expect.arrayContaining([
        ['shrugs', [{ setId: 'S1', reps: [3], side: 'left' }]],
        ['chin-forward', [{ setId: 'S1', reps: [4], side: null }]],
      ]),
    );
  });
  it('one that is wrong or names nobody is named, and holds up no other', () => {
    const db = world();
    expect(
      recordEvents(at(db), { events: [{ ...set[1], rep: -2 }, set[0], { ...set[2]!, itemId: 'nowhere' }] }),
    ).toMatchObject({
      ok: true,
      reply: {
        kept: [set[0]!.id],
        refused: [
          { id: set[1]!.id, path: 'rep' },
          { id: set[2]!.id, path: 'itemId' },
        ],
      },
    });
    expect(foldSetLog(listEventsOf(db, [ITEM]).rows, {}).sets).toHaveLength(1);
    expect(recordEvents(at(db), { events: 'all' })).toMatchObject({ ok: false, reason: 'malformed' });
  });
  it('two devices on one client, one an hour slow: both sets whole, whatever comes first', () => {
    const other = set.map((e) => ({
      ...e,
      id: `x-${e.id}`,
      deviceId: 'slow',
      atMs: e.atMs - 3_600_000,
      ...('setId' in e && e.setId !== null ? { setId: `x-${e.setId}` } : {}),
      ...('eventId' in e ? { eventId: `x-${e.eventId}` } : {}),
      ...('correctionId' in e ? { correctionId: `x-${e.correctionId}` } : {}),
    })) as FloorEvent[];
    const folded = (deliveries: readonly (readonly FloorEvent[])[]) => {
      const db = world();
      for (const events of deliveries)
        expect(recordEvents(at(db), { events })).toMatchObject({ reply: { refused: [] } });
      return foldSetLog(listFloorEvents(db, 'anselm', 'cable-fly-level').rows, {}).sets.filter(
        (s) => s.itemId === ITEM,
      );
    };
    const [alone] = folded([set]);
    const both = folded([set, other]);
    expect(both).toHaveLength(2);
    expect(both.find((s) => s.setId === alone!.setId)).toEqual(alone);
    expect(both.map((s) => s.faults.length)).toEqual([alone!.faults.length, alone!.faults.length]);
    expect(folded([other, set])).toEqual(both);
    expect(folded([[...other].reverse(), [...set].reverse(), other])).toEqual(both);
  });
  it('a database that cannot be written says so, and nothing is lost of the delivery', () => {
    const file = join(mkdtempSync(join(tmpdir(), 'jorvix-')), 'floor.db');
    const db = openDb(file);
    loadDemoWorld(db, NOW);
    db.pragma('query_only = 1');
    expect(recordEvents(at(db), { events: set })).toMatchObject({
      ok: false,
      reason: 'storage',
      issues: [{ message: expect.stringContaining('read-only') }],
    });
    db.pragma('query_only = 0');
    // As full as it gets: not a page more.
    db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true })}`);
    const many = Array.from({ length: 200 }, (_, i) => ({ ...set[1]!, id: `full-${i}` }));
    const full = Array.from({ length: 40 }, (_, k) =>
      recordEvents(at(db), { events: many.map((e) => ({ ...e, id: `${e.id}-${k}` })) }),
    ).find((r) => !r.ok);
    expect(full).toMatchObject({ reason: 'storage', issues: [{ message: expect.stringContaining('full') }] });
    db.pragma('max_page_count = 1000000');
    expect(recordEvents(at(db), { events: set })).toMatchObject({ ok: true, reply: { kept: set.map((e) => e.id) } });
    db.close();
  });
  it('a saved set-up is what the floor and the next case start from', () => {
    const db = world();
    const placement = { hole: 13, standX: 0.3, standZ: 0, yawDeg: 0 };
    const saved = event({
      kind: 'setup-saved',
      placement,
      solved: { ...placement, hole: 12 },
      off: true,
      stationId: 'long-pair',
      attachmentId: 'd-handle',
      side: 'both',
      options: { peak: 'even', tiltDeg: 0, frontFoot: 'left' },
    });
    expect(recordEvents(at(db), { events: [saved] }).ok).toBe(true);
    const item = loadFloor(at(db))
      .sessions.flatMap((s) => s.items)
      .find((i) => i.id === ITEM)!;
    expect([item.settingsNote, ...item.settings.slice(0, 2).map((p) => p.value)]).toEqual([
      'as saved today',
      '13',
      '30',
    ]);
    expect(loadItem(at(db), ITEM)!.setupCase.lastUsed).toEqual(placement);
  });
});
