import Database from 'better-sqlite3';
import { clock } from '@/messages/day';
import { describe, expect, it } from 'vitest';
import type { FloorEvent } from '@/core/record/floor-event';
import { slowOf } from '@/core/tempo/pace';
import type { Db } from '@/data/open-db';
import type { KitPiece } from '@/contract/views/kit';
import type { Variant } from '@/contract/views/plan';
import { findKit, saveKit } from '@/data/queries/kit';
import { findClient, saveClient } from '@/data/queries/clients';
import { keepSide } from '@/data/queries/practice-choices';
import { addSession, findItem, setFinished, setSkipped, setStation, takeOut } from '@/data/queries/sessions';
import { saveVariant } from '@/data/queries/variants';
import { dayOf, toLocalDay } from '@/server/clock';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { loadLedger } from '@/server/ledger';
import { recordEvents } from '@/server/record-events';
import { loadSet } from '@/server/set';
import { RELIEF } from '../demo/people';
import { at, NOW, world } from './support/world';

const DAY = '2026-11-24';

let n = 0;
function tap(db: Db, client: string, index: number, ...bodies: object[]): void {
  const events = bodies.map((body) => {
    n += 1;
    const item = loadItem(at(db), `${client}-${DAY}-${index}`)!.item;
    return {
      id: `v${n}`,
      deviceId: 'd',
      seq: n,
      atMs: NOW + n * 1000,
      clientId: client,
      itemId: item.id,
      movement: item.movement,
      ...body,
    } as FloorEvent;
  });
  const result = recordEvents(at(db), { events });
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
}
const started = (setId: string, setNo: number) => ({
  kind: 'set-started',
  setId,
  setNo,
  loadG: 7500,
  targetReps: 12,
  tempo: '3-1-2-1',
});
const ended = (setId: string) => ({ kind: 'set-ended', setId, reps: 12 });
/** The floor; whatever is at hand of it tells what a connection tells that has nothing at hand. */
function view(db: Db, nowMs = NOW) {
  const told = loadFloor(at(db, nowMs));
  expect(told).toEqual(loadFloor(at(new Database(db.serialize()), nowMs)));
  return told;
}

describe('who is next', () => {
  it('the first session that is not over', () => {
    expect(view(world()).nextId).toBe(`sefina-${DAY}`);
    expect(view(world(), NOW + 1.2 * 3_600_000).nextId).toBe(`anselm-${DAY}`);
  });
  it('stays with a client whose set is open, whatever the clock says', () => {
    const db = world();
    tap(db, 'sefina', 0, started('a', 1));
    const late = view(db, NOW + 3 * 3_600_000);
    expect(late.nextId).toBe(`sefina-${DAY}`);
    expect(late.sessions[0]!.items[0]!.state).toBe('under-way');
  });
  it('moves on a quarter of an hour after who goes home with a set to do', () => {
    const db = world();
    tap(db, 'sefina', 0, started('a', 1), ended('a'));
    const at = (hours: number) => view(db, NOW + hours * 3_600_000);
    expect(at(0.5)).toMatchObject({ nextId: `sefina-${DAY}`, sessions: [{ underWay: true }, {}, {}] });
    expect(at(1.2)).toMatchObject({ nextId: `anselm-${DAY}`, sessions: [{ underWay: false, done: false }, {}, {}] });
  });
  it('moves on from an open set that pain stopped, or whose session is finished', () => {
    const later = NOW + 1.2 * 3_600_000;
    const stopped = world();
    tap(stopped, 'sefina', 0, started('a', 1), { kind: 'pain', setId: 'a', rep: 1 });
    expect(view(stopped, later).nextId).toBe(`anselm-${DAY}`);
    const finished = world();
    tap(finished, 'sefina', 0, started('a', 1));
    setFinished(finished, `sefina-${DAY}`, NOW);
    expect(view(finished, later)).toMatchObject({ nextId: `anselm-${DAY}`, sessions: [{ underWay: false }, {}, {}] });
  });
  it('moves on when every movement is done or stopped', () => {
    const db = world();
    for (const [i, id] of ['a', 'b', 'c'].entries()) tap(db, 'sefina', 0, started(id, i + 1), ended(id));
    tap(db, 'sefina', 1, { kind: 'pain', setId: null, rep: 0 });
    const [sefina] = view(db).sessions;
    expect(sefina!.items.map((i) => i.state)).toEqual(['done', 'stopped']);
    expect(sefina!.done).toBe(true);
    expect(view(db).nextId).toBe(`anselm-${DAY}`);
  });
  it('a day is midnight to midnight', () => {
    const { fromMs, toMs } = dayOf(NOW);
    expect([new Date(fromMs).getHours(), new Date(toMs).getHours()]).toEqual([0, 0]);
    expect(view(world(), NOW + 86_400_000).sessions).toEqual([]);
    expect(view(world(), NOW + 86_400_000).nextId).toBeNull();
  });
});

describe('plates on the floor', () => {
  const firstItem = (db: Db) => view(db).sessions[0]!.items[0]!;
  it('are solved, named and dashed only while the shoulder is estimated', () => {
    const db = world();
    const [sefina, anselm] = view(db).sessions;
    expect(sefina!.items[0]!.settingsNote).toBe('solved from measured shoulder height');
    expect(anselm!.items[0]!.settings[0]).toMatchObject({ label: 'Hole, both sides', estimated: true });
    expect(sefina!.items[0]!.settings.map((p) => p.label)).toEqual([
      'Hole, both sides',
      'Mark, in front',
      'Lean',
      'Stack, each side',
      'Handle',
    ]);
  });
  it('become what was saved, and say what changed since last time', () => {
    const db = world();
    const placement = { hole: 12, standX: -0.1, standZ: 0, yawDeg: 0 };
    tap(db, 'sefina', 0, {
      kind: 'setup-saved',
      placement,
      solved: null,
      off: true,
      stationId: 'long-pair',
      attachmentId: 'd-handle',
      side: 'both',
      options: { peak: 'even', tiltDeg: 55, frontFoot: 'left' },
    });
    const item = firstItem(db);
    expect(item.settings.slice(0, 2)).toMatchObject([{ value: '12' }, { label: 'Mark, behind', value: '10' }]);
    expect(item.since).toEqual([expect.stringMatching(/^last time hole \d+, \d+ cm$/)]);
  });
  it('a station that cannot serve is told instead of drawn', () => {
    const db = world();
    const station = findKit(db, 'long-pair') as KitPiece<'column'>;
    saveKit(db, { ...station, spec: { ...station.spec, travelCm: 50 } }, 'trainer');
    const item = firstItem(db);
    expect(item.blocked).toContain('The cable is too short');
    expect(item.settings.map((p) => p.label)).toEqual(['Stack, each side', 'Handle']);
    expect(loadSet(at(db), `sefina-${DAY}-0`)).toMatchObject({ settings: [], rep: { loaded: null } });
  });
  it('the watch list comes from the ledger, two at most', () => {
    expect(view(world()).sessions[0]!.items[0]!.watch.map((w) => w.fault)).toEqual(['shrugs', 'line-off-arm']);
  });
});

describe('movements at hand', () => {
  const ITEM = `sefina-${DAY}-0`;
  const client = (db: Db) => findClient(db, 'sefina')!;
  const column = (db: Db) => findKit(db, 'long-pair') as KitPiece<'column'>;
  it.each<[string, (db: Db) => void]>([
    ['a tap', (db) => tap(db, 'sefina', 0, started('x', 1))],
    ['a body', (db) => saveClient(db, { ...client(db), statureM: 1.9, measuredM: {} }, 'marit')],
    ['a note', (db) => saveClient(db, { ...findClient(db, 'wilhelmina')!, notes: ['shoulder'] }, 'marit')],
    ['a name on steel', (db) => saveKit(db, { ...column(db), name: 'Pair at the wall' }, 'owner')],
    ['holes', (db) => saveKit(db, { ...column(db), spec: { ...column(db).spec, travelCm: 60 } }, 'owner')],
    ['a skipped movement', (db) => setSkipped(db, ITEM, 'time')],
    ['a load', (db) => setStation(db, ITEM, 'long-pair', 5000, null)],
    ['a movement taken out', (db) => takeOut(db, { id: ITEM, sessionId: `sefina-${DAY}` }, NOW)],
    [
      'a variant',
      (db) => {
        const variant = {
          id: 'v',
          movement: 'cable-fly-level',
          name: 'Higher',
          cue: '',
          options: { tiltDeg: 30 },
          keptAtMs: NOW,
        };
        saveVariant(db, variant as Variant, 'marit');
        db.prepare('UPDATE session_item SET variant_id = ? WHERE id = ?').run('v', ITEM);
        view(db);
        saveVariant(db, { ...variant, name: 'Lower' } as Variant, 'marit');
      },
    ],
    ['a side taken once', (db) => keepSide(db, { accountId: 'marit' }, 'range-top', 'stop-at-ninety', NOW)],
  ])('%s: what changed is told at once', (_, change) => {
    const db = world();
    const items = () => view(db).sessions.map((s) => s.items);
    const before = items();
    for (const [k, own] of items().entries()) expect(own).toBe(before[k]);
    change(db);
    expect(items()).not.toEqual(before);
  });
});

describe('what the day asks for besides', () => {
  const HOUR_MS = 3_600_000;
  it('a set of an earlier day that nobody ended, until somebody does', () => {
    const db = world();
    const start = { loadG: 7500, targetReps: 12, tempo: '3-1-2-1', setNo: 1 };
    const yesterday = NOW - 24 * HOUR_MS;
    tap(db, 'sefina', 0, { kind: 'set-started', setId: 'left', ...start, atMs: yesterday });
    expect(view(db).unfinished).toMatchObject([
      { text: expect.stringMatching(/^Sefina Taualofa, .*: set 1 of 23 Nov/) },
    ]);
    expect(loadFloor(at(db, NOW, RELIEF)).unfinished).toEqual([]);
    tap(db, 'sefina', 0, { kind: 'set-ended', setId: 'left', reps: 9, atMs: yesterday + 60_000 });
    expect(view(db).unfinished).toEqual([]);
  });
  it('a station that two want at once, without the name of another trainer’s client', () => {
    const db = world();
    const plan = (id: string, clientId: string, startsAtMs: number) =>
      addSession(
        db,
        {
          ...{ id, clientId, startsAtMs, gymId: 'tidewater', minutes: 60 },
          items: [{ ...findItem(db, `sefina-${DAY}-0`)!, id: `${id}-0`, sessionId: id }],
        },
        'marit',
      );
    const [before] = view(db).sessions;
    expect(before!.wanted).toBeNull();
    plan('theirs', 'corvin', before!.startsAtMs + HOUR_MS / 12);
    plan('own', 'iolana', before!.startsAtMs - HOUR_MS / 12);
    const named = new Map(view(db).sessions.map((s) => [s.id, s]));
    expect(named.get(before!.id)!.wanted!.says).toEqual([
      'Long pair by the window is wanted by Iolana Brzezicki too, from about 09:20.',
      'Long pair by the window is wanted by another trainer’s client too, from about 09:20.',
    ]);
    // Before it begins there is a way out: twenty minutes later both have left the column.
    const early = loadFloor(at(db, before!.startsAtMs - 3 * HOUR_MS)).sessions.find((s) => s.id === before!.id)!;
    expect(early.wanted!.start).toBe(clock(before!.startsAtMs + HOUR_MS / 3));
    expect(named.get(before!.id)!.lane).not.toBe(named.get('own')!.lane);
  });
  it('of a full day six sessions with their settings, of the others what is done in them', () => {
    const db = world();
    const plan = (clientId: string, hours: number) =>
      addSession(
        db,
        {
          ...{ id: `more-${hours}`, clientId, gymId: 'tidewater', startsAtMs: NOW + hours * HOUR_MS, minutes: 60 },
          items: [{ ...findItem(db, `sefina-${DAY}-0`)!, id: `more-${hours}-0`, sessionId: `more-${hours}` }],
        },
        'marit',
      );
    const usual = view(db);
    expect(usual.others).toEqual([]);
    for (const hours of [-3, 3, 4, 5, 6, 7]) plan('sefina', hours);
    const told = view(db);
    expect(told.sessions.map((s) => s.id)).toEqual([...usual.sessions.map((s) => s.id), 'more-3', 'more-4', 'more-5']);
    expect(told.others).toMatchObject(
      [6, 7, -3].map((hours) => ({
        id: `more-${hours}`,
        ...{ movements: ['Cable fly, high to low'], progress: '0 of 3 sets', isTouched: false, done: false },
      })),
    );
    expect(told.nextId).toBe(usual.nextId);
    // Whoever steps onto the floor is told in full, whatever was planned; who is there from the start stays.
    const { movement } = findItem(db, 'more-7-0')!;
    const own = { clientId: 'sefina', itemId: 'more-7-0', movement };
    tap(db, 'sefina', 0, { ...started('early', 1), ...own });
    expect(view(db)).toMatchObject({
      nextId: 'more-7',
      others: [{ id: 'more-5' }, { id: 'more-6' }, { id: 'more--3' }],
    });
    tap(db, 'sefina', 0, { ...ended('early'), ...own });
    expect(view(db, NOW + 12 * HOUR_MS).others).toHaveLength(3);
  });
  it('a set more than planned keeps its session from being done until it is ended', () => {
    const db = world();
    const session = (nowMs = NOW) => loadFloor(at(db, nowMs)).sessions[0]!;
    for (const index of [0, 1])
      for (const k of [1, 2, 3]) tap(db, 'sefina', index, started(`x${index}${k}`, k), ended(`x${index}${k}`));
    expect(session()).toMatchObject({ done: true, underWay: false });
    tap(db, 'sefina', 0, started('more', 4));
    expect(session()).toMatchObject({ done: false, underWay: true });
    tap(db, 'sefina', 0, ended('more'));
    expect(session().done).toBe(true);
  });
  it('what was left when its time was over is wanted from nobody', () => {
    const db = world();
    const [before] = view(db).sessions;
    const id = 'beside';
    addSession(
      db,
      {
        ...{ id, clientId: 'iolana', startsAtMs: before!.startsAtMs, gymId: 'tidewater', minutes: 60 },
        items: [{ ...findItem(db, `sefina-${DAY}-0`)!, id: `${id}-0`, sessionId: id }],
      },
      'marit',
    );
    const wanted = (nowMs: number) => loadFloor(at(db, nowMs)).sessions.find((s) => s.id === id)!.wanted;
    expect(wanted(before!.startsAtMs)).not.toBeNull();
    expect(wanted(before!.startsAtMs + HOUR_MS)).toBeNull();
    // Nor once who began has gone: the other one goes on, but nobody stands in their way.
    const { movement } = findItem(db, `${id}-0`)!;
    const own = { clientId: 'iolana', itemId: `${id}-0`, movement };
    tap(db, 'sefina', 0, { ...started('b1', 1), ...own }, { ...ended('b1'), ...own });
    tap(db, 'sefina', 0, { ...started('b2', 1), atMs: before!.startsAtMs + HOUR_MS });
    const sefinas = (nowMs: number) =>
      JSON.stringify(loadFloor(at(db, nowMs)).sessions.find((s) => s.id === before!.id)!.wanted?.says);
    expect(sefinas(before!.startsAtMs + HOUR_MS / 2)).toContain('Iolana');
    const after = sefinas(before!.startsAtMs + HOUR_MS + 60_000);
    expect(after).toContain('Anselm');
    expect(after).not.toContain('Iolana');
  });
  it('a limit that ends', () => {
    const db = world();
    const client = findClient(db, 'sefina')!;
    const limit = { subject: 'load-in-hand', side: 'both', most: 8, setBy: 'physician', fromDay: 1 } as const;
    const untilDay = toLocalDay(NOW) + 2;
    saveClient(db, { ...client, limits: [{ ...limit, untilDay }] }, 'marit');
    expect(view(db).sessions[0]!.due).toEqual([
      'The limit on load in the hand by the physician ends in 2 days: ask what holds after it.',
    ]);
  });
});

describe('the live set’s context', () => {
  it('knows where the rep is loaded', () => {
    expect(new Set(loadSet(at(world()), `sefina-${DAY}-0`)!.rep.loaded)).toEqual(new Set([true]));
  });
  it('names the opposite muscle’s movements while they have sets left, and what the load is stamped in', () => {
    const db = world();
    const of = (n: number) => loadSet(at(db), `wilhelmina-${DAY}-${n}`)!;
    expect(of(1).opposites.map((o) => o.movement)).toEqual([
      'cable-row-level-one-arm',
      'dumbbell-row-hinged',
      'pull-up-band-assisted',
    ]);
    expect(of(3).opposites).toEqual([]);
    expect([of(2).unit, of(4).unit]).toEqual(['kg', 'lb']);
    for (const [k, id] of ['a', 'b', 'c'].entries()) tap(db, 'wilhelmina', 5, started(id, k + 1), ended(id));
    expect(of(1).opposites.map((o) => o.movement)).toEqual(['cable-row-level-one-arm', 'pull-up-band-assisted']);
  });
  it('goes on to the next movement with sets left, round to the first, and says what changes on the way', () => {
    const db = world();
    const of = (n: number) => loadSet(at(db), `sefina-${DAY}-${n}`)!;
    expect(of(0).next).toMatchObject({ movement: 'cable-fly-low-to-high', clientName: null, station: null });
    expect(of(0).next!.changes).toEqual(
      expect.arrayContaining([expect.stringMatching(/^hole \d+ to \d+$/), 'stack 7.5 to 5 kg']),
    );
    for (const [k, id] of ['a', 'b', 'c'].entries()) tap(db, 'sefina', 0, started(id, k + 1), ended(id));
    expect(of(1).next).toBeNull();
    // The other side of a movement is no next one: it has its own way.
    expect(loadSet(at(db), `wilhelmina-${DAY}-2`)!.next!.movement).toBe('preacher-curl-neutral');
    expect(loadSet(at(db), `wilhelmina-${DAY}-7`)!.otherSide).toMatchObject({ itemId: `wilhelmina-${DAY}-2` });
  });
  it('two clients of one hour on one column swap; of another hour they do not', () => {
    const db = world();
    const partner = () => loadSet(at(db), `sefina-${DAY}-0`)!.partner;
    expect(partner()).toBeNull();
    db.prepare('UPDATE session SET starts_at_ms = starts_at_ms - 1800000 WHERE client_id = ?').run('anselm');
    expect(partner()).toMatchObject({ clientName: 'Anselm Okparaeke', movement: 'cable-fly-level', station: null });
    expect(partner()!.changes).toContain('stack 7.5 to 15 kg');
    expect(loadSet(at(db), `anselm-${DAY}-0`)!.partner!.changes).toContain('stack 15 to 7.5 kg');
  });
  it('the joint’s angle over the range is what a tempo’s section is held against', () => {
    const degs = loadSet(at(world()), `wilhelmina-${DAY}-3`)!.rep.jointDegs!;
    expect(slowOf({ fromDeg: 40, toDeg: 75, seconds: 3 }, degs)).toMatchObject({
      seconds: 3,
      from: expect.closeTo((40 - degs[0]!) / (degs.at(-1)! - degs[0]!), 1),
    });
  });
  it('there is none for a movement nobody planned', () => {
    expect(loadSet(at(world()), 'nothing')).toBeNull();
    expect(loadItem(at(world()), 'nothing')).toBeNull();
  });
  it('another station of the gym can be asked for; an unknown one falls back to the plan', () => {
    const db = world();
    expect(loadItem(at(db), `sefina-${DAY}-0`, 'short-pair')!.station!.id).toBe('short-pair');
    expect(loadItem(at(db), `sefina-${DAY}-0`, 'nowhere')!.station!.id).toBe('long-pair');
  });
});

describe('the ledger in words', () => {
  const db = world();
  const [ledger] = loadLedger(at(db), 'sefina')!.movements;
  it('has a cell for every session of every fault', () => {
    const sets = ledger!.sessions.flatMap((s) => s.sets);
    expect(sets.map((s) => s.setNo)).toEqual([1, 2, 3, 1, 2, 3]);
    for (const f of ledger!.faults) expect(f.cells.map((c) => c.sets)).toEqual([3, 3]);
    expect(ledger!.sessions.map((s) => [s.load, s.reps])).toEqual([
      ['7.5 kg', '12 12 12'],
      ['7.5 kg', '12 13 11'],
    ]);
  });
  it('shows reps, corrections and how they fared', () => {
    const line = ledger!.faults.find((f) => f.fault === 'line-off-arm')!;
    const { setId } = ledger!.sessions[0]!.sets[0]!;
    expect(line.cells).toEqual([
      {
        ...{ seen: 1, sets: 3, turned: null, marks: [{ setId, reps: [2, 6, 9], side: null }] },
        signs: [{ setId, code: 'solved-hole', outcome: 'held' }],
      },
      { seen: 0, sets: 3, turned: null, marks: [], signs: [] },
    ]);
    expect(line.rate).toMatchObject({ seen: 1 / 6 });
    expect(line.summary).toBe('1 of 6 sets, likely 3 to 56 %, 5 since');
    expect(ledger!.corrections.map((c) => [c.code, c.outcome])).toEqual([
      ['solved-hole', 'held'],
      ['one-step-lighter', 'partly'],
      ['straighten-at-finish', 'held'],
    ]);
  });
  it('tells a set-up that was off', () => {
    const [first, second] = ledger!.sessions[0]!.sets;
    expect([first!.setupOff, second!.setupOff]).toEqual([true, false]);
  });
  it('keeps what the client said when it hurt', () => {
    tap(db, 'sefina', 1, { kind: 'pain', setId: null, rep: 3 });
    tap(db, 'sefina', 1, { kind: 'pain-note', painId: `v${n}`, note: 'left elbow' });
    const low = loadLedger(at(db), 'sefina')!.movements.find((m) => m.movement === 'cable-fly-low-to-high')!;
    expect(low.sessions[0]!.pains).toMatchObject([{ rep: 3, note: 'left elbow' }]);
  });
  it('is empty for a client with no records; nobody has none', () => {
    expect(loadLedger(at(db), 'iolana')!.movements).toEqual([]);
    expect(loadLedger(at(db), 'nobody')).toBeNull();
  });
});
