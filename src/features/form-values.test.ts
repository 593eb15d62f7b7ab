import { describe, expect, it } from 'vitest';
import { clientFormSchema } from '@/contract/client-form';
import { KIT_SPEC, pieceSchema } from '@/contract/kit-spec';
import { ATTACHMENT_KINDS } from '@/core/kit/attachment';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import { KIT as demoPieces } from '../../demo/kit';
import { toBodyInput, toClientValues } from './client/client-form-values';
import { KIT_FIELDS, type SpecValues } from './kit/kit-fields';
import { fitClients, notchesFor, previewKit } from './kit/kit-preview';
import { usualAttachment } from '@/contract/starter-kit';
import { toKitValues } from './kit/kit-values';
import { fieldOf } from './shell/use-saved-form';
import { pieceLine } from './kit/piece-line';

const demoKit = () => demoPieces;

const CLIENT = {
  id: 'c',
  name: 'Amaro Lindqvist',
  note: '',
  statureM: 1.83,
  massKg: 80,
  massEstimated: false,
  saidIn: 'feet-pounds',
  measuredM: { shoulderHeight: 1.5 },
  range: { left: {}, right: { 'shoulder.horizontalAbduction': 8 } },
  notes: ['shoulder', 'does-not-feel'],
  unfelt: ['lat-lower'],
  limits: [
    { subject: 'load-in-hand', side: 'both', most: 12.5, setBy: 'physiotherapist', fromDay: 20_000, untilDay: 20_100 },
  ],
  armPath: {
    left: [],
    right: [
      { belowDeg: 0, behindM: 0.02 },
      { belowDeg: 15, behindM: 0.055 },
    ],
  },
  chestLineDeg: 48,
} as const;

describe('client sheet', () => {
  it('what is shown is what would be saved', () => {
    const parsed = clientFormSchema.parse(toClientValues(CLIENT));
    expect(parsed).toMatchObject({ name: CLIENT.name, statureCm: 183, massKg: 80 });
    expect([parsed.measuredCm.shoulderHeight, parsed.chestLineDeg]).toEqual([150, 48]);
    expect(parsed.measuredCm.eyeHeight).toBeUndefined();
    expect(parsed.rangeDeg.right['shoulder.horizontalAbduction']).toBe(8);
    expect(parsed).toMatchObject({
      notes: CLIENT.notes,
      unfelt: CLIENT.unfelt,
      armPath: {
        left: [],
        right: [
          { belowDeg: 0, behindCm: 2 },
          { belowDeg: 15, behindCm: 5.5 },
        ],
      },
    });
    expect(parsed.limits).toEqual([
      { subject: 'load-in-hand', side: 'both', most: 12.5, setBy: 'physiotherapist', from: 20_000, until: 20_100 },
    ]);
  });
  it('a blank sheet asks for name and stature and nothing else', () => {
    const parsed = clientFormSchema.safeParse(toClientValues(null));
    expect(parsed.error!.issues.map((i) => i.path.join('.')).sort()).toEqual(['name', 'statureCm']);
  });
  it.each([
    ['', null],
    [119, null],
    [231, null],
    [150, 1.5],
  ])('stature %s draws %s', (statureCm, m) =>
    expect(toBodyInput({ ...toClientValues(null), statureCm: statureCm as number | '' })?.statureM ?? null).toBe(m),
  );
});

describe('kit sheets', () => {
  it.each(KIT_KINDS)('a new %s asks for what it lacks at its fields, and every field of its spec has a box', (kind) => {
    const values = toKitValues(kind, null);
    const parsed = KIT_SPEC[kind].safeParse(values.spec);
    const boxes = new Set(KIT_FIELDS[kind].flatMap((s) => s.fields.map((f) => f.key)));
    if (!parsed.success) for (const i of parsed.error.issues) expect([...boxes]).toContain(i.path[0]);
    expect(pieceSchema.safeParse(values).success).toBe(false);
    expect(() => previewKit(kind, values.spec)).not.toThrow();
  });
  it.each(demoKit().map((p) => [p.name, p] as const))(
    '%s: what is shown is what would be saved; it draws inside its box',
    (_, p) => {
      const values = toKitValues(p.kind, p);
      expect(KIT_SPEC[p.kind].parse(values.spec)).toEqual(p.spec);
      const { scene } = previewKit(p.kind, values.spec);
      for (const shape of scene!.shapes) {
        for (const [x, y] of 'at' in shape ? [shape.at] : [shape.from, shape.to]) {
          expect(x).toBeGreaterThanOrEqual(-0.05);
          expect(x).toBeLessThanOrEqual(scene!.width + 0.05);
          expect(y).toBeLessThanOrEqual(scene!.height + 0.05);
        }
      }
      expect(pieceLine(p.kind, p.spec as SpecValues).length).toBeGreaterThan(8);
    },
  );
  it.each([
    [
      'column',
      {
        holes: 20,
        readings: [
          { hole: 1, heightCm: 25 },
          { hole: 20, heightCm: 215 },
        ],
      },
      'Hole 1 at 25.0 cm, 10.00 cm from hole to hole. Two readings fit exactly',
    ],
    [
      'column',
      {
        holes: 20,
        readings: [
          { hole: 1, heightCm: 25 },
          { hole: '', heightCm: 40 },
        ],
      },
      'Two measured holes give the fit',
    ],
    [
      'column',
      {
        columnKind: 'arms',
        holes: 2,
        pivotHeightCm: 100,
        armCm: 80,
        numberedFrom: 'bottom',
        readings: [
          { hole: 1, heightCm: 60 },
          { hole: 2, heightCm: 100 },
        ],
      },
      'Notch 1 at -30.0 °, 30.00 ° from notch to notch',
    ],
    [
      'bench',
      {
        notches: 3,
        notchReadings: [
          { notch: 1, deg: 0 },
          { notch: 3, deg: 80 },
        ],
      },
      '1: 0°, 2: 40°, 3: 80°',
    ],
    [
      'bench',
      {
        notches: 4,
        notchReadings: [
          { notch: 1, deg: 0 },
          { notch: 2, deg: 40 },
          { notch: 4, deg: 60 },
        ],
      },
      'The notches are uneven',
    ],
  ] as const)('%s %j fits live', (kind, change, text) =>
    expect(previewKit(kind, { ...toKitValues(kind, null).spec, ...change }).fit).toContain(text),
  );
  it('kinds of handle start from what they usually measure', () => {
    for (const k of ATTACHMENT_KINDS) expect(KIT_SPEC.attachment.safeParse(usualAttachment(k)).success).toBe(true);
  });
  it('a preacher and a leg extension say where each client goes; a bench which notch', () => {
    const of = (id: string) => demoKit().find((p) => p.id === id)!;
    const people = [{ name: 'a', statureM: 1.8, massKg: 80, measuredM: {} }];
    expect(fitClients('preacher', of('oak-preacher').spec as SpecValues, people)).toEqual([
      { name: 'a', setting: 'seat 5', says: 'armpit on the pad’s edge', estimated: true },
    ]);
    expect(fitClients('machine', of('knee-lever').spec as SpecValues, people)[0]!.setting).toMatch(/^back pad \d$/);
    expect(fitClients('machine', of('two-way-press').spec as SpecValues, people)[0]!.says).toMatch(
      /handles .* cm (above|below)/,
    );
    expect(notchesFor(of('blue-bench').spec as SpecValues).map((n) => n.notch)).toEqual([1, 2, 4, 5, 7]);
  });
});

it.each([
  ['spec.stack.3', 'spec.stack'],
  ['spec.readings.0.hole', 'spec.readings.0.hole'],
  ['name', 'name'],
  ['spec.missing.x', 'spec.missing'],
  ['deg.left.knee.flexion', 'deg.left.knee.flexion'],
])('what is wrong at %s is shown at %s', (path, field) => {
  const values = {
    name: '',
    spec: { stack: '5 ten', readings: [{ hole: '' }] },
    deg: { left: { 'knee.flexion': '' } },
  };
  expect(fieldOf(values, path)).toBe(field);
});
