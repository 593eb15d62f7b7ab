import { describe, expect, it } from 'vitest';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { foldSetLog } from '@/core/record/set-log';
import { usualOptions } from '@/core/book/entry-options';
import { entryOf } from '@/core/book/book';
import type { Db } from '@/data/open-db';
import { listEventsOf, listFloorEvents } from '@/data/queries/floor-events';
import { appendFloorEvents, foldSome, forgetFolds } from '@/data/queries/folds';
import { inShort, readNewest, readRecent, recentItems, watchedSets } from '@/data/queries/newest-records';
import { foldsHold, readFolds } from '@/data/queries/read-folds';
import { addSession, plannedItemsOf } from '@/data/queries/sessions';
import { seeded } from './support/fixtures';
import { loadLedger } from '@/server/ledger';
import { at, NOW, world } from './support/world';

const CLIENT = 'anselm';
const MOVEMENT = 'cable-fly-level' as const;
const DAY_MS = 86_400_000;
const FAULTS = ['shrugs', 'elbow-flares', 'elbow-swings'] as const;
const SESSIONS = 5;

/** Sessions of one movement, both sides of one-arm days as items of their own. */
function planned(db: Db): readonly string[] {
  return Array.from({ length: SESSIONS }, (_, k) => {
    const items = ['left', 'right'].map((side, position) => ({
      ...{ id: `it${k}${side}`, sessionId: `se${k}`, position, movement: MOVEMENT, variantId: null },
      ...{ side: side as 'left', stationId: 'long-pair', attachmentId: 'd-handle', bandId: null },
      ...{ sets: 3, reps: 10, tempo: '3-1-2-1', loadG: 5000 },
    }));
    const startsAtMs = NOW - (SESSIONS - k) * 7 * DAY_MS;
    addSession(db, { id: `se${k}`, gymId: 'tidewater', clientId: CLIENT, startsAtMs, minutes: 60, items }, 'trainer');
    return items.map((i) => i.id);
  }).flat();
}

/** What two tablets might tap over those sessions: sets, faults, corrections judged a session later, and taken back. */
function taps(items: readonly string[], seed: number): FloorEvent[] {
  const random = seeded(seed);
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const skewMs = { a: 0, b: Math.round((random() - 0.5) * 600_000) };
  const seq = { a: 0, b: 0 };
  const events: FloorEvent[] = [];
  let atMs = NOW - 60 * DAY_MS;
  const tap = (itemId: string, body: FloorEventBody): string => {
    const deviceId = one(['a', 'b'] as const);
    atMs += 500 + Math.round(random() * 4000);
    const id = `e${seed}-${events.length}`;
    events.push({
      ...body,
      ...{ id, actorId: 'trainer', deviceId, seq: (seq[deviceId] += 1), atMs: atMs + skewMs[deviceId] },
      ...{ clientId: CLIENT, itemId, movement: MOVEMENT },
    });
    return id;
  };
  const given: { id: string; item: string }[] = [];
  const options = usualOptions(entryOf(MOVEMENT));
  for (const [k, item] of items.entries()) {
    atMs = NOW - (items.length - k) * 3 * DAY_MS;
    const kept = { placement: null, solved: null, off: random() < 0.3, stationId: 'long-pair', attachmentId: null };
    if (random() < 0.7) tap(item, { kind: 'setup-saved', ...kept, side: 'left', options });
    for (let n = 1; n <= 2; n++) {
      const setId = `s${seed}-${item}-${n}`;
      tap(item, { kind: 'set-started', setId, setNo: n, loadG: 5000, targetReps: 10, tempo: '3-1-2-1' });
      for (let rep = 1; rep <= 4; rep++) {
        tap(item, { kind: 'rep', setId, rep });
        if (random() < 0.4)
          tap(item, { kind: 'fault', setId, rep, fault: one(FAULTS), side: 'both', severity: one([1, 2, 3] as const) });
      }
      if (random() < 0.3) tap(item, { kind: 'clean', setId, rep: 3 });
      if (random() < 0.2) tap(item, { kind: 'pain', setId, rep: 2 });
      tap(item, { kind: 'set-ended', setId, reps: 4 });
      if (random() < 0.5) tap(item, { kind: 'set-confirmed', setId, loadG: 7500, reps: 5 });
      for (const before of given.splice(0))
        if (random() < 0.8) {
          const id = tap(item, {
            kind: 'outcome',
            correctionId: before.id,
            setId,
            outcome: one(['held', 'not'] as const),
          });
          if (random() < 0.2) tap(item, { kind: 'undo', eventId: id });
        }
      if (random() < 0.7) {
        const told = { fault: one(FAULTS), correction: 'blades-down' as const, cause: 'cue' as const };
        given.push({ id: tap(item, { kind: 'correction', setId, ...told }), item });
      }
      if (random() < 0.3) tap(item, { kind: 'undo', eventId: one(events.slice(-6)).id });
    }
  }
  return events;
}

const byKey = (list: readonly object[]): string[] => list.map((x) => JSON.stringify(x, Object.keys(x).sort())).sort();

/** The fold of everything on record beside the rows that were kept. */
function expectSame(db: Db): void {
  const { rows } = listFloorEvents(db, CLIENT, MOVEMENT);
  const whole = foldSetLog(rows, plannedItemsOf(db, CLIENT));
  const kept = readFolds(db, { clientId: CLIENT, movement: MOVEMENT }).get(MOVEMENT);
  expect((kept?.sets ?? []).toSorted((a, b) => (a.setId < b.setId ? -1 : 1))).toEqual(
    whole.sets.toSorted((a, b) => (a.setId < b.setId ? -1 : 1)),
  );
  expect(byKey(kept?.pains ?? [])).toEqual(byKey(whole.pains));
  expect(byKey(kept?.setups ?? [])).toEqual(byKey(whole.setups));
  // What is at hand from the last time it was asked for is not told any more once something came.
  const items = recentItems(db, CLIENT, MOVEMENT);
  expect(readRecent(db, CLIENT, MOVEMENT, [])).toEqual(readFolds(db, { clientId: CLIENT, items }).get(MOVEMENT));
  const newest = readNewest(db, CLIENT, null);
  expect(newest.byMovement).toEqual(readFolds(db, { clientId: CLIENT, items: newest.items }));
  expect(readNewest(db, CLIENT, MOVEMENT).byMovement.get(MOVEMENT)).toEqual(kept);
  expect(inShort(db, CLIENT).sets).toBeGreaterThanOrEqual(whole.sets.length);
}

describe('folds kept beside the records', () => {
  it.each(Array.from({ length: 12 }, (_, k) => k + 1))(
    'shuffled, doubled, judged and taken back before and after, log %d: rows equal the fold of everything',
    (seed) => {
      const db = world();
      const items = planned(db);
      const random = seeded(1000 + seed);
      const events = taps(items, seed);
      const coming = [...events, ...events.filter(() => random() < 0.3)]
        .map((e) => [random(), e] as const)
        .sort((a, b) => a[0] - b[0])
        .map(([, e]) => e);
      while (coming.length > 0) {
        appendFloorEvents(db, coming.splice(0, 1 + Math.floor(random() * 40)), NOW);
        if (random() < 0.2) expectSame(db);
      }
      expectSame(db);
    },
    30_000,
  );
  it('records from before there were folds are folded when they are read, and all of them in batches', () => {
    const db = world();
    appendFloorEvents(db, taps(planned(db), 77), NOW);
    forgetFolds(db);
    expectSame(db);
    forgetFolds(db);
    let times = 0;
    while (foldSome(db, 3) > 0) times += 1;
    expect(times).toBeGreaterThan(2);
    expect(foldSome(db, 3)).toBe(0);
    expectSame(db);
    expect(foldsHold(db, 40)).toBe(true);
    // A fold that somebody else wrote is found out by chance, and all are made anew.
    db.exec('UPDATE set_fold SET reps = reps + 1');
    expect(foldsHold(db, 40)).toBe(false);
  });
  it('as many rows are read for the next set after 50 sessions as after 500, by an index', () => {
    const db = world();
    const grow = (from: number, to: number): void => {
      for (let k = from; k < to; k++) {
        const item = { id: `g${k}`, sessionId: `gs${k}`, position: 0, movement: MOVEMENT, variantId: null };
        const plan = { side: 'both' as const, stationId: 'long-pair', attachmentId: 'd-handle', bandId: null };
        const items = [{ ...item, ...plan, sets: 3, reps: 10, tempo: '3-1-2-1', loadG: 5000 }];
        const startsAtMs = NOW - (600 - k) * DAY_MS;
        addSession(
          db,
          { id: `gs${k}`, gymId: 'tidewater', clientId: CLIENT, startsAtMs, minutes: 60, items },
          'trainer',
        );
        const base = { actorId: 'trainer', deviceId: 'a', clientId: CLIENT, itemId: `g${k}`, movement: MOVEMENT };
        const bodies: FloorEventBody[] = [
          { kind: 'set-started', setId: `gset${k}`, setNo: 1, loadG: 5000, targetReps: 10, tempo: '3-1-2-1' },
          { kind: 'set-ended', setId: `gset${k}`, reps: 10 },
        ];
        appendFloorEvents(
          db,
          bodies.map((b, n) => ({ ...b, ...base, id: `g${k}-${n}`, seq: 2 * k + n, atMs: startsAtMs + n })),
          NOW,
        );
      }
    };
    const read = () => {
      const items = recentItems(db, CLIENT, MOVEMENT);
      const watched = watchedSets(db, CLIENT).get(MOVEMENT)!;
      return [items.length, listEventsOf(db, items).rows.length, watched.length];
    };
    grow(0, 50);
    const few = read();
    grow(50, 500);
    expect(read()).toEqual(few);
    expect(inShort(db, CLIENT).sets - 500).toBeLessThan(30);
    const shown = (whole: string | null) => {
      const m = loadLedger(at(db), CLIENT, whole)!.movements.find((x) => x.movement === MOVEMENT)!;
      return [m.sessions.length, m.sessions.length + m.earlier];
    };
    const [all] = shown(MOVEMENT);
    expect(all).toBeGreaterThanOrEqual(500);
    expect(shown(MOVEMENT)).toEqual([all, all]);
    expect(shown(null)).toEqual([12, all]);
    const plan = db.prepare('EXPLAIN QUERY PLAN SELECT * FROM floor_event WHERE item_id = ?').all('x');
    expect(JSON.stringify(plan)).toContain('floor_event_by_item');
  });
});
