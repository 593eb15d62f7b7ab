import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import type { Db } from '@/data/open-db';
import { findClient, saveClient } from '@/data/queries/clients';
import { listSessionsOf } from '@/data/queries/sessions';
import { findVariant, listVariants } from '@/data/queries/variants';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { loadSetup } from '@/server/setup';
import { loadSteps } from '@/server/load-steps';
import { listPlanChoices, planToday } from '@/server/plan';
import { loadSet } from '@/server/set';
import { loadNumber } from '@/messages/loads';
import { dropTexts } from '@/messages/schemes';
import { platesPerSide } from '@/core/load/plates-per-side';
import { keepVariant } from '@/server/variants';
import { at, world } from './support/world';

const PLAN = {
  clientId: 'anselm',
  movement: 'cable-row-level-one-arm',
  variantId: '',
  side: 'right',
  stationId: 'long-pair',
  attachmentId: 'd-handle',
  startsAt: '18:00',
  sets: 3,
  reps: 12,
  tempo: '3-1-1-1',
  load: 20,
  unit: 'kg',
};
const plan = (db: Db, change: object = {}) => {
  const r = planToday(at(db), { ...PLAN, ...change });
  return r.ok ? r.id : r.issues.map((i) => `${i.path}: ${i.message}`);
};
const VARIANT = {
  id: null,
  movement: 'cable-row-level-one-arm',
  name: 'Wider',
  cue: 'Elbow a hand wide',
  options: { tuckDeg: -20, grip: 'pronated' },
};
const keep = (db: Db, change: object = {}) => {
  const r = keepVariant(at(db), { ...VARIANT, ...change });
  return r.ok ? r.id : r.issues.map((i) => `${i.path}: ${i.message}`);
};

describe('planning any movement of the book', () => {
  it.each<[object, string[]]>([
    [{ stationId: '' }, ['stationId: choose one of the list']],
    [{ attachmentId: 'nothing' }, ['attachmentId: expected one of the list']],
    [{ side: 'both' }, ['side: expected left or right: this movement is done one side at a time']],
    [{ movement: 'barbell-curl' }, ['side: expected both: this movement is done with both sides']],
    [
      { movement: 'barbell-curl', side: 'both', load: 21 },
      ['load: expected a load that is here; the nearest is 20 kg'],
    ],
    [{ movement: 'kickback', load: 11 }, ['load: expected a load that is here; the nearest is 10 kg']],
    [{ movement: 'kickback', load: '' }, ['load: expected a number from 0 to 500 kg']],
    [
      { movement: 'leg-extension', side: 'both', load: 45, unit: 'lb' },
      ['load: expected a load that is here; the nearest is 40 lb'],
    ],
    [
      { stationId: 'yard-pair', attachmentId: 'yard-handle', load: 1101, unit: 'lb' },
      ['load: expected a number from 0 to 1100 lb'],
    ],
    [{ unit: 'stone' }, ['unit: expected kg or lb']],
    [{ movement: 'swim' }, ['movement: expected a movement of the book, like cable-fly-level']],
    [
      { movement: 'pull-up-band-assisted', side: 'both', load: 5 },
      ['load: expected a load that is here; the nearest is 0 kg'],
    ],
    [{ variantId: 'nothing' }, ['variantId: expected a variant of this movement']],
  ])('%j', (change, issues) => expect(plan(world(), change)).toEqual(issues));
  it('a limit in the hand counts what the hand holds: half a bar, a whole dumbbell', () => {
    const db = world();
    saveClient(
      db,
      {
        ...findClient(db, 'anselm')!,
        limits: [{ subject: 'load-in-hand', side: 'both', most: 12, setBy: 'physician', fromDay: 0, untilDay: null }],
      },
      'trainer',
    );
    expect(plan(db, { movement: 'barbell-curl', side: 'both', load: 22.5 })).toMatch(/-/);
    expect(plan(db, { movement: 'barbell-curl', side: 'both', load: 30 })).toEqual([
      'load: expected at most 24 kg here: a clinician’s limit of 12 kg in the hand',
    ]);
    expect(plan(db, { movement: 'kickback', load: 14 })).toEqual([
      'load: expected at most 12 kg here: a clinician’s limit of 12 kg in the hand',
    ]);
  });
  it('pounds are planned as they are stamped, kept on a step, and told in pounds', () => {
    const db = world();
    const item = loadItem(
      at(db),
      plan(db, { stationId: 'yard-pair', attachmentId: 'yard-handle', load: 30, unit: 'lb' }) as string,
    )!;
    // 30 lb = 13.608 kg (the international pound of 1959).
    expect([item.item.loadG, item.unit]).toEqual([13_608, 'lb']);
    const set = loadSet(at(db), plan(db, { movement: 'leg-extension', side: 'both', load: 40, unit: 'lb' }) as string)!;
    expect([set.loadLabel, loadNumber(set.item.loadG, set.unit), set.unit]).toEqual(['Stack', '40', 'lb']);
    const choices = listPlanChoices(at(db));
    expect(choices.stations.filter((s) => s.unit === 'lb').map((s) => s.value)).toEqual(['yard-pair']);
    expect(choices.clients.find((c) => c.value === 'anselm')!.inPounds).toContain('leg-extension');
  });
  it('each side, one at a time, is one movement with two sides: the weaker first, sent twice it is one', () => {
    const db = world();
    const client = findClient(db, 'anselm')!;
    saveClient(db, { ...client, notes: [...client.notes, 'right-weaker'] }, 'trainer');
    const key = '6f1c2b7e-3a53-4c5e-9a35-0b6f2f0f7a11';
    const form = { ...PLAN, side: 'each' };
    const first = planToday(at(db), form, key);
    expect([first, planToday(at(db), form, key)]).toEqual([
      { ok: true, id: key },
      { ok: true, id: key },
    ]);
    const session = () => loadFloor(at(db)).sessions.find((s) => s.clientId === 'anselm')!;
    const rows = session().items.filter((i) => i.id === key || i.otherSide?.id === key);
    expect(rows).toHaveLength(1);
    const [row] = rows;
    expect(row).toMatchObject({ id: key, side: 'right', otherSide: { side: 'left' }, state: 'to-do' });
    expect(row!.progress).toMatch(/^right 0 of 3, left 0 of 3 sets/);
    expect(loadSet(at(db), key)!.otherSide).toMatchObject({ itemId: row!.otherSide!.id, side: 'left' });
    expect(loadSetup(at(db), key)!.bench.otherSide).toEqual(row!.otherSide);
    expect(plan(db, { side: 'each', movement: 'barbell-curl', stationId: '', attachmentId: '', load: 30 })).toEqual([
      'side: expected both: this movement is done with both sides',
    ]);
  });
  it('carries the marks of its drops where it hangs on a cable, and the bar its plates', () => {
    const db = world();
    const bar = loadSet(
      at(db),
      plan(db, { movement: 'barbell-curl', side: 'both', stationId: '', attachmentId: '', load: 30 }) as string,
    )!;
    expect(bar.drops).toEqual({ stances: [], stepIns: [], says: [] });
    expect(platesPerSide(30_000, bar.bar!.barG, bar.bar!.platesG, bar.bar!.pairs)!.reduce((a, g) => a + g, 0)).toBe(
      (30_000 - bar.bar!.barG) / 2,
    );
    const row = loadSet(at(db), plan(db, { movement: 'cable-row-level-one-arm', side: 'right', load: 25 }) as string)!;
    expect(row.bar).toBeNull();
    // One arm steps in: nearer each time, and never with more left than before it.
    const { stepIns } = row.drops;
    for (let k = 1; k < stepIns.length; k++) expect(stepIns[k]!).toBeLessThan(stepIns[k - 1]!);
    // A row is hardest as it ends: the half from the stretch is left.
    expect(row.rep.strongerHalf).toBe('first');
    expect(
      dropTexts(
        [
          { third: 'mid', standX: -0.19 },
          { third: 'lengthened', standX: 0.55 },
        ],
        [
          { standX: 0.8, laterShare: 1 },
          { standX: 0.6, laterShare: 0.74 },
        ],
      ),
    ).toEqual([
      { scheme: 'stance-drops', label: 'Stance drops, hardest at middle, stretch', marks: '19 behind, 55 cm' },
      { scheme: 'step-in-drops', label: 'Steps in, leaving 74 % of the second half', marks: '80, 60 cm' },
    ]);
  });
  it('stands on the floor with what is set by rule, and runs with loads that exist', () => {
    const db = world();
    for (const [movement, side, kind, step] of [
      ['preacher-curl-neutral', 'right', 'seat-hole', 9000],
      ['dumbbell-row-hinged', 'both', 'hinge', 14_000],
      ['leg-extension', 'both', 'back-hole', 40_823],
    ] as const) {
      const id = plan(db, { movement, side, stationId: '', attachmentId: '', load: step / 1000 }) as string;
      const set = loadSet(at(db), id)!;
      expect(set.stationName).toBeNull();
      expect(set.settings.map((s) => s.kind)).toContain(kind);
      expect(set.stackG).toContain(step);
      expect(set.rep.loaded!.filter(Boolean).length / set.rep.loaded!.length).toBeGreaterThan(0.5);
    }
    expect(
      loadFloor(at(db))
        .sessions.flatMap((s) => s.items)
        .filter((i) => i.blocked !== null),
    ).toEqual([]);
  });
  it('every kind of load has its steps: bars with the same on both ends, plates by the piece, a body none', () => {
    const db = world();
    const steps = (id: string) => loadSteps(db, 'tidewater', findEntry(id)!, null);
    expect(steps('barbell-curl').slice(0, 3)).toEqual([20_000, 22_500, 25_000]);
    expect(steps('landmine-row-two-hand').slice(0, 3)).toEqual([0, 1250, 2500]);
    expect(steps('dumbbell-side-raise').at(-1)).toBe(30_000);
    expect(steps('leg-extension')).toHaveLength(20);
    expect([steps('close-push-up'), steps('machine-fly')]).toEqual([[0], []]);
  });
});

describe('a trainer’s variants', () => {
  it('are kept, changed and told apart; a planned one travels into the case, the plates and the cue', () => {
    const db = world();
    const id = keep(db) as string;
    expect(findVariant(db, id)).toMatchObject({ name: 'Wider', options: { tuckDeg: -20, grip: 'pronated' } });
    expect(keep(db)).toEqual(['name: expected a name that no other variant of this movement has']);
    expect(keep(db, { movement: 'kickback', options: {} })).toMatch(/-/);
    expect(keep(db, { id, options: { tuckDeg: -10 } })).toBe(id);
    expect(keep(db, { id, movement: 'kickback', options: {} })).toEqual(['id: expected a variant of this movement']);
    expect(listVariants(db, 'cable-row-level-one-arm').rows).toHaveLength(1);
    const item = plan(db, { variantId: id }) as string;
    expect(loadItem(at(db), item)).toMatchObject({
      variant: { name: 'Wider' },
      setupCase: { options: { tuckDeg: -10 } },
    });
    expect(
      listSessionsOf(db, 'anselm', 20, Number.MAX_SAFE_INTEGER)
        .flatMap((x) => x.items)
        .find((i) => i.id === item)!.variantId,
    ).toBe(id);
  });
  it.each<[object, string]>([
    [{ name: '  ' }, 'name: expected 1 to 60 characters'],
    [{ cue: 'a b c d e f g h i j k' }, 'cue: expected at most 10 words: one breath'],
    [
      { options: { armPathDeg: 12 } },
      'options.armPathDeg: expected none: only rear-deltoid pulls on a cable follow an arm path',
    ],
    [{ options: { grip: 'sideways' } }, 'options.grip: expected one of pronated, neutral, supinated'],
    [{ options: { tuckDeg: 90 } }, 'options.tuckDeg: expected a number from -45 to 45 degrees'],
  ])('%j is told', (change, message) => expect(keep(world(), change)).toEqual([message]));
});

it('a client’s measured arm path and chest line are in the case that every screen solves', () => {
  const db = world();
  saveClient(db, { ...findClient(db, 'anselm')!, chestLineDeg: 47 }, 'trainer');
  const id = plan(db, { movement: 'cable-fly-high-to-low', side: 'both' }) as string;
  const { client } = loadItem(at(db), id)!.setupCase;
  expect(client.chestLineDeg).toBe(47);
  // Vertices of Anselm's trials: left near 20 degrees, right near 27.
  expect(client.armPathDeg!.right!).toBeGreaterThan(client.armPathDeg!.left!);
});

it('on another column the stack is converted through both pulley ratios, so that the hand feels the same', () => {
  const db = world();
  const id = plan(db, { load: 15 }) as string;
  const here = loadItem(at(db), id)!;
  const there = loadItem(at(db), id, 'short-pair')!;
  expect([here.item.loadG, here.converted]).toEqual([15_000, null]);
  expect([there.item.loadG, there.converted]).toEqual([
    30_000,
    { plannedG: 15_000, plannedUnit: 'kg', plannedOn: 'Long pair by the window' },
  ]);
  expect(there.setupCase.loadKg).toBe(30);
});

it('in another gym: its column and handle, the stack in its pounds, and what was saved there stays there', () => {
  const db = world();
  const id = plan(db, { load: 15 }) as string;
  const there = loadItem(at(db), id, 'yard-pair')!;
  expect([there.attachment!.id, there.replaced]).toEqual([
    'yard-handle',
    [{ kind: 'attachment', why: 'elsewhere', planned: 'single D-handle', by: 'Rope-wound handle' }],
  ]);
  // 15 kg is 33.07 lb (the international pound of 1959): 30 lb is the nearest step.
  expect([there.item.loadG, there.unit, there.converted]).toEqual([
    13_608,
    'lb',
    { plannedG: 15_000, plannedUnit: 'kg', plannedOn: 'Long pair by the window' },
  ]);
  const { stations } = loadSetup(at(db), id, 'yard-pair')!.bench;
  expect(stations[0]!.id).toBe('yard-pair');
  expect(new Set(stations.map((s) => s.gym)).size).toBe(2);
});
