import { describe, expect, it } from 'vitest';
import { fromColumn, toColumn, columnGaps, columnSchema } from '@/contract/column-schema';
import { KIT_SPEC } from '@/contract/kit-spec';
import { toAttachmentShape, toBench, toCoreColumn, toGrams, toMachine, toPreacher } from '@/contract/to-kit';
import { holePositionM } from '@/core/kit/calibrate-ruler';
import { holeHeightM, pulleyAt } from '@/core/kit/column';
import type { KitKind } from '@/core/kit/kit-kind';

/** Pieces as they are typed: text from boxes, empty where nothing was measured. */
const TYPED = {
  column: {
    columnKind: 'twin',
    holes: '20',
    numberedFrom: 'bottom',
    readings: [
      { hole: '1', heightCm: '25' },
      { hole: '20', heightCm: '215' },
    ],
    leftNumbering: 'same',
    leftNumberedFrom: 'bottom',
    leftReadings: [{ hole: '', heightCm: '' }],
    leftHoles: '',
    twinSpacingCm: '240',
    pivotHeightCm: '',
    armCm: '',
    swingDeg: '0',
    pulleyRatio: '1',
    clearanceCm: '5',
    travelCm: '300',
    floorPlateCm: '0',
    minDistanceCm: '-30',
    maxDistanceCm: '200',
    stack: '5, 10 15',
    addOns: '1.25 2.5',
    stackUnit: 'kg',
  },
  attachment: { attachmentKind: 'rope', lengthCm: '30', handsFromCm: '5', handsToCm: '45', swivels: 'no' },
  bench: {
    seatHeightCm: '44',
    notches: '5',
    notchReadings: [
      { notch: '1', deg: '0' },
      { notch: '5', deg: '80' },
    ],
    seatDeg: '',
    feetApartCm: '115',
    blocksCm: '4 8',
  },
  preacher: {
    holes: '8',
    numberedFrom: 'bottom',
    readings: [
      { hole: '1', heightCm: '38' },
      { hole: '8', heightCm: '59' },
    ],
    padTopCm: '98',
    padDeg: '50',
    padCm: '36',
  },
  machine: {
    machineKind: 'leg-extension',
    seatHoles: '',
    seatNumberedFrom: 'bottom',
    seatReadings: [],
    backHoles: '6',
    backNumberedFrom: 'top',
    backReadings: [
      { hole: '1', heightCm: '55' },
      { hole: '6', heightCm: '40' },
    ],
    axisOverSeatCm: '4',
    handleHeightCm: '',
    pathKind: 'arc',
    radiusCm: '36',
    momentArms: [
      { deg: '0', cm: '12' },
      { deg: '90', cm: '10' },
    ],
    guideDeg: '',
    guideRatio: '',
    independentArms: 'no',
    stack: '5 10',
    stackUnit: 'kg',
  },
  dumbbells: { loads: '2 4 6', unit: 'kg' },
  plates: { loads: '5 10', pairs: '2', unit: 'lb' },
  bar: { massKg: '20', lengthCm: '220' },
  landmine: { pivotHeightCm: '6', barKg: '20', barCm: '220', platesAtCm: '200' },
  band: {
    restCm: '100',
    table: [
      { stretchCm: '0', kg: '0' },
      { stretchCm: '100', kg: '16' },
    ],
  },
  'strap-anchor': { heightCm: '240' },
} satisfies Record<KitKind, object>;

/** Number boxes give numbers; boxes of lists give their text. */
const LISTS = ['stack', 'addOns', 'loads', 'seatDeg', 'blocksCm'];
const boxed = (v: unknown, name = ''): unknown => {
  if (Array.isArray(v)) return v.map((x) => boxed(x));
  if (v !== null && typeof v === 'object')
    return Object.fromEntries(Object.entries(v).map(([k, x]) => [k, boxed(x, k)]));
  return typeof v === 'string' && /^-?\d/.test(v) && !LISTS.includes(name) ? Number(v) : v;
};
const parse = <K extends KitKind>(kind: K, change: object = {}) =>
  KIT_SPEC[kind].safeParse(boxed({ ...TYPED[kind], ...change }));
function good<K extends KitKind>(kind: K, change: object = {}) {
  const r = parse(kind, change);
  if (!r.success) throw new Error(JSON.stringify(r.error.issues));
  return r.data as never;
}
const wrong = (kind: KitKind, change: object): string[] => {
  const r = parse(kind, change);
  return r.success ? [] : r.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`);
};
const at = (...list: [number, number][]) => list.map(([hole, heightCm]) => ({ hole, heightCm }));
const OWN = { leftNumbering: 'own', leftHoles: '10' };
const ARMS = { columnKind: 'arms', holes: '5', pivotHeightCm: '130', armCm: '80', readings: at([1, 60], [5, 190]) };
const GUIDE = {
  machineKind: 'leg-press',
  backHoles: '',
  backReadings: [],
  pathKind: 'guide',
  radiusCm: '',
  momentArms: [],
  guideDeg: '45',
  guideRatio: '1',
};

describe('kit as typed', () => {
  it.each(Object.keys(TYPED) as KitKind[])('%s: taken as it stands', (kind) => expect(wrong(kind, {})).toEqual([]));
  it.each<[KitKind, object, string]>([
    [
      'column',
      { readings: at([1, 25], [1, 60]) },
      'readings.1.hole: expected two different holes: the same one twice gives no spacing',
    ],
    [
      'column',
      { readings: at([1, 60], [20, 25]) },
      'readings.1.heightCm: expected heights that rise the way the numbers run; check the numbering or the two heights',
    ],
    [
      'column',
      { readings: at([10, 20], [12, 60]) },
      'readings.1.heightCm: expected heights that keep the lowest hole above the floor',
    ],
    ['column', { readings: at([1, 25], [30, 215]) }, 'readings.1.hole: expected a hole from 1 to 20'],
    [
      'column',
      { readings: at([1, 25], [2, 90]) },
      'readings.1.heightCm: expected holes 1 to 50 cm apart; these are 65.0 cm',
    ],
    ['column', { readings: at([1, 25], [20, 215], [20, 216]) }, 'readings.2.hole: expected each hole once'],
    ['column', { twinSpacingCm: '' }, 'twinSpacingCm: expected a number from 30 to 800 cm'],
    ['column', { maxDistanceCm: '-30' }, 'maxDistanceCm: expected more than the nearest place to stand'],
    ['column', { stack: 'five' }, 'stack.0: “five”: expected numbers from 0.1 to 500 with spaces between'],
    ['column', { ...ARMS, pivotHeightCm: '' }, 'pivotHeightCm: expected a number from 0 to 300 cm'],
    [
      'column',
      { ...ARMS, readings: at([1, 60], [5, 290]) },
      'readings.1.heightCm: expected heights of two notches, within the arm’s reach of its pivot and ' +
        'rising the way the numbers run',
    ],
    [
      'column',
      { ...OWN, leftHoles: '', leftReadings: at([1, 20], [10, 110]) },
      'leftHoles: expected a whole number from 2 to 60',
    ],
    ['column', { ...OWN, leftReadings: at([1, 20], [11, 110]) }, 'leftReadings.1.hole: expected a hole from 1 to 10'],
    ['attachment', { handsToCm: '' }, 'handsToCm: expected both hand distances, or neither for one hand'],
    ['attachment', { handsFromCm: '50' }, 'handsToCm: expected no less than the narrowest'],
    [
      'bench',
      {
        notchReadings: [
          { notch: '1', deg: '0' },
          { notch: '6', deg: '80' },
        ],
      },
      'notchReadings.1.notch: expected a notch from 1 to 5',
    ],
    ['bench', { notchReadings: [{ notch: '1', deg: '0' }] }, 'notchReadings.0.notch: expected two different notches'],
    ['bench', { feetApartCm: '40', blocksCm: '45' }, 'blocksCm: expected blocks lower than the bench is long'],
    ['preacher', { readings: at([1, 38], [9, 59]) }, 'readings.1.hole: expected a hole from 1 to 8'],
    ['machine', { axisOverSeatCm: '' }, 'axisOverSeatCm: expected a number from -20 to 60 cm'],
    ['machine', { backHoles: '' }, 'backHoles: expected a whole number from 2 to 30'],
    [
      'machine',
      { momentArms: [{ deg: '', cm: '' }] },
      'momentArms.0.cm: expected at least one row; one is enough for a round pulley',
    ],
    [
      'machine',
      {
        momentArms: [
          { deg: '40', cm: '10' },
          { deg: '30', cm: '10' },
        ],
      },
      'momentArms.1.deg: expected angles that rise',
    ],
    ['machine', { ...GUIDE, guideDeg: '' }, 'guideDeg: expected a number from -90 to 90 degrees'],
    [
      'machine',
      { machineKind: 'chest-press', backHoles: '', backReadings: [] },
      'handleHeightCm: expected a number from 20 to 250 cm',
    ],
    [
      'band',
      {
        table: [
          { stretchCm: '50', kg: '5' },
          { stretchCm: '50', kg: '9' },
        ],
      },
      'table.1.stretchCm: expected stretches that rise',
    ],
    ['band', { table: [{ stretchCm: '50', kg: '5' }] }, 'table: expected two or more rows'],
    ['dumbbells', { loads: '' }, 'loads: expected numbers from 0.1 to 500 with spaces between'],
    ['bar', { massKg: '0' }, 'massKg: expected a number from 1 to 60 kg'],
    ['strap-anchor', { heightCm: '' }, 'heightCm: expected a number from 10 to 400 cm'],
  ])('%s %j: %s', (kind, change, message) => expect(wrong(kind, change)).toContain(message));
});

describe('kit for the solver', () => {
  it('a column: two readings make every height, in metres; add-ons fill the steps of the stack', () => {
    const { column, room, stackG } = toCoreColumn(good('column'));
    expect([1, 10, 20].map((h) => holeHeightM(column, h))).toEqual([0.25, 1.15, 2.15].map((x) => expect.closeTo(x, 9)));
    expect(room).toEqual({ minDistanceM: -0.3, maxDistanceM: 2 });
    expect(stackG).toEqual([5, 6.25, 7.5, 8.75, 10, 11.25, 12.5, 13.75, 15, 16.25, 17.5, 18.75].map((kg) => kg * 1000));
    expect(pulleyAt(column, 1, 'left')[2]).toBeCloseTo(-pulleyAt(column, 1, 'right')[2], 12);
  });
  it('arms swing about their pivot: both measured notches come back', () => {
    const { column } = toCoreColumn(good('column', ARMS));
    expect([holeHeightM(column, 1), holeHeightM(column, 5)]).toEqual([expect.closeTo(0.6, 9), expect.closeTo(1.9, 9)]);
  });
  it('a left column with numbers of its own is found by height', () => {
    const { column } = toCoreColumn(good('column', { ...OWN, leftReadings: at([1, 25], [10, 205]) }));
    expect(column.kind === 'twin' && column.leftRuler).toMatchObject({ holes: 10, numberedFrom: 'bottom' });
  });
  it('every stored column comes back through the case format', () => {
    for (const change of [
      {},
      ARMS,
      { columnKind: 'single', twinSpacingCm: '' },
      { ...OWN, leftReadings: at([1, 25], [10, 205]) },
    ]) {
      const { column } = toCoreColumn(good('column', change));
      const back = columnSchema.parse(JSON.parse(JSON.stringify(fromColumn(column))));
      expect(columnGaps(back)).toEqual([]);
      expect(toColumn(back)).toEqual(column);
    }
  });
  it('pounds become grams by the international pound', () => expect(toGrams([1, 45], 'lb')).toEqual([454, 20412]));
  it('the rest by arithmetic', () => {
    expect(toAttachmentShape(good('attachment'))).toEqual({
      kind: 'rope',
      lengthM: 0.3,
      handsM: [0.05, 0.45],
      swivels: false,
    });
    expect(toAttachmentShape(good('attachment', { handsFromCm: '', handsToCm: '' })).handsM).toBeNull();
    expect(toBench(good('bench')).backDeg).toEqual([0, 20, 40, 60, 80].map((d) => expect.closeTo(d, 9)));
    expect(holePositionM(toPreacher(good('preacher')).seat, 4)).toBeCloseTo(0.47, 9);
    const leg = toMachine(good('machine'));
    expect(holePositionM(leg.back!, 3)).toBeCloseTo(0.49, 9);
    expect(leg.path).toEqual({
      kind: 'arc',
      radiusM: 0.36,
      momentArm: [
        { x: 0, y: 0.12 },
        { x: 90, y: 0.1 },
      ],
    });
    expect(toMachine(good('machine', GUIDE)).path).toEqual({ kind: 'guide', guideDeg: 45, ratio: 1 });
  });
});
