import { describe, expect, it } from 'vitest';
import { makeLog } from './support/make-log';
import type { Db } from '@/data/open-db';
import { findItem, findSession } from '@/data/queries/sessions';
import { findAttachment, findKit, findStation, saveKit } from '@/data/queries/kit';
import { findClient, saveClient } from '@/data/queries/clients';
import { saveChangeTimes } from '@/server/change-times';
import { itemSeconds } from '@/core/plan/session-time';
import { loadHistory } from '@/server/changes';
import { loadFloor } from '@/server/floor';
import { planToday } from '@/server/plan';
import { changeItem, moveToStation, skipItem, takeItemOut } from '@/server/planned-items';
import { loadSessionPlan } from '@/server/session-plan';
import { callOffSession, finishSession, makeSession, moveSession } from '@/server/sessions';
import { loadSet } from '@/server/set';
import { dropTemplateOf, keepTemplate, reachTemplates } from '@/server/templates';
import { findStandIns } from '@/server/wanted';
import { loadWeek } from '@/server/week';
import { RELIEF } from '../demo/people';
import { asOwner, at, NOW, world } from './support/world';

const HOUR = 3_600_000;
const TODAY = 'sefina-2026-11-24';
const FORM = {
  ...{ clientId: 'sefina', gymId: '', day: '2026-11-26', startsAt: '18:30', minutes: 45 },
  ...{ from: 'last', fromId: '', leaveOut: false },
};
const made = (db: Db, more: object = {}, key: unknown = null) => {
  const done = makeSession(at(db), { ...FORM, ...more }, key);
  if (!done.ok) throw new Error(JSON.stringify(done.issues));
  return findSession(db, done.id)!;
};
const issueOf = (done: { ok: boolean; issues?: readonly { path: string; message: string }[] }) => done.issues?.[0];
const whatOf = (s: { items: readonly { movement: string; side: string; sets: number }[] }) =>
  s.items.map((i) => [i.movement, i.side, i.sets]);

describe('a session is made on any day', () => {
  it('the same as last time, with what was learned: the load and the tempo of the sets, not of the plan', () => {
    const db = world();
    const log = makeLog(db, `${TODAY}-1`);
    log.set({ loadG: 7500, reps: 15, tempo: '2-0-2-0' });
    const last = findSession(db, TODAY)!;
    const s = made(db);
    expect([s.startsAtMs, s.minutes, s.gymId]).toEqual([new Date('2026-11-26T18:30:00').getTime(), 45, last.gymId]);
    expect(whatOf(s)).toEqual(whatOf(last));
    expect([last.items[1]!.loadG, last.items[1]!.tempo]).toEqual([5000, '3-1-2-1']);
    expect([s.items[1]!.loadG, s.items[1]!.tempo, s.items[1]!.stationId]).toEqual([7500, '2-0-2-0', 'long-pair']);
    expect(loadHistory(at(db), 'sefina').map((c) => [c.what, c.before, c.after])).toContainEqual([
      'Session',
      'nothing',
      '26 Nov 2026, 18:30, 45 min',
    ]);
  });
  it('two clean sessions at the top of the range ask for the next step', () => {
    const db = world();
    const first = made(db, { day: '2026-11-22', from: 'session', fromId: TODAY });
    makeLog(db, first.items[1]!.id, NOW - 40 * HOUR).set({ loadG: 5000, reps: 15 });
    makeLog(db, `${TODAY}-1`).set({ loadG: 5000, reps: 15 });
    const [now, next] = [findItem(db, `${TODAY}-1`)!, made(db).items[1]!];
    expect(next.loadG).toBeGreaterThan(now.loadG);
  });
  it('empty; and sent twice it is one', () => {
    const db = world();
    const key = '7b1f5a52-54f5-4c37-9a54-0a2f3c1b7d10';
    const first = made(db, { from: 'empty' }, key);
    expect([first.id, first.items]).toEqual([key, []]);
    expect(made(db, { from: 'empty', minutes: 90 }, key).minutes).toBe(45);
  });
  it('by a template: solved for this body and kit, on a column of the gym, with a load that is there', () => {
    const db = world();
    const kept = keepTemplate(at(db), 'wilhelmina-2026-11-24', { name: 'Back and arms', forAll: false });
    const [template] = reachTemplates(at(db)).rows;
    expect([kept.ok, template!.movements.length]).toEqual([true, 8]);
    const s = made(db, { clientId: 'iolana', from: 'template', fromId: template!.id, leaveOut: true });
    for (const item of s.items) expect(loadSet(at(db, NOW), item.id)!.blocked).toBeNull();
    expect(s.items.length).toBeGreaterThan(4);
    expect(s.items[0]!.stationId).not.toBeNull();
    // Names are told apart; a dropped one is gone, nobody else's is seen unless it is for all.
    expect(issueOf(keepTemplate(at(db), TODAY, { name: 'back AND arms', forAll: false }))?.path).toBe('name');
    expect(reachTemplates(at(db, NOW, RELIEF)).rows).toEqual([]);
    keepTemplate(at(db), TODAY, { name: 'Flies', forAll: true });
    expect(reachTemplates(at(db, NOW, RELIEF)).rows.map((t) => t.name)).toEqual(['Flies']);
    const [flies] = reachTemplates(at(db, NOW, RELIEF)).rows;
    expect(dropTemplateOf(at(db, NOW, RELIEF), flies!.id).ok).toBe(false);
    dropTemplateOf(at(db), template!.id);
    expect(reachTemplates(at(db)).rows.map((t) => t.name)).toEqual(['Flies']);
  });
  it('what cannot be done there is said before it is planned, and left out by a tick', () => {
    const db = world();
    const preacher = findKit(db, 'oak-preacher')!;
    saveKit(db, { ...preacher, outOfOrder: true }, 'owner');
    const form = { ...FORM, clientId: 'wilhelmina' };
    const told = issueOf(makeSession(at(db), form));
    expect([told?.path, told?.message]).toEqual(['leaveOut', expect.stringContaining('preacher')]);
    expect(whatOf(made(db, { ...form, leaveOut: true })).map(([m]) => m)).not.toContain('preacher-curl-neutral');
  });
  it('in another gym: on its column, with its handle, at a load that its stack has', () => {
    const db = world();
    const s = made(db, { gymId: 'lantern-yard', leaveOut: true });
    expect([s.gymId, s.items.length]).toEqual(['lantern-yard', 2]);
    for (const item of s.items) {
      const station = findStation(db, item.stationId!)!;
      expect([station.gymId, findAttachment(db, item.attachmentId!)!.gymId]).toEqual(['lantern-yard', 'lantern-yard']);
      expect(station.stackG).toContain(item.loadG);
      expect(loadSet(at(db), item.id)!.blocked).toBeNull();
    }
  });
  it('no load over a clinician’s limit, however heavy the last sets were', () => {
    const db = world();
    makeLog(db, `${TODAY}-0`).set({ loadG: 15_000 });
    const sefina = findClient(db, 'sefina')!;
    const limit = { subject: 'load-in-hand', side: 'both', most: 4, setBy: 'GP', fromDay: 0, untilDay: null } as const;
    expect(made(db).items[0]!.loadG).toBe(15_000);
    saveClient(db, { ...sefina, limits: [limit] }, 'owner');
    const [first] = made(db).items;
    const ratio = findStation(db, first!.stationId!)!.column.pulleyRatio;
    expect(first!.loadG / ratio).toBeLessThanOrEqual(4000);
    expect(first!.loadG).toBeGreaterThan(0);
  });
  it.each([
    [{ clientId: 'nobody' }, 'clientId'],
    [{ gymId: 'nowhere' }, 'gymId'],
    [{ day: '2026-13-01' }, 'day'],
    [{ startsAt: '25:00' }, 'startsAt'],
    [{ minutes: 5 }, 'minutes'],
    [{ from: 'template' }, 'fromId'],
    [{ from: 'template', fromId: 'none' }, 'fromId'],
    [{ from: 'session', fromId: 'anselm-2026-11-24' }, 'fromId'],
    [{ from: 'dream' }, 'from'],
  ])('%o is told at its field', (more, path) => {
    expect(issueOf(makeSession(at(world()), { ...FORM, ...more }))?.path).toBe(path);
  });
});

describe('a session is moved, finished and called off', () => {
  it('moves to another day; what has begun stays on its own', () => {
    const db = world();
    expect(moveSession(at(db), TODAY, { day: '2026-11-27', startsAt: '7:15', minutes: 50 }).ok).toBe(true);
    expect(findSession(db, TODAY)!.startsAtMs).toBe(new Date('2026-11-27T07:15:00').getTime());
    moveSession(at(db), TODAY, { day: '2026-11-24', startsAt: '9:00', minutes: 60 });
    makeLog(db, `${TODAY}-0`).begin();
    expect(issueOf(moveSession(at(db), TODAY, { day: '2026-11-25', startsAt: '9:00', minutes: 60 }))?.path).toBe('day');
    expect(moveSession(at(db), TODAY, { day: '2026-11-24', startsAt: '9:30', minutes: 60 }).ok).toBe(true);
  });
  it('is finished before its end and gone on with; a movement that is added goes on with it', () => {
    const db = world();
    const done = () => loadFloor(at(db)).sessions.find((s) => s.id === TODAY)!.done;
    finishSession(at(db), TODAY, true);
    expect([done(), loadWeek(at(db), undefined).days[1]!.sessions.find((s) => s.id === TODAY)!.state]).toEqual([
      true,
      'done',
    ]);
    finishSession(at(db), TODAY, false);
    expect(done()).toBe(false);
    finishSession(at(db), TODAY, true);
    const more = { ...PLAN, sessionId: TODAY };
    expect([planToday(at(db), more).ok, done()]).toEqual([true, false]);
    expect(planToday(at(db), { ...more, sessionId: 'anselm-2026-11-24' }).ok).toBe(false);
  });
  it('called off it is nowhere; taps of a tablet that did not know bring it back', () => {
    const db = world();
    const ids = () => loadFloor(at(db)).sessions.map((s) => s.id);
    expect(callOffSession(at(db), TODAY, true).ok).toBe(true);
    expect([ids().includes(TODAY), loadSessionPlan(at(db), TODAY)!.isCalledOff]).toEqual([false, true]);
    makeLog(db, `${TODAY}-0`).set({});
    expect(ids()).toContain(TODAY);
    callOffSession(at(db), TODAY, false);
    expect(issueOf(callOffSession(at(db), TODAY, true))?.message).toContain('finish');
  });
  it('runs past midnight until it is finished, or four hours past its end, and alone', () => {
    const db = world();
    const { id } = made(db, { day: '2026-11-24', startsAt: '23:30', minutes: 60 });
    const midnight = new Date('2026-11-25T00:00:00').getTime();
    const seen = (ms: number) => loadFloor(at(db, ms)).sessions.some((s) => s.id === id);
    expect([midnight - 1, midnight + HOUR / 2, midnight + 4.4 * HOUR, midnight + 4.6 * HOUR].map(seen)).toEqual([
      ...[true, true, true, false],
    ]);
    expect(loadFloor(at(db, midnight + HOUR)).sessions.map((s) => s.id)).toEqual([id]);
    expect(planToday(at(db, midnight + HOUR), PLAN).ok).toBe(true);
    expect(findSession(db, id)!.items.at(-1)!.movement).toBe(PLAN.movement);
    finishSession(at(db, midnight + HOUR), id, true);
    expect(seen(midnight + HOUR)).toBe(false);
  });
});

const PLAN = {
  ...{ clientId: 'sefina', movement: 'dumbbell-row-one-arm', side: 'right', sets: 3, reps: 12, tempo: '3-1-2-1' },
  ...{ load: 10, unit: 'kg' },
};

describe('a movement of a session', () => {
  const ROWS = ['wilhelmina-2026-11-24-2', 'wilhelmina-2026-11-24-7'];
  const change = { sets: 2, reps: 8, tempo: '3120', load: 30, unit: 'kg' };
  it('is changed with both its sides, or with none of them', () => {
    const db = world();
    expect(changeItem(at(db), ROWS, change).ok).toBe(true);
    expect(ROWS.map((id) => findItem(db, id)!).map((i) => [i.sets, i.reps, i.tempo, i.loadG])).toEqual([
      ...[[2, 8, '3-1-2-0', 30_000]],
      ...[[2, 8, '3-1-2-0', 30_000]],
    ]);
    expect(loadHistory(at(db), 'wilhelmina')[0]).toMatchObject({
      ...{ what: 'Planned movement', before: '3 × 12, 3-1-1-1, 25 kg', after: '2 × 8, 3-1-2-0, 30 kg' },
    });
    expect(issueOf(changeItem(at(db), ROWS, { ...change, load: 31.37 }))?.path).toBe('load');
    expect(issueOf(changeItem(at(db), [...ROWS, 'none'], { ...change, sets: 5 }))?.path).toBe('item');
    expect(findItem(db, ROWS[0]!)!.sets).toBe(2);
    expect(issueOf(changeItem(at(db), ROWS, { ...change, sets: 13 }))?.path).toBe('sets');
    expect(issueOf(changeItem(at(db), 'x', change))?.path).toBe('item');
  });
  it('is laid out in blocks: reps, how near to failure and a load of their own; plain ones are plain', () => {
    const db = world();
    const aims = [
      { sets: 2, reps: 20, reserve: '', load: '' },
      { sets: 1, reps: 8, reserve: '0', load: 35 },
    ];
    const laid = { tempo: '3-1-2-1', load: 25, unit: 'kg', aims };
    expect(changeItem(at(db), ROWS, laid)).toMatchObject({ ok: true });
    expect(findItem(db, ROWS[0]!)).toMatchObject({
      ...{ sets: 3, reps: 20, loadG: 25_000 },
      aims: [
        { sets: 2, reps: 20, reserve: null, loadG: null },
        { sets: 1, reps: 8, reserve: 0, loadG: 35_000 },
      ],
    });
    expect(loadHistory(at(db), 'wilhelmina')[0]!.after).toBe('2 × 20, then 1 × 8 at 35 kg to failure, 3-1-2-1, 25 kg');
    const block = loadSessionPlan(at(db), 'wilhelmina-2026-11-24')!.blocks.find((b) => b.itemIds.includes(ROWS[0]!))!;
    // 48 reps of 7 s and two rests.
    expect(itemSeconds(block.items[0]!)).toBe(48 * 7 + 2 * block.items[0]!.restS);
    const wrong = (more: object) =>
      issueOf(changeItem(at(db), ROWS, { ...laid, aims: [{ ...aims[0], ...more }] }))?.path;
    expect(wrong({ reps: 0 })).toBe('aims.0.reps');
    expect(wrong({ reserve: '9' })).toBe('aims.0.reserve');
    expect(wrong({ load: 31.37 })).toBe('aims.0.load');
    const copy = made(db, { clientId: 'wilhelmina', from: 'session', fromId: 'wilhelmina-2026-11-24' });
    expect(copy.items.find((i) => i.movement === block.movement)!.aims).toHaveLength(2);
    // On another body's copy the loads of blocks are on the steps that are there, and none over a clinician's limit.
    const limited = findClient(db, 'wilhelmina')!;
    const limit = { subject: 'load-in-hand', side: 'both', most: 30, setBy: 'p', fromDay: 0, untilDay: null } as const;
    saveClient(db, { ...limited, limits: [limit] }, 'marit');
    const safe = made(db, { clientId: 'wilhelmina', from: 'session', fromId: 'wilhelmina-2026-11-24' });
    expect(safe.items.find((i) => i.movement === block.movement)!.aims![1]!.loadG).toBe(30_000);
    saveClient(db, limited, 'marit');
    changeItem(at(db), ROWS, { ...laid, aims: aims.slice(0, 1) });
    expect(findItem(db, ROWS[0]!)).toMatchObject({ sets: 2, reps: 20, aims: null });
    db.prepare('UPDATE session_item SET aims = ? WHERE id = ?').run('[{"sets":0}]', ROWS[0]);
    expect(loadSessionPlan(at(db), 'wilhelmina-2026-11-24')!.unreadable).toBe(1);
  });
  it('is skipped with a reason: the floor says so, nothing leads there, and it can be done after all', () => {
    const db = world();
    const first = `${TODAY}-0`;
    skipItem(at(db), [first], 'station taken');
    const [item] = loadFloor(at(db)).sessions[0]!.items;
    expect([item!.state, item!.skipped]).toEqual(['skipped', 'station taken']);
    expect(loadSet(at(db), `${TODAY}-1`)!.next).toBeNull();
    expect(loadSessionPlan(at(db), TODAY)!.blocks.map((b) => b.skipped)).toEqual(['station taken', null]);
    skipItem(at(db), [first], null);
    expect(loadFloor(at(db)).sessions[0]!.items[0]!.state).toBe('to-do');
    expect(issueOf(skipItem(at(db), [first], ' '))?.path).toBe('reason');
    expect(
      loadHistory(at(db), 'sefina')
        .slice(0, 2)
        .map((c) => [c.what, c.after]),
    ).toEqual([
      ['Skipped, because', 'ended'],
      ['Skipped, because', 'station taken'],
    ]);
  });
  it('is taken out and put back as the last; what has records is not, and taps that come later bring it back', () => {
    const db = world();
    const ids = () => findSession(db, TODAY)!.items.map((i) => i.id);
    const [a, b] = ids() as [string, string];
    takeItemOut(at(db), [a], true);
    expect(ids()).toEqual([b]);
    takeItemOut(at(db), [a], false);
    expect(ids()).toEqual([b, a]);
    takeItemOut(at(db), [b], true);
    expect(planToday(at(db), PLAN).ok).toBe(true);
    makeLog(db, b).set({});
    expect(ids().at(-1)).toBe(b);
    expect(issueOf(takeItemOut(at(db), [b], true))?.message).toContain('skip');
  });
});

describe('a station that two want at once', () => {
  const ANSELM = 'anselm-2026-11-24';
  it('is told with whom, the nearest start that is free, and columns that serve instead', () => {
    const db = world();
    moveSession(at(db), ANSELM, { day: '2026-11-24', startsAt: '9:00', minutes: 60 });
    const of = (id: string) => loadSessionPlan(at(db), id)!.wanted;
    const wanted = of(ANSELM)!;
    expect(wanted).toMatchObject({
      says: [expect.stringMatching(/^Long pair.* is wanted by Sefina .* from about 09:20/)],
    });
    expect(wanted.start).toBe('09:40');
    const [standIn] = wanted.standIns;
    // The floor solves them when it is asked to.
    expect(findStandIns(at(db), ANSELM)).toMatchObject({ ok: true, kept: wanted.standIns });
    expect(standIn!.stationId).not.toBe('long-pair');
    // On the other column the hand feels the same: the stack goes by the pulleys, and the set can be done there.
    expect(moveToStation(at(db), standIn!.itemIds, standIn!.stationId).ok).toBe(true);
    expect(of(ANSELM)).toBeNull();
    for (const id of standIn!.itemIds) {
      expect(findItem(db, id)!.stationId).toBe(standIn!.stationId);
      expect(loadSet(at(db), id)!.blocked).toBeNull();
    }
    expect(loadHistory(at(db), 'anselm')[0]!.what).toBe('Column');
    expect(issueOf(moveToStation(at(db), standIn!.itemIds, 'nowhere'))?.path).toBe('stationId');
    // Under way nobody is sent away.
    moveSession(at(db), TODAY, { day: '2026-11-24', startsAt: '9:15', minutes: 60 });
    moveToStation(at(db), standIn!.itemIds, 'long-pair');
    makeLog(db, `${ANSELM}-0`).begin();
    expect(of(ANSELM)).toMatchObject({ start: null, standIns: [] });
  });
});

describe('seconds between movements', () => {
  it('follow from what this gym’s sessions took, then from what was entered; emptied they are learned again', () => {
    const db = world();
    const between = (d: Db, nowMs = NOW) => loadSessionPlan(at(d, nowMs), TODAY)!.times.hole;
    expect(between(db)).toEqual({ seconds: 30, isWhole: false });
    for (let day = 1; day <= 8; day++) {
      const { items } = made(db, { day: `2026-11-${10 + day}`, from: 'session', fromId: TODAY });
      const startMs = new Date(`2026-11-${10 + day}T18:30:00`).getTime();
      makeLog(db, items[0]!.id, startMs).set({}, 0);
      makeLog(db, items[1]!.id, startMs).set({}, 100_000 + 1000 * day);
    }
    const later = NOW + 24 * HOUR;
    expect(between(db, later).isWhole).toBe(true);
    expect(Math.abs(between(db, later).seconds - 104)).toBeLessThan(3);
    const typed = { side: '', hole: 50, handle: '', station: '' };
    expect(saveChangeTimes(at(db), 'tidewater', typed).ok).toBe(true);
    expect(between(db, later)).toEqual({ seconds: 50, isWhole: false });
    saveChangeTimes(at(db), 'tidewater', { ...typed, hole: '' });
    expect(between(db, later).isWhole).toBe(true);
    expect(issueOf(saveChangeTimes(at(db), 'tidewater', { ...typed, side: -1 }))?.path).toBe('side');
    expect(issueOf(saveChangeTimes(at(db), 'nowhere', typed))?.path).toBe('gym');
  });
});

describe('a week', () => {
  it('begins on Monday, whichever day is asked for, and tells each day’s own sessions with how far they are', () => {
    const db = world();
    for (const day of ['2026-11-23', '2026-11-29', undefined, 'soon'])
      expect(loadWeek(at(db), day)).toMatchObject({ monday: '2026-11-23', before: '2026-11-16', after: '2026-11-30' });
    makeLog(db, `${TODAY}-0`).set({});
    made(db, { day: '2026-11-29' });
    // A set-up that is saved ahead begins nothing; stopped for pain a movement is over.
    const state = () => loadWeek(at(db), undefined).days[1]!.sessions.map((s) => s.state);
    expect(state()).toEqual(['under-way', 'planned', 'planned']);
    const week = loadWeek(at(db), undefined);
    expect(week.days.map((d) => d.sessions.length)).toEqual([0, 3, 0, 0, 0, 0, 1]);
    expect(week.days[1]!.sessions.map((s) => [s.clientName.split(' ')[0], s.state, s.movements])).toEqual([
      ...[
        ['Sefina', 'under-way', 2],
        ['Anselm', 'planned', 3],
        ['Wilhelmina', 'planned', 7],
      ],
    ]);
    expect(loadWeek(at(db, NOW, RELIEF), undefined).days.flatMap((d) => d.sessions)).toEqual([]);
    expect(loadWeek(asOwner(db), undefined).days[1]!.sessions).toHaveLength(3);
    for (const k of [0, 1]) makeLog(db, `${TODAY}-${k}`).stop();
    expect(state()).toEqual(['done', 'planned', 'planned']);
  });
});
