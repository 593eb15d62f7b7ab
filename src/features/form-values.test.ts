import { describe, expect, it } from 'vitest';
import { clientFormSchema } from '@/contract/client-form';
import { parseStackLoads, stationFormSchema } from '@/contract/station-form';
import { COLUMN, ROOM } from '../../test/support/fixtures';
import { toBodyInput, toClientValues } from './client/client-form-values';
import { fitOf, toStationValues } from './kit/station-values';

const CLIENT = { id: 'c', name: 'Amaro Lindqvist', note: '', statureM: 1.83, massKg: 80, measuredM: { shoulderHeight: 1.5 }, range: { left: {}, right: { 'shoulder.horizontalAbduction': 8 } } } as const;

describe('client sheet', () => {
  it('what is shown is what would be saved', () => {
    const parsed = clientFormSchema.parse(toClientValues(CLIENT));
    expect(parsed).toMatchObject({ name: CLIENT.name, statureCm: 183, massKg: 80 });
    expect(parsed.measuredCm.shoulderHeight).toBe(150);
    expect(parsed.measuredCm.eyeHeight).toBeUndefined();
    expect(parsed.rangeDeg.right['shoulder.horizontalAbduction']).toBe(8);
  });
  it('a blank sheet asks for name, stature and mass and nothing else', () => {
    const parsed = clientFormSchema.safeParse(toClientValues(null));
    expect(parsed.error!.issues.map((i) => i.path.join('.')).sort()).toEqual(['massKg', 'name', 'statureCm']);
  });
  it.each([
    ['', null],
    [119, null],
    [231, null],
    [150, 1.5],
  ])('stature %s draws %s', (statureCm, m) => expect(toBodyInput({ ...toClientValues(null), statureCm: statureCm as number | '' })?.statureM ?? null).toBe(m));
});

describe('station sheet', () => {
  const station = { id: 's', name: 'Pair', column: COLUMN, room: ROOM, readings: [{ hole: 1, heightM: 0.25 }, { hole: 20, heightM: 2.15 }], stackG: [2500, 5000, 4536] };
  it('what is shown is what would be saved', () => {
    const values = toStationValues(station);
    expect(stationFormSchema.safeParse(values).success).toBe(true);
    expect(parseStackLoads(values.stack, 'kg')).toEqual([2500, 5000, 4540]);
    expect(fitOf(values)).toMatchObject({ ok: true, pitchM: expect.closeTo(0.1, 9) });
  });
  it('there is no fit before two holes are measured', () => {
    const values = toStationValues(null);
    expect(fitOf(values)).toBeNull();
    expect(fitOf({ ...values, holes: 20, readings: [{ hole: 1, heightCm: 25 }, { hole: '', heightCm: 40 }] })).toBeNull();
  });
  it.each([
    ['5 10 15', 'kg', [5000, 10000, 15000]],
    ['5, 7.5;10', 'kg', [5000, 7500, 10000]],
    ['10 20', 'lb', [4536, 9072]],
    ['5 x', 'kg', null],
    ['0 5', 'kg', null],
    ['-5', 'kg', null],
    ['501', 'kg', null],
    ['  ', 'kg', null],
  ] as const)('loads "%s" in %s', (typed, unit, grams) => expect(parseStackLoads(typed, unit)).toEqual(grams));
});
