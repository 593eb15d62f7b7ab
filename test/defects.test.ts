import { variantFormSchema } from '@/contract/variant-form';
import { MantineProvider } from '@mantine/core';
import { createElement } from 'react';
import { renderToString } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { limitsOn } from '@/core/body/clinician-limit';
import { entryOf, type MovementId } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import { findOverload, heaviestKg, missingLimits } from '@/core/book/load-limit';
import type { FloorEventBody, SavedSetup } from '@/core/record/floor-event';
import { changesBetween } from '@/core/record/setup-book';
import { NO_LOAD_LIMITS } from '@/core/body/loaded-part';
import { fromColumn } from '@/contract/column-schema';
import type { Db } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import { findStation } from '@/data/queries/kit';
import { addSession } from '@/data/queries/sessions';
import { FaultPanel } from '@/features/setup/fault-panel';
import { loadItem } from '@/server/item-context';
import { loadLedger } from '@/server/ledger';
import { planToday } from '@/server/plan';
import { recordEvents } from '@/server/record-events';
import { loadSet } from '@/server/set';
import { answerCase } from '@/solver/solve-case';
import { at, NOW, world } from './support/world';

let seq = 0;
function tap(db: Db, itemId: string, ...bodies: FloorEventBody[]): void {
  const { item, client } = loadItem(at(db), itemId)!;
  const events = bodies.map((body) => {
    seq += 1;
    const base = { id: `x${seq}`, deviceId: 'd', seq, atMs: NOW + seq * 1000, clientId: client.id };
    return { ...base, itemId, movement: item.movement, version: 2, actorId: 't', ...body };
  });
  expect(recordEvents(at(db), { events })).toMatchObject({ ok: true, reply: { refused: [] } });
}
const aSet = (setId: string, loadG: number): FloorEventBody[] => [
  { kind: 'set-started', setId, setNo: 1, loadG, targetReps: 10, tempo: '3-1-2-1', scheme: 'straight' },
  { kind: 'set-ended', setId, reps: 10 },
];

describe('the ledger', () => {
  it('left and right of one day stand under one date, each told apart', () => {
    const db = world();
    const sides = ['left', 'right'] as const;
    const items = sides.map((side, position) => ({
      ...loadItem(at(db), 'wilhelmina-2026-11-24-5')!.item,
      id: `both-${side}`,
      sessionId: 'both',
      position,
      side,
    }));
    addSession(db, { id: 'both', gymId: 'tidewater', clientId: 'iolana', startsAtMs: NOW, minutes: 60, items }, 't');
    for (const side of sides) tap(db, `both-${side}`, ...aSet(`s-${side}`, 10_000));
    const [movement] = loadLedger(at(db), 'iolana')!.movements;
    expect(movement!.sessions.map((s) => s.sets.map((x) => x.side))).toEqual([['left', 'right']]);
  });
  it('loads in what the stack is stamped in; a set-up without a cable that was saved is not told as unsaved', () => {
    const db = world();
    const leg = 'wilhelmina-2026-11-24-4';
    const { item } = loadItem(at(db), leg)!;
    tap(
      db,
      leg,
      {
        kind: 'setup-saved',
        placement: null,
        solved: null,
        off: false,
        stationId: null,
        attachmentId: null,
        side: item.side,
        options: usualOptions(entryOf(item.movement)),
      },
      ...aSet('leg', 18_144),
    );
    expect(loadSet(at(db), leg)!.setupId).not.toBeNull();
    const done = loadLedger(at(db), 'wilhelmina')!.movements.find((m) => m.movement === item.movement)!;
    // 40 lb = 18.144 kg (the international pound of 1959).
    expect(done.sessions.at(-1)!.sets[0]).toMatchObject({ load: '40 lb', setup: 'as set by rule' });
  });
});

it('the same choices in another order of keys are no change in the set-up book', () => {
  const options = usualOptions(entryOf('cable-fly-level'));
  const turned = Object.fromEntries(Object.entries(options).reverse()) as unknown as typeof options;
  const setup: SavedSetup = {
    placement: null,
    solved: null,
    off: false,
    stationId: 's',
    attachmentId: 'a',
    side: 'both',
    options,
  };
  expect(changesBetween(setup, { ...setup, options: turned })).toEqual([]);
  expect(changesBetween(setup, { ...setup, options: { ...turned, tiltDeg: 9 } })).toEqual([{ what: 'choices' }]);
});

it.each([
  [0.04, 0.03, false],
  [0.04, 0.05, true],
])('a fault that leaves %d m of cable touches down where the column wants %d m: %s', (clearanceM, needM, told) => {
  const cost = { clearanceM, peakNm: 1, wasNm: 1, meanNm: 1, wasMeanNm: 1 } as never;
  const panel = createElement(FaultPanel, {
    entry: entryOf('cable-fly-level'),
    fault: { code: 'line-off-arm', size: -3 },
    cost,
    needM,
    onFault: () => undefined,
  });
  const html = renderToString(createElement(MantineProvider, null, panel));
  expect(html.includes('touch down')).toBe(told);
});

describe('a clinician’s limit holds for what it names', () => {
  const limits = { ...NO_LOAD_LIMITS, hand: 10 };
  it.each<[MovementId, number, object, string | null]>([
    ['leg-extension', 40, limits, null],
    ['leg-extension', 40, { ...limits, leg: 15 }, 'leg'],
    ['dumbbell-side-raise', 12, limits, 'hand'],
    ['barbell-curl', 19, limits, null],
    ['dumbbell-row-hinged', 8, { ...NO_LOAD_LIMITS, spine: 12 }, 'spine'],
    ['dumbbell-side-raise', 8, { ...NO_LOAD_LIMITS, spine: 12 }, null],
  ])('%s with %d kg under %j', (id, kg, over, part) => {
    const all = { ...NO_LOAD_LIMITS, ...over };
    expect(findOverload(entryOf(id), kg, 1, all)?.part ?? null).toBe(part);
    const most = heaviestKg(entryOf(id), 1, all);
    if (most !== null) expect(findOverload(entryOf(id), most, 1, all)).toBeNull();
    expect(part === null || most! < kg).toBe(true);
  });
  it('a note that asks for one is met by a limit on the same part or joint, on a working side, while it stands', () => {
    const limit = { side: 'left', most: 5, setBy: 'physician', fromDay: 10, untilDay: 20 } as const;
    const missing = (
      id: MovementId,
      subject: Parameters<typeof limitsOn>[0][number]['subject'],
      day = 15,
      side = 'left',
    ) => missingLimits(entryOf(id), [side as 'left'], limitsOn([{ ...limit, subject }], day), ['pregnancy']).length;
    expect([
      missing('dumbbell-side-raise', 'load-in-hand'),
      missing('dumbbell-side-raise', 'shoulder.abduction'),
      missing('dumbbell-side-raise', 'load-on-leg'),
      missing('dumbbell-side-raise', 'load-in-hand', 21),
      missing('dumbbell-side-raise', 'load-in-hand', 15, 'right'),
      missing('leg-extension', 'load-in-hand'),
      missing('leg-extension', 'knee.extension' as never),
    ]).toEqual([0, 0, 1, 1, 1, 1, 0]);
  });
  it('a plan above a leg’s limit is refused in its words', () => {
    const db = world();
    const limit = { side: 'both', most: 10, setBy: 'physician', fromDay: 0, untilDay: null } as const;
    saveClient(db, { ...findClient(db, 'anselm')!, limits: [{ ...limit, subject: 'load-on-leg' }] }, 't');
    const plan = {
      clientId: 'anselm',
      movement: 'leg-extension',
      side: 'both',
      startsAt: '18:00',
      sets: 3,
      reps: 12,
      tempo: '3-1-1-1',
      load: 60,
      unit: 'lb',
      variantId: '',
      stationId: '',
      attachmentId: '',
    };
    const refused = planToday(at(db), plan);
    expect(refused.ok ? [] : refused.issues).toMatchObject([
      { path: 'load', message: expect.stringContaining('on the leg') },
    ]);
  });
});

it('no straddle with a note on abdomen or groin: the case refuses it, and what was kept is left out', () => {
  const db = world();
  const id = 'wilhelmina-2026-11-24-5';
  db.prepare("UPDATE session_item SET movement = 'dumbbell-row-one-arm', side = 'right' WHERE id = ?").run(id);
  const { item, setupCase } = loadItem(at(db), id)!;
  const asked = {
    ...setupCase,
    options: { ...setupCase.options, practices: { 'row-base': 'knee-on-bench' } },
  } as const;
  const noted = { ...asked, client: { ...asked.client, notes: ['abdomen-or-groin'] } } as const;
  const issues = (c: unknown) => {
    const reply = answerCase(c);
    return reply.ok ? [] : reply.issues.map((i) => i.path);
  };
  expect(issues(noted)).toContain('options.practices.row-base');
  saveClient(db, { ...findClient(db, 'wilhelmina')!, notes: ['abdomen-or-groin'] }, 't');
  const options = { ...usualOptions(entryOf(item.movement)), practices: { 'row-base': 'knee-on-bench' as const } };
  const none = { placement: null, solved: null, off: false, stationId: null, attachmentId: null };
  tap(db, id, { kind: 'setup-saved', ...none, side: item.side, options });
  expect(loadItem(at(db), id)!.setupCase.options?.practices).toEqual({ 'row-base': 'both-feet-down' });
});

it('a side kept of a question that its movement does not raise stands for nothing, and is no fault of the case', () => {
  const db = world();
  const id = 'sefina-2026-11-24-0';
  const { item, setupCase } = loadItem(at(db), id)!;
  const options = { ...usualOptions(entryOf(item.movement)), practices: { 'elbow-past-body': 'beside' as const } };
  const none = { placement: null, solved: null, off: false, stationId: item.stationId, attachmentId: null };
  tap(db, id, { kind: 'setup-saved', ...none, side: item.side, options });
  const kept = loadItem(at(db), id)!.setupCase;
  expect(kept.options?.practices).toEqual({});
  const variant = { id: null, movement: 'pulldown-side-lying', name: 'Mine', cue: '' };
  const ofBefore = { practices: { 'elbow-past-body': 'beside', breathing: 'in-on-pull' } };
  expect(variantFormSchema.parse({ ...variant, options: ofBefore }).options.practices).toEqual({
    breathing: 'in-on-pull',
  });
  const answers = [setupCase, kept].map((c) => answerCase(c));
  expect(answers.map((a) => a.ok && a.answer.best?.hole)).toEqual(Array(2).fill(expect.any(Number)));
});

it.each(['cable-fly-incline', 'cable-fly-decline'] as const)(
  '%s on a single column: one refusal, with what stands in',
  (movement) => {
    const { setupCase } = loadItem(at(world()), 'anselm-2026-11-24-0')!;
    const { column } = findStation(world(), 'long-pair')!;
    const single = { ...fromColumn(column), kind: 'single' as const };
    delete (single as { twinSpacingM?: number }).twinSpacingM;
    const station = { ...setupCase.station, column: single };
    const reply = answerCase({ ...setupCase, movement, side: 'both', station, lastUsed: undefined });
    expect(reply).toMatchObject({ ok: true, answer: { feasible: false } });
    if (!reply.ok) return;
    expect(reply.answer.blockedBy[0]).toMatchObject({ limit: 'pulleys', need: 2, have: 1 });
    expect(reply.answer.nearest).not.toBeNull();
  },
);
