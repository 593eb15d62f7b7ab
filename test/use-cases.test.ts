import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/fault/floor-event';
import { foldSetLog } from '@/core/fault/set-log';
import { openDb, type Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import { saveClientForm } from '@/server/clients';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { saveAttachmentForm, saveStationForm } from '@/server/kit';
import { loadLedger } from '@/server/ledger';
import { planToday } from '@/server/plan';
import { recordEvents } from '@/server/record-events';
import { loadDemoWorld } from '../demo/world';
import { seeded } from './support/fixtures';

const NOW = new Date('2026-11-24T09:20:00').getTime();
const ITEM = 'anselm-2026-11-24-0';
function world(): Db {
  const db = openDb(':memory:');
  loadDemoWorld(db, NOW);
  return db;
}
const EMPTY = { left: { 'shoulder.horizontalAbduction': '', 'shoulder.horizontalAdduction': '' }, right: { 'shoulder.horizontalAbduction': '', 'shoulder.horizontalAdduction': '' } };
const MEASURES = Object.fromEntries(['ankleHeight', 'kneeHeight', 'fingertipHeight', 'wristHeight', 'hipHeight', 'elbowHeight', 'shoulderHeight', 'chinHeight', 'eyeHeight', 'shoulderBreadth', 'hipBreadth', 'upperArm', 'forearm', 'hand', 'foot'].map((n) => [n, '']));
const CLIENT = { name: 'Ilse Vantongeren', statureCm: 168, massKg: 61, note: '', measuredCm: MEASURES, rangeDeg: EMPTY };
const STATION = {
  name: 'Pair', holes: 20, numberedFrom: 'bottom', readings: [{ hole: 1, heightCm: 25 }, { hole: 20, heightCm: 215 }], twinSpacingCm: 240, pulleyRatio: 1, clearanceCm: 5, travelCm: 300,
  minDistanceCm: -30, maxDistanceCm: 200, stack: '5 10, 15', stackUnit: 'kg',
};
const issuesOf = (r: ReturnType<typeof saveClientForm>) => (r.ok ? [] : r.issues.map((i) => `${i.path}: ${i.message}`));

describe('bad input is told at its field', () => {
  const db = world();
  it.each([
    [{ statureCm: 119 }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ statureCm: '' }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ massKg: -4 }, 'massKg: expected a number from 25 to 300 kg'],
    [{ name: '  ' }, 'name: expected 1 to 80 characters'],
    [{ measuredCm: { ...MEASURES, shoulderHeight: 40 } }, 'measuredCm.shoulderHeight: expected 104 to 168 cm for 168 cm of stature'],
    [{ measuredCm: { ...MEASURES, shoulderHeight: 135, chinHeight: 134 } }, 'measuredCm.chinHeight: expected a height above shoulder'],
    [{ rangeDeg: { ...EMPTY, left: { ...EMPTY.left, 'shoulder.horizontalAbduction': 95 } } }, 'rangeDeg.left.shoulder.horizontalAbduction: expected a number from 0 to 80 degrees'],
  ])('client %j', (change, issue) => expect(issuesOf(saveClientForm(db, null, { ...CLIENT, ...change }))).toContain(issue));

  it.each([
    [{ readings: [{ hole: 4, heightCm: 50 }, { hole: 4, heightCm: 60 }] }, 'readings.1.hole: expected two different holes: the same one twice gives no spacing'],
    [{ readings: [{ hole: 1, heightCm: 25 }, { hole: 31, heightCm: 215 }] }, 'readings.1.hole: expected a hole from 1 to 20'],
    [{ readings: [{ hole: 1, heightCm: 215 }, { hole: 20, heightCm: 25 }] }, 'readings.1.heightCm: expected heights that rise the way the numbers run; check the numbering or the two heights'],
    [{ readings: [{ hole: '', heightCm: 25 }, { hole: 2, heightCm: 35 }] }, 'readings.0.hole: expected a whole number from 1 to 60'],
    [{ twinSpacingCm: 65 }, 'twinSpacingCm: expected at least 72 cm: wider than the shoulders of Wilhelmina Brandstrup-Kjeldgaard, with room for the hands'],
    [{ pulleyRatio: 0 }, 'pulleyRatio: expected a number from 0.25 to 8'],
    [{ stack: '5 -10' }, 'stack: expected loads above 0 and up to 500, with spaces between'],
    [{ maxDistanceCm: 0, minDistanceCm: 10 }, 'maxDistanceCm: expected more than the nearest place to stand'],
  ])('station %j', (change, issue) => expect(issuesOf(saveStationForm(db, 'tidewater', null, { ...STATION, ...change }))).toContain(issue));

  it('a handle longer than a metre', () => expect(issuesOf(saveAttachmentForm(db, 'tidewater', null, { name: 'Strap', lengthCm: 130 }))).toEqual(['lengthCm: expected a number from 0 to 100 cm']));

  it.each([
    [{ tempo: '3-1' }, 'tempo: expected four parts like 3-1-2-1: lowering, pause, lifting, pause; X for fast'],
    [{ loadKg: 11 }, 'loadKg: expected a step of this stack; the nearest is 10 kg'],
    [{ startsAt: '25:00' }, 'startsAt: expected a time like 14:30'],
    [{ stationId: 'gone' }, 'stationId: expected one of the list'],
  ])('plan %j', (change, issue) => {
    const plan = { clientId: 'sefina', movement: 'cable-fly-level', side: 'both', stationId: 'long-pair', attachmentId: 'd-handle', startsAt: '14:30', sets: 3, reps: 12, tempo: '3-1-2-1', loadKg: 10 };
    expect(issuesOf(planToday(db, { ...plan, ...change }, NOW))).toContain(issue);
    expect(planToday(db, { ...plan, tempo: '4-0-x-1' }, NOW).ok).toBe(true);
  });
});

describe('from an empty database', () => {
  it('kit, client and plan give a floor with plates', () => {
    const db = openDb(':memory:');
    db.prepare("INSERT INTO gym VALUES ('g', 'Gym')").run();
    const station = saveStationForm(db, 'g', null, { ...STATION, stack: '10 20', stackUnit: 'lb' });
    const handle = saveAttachmentForm(db, 'g', null, { name: 'D', lengthCm: 14 });
    const client = saveClientForm(db, null, CLIENT);
    if (!station.ok || !handle.ok || !client.ok) throw new Error('not saved');
    const planned = planToday(db, { clientId: client.id, movement: 'cable-fly-level', side: 'both', stationId: station.id, attachmentId: handle.id, startsAt: '10:00', sets: 3, reps: 12, tempo: '3-1-2-1', loadKg: 9.072 }, NOW);
    expect(issuesOf(planned)).toEqual([]);
    const [session] = loadFloor(db, NOW);
    expect(session!.items[0]!.plates).toMatchObject({ from: 'solved', estimated: true });
  });
});

describe('records', () => {
  let n = 0;
  const event = (body: object): FloorEvent => ({ id: `t${++n}`, deviceId: 'd', seq: n, atMs: NOW + n * 1000, clientId: 'anselm', itemId: ITEM, movement: 'cable-fly-level', ...body }) as FloorEvent;
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
      if (some.length > 0) expect(recordEvents(db, { events: some }, NOW).ok).toBe(true);
    }
    recordEvents(db, { events: set }, NOW);
    const kept = listFloorEvents(db, 'anselm', 'cable-fly-level').filter((e) => e.itemId === ITEM);
    expect(kept).toEqual(set);
    const today = loadLedger(db, 'anselm')[0]!.sessions.at(-1)!;
    expect(today.sets[0]!.faults.map((f) => [f.rep, f.fault, f.side])).toEqual([[3, 'shrugs', 'left'], [4, 'chin-forward', 'both']]);
  });
  it('are refused whole when one is wrong or names nobody', () => {
    const db = world();
    const bad = recordEvents(db, { events: [set[0], { ...set[1], rep: -2 }] }, NOW);
    expect(bad).toMatchObject({ ok: false, reason: 'malformed', issues: [{ path: 'events.1.rep' }] });
    expect(recordEvents(db, { events: [set[0], { ...set[1]!, itemId: 'nowhere' }] }, NOW)).toMatchObject({ ok: false, reason: 'unknown-reference' });
    expect(foldSetLog(listFloorEvents(db, 'anselm', null)).sets.some((s) => s.itemId === ITEM)).toBe(false);
  });
  it('a saved set-up is what the floor and the next case start from', () => {
    const db = world();
    const placement = { hole: 13, standX: 0.3, standZ: 0, yawDeg: 0 };
    const saved = event({ kind: 'setup-saved', placement, solved: { ...placement, hole: 12 }, off: true, stationId: 'long-pair', attachmentId: 'd-handle', side: 'both', options: { peak: 'even', tiltDeg: 0, frontFoot: 'left' } });
    expect(recordEvents(db, { events: [saved] }, NOW).ok).toBe(true);
    const item = loadFloor(db, NOW).flatMap((s) => s.items).find((i) => i.context.item.id === ITEM)!;
    expect(item.plates).toEqual({ from: 'saved', placement, estimated: true });
    expect(loadItem(db, ITEM)!.setupCase.lastUsed).toEqual(placement);
  });
});
