import { describe, expect, it } from 'vitest';
import { readLoads, readReps, readSide, readTimes } from './spreadsheet';

describe('cells of a spreadsheet', () => {
  it.each([
    ['10', [10]],
    ['10, 9,8', [10, 9, 8]],
    ['10/9/8', [10, 9, 8]],
    ['3x10', [10, 10, 10]],
    ['3 × 12', [12, 12, 12]],
    ['12 10', [12, 10]],
    ['0', null],
    ['61', null],
    ['', null],
    ['ten', null],
    ['0x8', null],
    ['21x8', null],
    ['10-12', null],
  ])('reps %j are %j', (cell, reps) => expect(readReps(cell)).toEqual(reps));
  // 45 lb is 20.4 kg by the definition of the pound (0.45359237 kg).
  it.each([
    ['40', 'kg', [40_000]],
    ['42,5 kg', 'kg', [42_500]],
    ['1.25', 'kg', [1250]],
    ['40/42.5/45', 'kg', [40_000, 42_500, 45_000]],
    ['45', 'lb', [20_412]],
    ['45 lbs', 'kg', [20_412]],
    ['20kg', 'lb', [20_000]],
    ['', 'kg', [0]],
    ['500', 'kg', [500_000]],
    ['501', 'kg', null],
    ['-5', 'kg', null],
    ['1,000.5', 'kg', null],
    ['heavy', 'kg', null],
  ] as const)('loads %j in %s are %j', (cell, unit, grams) => expect(readLoads(cell, unit)).toEqual(grams));
  it.each([
    ['', 'both'],
    ['L', 'left'],
    [' Right ', 'right'],
    ['L/R', 'both'],
    ['left + right', 'both'],
    ['up', null],
  ])('the side %j is %j', (cell, side) => expect(readSide(cell)).toBe(side));
  it.each([
    ['', 1],
    ['4', 4],
    ['0', null],
    ['21', null],
    ['2.5', null],
  ])('%j alike sets are %j', (cell, times) => expect(readTimes(cell)).toBe(times));
});
