import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { drawnBlocks, permutations, PLAIN, timed } from '../../../test/support/order-blocks';
import { afterSteps, canTakeTurns, fitSession, inTurns } from './fit-session';
import { bestOrder, brokenRules, isKept, orderCost, type OrderBlock } from './session-order';
import { OUR_TIMES } from './session-time';
import { blocksSeconds, savedInTurns, turnsSeconds, unitsOf } from './turns';

const block = (id: string, items: OrderBlock['items'], more: Partial<OrderBlock> = {}): OrderBlock => ({
  ...PLAIN,
  ...{ id, group: 'rows', rank: 'compound', items, ...more },
});
const row = block('row', [timed({ movement: 'row' })]);
const press = block('press', [timed({ movement: 'press' })], { group: 'chest', target: 'chest-mid' });

describe('sets that take turns, by hand: a set is a minute, its rest another', () => {
  it('on one column, half a minute each way: 60, then 30 + 60 five times', () => {
    expect(turnsSeconds(row, press)).toBe(510);
    expect(savedInTurns(row, press)).toBe(300 + 60 + 300 - 510);
  });
  it('across the floor it takes longer than one after the other', () => {
    const far = block('press', [timed({ movement: 'press', stationId: 'b' })]);
    expect([turnsSeconds(row, far), savedInTurns(row, far)]).toEqual([735, -60]);
  });
  it('learned times hold the rest as well: the change alone is at most ours', () => {
    const whole = { ...OUR_TIMES, hole: { seconds: 118, isWhole: true }, station: { seconds: 40, isWhole: true } };
    expect(turnsSeconds(row, press, whole)).toBe(510);
    const far = block('press', [timed({ movement: 'press', stationId: 'b' })]);
    expect(turnsSeconds(row, far, whole)).toBe(60 + 5 * (40 + 60));
  });
  it('both sides of one are a set of it; what has more sets goes on alone with its own rest', () => {
    const arms = block('arm', [timed({ movement: 'arm', sets: 2 }), timed({ movement: 'arm', sets: 2 })]);
    const other = block('press', [timed({ movement: 'press', restS: 90 })]);
    expect(turnsSeconds(arms, other)).toBe(630);
  });
  it('only neighbours of one pair are in turns; a third of the same is not', () => {
    const pair = (b: OrderBlock): OrderBlock => ({ ...b, pairId: 'p' });
    const third = pair({ ...row, id: 'third' });
    expect(unitsOf([pair(row), pair(press), third]).map((u) => u.length)).toEqual([2, 1]);
    expect(unitsOf([pair(row), { ...third, pairId: null }, pair(press)]).map((u) => u.length)).toEqual([1, 1, 1]);
    expect(blocksSeconds([pair(row), pair(press), { ...third, pairId: null }])).toBe(510 + 60 + 300);
    expect(inTurns([row, third, press], 'row', 'press').map((b) => b.id)).toEqual(['row', 'press', 'third']);
  });
});

describe('what fits the time by turns', () => {
  it('turns come before any set is given up, and only of opposite muscles that are alike heavy', () => {
    const curl = block('curl', [timed({ movement: 'curl' })], { rank: 'single-joint', target: 'chest-mid' });
    expect([canTakeTurns(row, press), canTakeTurns(row, curl), canTakeTurns(row, row)]).toEqual([true, false, false]);
    const day = [row, press, curl];
    expect(fitSession(day, blocksSeconds(day) - 1, () => true)).toEqual([
      { kind: 'take-turns', id: 'row', withId: 'press', savesS: 150 },
    ]);
    expect(fitSession(day, blocksSeconds(day) - 151, () => true).map((s) => s.kind)).toEqual([
      'take-turns',
      'a-set-less',
    ]);
    expect(fitSession(day, blocksSeconds(day) - 1, (b) => b !== press).map((s) => s.kind)).toEqual(['a-set-less']);
  });
  it('is followed by whoever takes the steps: the same seconds (seeded)', () => {
    const random = seeded(41);
    for (let k = 0; k < 200; k++) {
      const blocks = drawnBlocks(2 + Math.floor(random() * 6), random);
      const steps = fitSession(blocks, blocksSeconds(blocks) * (0.5 + 0.5 * random()), () => true);
      const saved = steps.reduce((sum, s) => sum + s.savesS, 0);
      expect(blocksSeconds(blocks) - blocksSeconds(afterSteps(blocks, steps))).toBeCloseTo(saved, 9);
    }
  });
});

describe('sets that are not alike', () => {
  const aims = [
    { sets: 1, reps: 20, reserve: null, loadG: null },
    { sets: 2, reps: 10, reserve: 0, loadG: null },
  ];
  const uneven = block('uneven', [timed({ movement: 'uneven', aims })]);
  it('take their own time, alone and in turns: two minutes for the first, one for the others', () => {
    expect(blocksSeconds([uneven])).toBe(240 + 120);
    // 120, then 30 + 60 of the other, and so on.
    expect(turnsSeconds(uneven, press)).toBe(570);
  });
  it('the set that is given up is the one that is told: of the last block that has one to give', () => {
    const [step] = fitSession([uneven], 359, () => true);
    expect(step).toEqual({ kind: 'a-set-less', id: 'uneven', savesS: 60 + 60 });
    expect(afterSteps([uneven], [step!])[0]!.items[0]!.aims!.map((a) => a.sets)).toEqual([1, 1]);
  });
});

describe('the order with pairs and pins', () => {
  it('is the cheapest of all that leave the pinned where they stand and pairs together (seeded)', () => {
    const random = seeded(17);
    let pinnedRuns = 0;
    for (let round = 0; round < 60; round++) {
      let blocks: readonly OrderBlock[] = drawnBlocks(5 + (round % 2), random);
      const [a, b] = [blocks[1]!, blocks[2]!];
      if (round % 3 === 0) blocks = blocks.map((x) => (x === a || x === b ? { ...x, rank: a.rank, pairId: 'p' } : x));
      if (round % 2 === 0) {
        const at = Math.floor(random() * blocks.length);
        blocks = blocks.with(at, { ...blocks[at]!, isPinned: true });
      }
      const units = unitsOf(blocks);
      const isPinned = (id: string): boolean => units.find((u) => u.some((x) => x.id === id))!.some((x) => x.isPinned);
      const stays = (o: readonly OrderBlock[]): boolean => blocks.every((x, k) => !isPinned(x.id) || o[k]!.id === x.id);
      const keeps = (o: readonly OrderBlock[]): boolean =>
        !brokenRules(o).some((r) => isKept(r.rule) && !isPinned(r.first) && !isPinned(r.then));
      const weighed = (o: readonly OrderBlock[]): number => orderCost(o);
      const allowed = [...permutations(units)].map((o) => o.flat()).filter((o) => stays(o) && keeps(o));
      const best = bestOrder(blocks, () => false);
      if (allowed.length === 0) {
        expect(best).toBe(blocks);
        continue;
      }
      if (blocks.some((x) => x.isPinned)) pinnedRuns += 1;
      expect([stays(best), keeps(best)]).toEqual([true, true]);
      expect(weighed(best)).toBeCloseTo(Math.min(...allowed.map(weighed)), 6);
    }
    expect(pinnedRuns).toBeGreaterThan(10);
  });
  it('common practice: one arm leads for who does not feel it; what strains a noted joint comes late', () => {
    const one = block('one arm', [timed({ movement: 'one' })], { leads: true });
    const dip = block('strains', [timed({ movement: 'dip' })], { strains: true });
    expect(bestOrder([dip, row, one], () => false).map((b) => b.id)).toEqual(['one arm', 'row', 'strains']);
    expect(brokenRules([dip, one]).map((r) => r.rule)).toEqual(['one-arm-first']);
    expect(brokenRules([dip, row]).map((r) => r.rule)).toEqual(['joint-warm-first']);
  });
});
