import { describe, expect, it } from 'vitest';
import { openDb, type Db } from '@/data/open-db';
import type { SaveResult } from '@/contract/save-result';
import { saveClientForm } from '@/server/clients';
import { loadScreening, saveScreening } from '@/server/screening';
import { loadMeasuringGuide } from '@/server/measuring-guide';
import { RANGE_NAMES } from '@/core/body/active-range';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { findKit, saveKit } from '@/data/queries/kit';
import { solveCase } from '@/solver/solve-case';
import { caseSchema } from '@/contract/case';
import { saveClient, findClient } from '@/data/queries/clients';
import { loadFloor } from '@/server/floor';
import { loadItem } from '@/server/item-context';
import { saveGymForm, savePieceForm } from '@/server/kit';
import { planToday } from '@/server/plan';
import { at, world } from './support/world';

const ITEM = 'anselm-2026-11-24-0';
const NONE = Object.fromEntries(RANGE_NAMES.map((n) => [n, '']));
const EMPTY = { left: NONE, right: NONE };
const MEASURES = Object.fromEntries(MEASURE_NAMES.map((n) => [n, '']));
const CLIENT = {
  name: 'Ilse Vantongeren',
  statureCm: 168,
  massKg: 61,
  note: '',
  measuredCm: MEASURES,
  rangeDeg: EMPTY,
  notes: [],
  unfelt: [],
  limits: [],
  armPath: { left: [], right: [] },
};
const LIMIT = {
  subject: 'load-in-hand',
  side: 'both',
  most: 8,
  setBy: 'physiotherapist',
  from: '2026-11-01',
  until: '',
};
const COLUMN = {
  columnKind: 'twin',
  holes: 20,
  numberedFrom: 'bottom',
  readings: [
    { hole: 1, heightCm: 25 },
    { hole: 20, heightCm: 215 },
  ],
  leftNumbering: 'same',
  leftNumberedFrom: 'bottom',
  leftReadings: [],
  leftHoles: '',
  twinSpacingCm: 240,
  pivotHeightCm: '',
  armCm: '',
  swingDeg: 0,
  pulleyRatio: 1,
  clearanceCm: 5,
  travelCm: 300,
  minDistanceCm: -30,
  maxDistanceCm: 200,
  stack: '5 10, 15',
  addOns: '',
  stackUnit: 'kg',
};
const piece = (kind: string, spec: object) => ({ name: 'Piece', outOfOrder: 'no', kind, spec });
const keepColumn = (db: Db, spec: object, gym = 'tidewater') =>
  savePieceForm(at(db), gym, null, piece('column', { ...COLUMN, ...spec }));
const issuesOf = (r: SaveResult<unknown>) => (r.ok ? [] : r.issues.map((i) => `${i.path}: ${i.message}`));

describe('bad input is told at its field', () => {
  const db = world();
  it.each([
    [{ statureCm: 119 }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ statureCm: '' }, 'statureCm: expected a number from 120 to 230 cm'],
    [{ massKg: -4 }, 'massKg: expected a number from 25 to 300 kg'],
    [{ name: '  ' }, 'name: expected 1 to 80 characters'],
    [
      { measuredCm: { ...MEASURES, shoulderHeight: 40 } },
      'measuredCm.shoulderHeight: expected 104 to 168 cm for 168 cm of stature',
    ],
    [
      { measuredCm: { ...MEASURES, shoulderHeight: 135, chinHeight: 134 } },
      'measuredCm.chinHeight: expected a height above shoulder',
    ],
    [
      { rangeDeg: { ...EMPTY, left: { ...EMPTY.left, 'shoulder.horizontalAbduction': 95 } } },
      'rangeDeg.left.shoulder.horizontalAbduction: expected a number from 0 to 80 degrees',
    ],
    [{ limits: [{ ...LIMIT, setBy: '' }] }, 'limits.0.setBy: expected 1 to 80 characters'],
    [{ limits: [{ ...LIMIT, until: '2026-10-01' }] }, 'limits.0.until: expected a day on or after the first'],
    [{ limits: [{ ...LIMIT, subject: 'elbow.flexion', most: 400 }] }, 'limits.0.most: expected 0 to 165 degrees'],
    [{ limits: [{ ...LIMIT, from: 'soon' }] }, 'limits.0.from: expected a day like 2026-11-24'],
    [
      { armPath: { left: [{ belowDeg: 10, behindCm: 90 }], right: [] } },
      'armPath.left.0.behindCm: expected a number from -30 to 50 cm',
    ],
  ])('client %j', (change, issue) =>
    expect(issuesOf(saveClientForm(at(db), null, { ...CLIENT, ...change }))).toContain(issue),
  );

  it.each([
    [
      {
        readings: [
          { hole: 4, heightCm: 50 },
          { hole: 4, heightCm: 60 },
        ],
      },
      'spec.readings.1.hole: expected two different holes: the same one twice gives no spacing',
    ],
    [
      {
        readings: [
          { hole: 1, heightCm: 25 },
          { hole: 31, heightCm: 215 },
        ],
      },
      'spec.readings.1.hole: expected a hole from 1 to 20',
    ],
    [
      {
        readings: [
          { hole: 1, heightCm: 215 },
          { hole: 20, heightCm: 25 },
        ],
      },
      'spec.readings.1.heightCm: expected heights that rise the way the numbers run; check the ' +
        'numbering or the two heights',
    ],
    [
      {
        readings: [
          { hole: '', heightCm: 25 },
          { hole: 2, heightCm: 35 },
        ],
      },
      'spec.readings.0.hole: expected a whole number from 1 to 60',
    ],
    [
      { twinSpacingCm: 65 },
      'spec.twinSpacingCm: expected at least 72 cm: wider than the shoulders of Wilhelmina ' +
        'Brandstrup-Kjeldgaard, with room for the hands',
    ],
    [{ twinSpacingCm: '' }, 'spec.twinSpacingCm: expected a number from 30 to 800 cm'],
    [{ columnKind: 'arms' }, 'spec.armCm: expected a number from 20 to 200 cm'],
    [
      { columnKind: 'arms', armCm: 50, pivotHeightCm: 100 },
      'spec.readings.1.heightCm: expected heights of two notches, within the arm’s reach of its pivot ' +
        'and rising the way the numbers run',
    ],
    [
      {
        leftNumbering: 'own',
        leftHoles: 12,
        leftReadings: [
          { hole: 1, heightCm: 30 },
          { hole: '', heightCm: '' },
        ],
      },
      'spec.leftReadings.0.heightCm: expected two measured holes',
    ],
    [{ pulleyRatio: 0 }, 'spec.pulleyRatio: expected a number from 0.25 to 8'],
    [{ stack: '5 -10' }, 'spec.stack.1: expected numbers from 0.1 to 500 with spaces between'],
    [{ maxDistanceCm: 0, minDistanceCm: 10 }, 'spec.maxDistanceCm: expected more than the nearest place to stand'],
  ])('column %j', (change, issue) => expect(issuesOf(keepColumn(db, change))).toContain(issue));

  it.each([
    [
      'attachment',
      { attachmentKind: 'rope', lengthCm: 130, handsFromCm: '', handsToCm: '', swivels: 'yes' },
      'spec.lengthCm: expected a number from 0 to 100 cm',
    ],
    [
      'attachment',
      { attachmentKind: 'rope', lengthCm: 30, handsFromCm: 20, handsToCm: 5, swivels: 'yes' },
      'spec.handsToCm: expected no less than the narrowest',
    ],
    [
      'bench',
      {
        notches: 5,
        notchReadings: [{ notch: 9, deg: 20 }],
        seatHeightCm: 44,
        seatDeg: '',
        feetApartCm: 110,
        blocksCm: '',
      },
      'spec.notchReadings.0.notch: expected a notch from 1 to 5',
    ],
    [
      'bench',
      {
        notches: 5,
        notchReadings: [{ notch: 2, deg: 20 }],
        seatHeightCm: 44,
        seatDeg: '',
        feetApartCm: 110,
        blocksCm: '4 200',
      },
      'spec.blocksCm.1: expected nothing, or numbers from 0.5 to 60 cm with spaces between',
    ],
    [
      'preacher',
      {
        holes: 8,
        numberedFrom: 'top',
        readings: [
          { hole: 1, heightCm: 38 },
          { hole: 8, heightCm: 59 },
        ],
        padTopCm: 98,
        padDeg: 50,
        padCm: 36,
      },
      'spec.readings.1.heightCm: expected heights that rise the way the numbers run; check the ' +
        'numbering or the two heights',
    ],
    [
      'machine',
      {
        machineKind: 'leg-curl',
        independentArms: 'no',
        seatHoles: '',
        seatNumberedFrom: 'bottom',
        seatReadings: [],
        backHoles: '',
        backNumberedFrom: 'bottom',
        backReadings: [],
        axisOverSeatCm: '',
        handleHeightCm: '',
        pathKind: 'arc',
        radiusCm: 30,
        momentArms: [
          { deg: 30, cm: 9 },
          { deg: 10, cm: 8 },
        ],
        guideDeg: '',
        guideRatio: '',
        stack: '',
        stackUnit: 'kg',
      },
      'spec.momentArms.1.deg: expected angles that rise',
    ],
    ['band', { restCm: 100, table: [{ stretchCm: 0, kg: 0 }] }, 'spec.table: expected two or more rows'],
    [
      'landmine',
      { pivotHeightCm: 9, barKg: '', barCm: 218, platesAtCm: 196 },
      'spec.barKg: expected a number from 1 to 60 kg',
    ],
  ])('%s %j', (kind, spec, issue) =>
    expect(issuesOf(savePieceForm(at(db), 'tidewater', null, piece(kind, spec)))).toContain(issue),
  );
  it('a piece keeps its kind, and a kind must be known', () => {
    expect(issuesOf(savePieceForm(at(db), 'tidewater', 'rope', piece('strap-anchor', { heightCm: 200 })))).toEqual([
      'kind: expected attachment: a piece keeps its kind',
    ]);
    expect(issuesOf(savePieceForm(at(db), 'tidewater', null, piece('trampoline', {})))[0]).toMatch(
      /^kind: expected one of/,
    );
    expect(issuesOf(saveGymForm(at(db), null, { name: 'Quay', screeningDays: 0 }))).toEqual([
      'screeningDays: expected a number from 1 to 3650 days',
    ]);
  });

  it.each([
    [
      { tempo: '3-1' },
      'tempo: expected four parts like 3-1-2-1: lowering, pause, lifting, pause; X for fast; then, if ' +
        'wanted, “, lower first” or “, 30-65deg: 4s”',
    ],
    [{ load: 11 }, 'load: expected a load that is here; the nearest is 10 kg'],
    [{ startsAt: '25:00' }, 'startsAt: expected a time like 14:30'],
    [{ stationId: 'gone' }, 'stationId: expected one of the list'],
  ])('plan %j', (change, issue) => {
    const plan = {
      clientId: 'sefina',
      movement: 'cable-fly-level',
      side: 'both',
      stationId: 'long-pair',
      attachmentId: 'd-handle',
      startsAt: '14:30',
      sets: 3,
      reps: 12,
      tempo: '3-1-2-1',
      load: 10,
      unit: 'kg',
    };
    expect(issuesOf(planToday(at(db), { ...plan, ...change }))).toContain(issue);
    expect(planToday(at(db), { ...plan, tempo: '4-0-x-1' }).ok).toBe(true);
  });
});

describe('from an empty database', () => {
  it('kit, client and plan give a floor with plates', () => {
    const db = openDb(':memory:');
    const gym = saveGymForm(at(db), null, { name: 'Gym', screeningDays: 90 });
    if (!gym.ok) throw new Error('not saved');
    const station = keepColumn(db, { stack: '10 20', stackUnit: 'lb', addOns: '2.5' }, gym.id);
    const handle = savePieceForm(
      at(db),
      gym.id,
      null,
      piece('attachment', { attachmentKind: 'd-handle', lengthCm: 14, handsFromCm: '', handsToCm: '', swivels: 'yes' }),
    );
    const client = saveClientForm(at(db), null, CLIENT);
    if (!station.ok || !handle.ok || !client.ok) throw new Error('not saved');
    const planned = planToday(at(db), {
      clientId: client.id,
      movement: 'cable-fly-level',
      side: 'both',
      stationId: station.id,
      attachmentId: handle.id,
      startsAt: '10:00',
      sets: 3,
      reps: 12,
      tempo: '3-1-2-1',
      load: 20,
      unit: 'lb',
    });
    expect(issuesOf(planned)).toEqual([]);
    const [item] = loadFloor(at(db)).sessions[0]!.items;
    expect(item!.settingsNote).toBe('solved; shoulder height estimated');
    expect(item!.settings[0]).toMatchObject({ kind: 'hole', estimated: true });
  });
});

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
    const plan = {
      clientId: 'anselm',
      movement: 'cable-fly-level',
      side: 'both',
      stationId: 'long-pair',
      attachmentId: 'd-handle',
      startsAt: '14:30',
      sets: 3,
      reps: 12,
      tempo: '3-1-2-1',
      load: 10,
      unit: 'kg',
    };
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
});
