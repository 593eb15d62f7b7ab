import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dropsInRow, dropStep } from './drop-steps';
import { estimateMax, loadForReps, MAX_OVER_LOAD, type MaxFormula } from './one-rep-max';
import { platesPerSide } from './plates-per-side';
import { nextLoad, type SessionResult } from './progress';

describe('one-repetition maximum: published formulas on worked values', () => {
  // 100 kg for 5 and for 10 reps, worked by hand from each formula.
  it.each<[MaxFormula, number, number]>([
    ['epley', 116.67, 133.33],
    ['brzycki', 112.5, 133.33],
    ['lombardi', 117.46, 125.89],
    ['mayhew', 119.01, 130.93],
    ['wathan', 116.58, 134.75],
    ['oconner', 112.5, 125],
  ])('%s', (name, five, ten) => {
    expect(100 * MAX_OVER_LOAD[name](5)).toBeCloseTo(five, 1);
    expect(100 * MAX_OVER_LOAD[name](10)).toBeCloseTo(ten, 1);
  });
  it('gives the spread, and nothing beyond its range', () => {
    expect(estimateMax(100, 10)).toEqual({
      least: 125,
      middle: expect.closeTo(132.13, 1),
      most: expect.closeTo(134.75, 1),
    });
    expect(estimateMax(80, 1)).toEqual({ least: 80, middle: 80, most: 80 });
    for (const reps of [0, 21, 2.5, -1]) expect(estimateMax(100, reps)).toBeNull();
  });
  it('loads for reps: there and back is the same load, more reps is less', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20 }),
        fc.integer({ min: 1, max: 19 }),
        fc.integer({ min: 1000, max: 200_000 }),
        (r, t, g) => {
          expect(loadForReps(g, r, r)!.middle).toBeCloseTo(g, 6);
          const [more, less] = [loadForReps(g, r, t + 1)!, loadForReps(g, r, t)!];
          expect(more.most).toBeLessThan(less.most);
          expect(more.least).toBeLessThanOrEqual(more.middle);
        },
      ),
    );
  });
});

describe('drops on the steps there are', () => {
  const steps = [0, 5000, 10_000, 15_000, 20_000, 25_000, 30_000];
  it.each([
    [30_000, 0.275, 20_000],
    [20_000, 0.2, 15_000],
    [10_000, 0.05, 5000],
    [5000, 0.3, null],
  ] as const)('%d g less %d', (g, f, to) => expect(dropStep(steps, g, f)).toBe(to));
  it('in a row, until nothing lighter is left', () =>
    expect(dropsInRow(steps, 30_000, [0.275, 0.275, 0.5, 0.5, 0.5])).toEqual([20_000, 15_000, 5000]));
});

describe('plates per side', () => {
  const plates = [1250, 2500, 5000, 10_000, 20_000];
  it.each([
    [20_000, []],
    [60_000, [20_000]],
    [65_000, [20_000, 2500]],
    [97_500, [20_000, 10_000, 5000, 2500, 1250]],
    [61_000, null],
    [15_000, null],
  ] as const)('%d g on a 20 kg bar', (g, want) => expect(platesPerSide(g, 20_000, plates, 1)).toEqual(want));
  it('fewest, where taking the heaviest first would take more', () =>
    expect(platesPerSide(60_000, 0, [25_000, 15_000, 5000], 4)).toEqual([15_000, 15_000]));
});

describe('double progression gated by form', () => {
  const steps = [10_000, 12_500, 15_000, 17_500];
  const s = (loadG: number, topReached = true, clean = true, loadCaused = false): SessionResult => ({
    loadG,
    topReached,
    clean,
    loadCaused,
  });
  it.each<[SessionResult[], number | null, number, string]>([
    [[], null, 12_500, 'first'],
    [[s(12_500)], null, 12_500, 'one-more-clean'],
    [[s(12_500), s(12_500)], null, 15_000, 'up'],
    [[s(10_000), s(12_500)], null, 12_500, 'one-more-clean'],
    [[s(12_500), s(12_500, false)], null, 12_500, 'reps-first'],
    [[s(12_500), s(12_500, true, false)], null, 12_500, 'form-first'],
    [[s(12_500, true, false, true), s(12_500, true, false, true)], null, 10_000, 'down'],
    [[s(15_000), s(15_000)], 15_000, 15_000, 'limit'],
    [[s(17_500), s(17_500)], null, 17_500, 'end-of-stack'],
    [[s(17_500)], 13_000, 12_500, 'limit'],
  ])('%j, at most %s', (sessions, most, load, why) =>
    expect(nextLoad(sessions, 12_500, steps, most)).toEqual({ loadG: load, why }),
  );
});

describe('as properties', () => {
  const steps = fc
    .uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 12 })
    .map((xs) => xs.map((x) => x * 2500).sort((a, b) => a - b));
  const session = fc.record({
    loadG: fc.integer({ min: 1, max: 60 }).map((x) => x * 2500),
    topReached: fc.boolean(),
    clean: fc.boolean(),
    loadCaused: fc.boolean(),
  });
  it('the next load is never past a limit that anything stays under, nor more than a step away', () => {
    fc.assert(
      fc.property(
        steps,
        fc.array(session, { maxLength: 6 }),
        fc.option(fc.integer({ min: 2500, max: 150_000 })),
        (all, sessions, most) => {
          const { loadG, why } = nextLoad(sessions, all[0]!, all, most);
          if (most !== null && all[0]! <= most) expect(loadG).toBeLessThanOrEqual(most);
          if (why === 'up') expect(all.filter((g) => g > sessions.at(-1)!.loadG && g < loadG)).toEqual([]);
          if (why === 'down') expect(loadG).toBeLessThanOrEqual(sessions.at(-1)!.loadG);
        },
      ),
    );
  });
  it('plates make up the load exactly, each there as often, and no other choice has fewer', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 1, max: 3 }),
        fc.integer({ min: 0, max: 40 }),
        (plates, pairs, side) => {
          const found = platesPerSide(2 * side, 0, plates, pairs);
          // Every choice there is, counted out.
          let fewest = Infinity;
          const choose = (k: number, left: number, used: number): void => {
            if (left === 0) fewest = Math.min(fewest, used);
            if (k >= plates.length || left <= 0) return;
            for (let n = 0; n <= pairs; n++) choose(k + 1, left - n * plates[k]!, used + n);
          };
          choose(0, side, 0);
          if (found === null) {
            expect(fewest).toBe(Infinity);
            return;
          }
          expect(found.reduce((a, g) => a + g, 0)).toBe(side);
          for (const g of plates) expect(found.filter((x) => x === g).length).toBeLessThanOrEqual(pairs);
          expect(found.length).toBe(fewest);
        },
      ),
    );
  });
  it('a drop is a lighter step, and none lies nearer to what was asked', () => {
    fc.assert(
      fc.property(steps, fc.nat({ max: 11 }), fc.double({ min: 0.05, max: 0.6, noNaN: true }), (all, k, f) => {
        const from = all[k % all.length]!;
        const to = dropStep(all, from, f);
        if (to === null) {
          expect(all.filter((g) => g < from)).toEqual([]);
          return;
        }
        expect(to).toBeLessThan(from);
        const away = (g: number): number => Math.abs(g - from * (1 - f));
        for (const g of all.filter((x) => x < from)) expect(away(to)).toBeLessThanOrEqual(away(g) + 1e-9);
      }),
    );
  });
});
