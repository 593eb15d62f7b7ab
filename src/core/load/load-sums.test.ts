import fc from 'fast-check';
import { expect, it } from 'vitest';
import { barLoads, sumsOf } from './load-sums';

it('bars and plates: known answers', () => {
  expect(sumsOf([5000, 10_000], 1)).toEqual([0, 5000, 10_000, 15_000]);
  expect(barLoads(20_000, [1250, 5000], 1)).toEqual([20_000, 22_500, 30_000, 32_500]);
  expect(barLoads(20_000, [20_000], 3)).toEqual([20_000, 60_000, 100_000, 140_000]);
});
it('every sum can be paid out in plates, none is missing between', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 1, max: 3 }),
      (kg, copies) => {
        const brute = new Set<number>();
        const walk = (i: number, sum: number): void => {
          if (i === kg.length) return void brute.add(sum);
          for (let k = 0; k <= copies; k++) walk(i + 1, sum + k * kg[i]! * 1000);
        };
        walk(0, 0);
        expect(
          sumsOf(
            kg.map((k) => k * 1000),
            copies,
          ),
        ).toEqual([...brute].filter((s) => s <= 400_000).sort((a, b) => a - b));
      },
    ),
    { seed: 4, numRuns: 60 },
  );
});
