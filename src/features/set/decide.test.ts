import { describe, expect, it } from 'vitest';
import type { FloorEvent, FloorEventBody } from '@/core/record/floor-event';
import { foldSetLog } from '@/core/record/set-log';
import { AS_IT_COMES } from '@/core/tempo/scheme';
import { seeded } from '../../../test/support/fixtures';
import { SET_PLAN as PLAN } from '../../../test/support/set-plan';
import { decide, type Command, type Moment } from './decide';
import { liveSetView, openSetOf, type LiveSetState, type SetPlan } from './live-set-view';

const IDLE: LiveSetState = { pacer: { mode: 'idle' }, chosenLoadG: null, chosenBandId: null };
const ITEMS = { i: { sessionId: 'day', side: 'both' }, j: { sessionId: 'next', side: 'both' } } as const;
const NOW: Moment = { nowMs: 1000, paced: null };
const START: Command = { do: 'start', setId: 'A' };
const SHRUGS: Command = { do: 'fault', fault: 'shrugs', side: 'both', severity: 2 };

/** A page's records: commands are decided one after the other, each on what the ones before it left. */
function page(plan = PLAN, state = IDLE) {
  const events: FloorEvent[] = [];
  const records = () => ({ events, log: foldSetLog(events, ITEMS) });
  const keep = (body: FloorEventBody): void => {
    const no = events.length;
    const base = { id: `e${no}`, actorId: 't', deviceId: 'd', seq: no, atMs: no + 1, clientId: 'c', itemId: 'i' };
    events.push({ ...body, ...base, movement: 'cable-fly-level' } as FloorEvent);
  };
  const give = (c: Command, moment = NOW) => {
    const decision = decide(c, records(), plan, state, moment);
    decision.events.forEach(keep);
    return decision;
  };
  return { give, events, view: () => liveSetView(records(), plan, state), log: () => records().log };
}
const kinds = (events: readonly FloorEventBody[]): string => events.map((e) => e.kind).join(' ');

describe('sets that are not alike', () => {
  const aims = [
    { sets: 2, reps: 20, reserve: null, loadG: null },
    { sets: 1, reps: 10, reserve: 2, loadG: 20_000 },
    { sets: 1, reps: 10, reserve: 0, loadG: 20_000 },
  ];
  const plan: SetPlan = { ...PLAN, item: { ...PLAN.item, sets: 4, reps: 20, loadG: 10_000, aims } };
  const asked = ({ view }: ReturnType<typeof page>) => [view().part.reps, view().loadG, view().choices.reserve];
  it('each asks for what it is planned as; what was lifted stands for the next one that is alike', () => {
    const p = page(plan);
    const told: unknown[] = [];
    [12_500, 12_500, 20_000, 20_000].forEach((loadG, k) => {
      told.push(asked(p));
      p.give({ ...START, setId: `S${k}` });
      p.give({ do: 'end' });
      p.give({ do: 'confirm', setId: `S${k}`, loadG, reps: 10 });
    });
    expect(told).toEqual([
      [20, 10_000, null],
      [20, 12_500, null],
      [10, 20_000, 2],
      [10, 20_000, 0],
    ]);
    expect(p.log().sets.map((s) => [s.targetReps, s.choices.reserve])).toEqual([
      ...[[20, null]],
      ...[[20, null]],
      ...[[10, 2]],
      ...[[10, 0]],
    ]);
    expect(p.view().finished).toBe(true);
  });
  it('what a trainer chooses on the floor stands above the plan', () => {
    const p = page(plan);
    p.give({ do: 'choose-scheme', scheme: 'straight', choices: { ...AS_IT_COMES, reserve: 3 } });
    expect(asked(p)).toEqual([20, 10_000, 3]);
    expect(asked(page(plan, { ...IDLE, chosenLoadG: 15_000 }))).toEqual([20, 15_000, null]);
  });
});

describe('a band under the feet', () => {
  const bands = [
    { id: 'light', name: 'Light', handsN: 700 },
    { id: 'strong', name: 'Strong', handsN: 620 },
  ];
  const item = {
    ...PLAN.item,
    movement: 'pull-up-band-assisted',
    stationId: null,
    attachmentId: null,
    loadG: 0,
  } as const;
  const plan: SetPlan = { ...PLAN, item, bands };
  const set: readonly Command[] = [START, { do: 'end' }, { do: 'confirm', setId: 'A', loadG: 0, reps: 6 }];
  it.each([
    ['the first there is', plan, IDLE, 'light'],
    ['as planned', { ...plan, item: { ...item, bandId: 'strong' } }, IDLE, 'strong'],
    ['another than the one that is gone', { ...plan, item: { ...item, bandId: 'torn' } }, IDLE, 'light'],
    ['as chosen', plan, { ...IDLE, chosenBandId: 'strong' }, 'strong'],
  ])('goes on record with the start: %s', (_, p, state, bandId) => {
    const { give, view } = page(p, state);
    set.forEach((c) => give(c));
    expect(view().last).toMatchObject({ bandId, reps: 6 });
  });
  it('six with the light one say: the strong one, for the 10 to 12 of the book', () => {
    const { give, view } = page(plan);
    expect(view().bandAdvice).toBeNull();
    set.forEach((c) => give(c));
    expect(view().bandAdvice).toMatchObject({ bandId: 'strong', within: true, by: { bandId: 'light', reps: 6 } });
    expect(view().bandAdvice!.reps).toBeGreaterThanOrEqual(10);
  });
  it('a movement without bands names none', () => {
    const { give, view } = page();
    give(START);
    expect(view()).toMatchObject({ bandId: null, bandAdvice: null });
    expect(view().open!.bandId).toBeNull();
  });
});

describe('what follows from a command', () => {
  it.each<[string, readonly Command[], string]>([
    ['a start starts', [START], 'set-started'],
    ['a second press of start starts nothing more', [START, { do: 'start', setId: 'B' }], 'set-started'],
    ['nothing ends that was not begun', [{ do: 'end' }, { do: 'clean' }, { do: 'count-rep' }, SHRUGS], ''],
    ['an end ends once', [START, { do: 'end' }, { do: 'end' }], 'set-started set-ended'],
    ['a fault after the set belongs to the whole of it', [START, { do: 'end' }, SHRUGS], 'set-started set-ended fault'],
    [
      'a second tap after pain takes nothing back',
      [START, SHRUGS, { do: 'pain' }, { do: 'undo' }],
      'set-started fault pain',
    ],
    [
      'a stop is taken back by its own name, once',
      [START, { do: 'pain' }, { do: 'take-back-pain', painId: 'e1' }, { do: 'take-back-pain', painId: 'e1' }],
      'set-started pain undo',
    ],
    ['pain stops once, set or no set', [{ do: 'pain' }, { do: 'pain' }, START], 'pain'],
    ['undo takes back what can be taken back, and no start', [START, { do: 'undo' }], 'set-started'],
    [
      'undo twice takes back two',
      [START, SHRUGS, SHRUGS, { do: 'undo' }, { do: 'undo' }],
      'set-started fault fault undo undo',
    ],
    ['the same severity again is nothing', [START, SHRUGS, { do: 'remark', severity: 2 }], 'set-started fault'],
    ['another severity replaces', [START, SHRUGS, { do: 'remark', severity: 3 }], 'set-started fault fault undo'],
    ['a straight set has no next part', [START, { do: 'next-part', from: 0 }], 'set-started'],
  ])('%s', (_, commands, want) => {
    const { give, events } = page();
    commands.forEach((c) => give(c));
    expect(kinds(events)).toBe(want);
  });
  it('a fault lands on the rep under way, at the earliest the first, and on no rep after the set', () => {
    const { give, log } = page();
    give(START);
    give(SHRUGS);
    give(SHRUGS, { nowMs: 9, paced: { rep: 4, done: 3 } });
    give({ do: 'count-rep' });
    give({ do: 'end' }, { nowMs: 9, paced: { rep: 6, done: 5 } });
    give(SHRUGS);
    expect(log().sets[0]!.faults.map((f) => f.rep)).toEqual([1, 4, 0]);
    // What the pacer has done counts where more was paced than tapped.
    expect(log().sets[0]!.reps).toBe(5);
  });
  it('what a trace proposes is taken once', () => {
    const { give, events } = page();
    give(START);
    const take: Command = { do: 'take-faults', setId: 'A', fault: 'shrugs', reps: [2, 3], severity: 2 };
    expect([give(take), give({ ...take, reps: [3, 4] })].map((d) => d.events.length)).toEqual([2, 1]);
    expect(events).toHaveLength(4);
  });
});

describe('how the sets are done', () => {
  const plan = { ...PLAN, stackG: [5000, 6000, 7500, 8000, 10_000] };
  const DROPS: Command = {
    do: 'choose-scheme',
    scheme: 'weight-drops',
    choices: { ...AS_IT_COMES, drops: 1, dropPercent: 20, reps: [8, 6], slow: { fromDeg: 20, toDeg: 60, seconds: 4 } },
  };
  it('as chosen, for every set of the movement, with the set on record', () => {
    const { give, view } = page(plan);
    give(DROPS);
    for (const setId of ['A', 'B']) {
      expect(view().parts.map((p) => [p.reps, p.loadG])).toEqual([
        [8, 10_000],
        [6, 8000],
      ]);
      give({ do: 'start', setId });
      expect(view().last).toMatchObject({ tempo: '3-1-2-1, 20-60deg: 4s', targetReps: 14 });
      expect(view().open).toMatchObject({ scheme: 'weight-drops', choices: DROPS.choices });
      give({ do: 'end' });
    }
  });
  it('a choice does not change a set that is under way, nor one that is over', () => {
    const { give, view, events } = page(plan);
    give(DROPS);
    give(START);
    expect(give({ do: 'choose-scheme', scheme: 'straight', choices: AS_IT_COMES }).events).toEqual([]);
    give({ do: 'end' });
    const before = view().paceOfRep(view().last!, 1);
    give({ do: 'choose-scheme', scheme: 'rest-pause', choices: AS_IT_COMES });
    expect(view().parts).toHaveLength(3);
    expect(view().paceOfRep(view().last!, 1)).toEqual(before);
    // Nor does a plan that is changed later.
    const replanned = { ...plan, item: { ...plan.item, tempo: '5-5-5-5', reps: 4 } };
    const then = liveSetView({ events, log: foldSetLog(events, ITEMS) }, replanned, IDLE);
    expect(then.paceOfRep(view().last!, 1)).toEqual(before);
  });
  it('another day it is offered, until something else is chosen', () => {
    const { give, events, view } = page(plan);
    give(DROPS);
    give(START);
    give({ do: 'end' });
    const tomorrow = { ...plan, item: { ...plan.item, id: 'j', sessionId: 'next' } };
    const there = (more: readonly FloorEvent[] = []) => {
      const all = [...events, ...more];
      return liveSetView({ events: all, log: foldSetLog(all, ITEMS) }, tomorrow, IDLE);
    };
    expect(view().lastScheme).toBeNull();
    expect(there()).toMatchObject({
      scheme: 'straight',
      lastScheme: { scheme: 'weight-drops', choices: DROPS.choices },
    });
    const taken = { ...events[0]!, id: 'x', itemId: 'j', seq: 9, atMs: 9 };
    expect(there([taken])).toMatchObject({ scheme: 'weight-drops', choices: DROPS.choices, lastScheme: null });
  });
});

describe('what may not start', () => {
  const limited = (change: Partial<SetPlan['limits']>): SetPlan => ({ ...PLAN, limits: { ...PLAN.limits, ...change } });
  it.each<[string, SetPlan, string]>([
    ['a set-up that is blocked', { ...PLAN, blocked: 'the cable is too short' }, 'ready'],
    ['a load over the clinician’s limit', limited({ mostLoadG: 9000 }), 'ready'],
    ['a note without the limit that it asks for', limited({ missing: ['pregnancy'] }), 'wants-limit'],
  ])('%s', (_, plan, mode) => {
    const { give, view } = page(plan);
    expect([kinds(give(START).events), view().mode]).toEqual(['', mode]);
  });
  it('a note that comes between two sets holds up the next one', () => {
    const { give, events } = page();
    [START, { do: 'end' } as Command].forEach((c) => give(c));
    const later = page(limited({ missing: ['pregnancy'] }));
    later.events.push(...events);
    expect([kinds(later.give(START).events), later.view().mode]).toEqual(['', 'wants-limit']);
  });
  it('with a reason on record the movement goes ahead; taken back, it waits again', () => {
    const { give, view } = page(limited({ missing: ['recent-surgery'] }));
    give({ do: 'go-ahead', why: 'cleared by the surgeon on Monday' });
    expect(view().mode).toBe('ready');
    give({ do: 'undo' });
    expect(view().mode).toBe('wants-limit');
    give({ do: 'go-ahead', why: 'cleared by the surgeon on Monday' });
    expect(kinds(give(START).events)).toBe('set-started');
  });
});

it('a set that a slow clock puts before one that is over is under way all the same, and can be ended', () => {
  const tap = (deviceId: string, atMs: number, body: FloorEventBody): FloorEvent => ({
    ...body,
    ...{ id: `${deviceId}${atMs}`, actorId: 't', deviceId, seq: atMs, atMs, clientId: 'c', itemId: 'i' },
    movement: 'cable-fly-level',
  });
  const begun = { kind: 'set-started', setNo: 1, loadG: 1, targetReps: 9, tempo: '3-1-2-1' } as const;
  const events = [
    tap('right', 500, { ...begun, setId: 'A' }),
    tap('right', 600, { kind: 'set-ended', setId: 'A', reps: 9 }),
    tap('slow', 100, { ...begun, setId: 'B', setNo: 2 }),
  ];
  const records = { events, log: foldSetLog(events, { i: { sessionId: 'day', side: 'both' } }) };
  expect(liveSetView(records, PLAN, IDLE)).toMatchObject({ mode: 'left', open: { setId: 'B' }, last: { setId: 'B' } });
  expect(decide({ do: 'end' }, records, PLAN, IDLE, NOW).events).toMatchObject([{ kind: 'set-ended', setId: 'B' }]);
});

it('whatever is pressed in whatever order, one set at most is open and no set starts after pain', () => {
  const random = seeded(21);
  const some: readonly Command[] = [
    START,
    SHRUGS,
    ...(['end', 'clean', 'count-rep', 'pause', 'resume', 'go-on', 'undo'] as const).map((what) => ({ do: what })),
    { do: 'next-part', from: 0 },
  ];
  for (let run = 0; run < 60; run++) {
    const { give, log, view } = page();
    let setNo = 0;
    for (let k = 0; k < 30; k++) {
      const c = random() < 0.01 ? ({ do: 'pain' } as const) : some[Math.floor(random() * some.length)]!;
      give(c.do === 'start' ? { do: 'start', setId: `S${setNo++}` } : c);
      const { sets, pains } = log();
      expect(sets.slice(0, -1).every((s) => s.endedAtMs !== null)).toBe(true);
      expect(openSetOf(log(), 'i')).toEqual(sets.at(-1)?.endedAtMs === null ? sets.at(-1) : null);
      expect(view().mode === 'stopped').toBe(pains.length > 0);
    }
  }
});
