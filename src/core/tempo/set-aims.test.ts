import { describe, expect, it } from 'vitest';
import { AIM_PRESETS, aimBlocks, aimOf, oneSetLess, setsOfAims, withLoads } from './set-aims';

const many = { sets: 5, reps: 20, aims: AIM_PRESETS['many-then-few']() };
describe('what the sets of a movement are to be', () => {
  it('two of twenty, then three of ten; a sixth is as the fifth', () => {
    expect([1, 2, 3, 5, 6].map((n) => aimOf(many, n).reps)).toEqual([20, 20, 10, 10, 10]);
    expect(setsOfAims(many.aims)).toBe(5);
    const back = { sets: 2, reps: 8, aims: AIM_PRESETS['hard-then-failure'](8) };
    expect([1, 2].map((n) => aimOf(back, n).reserve)).toEqual([2, 0]);
  });
  it('without blocks all sets are alike and ask for nothing more', () => {
    const plain = { sets: 3, reps: 10, aims: null };
    expect(aimBlocks(plain)).toEqual([{ sets: 3, reps: 10, reserve: null, loadG: null }]);
    expect(aimOf({ ...plain, aims: [] }, 2).reps).toBe(10);
  });
  it('loads of their own become others, and those that can no longer be lifted the movement’s own', () => {
    const aims = AIM_PRESETS['hard-then-failure'](8).with(1, { sets: 1, reps: 8, reserve: 0, loadG: 20_000 });
    expect(withLoads(aims, (g) => g / 2)!.map((a) => a.loadG)).toEqual([null, 10_000]);
    expect(withLoads(aims, () => null)!.map((a) => a.loadG)).toEqual([null, null]);
    expect(withLoads(null, () => 1)).toBeNull();
  });
  it('a set less is given by the last block that has one to give, down to a single set', () => {
    let aims: ReturnType<typeof oneSetLess> = many.aims;
    const left: string[] = [];
    while (aims) {
      left.push(aims.map((b) => `${b.sets}x${b.reps}`).join(' '));
      aims = oneSetLess(aims);
    }
    expect(left).toEqual(['2x20 3x10', '2x20 2x10', '2x20 1x10', '1x20 1x10', '1x20']);
  });
});
