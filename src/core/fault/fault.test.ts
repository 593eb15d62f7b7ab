import type { CorrectionCode } from '@/core/movement/correction-code';
import { correctionFits } from './correction-fits';
import { CORRECTION_KIND, REMEDY_ORDER } from '@/core/movement/correction-code';
import { describe, expect, it } from 'vitest';
import { FAULT_CODES } from '@/core/movement/fault-code';
import { BOOK } from '@/core/book/book';
import { faultsOf } from '@/core/book/entry-faults';
import { FAULT_BOOK } from './fault-book';
import { judgeCause, type FaultEvidence } from './judge-cause';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { sessionResults } from './judge-set';
import { findOpenCorrection, foldSetLog } from '@/core/record/set-log';
import { rankFaults, watchList } from './watch-list';
import { seeded } from '../../../test/support/fixtures';

describe('fault book', () => {
  it('remedies of every fault follow the order set-up, load, cue, range, refer (common practice)', () => {
    for (const code of FAULT_CODES) {
      const ranks = FAULT_BOOK[code].corrections.map((c) => REMEDY_ORDER.indexOf(CORRECTION_KIND[c]));
      expect([code, ranks]).toEqual([code, ranks.toSorted((a, b) => a - b)]);
      expect(new Set(FAULT_BOOK[code].corrections).size).toBe(ranks.length);
    }
  });
  it('every movement names faults of the book', () =>
    BOOK.forEach((e) => faultsOf(e).forEach((f) => expect(FAULT_BOOK[f]).toBeDefined())));
  it('a stretch or a drill has two or three faults of its own, and no load to take off', () => {
    const kinds = BOOK.filter((e) => e.work !== 'lift').map((e) => [e.id, e.work]);
    expect(kinds).toEqual([
      ['door-frame-chest-stretch', 'hold'],
      ['prone-y-raise', 'drill'],
      ['prone-t-raise', 'drill'],
      ['lat-wake-up-drill', 'drill'],
    ]);
    for (const e of BOOK.filter((b) => b.work !== 'lift')) expect([2, 3]).toContain(faultsOf(e).length);
  });
  it('what is proposed can be done: a pulley is moved on a column, a load where there is one', () => {
    for (const e of BOOK)
      for (const fault of faultsOf(e)) {
        const fits = (c: CorrectionCode): boolean => correctionFits(e, c);
        const judged = judgeCause(seen({ fault, reps: [11, 12], fits }));
        expect([e.id, fault, judged.remedies.filter(fits).length]).not.toEqual([e.id, fault, 0]);
        expect(judged.remedies.every(fits)).toBe(true);
        if (e.load.kind === 'none') expect(judged.cause).not.toBe('load');
      }
  });
});

/** Every correction can be made. */
const ALL = (): boolean => true;

const seen = (change: Partial<FaultEvidence>): FaultEvidence => ({
  fault: 'shrugs',
  reps: [5],
  repsDone: 12,
  sides: ['both'],
  setupOff: false,
  loadG: 15000,
  earlier: [],
  failed: [],
  fits: ALL,
  ...change,
});

describe('judgeCause', () => {
  it.each([
    [
      'set-up used differs from the solved one',
      { setupOff: true, reps: [11, 12] },
      'set-up',
      'setup-differs',
      'solved-hole',
    ],
    ['only in the last third', { reps: [9, 12] }, 'load', 'late-reps', 'one-step-lighter'],
    ['rep 8 of 12 is not the last third', { reps: [8, 12] }, 'load', 'usual-order', 'one-step-lighter'],
    [
      'not seen at lighter loads',
      { reps: [4], earlier: [{ loadG: 10000, repsDone: 12, reps: [] }] },
      'load',
      'grows-with-load',
      'one-step-lighter',
    ],
    [
      'seen at a lighter load too, from rep 1',
      { reps: [1, 2], earlier: [{ loadG: 10000, repsDone: 12, reps: [9] }] },
      'cue',
      'from-first-rep',
      'blades-down',
    ],
    [
      'one mark late, where the sets before had it early: a habit',
      { reps: [11], earlier: [{ loadG: 15000, repsDone: 12, reps: [2, 6] }] },
      'cue',
      'all-through',
      'blades-down',
    ],
    [
      'late in this set as in the ones before, but for one of three',
      {
        reps: [11],
        earlier: [[2], [10, 12], [11]].map((reps) => ({ loadG: 15000, repsDone: 12, reps })),
      },
      'load',
      'late-reps',
      'one-step-lighter',
    ],
    [
      'in the middle of the set, here and before: no sign of the load',
      { reps: [6], earlier: [{ loadG: 15000, repsDone: 12, reps: [5] }] },
      'cue',
      'all-through',
      'blades-down',
    ],
    [
      'nothing telling: set-up first while it is not known to be right',
      { setupOff: null },
      'set-up',
      'usual-order',
      'solved-hole',
    ],
    [
      'a correction that failed goes last',
      { reps: [1], failed: ['blades-down'] },
      'cue',
      'from-first-rep',
      'one-step-lighter',
    ],
  ] as const)('%s', (_, change, cause, sign, first) => {
    const j = judgeCause(seen(change as Partial<FaultEvidence>));
    expect([j.cause, j.sign, j.remedies[0]]).toEqual([cause, sign, first]);
    expect(j.remedies.toSorted()).toEqual([...FAULT_BOOK.shrugs.corrections].toSorted());
  });
  it('names the only side', () => {
    expect(judgeCause(seen({ sides: ['left', 'left'] })).onlySide).toBe('left');
    expect(judgeCause(seen({ sides: ['left', 'right'] })).onlySide).toBeNull();
  });
});

/** Items of one day's session on both sides; every other item is a session of its own. */
const PLANNED = {
  left: { sessionId: 'day', side: 'left' },
  right: { sessionId: 'day', side: 'right' },
} as const;
const fold = (events: readonly FloorEvent[]) => foldSetLog(events, PLANNED);
let n = 0;
const event = (body: FloorEventBody, atMs = ++n, itemId = 'i1'): FloorEvent => ({
  id: `e${++n}`,
  actorId: 'trainer',
  deviceId: 'd',
  seq: n,
  atMs,
  clientId: 'c',
  itemId,
  movement: 'cable-fly-level',
  ...body,
});

function aSet(
  setId: string,
  setNo: number,
  faults: readonly [number, 'shrugs' | 'chin-forward'][],
  itemId = 'i1',
): FloorEvent[] {
  return [
    event({ kind: 'set-started', setId, setNo, loadG: 15000, targetReps: 10, tempo: '3-1-2-1' }, ++n, itemId),
    ...faults.map(([rep, fault]) =>
      event({ kind: 'fault', setId, rep, fault, side: 'both', severity: 2 }, ++n, itemId),
    ),
    event({ kind: 'set-ended', setId, reps: 10 }, ++n, itemId),
    event({ kind: 'set-confirmed', setId, loadG: 12500, reps: 11 }, ++n, itemId),
  ];
}

describe('set log', () => {
  const first = aSet('s1', 1, [
    [3, 'shrugs'],
    [7, 'shrugs'],
  ]);
  const correction = event({
    kind: 'correction',
    setId: 's1',
    fault: 'shrugs',
    correction: 'blades-down',
    cause: 'cue',
  });
  const second = aSet('s2', 2, []);
  const outcome = event({ kind: 'outcome', correctionId: correction.id, setId: 's2', outcome: 'held' });
  const all = [...first, correction, ...second, outcome];

  it('tells sets, faults by rep, confirmed load and reps, and what held', () => {
    const log = fold(all);
    expect(log.sets.map((s) => [s.setNo, s.loadG, s.reps, s.confirmed])).toEqual([
      [1, 12500, 11, true],
      [2, 12500, 11, true],
    ]);
    expect(log.sets[0]!.faults.map((f) => f.rep)).toEqual([3, 7]);
    expect(log.sets[0]!.corrections[0]).toMatchObject({
      correction: 'blades-down',
      outcome: 'held',
      outcomeSetId: 's2',
    });
    expect(findOpenCorrection(fold(all.slice(0, -1)).sets)!.id).toBe(correction.id);
    expect(findOpenCorrection(log.sets)).toBeNull();
  });
  it('is the same however often and in whatever order records arrive', () => {
    const random = seeded(3);
    const expected = fold(all);
    for (let k = 0; k < 50; k++) {
      const shuffled = [...all, ...all.slice(0, 3)]
        .map((e) => [random(), e] as const)
        .sort((a, b) => a[0] - b[0])
        .map((x) => x[1]);
      expect(fold(shuffled)).toEqual(expected);
    }
  });
  it('undo takes back any record', () => {
    const undo = (id: string) => event({ kind: 'undo', eventId: id });
    expect(fold([...all, undo(first[1]!.id)]).sets[0]!.faults.map((f) => f.rep)).toEqual([7]);
    expect(fold([...all, undo(outcome.id)]).sets[0]!.corrections[0]!.outcome).toBeNull();
  });
  it('pain ends the set and keeps the note', () => {
    const start = event({ kind: 'set-started', setId: 's9', setNo: 1, loadG: 1, targetReps: 10, tempo: '3-1-2-1' });
    const pain = event({ kind: 'pain', setId: 's9', rep: 4 });
    const log = fold([start, pain, event({ kind: 'pain-note', painId: pain.id, note: 'front of the left shoulder' })]);
    expect(log.pains).toMatchObject([{ rep: 4, note: 'front of the left shoulder' }]);
    expect(log.sets[0]!.endedAtMs).toBe(pain.atMs);
  });
});

describe('watch list', () => {
  it('ranks by rate, severity and recency, two at most', () => {
    const sets = fold([
      ...aSet(
        'a',
        1,
        [
          [1, 'shrugs'],
          [2, 'chin-forward'],
        ],
        'x',
      ),
      ...aSet('b', 2, [[1, 'shrugs']], 'x'),
    ]).sets;
    expect(rankFaults(sets).map((e) => [e.fault, e.setsSeen, e.sets])).toEqual([
      ['shrugs', 2, 2],
      ['chin-forward', 1, 2],
    ]);
  });
  it('clears after three sessions and six sets without, and reopens on one sighting', () => {
    const before = aSet('o', 1, [[1, 'shrugs']], 'o');
    const quiet = ['p', 'q', 'r'].flatMap((item) => [
      ...aSet(`${item}1`, 1, [], item),
      ...aSet(`${item}2`, 2, [], item),
    ]);
    expect(rankFaults(fold([...before, ...quiet]).sets)[0]).toMatchObject({
      cleared: true,
      sessionsSince: 3,
      setsSince: 6,
    });
    expect(rankFaults(fold([...before, ...quiet.slice(0, -3)]).sets)[0]!.cleared).toBe(false);
    expect(watchList(fold([...before, ...quiet]).sets)).toEqual([]);
    expect(
      watchList(fold([...before, ...quiet, ...aSet('z', 1, [[4, 'shrugs']], 'z')]).sets).map((e) => e.fault),
    ).toEqual(['shrugs']);
  });
});

describe('left and right of one day', () => {
  const days = ['one', 'two'].flatMap((day) =>
    (['left', 'right'] as const).flatMap((side) =>
      aSet(`${day}-${side}`, 1, day === 'one' && side === 'left' ? [[1, 'shrugs']] : [], `${day}-${side}`),
    ),
  );
  const planned = Object.fromEntries(
    ['one', 'two'].flatMap((day) =>
      (['left', 'right'] as const).map((side) => [`${day}-${side}`, { sessionId: day, side }]),
    ),
  );
  const { sets } = foldSetLog(days, planned);
  it('are one session on the watch list', () => {
    expect(sets.map((s) => [s.sessionId, s.side])).toEqual([
      ['one', 'left'],
      ['one', 'right'],
      ['two', 'left'],
      ['two', 'right'],
    ]);
    expect(rankFaults(sets)[0]).toMatchObject({ sessionsSince: 1, setsSince: 3 });
  });
  it('and one where the next load is asked about', () => expect(sessionResults(sets, 'two', ALL)).toHaveLength(1));
});

describe('a set in parts, watched and noted', () => {
  const start = event({
    kind: 'set-started',
    setId: 'd1',
    setNo: 1,
    loadG: 30_000,
    targetReps: 42,
    tempo: '3-1-2-1',
    scheme: 'weight-drops',
  });
  const part = (k: number, reps: number, loadG: number): FloorEvent =>
    event({ kind: 'part', setId: 'd1', part: k, reps, loadG, standX: null });
  const all = [
    start,
    part(1, 12, 22_500),
    part(2, 27, 15_000),
    event({ kind: 'clean', setId: 'd1', rep: 6 }),
    event({ kind: 'set-note', setId: 'd1', note: 'left late' }),
    event({ kind: 'set-note', setId: 'd1', note: 'left late, both later' }),
  ];
  it('keeps its parts once, in order, whatever comes twice', () => {
    const again = event({ kind: 'part', setId: 'd1', part: 1, reps: 99, loadG: 1, standX: null });
    const [set] = fold([...all, again, ...all]).sets;
    expect(set!.scheme).toBe('weight-drops');
    expect(set!.parts).toEqual([
      { part: 1, reps: 12, loadG: 22_500, standX: null },
      { part: 2, reps: 27, loadG: 15_000, standX: null },
    ]);
    expect([set!.cleanTo, set!.note]).toEqual([6, 'left late, both later']);
  });
  it('a clean run never shrinks, and is undone like a fault', () => {
    const later = event({ kind: 'clean', setId: 'd1', rep: 4 });
    expect(fold([...all, later]).sets[0]!.cleanTo).toBe(6);
    expect(fold([...all, event({ kind: 'undo', eventId: all[3]!.id })]).sets[0]!.cleanTo).toBe(0);
  });
  it('sets kept before there were schemes are straight ones', () =>
    expect(fold(aSet('old', 1, [])).sets[0]).toMatchObject({
      scheme: 'straight',
      parts: [],
      cleanTo: 0,
      note: '',
    }));
});

describe('what a session says about the next load', () => {
  it('top reached and clean; faults late in the set come from the load; today and unfinished sets say nothing', () => {
    const clean = aSet('a1', 1, [], 'i1');
    const late = aSet(
      'b1',
      1,
      [
        [9, 'shrugs'],
        [11, 'shrugs'],
      ],
      'i2',
    );
    const open = event(
      { kind: 'set-started', setId: 'o', setNo: 1, loadG: 15000, targetReps: 10, tempo: '3-1-2-1' },
      ++n,
      'i3',
    );
    const log = fold([...clean, ...late, open, ...aSet('t', 1, [], 'today')]);
    expect(sessionResults(log.sets, 'today', ALL)).toMatchObject([
      { loadG: 12_500, topReached: true, clean: true, loadCaused: false },
      { loadG: 12_500, topReached: true, clean: false, loadCaused: true },
    ]);
  });
  it('one set short of its reps keeps a session from the top', () => {
    const short = [
      event({ kind: 'set-started', setId: 'x', setNo: 1, loadG: 15000, targetReps: 12, tempo: '3-1-2-1' }, ++n, 'i4'),
      event({ kind: 'set-ended', setId: 'x', reps: 11 }, ++n, 'i4'),
    ];
    expect(sessionResults(fold(short).sets, '', ALL)).toMatchObject([
      { loadG: 15_000, topReached: false, clean: true, loadCaused: false },
    ]);
  });
});
