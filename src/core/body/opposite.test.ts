import { describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { areOpposite } from './opposite';
import { REGIONS } from './region-line';

describe('opposite muscles', () => {
  it.each([
    ['biceps-long', 'triceps-lateral', true],
    ['chest-mid', 'mid-back', true],
    ['quadriceps', 'hamstrings', true],
    ['deltoid-front', 'deltoid-rear', true],
    ['biceps-long', 'brachialis', false],
    ['chest-mid', 'triceps-long', false],
    ['quadriceps', 'glutes', false],
    ['lat-lower', 'biceps-short', false],
  ] as const)('%s and %s: %s (common practice)', (a, b, want) =>
    expect([areOpposite(a, b), areOpposite(b, a)]).toEqual([want, want]),
  );
  it('none is its own opposite, and arms, thighs, chest and back all have one in the book', () => {
    for (const r of REGIONS) expect(areOpposite(r, r)).toBe(false);
    for (const e of BOOK.filter((x) => ['biceps', 'triceps', 'chest', 'rows'].includes(x.group)))
      expect(
        BOOK.some((o) => areOpposite(e.target, o.target)),
        e.id,
      ).toBe(true);
  });
});
