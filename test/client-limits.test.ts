import Database from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import type { KitPiece } from '@/contract/views/kit';
import { type Db } from '@/data/open-db';
import { loadScreening, saveScreening } from '@/server/screening';
import { loadMeasuringGuide } from '@/server/measuring-guide';
import { findKit, saveKit } from '@/data/queries/kit';
import { solveCase } from '@/solver/solve-case';
import { caseSchema } from '@/contract/case';
import { saveClient, findClient } from '@/data/queries/clients';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { planToday } from '@/server/plan';
import { at, world } from './support/world';
import { ITEM, issuesOf, PLAN } from './support/forms';

describe('kit that is out of order', () => {
  const broken = (id: string) => {
    const db = world();
    saveKit(db, { ...findKit(db, id)!, outOfOrder: true }, 'trainer');
    return db;
  };
  it('a column is passed over for another of its kind in the same gym, and the floor says so', () => {
    const db = broken('long-pair');
    const context = loadItem(at(db), ITEM)!;
    expect([context.station!.id, context.replaced]).toEqual([
      'short-pair',
      [{ kind: 'column', why: 'out-of-order', planned: 'Long pair by the window', by: 'Short pair at the stairs' }],
    ]);
    expect(loadFloor(at(db)).sessions[1]!.items[0]!.settingsNote).toMatch(/^solved/);
    // Asked for by name it is still shown, with its warning.
    expect(loadItem(at(db), ITEM, 'long-pair')!.station!.id).toBe('long-pair');
  });
  it('a handle is passed over for another of its kind', () => {
    const context = loadItem(at(broken('d-handle')), ITEM)!;
    expect([context.attachment!.id, context.replaced[0]!.by]).toEqual(['short-strap', 'D-handle on a short strap']);
  });
});

describe('limits, notes and screening', () => {
  const withClient = (change: object) => {
    const db = world();
    saveClient(db, { ...findClient(db, 'anselm')!, ...change }, 'trainer');
    return db;
  };
  const solve = (db: Db) => solveCase(caseSchema.parse(loadItem(at(db), ITEM)!.setupCase));
  const day = Date.parse('2026-11-24T00:00:00Z') / 86_400_000;
  const limit = (over: object) =>
    ({
      subject: 'shoulder.horizontalAbduction',
      side: 'both',
      most: 2,
      setBy: 'physiotherapist',
      fromDay: day - 5,
      untilDay: day + 5,
      ...over,
    }) as never;
  const startDeg = (db: Db) => solve(db).best!.why.find((w) => /the shoulder line:/.test(w))!;
  it('a clinician’s limit on a joint is never passed by the solver, while it stands', () => {
    expect(startDeg(withClient({ limits: [limit({})] }))).toMatch(/^2\.0° .*clinician’s limit/);
    expect(startDeg(withClient({ limits: [limit({ untilDay: day - 1, fromDay: day - 9 })] }))).not.toContain(
      'clinician',
    );
  });
  it('a limit on the load blocks a set-up and a plan above it', () => {
    const db = withClient({ limits: [limit({ subject: 'load-in-hand', most: 8 })] });
    expect(solve(db)).toMatchObject({ feasible: false, blockedBy: [{ limit: 'load', need: 15, have: 8 }] });
    const plan = { ...PLAN, clientId: 'anselm' };
    expect(issuesOf(planToday(at(db), plan))).toEqual([
      'load: expected at most 8 kg here: a clinician’s limit of 8 kg in the hand',
    ]);
    // A 2 : 1 pulley halves what is in the hand.
    expect(planToday(at(db), { ...plan, stationId: 'short-pair', load: 15 }).ok).toBe(true);
  });
  it('a shoulder note stops the stretch level with the trunk', () =>
    expect(startDeg(withClient({ notes: ['shoulder'], range: {} }))).toMatch(/^0\.0° .*shoulder note/));
  it('a screening is kept, judged by the gym’s own setting, and cannot lie ahead', () => {
    const db = world();
    expect(loadScreening(at(db), 'wilhelmina', 'tidewater').state).toEqual({ state: 'old', daysOver: 35 });
    expect(
      issuesOf(saveScreening(at(db), 'wilhelmina', { day: '2027-01-01', doneBy: 'N. C.', procedure: 'form' })),
    ).toEqual(['day: expected today or a day before']);
    expect(saveScreening(at(db), 'wilhelmina', { day: '2026-11-24', doneBy: 'N. C.', procedure: 'form' }).ok).toBe(
      true,
    );
    expect(loadScreening(at(db), 'wilhelmina', 'tidewater').state).toEqual({ state: 'done', dueDay: day + 365 });
    expect(loadScreening(at(db), 'iolana', null).state).toEqual({ state: 'missing' });
    expect(() => db.exec('DELETE FROM screening')).toThrow(/append-only/);
  });
});

describe('the measuring guide', () => {
  it('puts the height that the line hangs on first, leaves out what changes nothing and what is measured', () => {
    const anselm = loadMeasuringGuide(at(world()), 'anselm');
    expect(anselm.setups).toBeGreaterThan(1);
    expect(anselm.worth[0]!.measure).toBe('shoulderHeight');
    expect(anselm.worth.map((w) => w.measure)).not.toContain('foot');
    expect(anselm.worth.map((w) => w.lineDeg)).toEqual(anselm.worth.map((w) => w.lineDeg).toSorted((a, b) => b - a));
    expect(loadMeasuringGuide(at(world()), 'wilhelmina').worth.map((w) => w.measure)).not.toContain('shoulderHeight');
    expect(loadMeasuringGuide(at(world()), 'iolana')).toEqual({ setups: 0, worth: [] });
  });
  it('is told anew once something that it follows from has changed', () => {
    const db = world();
    const guide = () => {
      const told = loadMeasuringGuide(at(db), 'anselm');
      expect(told).toEqual(loadMeasuringGuide(at(new Database(db.serialize())), 'anselm'));
      return JSON.stringify(told);
    };
    const before = guide();
    expect(guide()).toBe(before);
    const column = findKit(db, 'long-pair') as KitPiece<'column'>;
    saveKit(db, { ...column, spec: { ...column.spec, travelCm: 50 } }, 'trainer');
    guide();
    saveClient(db, { ...findClient(db, 'anselm')!, statureM: 1.6 }, 'trainer');
    expect(guide()).not.toBe(before);
    saveClient(db, { ...findClient(db, 'anselm')!, measuredM: { shoulderHeight: 1.31 } }, 'trainer');
    expect(guide()).not.toContain('shoulderHeight');
    db.exec(`UPDATE session_item SET attachment_id = NULL, station_id = NULL WHERE id = '${ITEM}'`);
    guide();
  });
});
