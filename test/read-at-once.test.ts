import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { loadEightWeeks } from '../demo/eight-weeks';
import type { Db } from '@/data/open-db';
import { appendChanges, listChanges } from '@/data/queries/changes';
import { findClient, findClients, listClients, saveClient } from '@/data/queries/clients';
import { readNewest, usedSetups } from '@/data/queries/newest-records';
import { readFolds } from '@/data/queries/read-folds';
import { listSessions } from '@/data/queries/sessions';
import { dayText, toLocalDay } from '@/server/clock';
import { seeded } from './support/fixtures';
import { NOW, world } from './support/world';

const DAY_MS = 86_400_000;

/** Eight weeks of a gym, only read here. */
let weeks: Db;
beforeAll(() => loadEightWeeks((weeks = world()), NOW));

/** A world in which every table that hangs on a client says something of several. */
function people() {
  const db = world();
  const all = listClients(db);
  for (const [k, c] of all.entries())
    saveClient(
      db,
      {
        ...c,
        measuredM: { hipHeight: 0.8 + k / 100, kneeHeight: 0.4 },
        range: { left: { 'knee.flexion': 100 + k }, right: { 'knee.flexion': 101 + k, 'hip.flexion': 90 } },
        notes: k % 2 ? ['does-not-feel', 'shoulder'] : [],
        unfelt: k % 2 ? (['calf'] as const) : [],
        limits: [1, 2].map((n) => ({
          ...{ subject: 'load-in-hand' as const, side: 'both' as const, most: n + k, setBy: 'physiotherapist' },
          ...{ fromDay: n, untilDay: null },
        })),
        armPath: { left: [{ belowDeg: 20, behindM: k / 100 }], right: [] },
      },
      'marit',
    );
  return { db, all };
}

describe('read at once what was read one by one', () => {
  it('clients: each as they were saved, whoever else is asked for, and nobody who is not there', () => {
    const { db, all } = people();
    const ids = all.map((c) => c.id);
    const found = findClients(db, [...ids, 'nobody']);
    expect([...found.keys()].sort()).toEqual(ids.toSorted());
    for (const [k, c] of all.entries()) {
      expect(found.get(c.id)).toEqual(findClient(db, c.id));
      expect(found.get(c.id)!.limits.map((l) => l.most)).toEqual([1 + k, 2 + k]);
      expect(found.get(c.id)!.range).toEqual({
        left: { 'knee.flexion': 100 + k },
        right: { 'knee.flexion': 101 + k, 'hip.flexion': 90 },
      });
      expect(found.get(c.id)!.armPath.left).toEqual([{ belowDeg: 20, behindM: k / 100 }]);
      expect(found.get(c.id)!.unfelt).toEqual(k % 2 ? ['calf'] : []);
    }
    expect(listClients(db)).toEqual(all.map((c) => found.get(c.id)));
    expect(findClients(db, []).size).toBe(0);
  });
  it('sessions of some clients are those of everybody that are theirs', () => {
    const db = weeks;
    const [from, to] = [NOW - 30 * DAY_MS, NOW + DAY_MS];
    const everybody = listSessions(db, from, to);
    expect(everybody.length).toBeGreaterThan(20);
    for (const id of ['tevita', 'sefina'])
      expect(listSessions(db, from, to, (c) => c === id)).toEqual(everybody.filter((s) => s.clientId === id));
    expect(listSessions(db, from, to, () => false)).toEqual([]);
  });
  it('changes of one client or of all, before one or not, are those of a walk over all of them', () => {
    const db = world();
    const random = seeded(7);
    const clients = ['tevita', 'sefina', null];
    for (let k = 0; k < 60; k++) {
      const clientId = clients[Math.floor(random() * 3)]!;
      const change = { subject: 'client' as const, subjectId: clientId ?? 'x', clientId, keys: ['note'] };
      appendChanges(db, [{ ...change, before: k, after: k + 1 }], 'marit', NOW + k);
    }
    const all = listChanges(db, { clientId: null, beforeId: null, most: 1000 });
    expect(all.map((c) => c.id)).toEqual(all.map((c) => c.id).toSorted((a, b) => b - a));
    for (const clientId of clients)
      for (const beforeId of [null, all[9]!.id, all.at(-1)!.id])
        for (const most of [1, 7, 500])
          expect(listChanges(db, { clientId, beforeId, most })).toEqual(
            all
              .filter((c) => (clientId === null || c.clientId === clientId) && (beforeId === null || c.id < beforeId))
              .slice(0, most),
          );
  });
  it('newest records: movement by movement they are what is read of all their planned movements together', () => {
    const db = weeks;
    for (const id of ['tevita', 'sefina', 'nobody']) {
      const { items, byMovement } = readNewest(db, id, null);
      const together = readFolds(db, { clientId: id, items });
      expect(byMovement).toEqual(together);
      expect(byMovement.size > 0).toBe(id !== 'nobody');
      expect(usedSetups(db, id)).toEqual(
        new Map([...together].flatMap(([m, log]) => (log.setups.length > 0 ? [[m, log.setups]] : []))),
      );
      for (const [movement, { sets }] of readFolds(db, { clientId: id })) {
        const whole = readNewest(db, id, movement);
        expect(whole.byMovement.get(movement)!.sets).toEqual(sets);
        expect(whole.byMovement.size).toBe(byMovement.size);
      }
    }
  });
});

describe('the day where the server stands', () => {
  const zone = process.env.TZ;
  afterEach(() => {
    process.env.TZ = zone;
    if (zone === undefined) delete process.env.TZ;
  });
  // Clocks that change at night, at midnight, by half an hour, and that are furthest from Greenwich.
  it.each(['Europe/London', 'America/Santiago', 'Australia/Lord_Howe', 'Pacific/Apia', 'Asia/Kathmandu'])(
    'is the day that a calendar on the wall says, in %s',
    (place) => {
      process.env.TZ = place;
      const wall = new Intl.DateTimeFormat('en-CA', { timeZone: place });
      const random = seeded(place.length);
      for (let k = 0; k < 300; k++) {
        const ms = Date.UTC(2026, 0, 1) + Math.floor(random() * 365 * DAY_MS);
        expect(new Date(toLocalDay(ms) * DAY_MS).toISOString().slice(0, 10)).toBe(wall.format(ms));
        expect(dayText(ms)).toBe(wall.format(ms));
      }
    },
  );
});
