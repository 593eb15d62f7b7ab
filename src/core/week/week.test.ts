import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { REGIONS } from '@/core/body/region-line';
import { common, coverRange, lengthOf, loadedSpans, unite, type Span } from './range-coverage';
import { MUSCLE_REGIONS, MUSCLES, muscleOf, USUAL_RULES } from './muscle';
import { sideDeltoidShare, weekSets, type MovementSets } from './week-sets';

const sets = (more: Partial<MovementSets>): MovementSets => ({
  ...{ target: 'chest-mid', secondary: ['deltoid-front', 'triceps-lateral'], side: 'both', done: 0, planned: 0 },
  ...more,
});
const of = (movements: readonly MovementSets[], muscle: string) =>
  weekSets(movements, USUAL_RULES).find((m) => m.muscle === muscle)!;

describe('sets of a week', () => {
  it('every region is part of one muscle', () => {
    expect(MUSCLES.flatMap((m) => MUSCLE_REGIONS[m]).toSorted()).toEqual([...REGIONS].toSorted());
    for (const r of REGIONS) expect(MUSCLE_REGIONS[muscleOf(r)]).toContain(r);
  });
  it('by hand: a press counts whole for the chest, half for the front deltoid; two regions of a muscle once', () => {
    const week = [
      sets({ done: 4, planned: 2 }),
      sets({ target: 'chest-upper', secondary: ['chest-mid', 'deltoid-front'], planned: 3 }),
      sets({ target: 'deltoid-front', secondary: [], done: 2 }),
    ];
    expect(of(week, 'chest')).toMatchObject({ direct: 9, indirect: 0, done: 4, all: 9, stands: 'below' });
    expect(of(week, 'chest').byRegion).toEqual({ 'chest-upper': 3, 'chest-mid': 6, 'chest-lower': 0 });
    expect(of(week, 'deltoid-front')).toMatchObject({ direct: 2, indirect: 4.5, done: 4, all: 6.5, stands: 'within' });
    expect(of(week, 'calf')).toMatchObject({ all: 0, otherSideMore: 0 });
  });
  it('the side with fewer stands, with what the other has more', () => {
    const row = { target: 'lat-upper', secondary: [] } as const;
    const week = [sets({ ...row, side: 'left', done: 3 }), sets({ ...row, side: 'right', done: 3, planned: 2 })];
    expect(of(week, 'lats')).toMatchObject({ all: 3, otherSideMore: 2 });
  });
  it('the side deltoid’s share counts what presses and rows give the other heads', () => {
    const raise = { target: 'deltoid-side', secondary: [] } as const;
    expect(sideDeltoidShare(weekSets([sets({ done: 8 }), sets({ ...raise, done: 4 })], USUAL_RULES))).toBe(0.5);
    expect(sideDeltoidShare(weekSets([], USUAL_RULES))).toBeNull();
  });
});

const span = (from: number, to: number): Span => ({ from, to });
const one = (id: string, ...spans: readonly Span[]) => ({ id, spans });

describe('range coverage', () => {
  it('a movement loads where demand is three quarters of its peak, between samples too', () => {
    // A straight rise from 0 to 1: three quarters are reached at three quarters of the way.
    expect(loadedSpans([0.2, 1], [0, 1])).toEqual([span(0.2 + 0.75 * 0.8, 1)]);
    // A peak in the middle of a lowering: both sides of it, from the shorter end.
    const [peak] = loadedSpans([1, 0.5, 0], [0, 2, 0]);
    expect([peak!.from, peak!.to]).toEqual([0.375, 0.625]);
    expect(loadedSpans([0, 1], [0, 0])).toEqual([]);
    // Two peaks are two parts.
    expect(loadedSpans([0, 0.25, 0.5, 0.75, 1], [1, 0.1, 0.1, 0.1, 1])).toHaveLength(2);
  });
  it('names a known gap and what would fill it, and calls none where the range is covered', () => {
    const used = [one('press', span(0, 0.3)), one('fly', span(0.02, 0.32))];
    const others = [one('cable fly', span(0.6, 1)), one('pullover', span(0.1, 0.2)), one('squeeze', span(0.7, 0.95))];
    const found = coverRange(used, others);
    expect(found.gaps).toEqual([{ where: 'finish', fill: ['cable fly', 'squeeze'] }]);
    expect(found.duplicates).toEqual([{ ids: ['press', 'fly'], where: 'stretch' }]);
    const whole = coverRange([...used, one('cable fly', span(0.6, 1)), one('mid', span(0.3, 0.65))], others);
    expect(whole.gaps).toEqual([]);
  });
  it('what nothing here can load is no gap; a wide movement and a narrow one in it are no duplicates', () => {
    expect(coverRange([one('a', span(0, 0.7))], [one('b', span(0.1, 0.6))])).toMatchObject({
      gaps: [],
      duplicates: [],
    });
    expect(coverRange([one('a', span(0, 0.9)), one('b', span(0.1, 0.3))], []).duplicates).toEqual([]);
  });
  it('spans united are apart, in order and as long as what they cover (seeded)', () => {
    const spans = fc.array(
      fc.tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 1, max: 30 })).map(([a, n]) => span(a, a + n)),
    );
    fc.assert(
      fc.property(spans, spans, (a, b) => {
        const covers = (of: readonly Span[], k: number) => of.some((s) => s.from <= k && k + 1 <= s.to);
        const count = (of: readonly Span[]) => Array.from({ length: 130 }, (_, k) => covers(of, k)).filter(Boolean);
        expect(lengthOf(a)).toBe(count(unite(a)).length);
        expect(lengthOf(common(a, b))).toBe(lengthOf(a) + lengthOf(b) - lengthOf([...a, ...b]));
        for (const [k, s] of unite(a).entries()) if (k > 0) expect(s.from).toBeGreaterThan(unite(a)[k - 1]!.to);
      }),
      { seed: 11 },
    );
  });
});
