import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { drawnBlocks, permutations, PLAIN, timed } from '../../../test/support/order-blocks';
import { bestOrder, brokenRules, isKept, orderCost, type OrderBlock } from './session-order';
import { afterSteps, fitSession } from './fit-session';
import { blocksSeconds } from './turns';
import { betweenS, changeBetween, itemSeconds, sessionSeconds } from './session-time';

describe('the time of a session, by hand', () => {
  it('a movement: 3 sets of 10 reps of 6 s, two rests of a minute', () => {
    expect(itemSeconds(timed())).toBe(180 + 120);
    expect(itemSeconds(timed({ sets: 1, tempo: '5-5-5-5', reps: 8 }))).toBe(160);
  });
  it.each([
    ['the other side', {}, 'side', 15],
    ['another hole of the same column', { movement: 'n' }, 'hole', 60],
    ['another handle', { movement: 'n', attachmentId: 'e' }, 'handle', 60],
    ['another column', { movement: 'n', stationId: 'b' }, 'station', 75],
    ['a bench', { movement: 'n', stationId: null, attachmentId: null }, 'station', 75],
  ] as const)('to %s', (_, more, change, seconds) => {
    // A minute of rest goes on while a hole is changed; the other side has rested already.
    expect([changeBetween(timed(), timed(more)), betweenS(timed(), timed(more))]).toEqual([change, seconds]);
  });
  it('from one bench to another is as far as to a column', () => {
    const bench = timed({ stationId: null, attachmentId: null });
    expect(changeBetween(bench, { ...bench, movement: 'n' })).toBe('station');
    expect(changeBetween(bench, bench)).toBe('side');
  });
  it('a session: left and right of a row, then a fly on another column', () => {
    expect(sessionSeconds([timed(), timed(), timed({ movement: 'fly', stationId: 'b' })])).toBe(
      300 + 15 + 300 + 75 + 300,
    );
  });
});

const kept = (order: readonly OrderBlock[]) => !brokenRules(order).some((r) => isKept(r.rule));
const none = () => false;

describe('what is given up to fit the time', () => {
  const block = (id: string, rank: OrderBlock['rank'], refines = false): OrderBlock => ({
    ...{ ...PLAIN, id, group: 'rows', rank, refines, items: [timed({ movement: id })] },
  });
  const day = [
    block('drill', 'wakes-up'),
    block('row', 'compound'),
    block('one-arm', 'compound', true),
    block('curl', 'single-joint'),
  ];
  it('by hand: a set is 60 s and a rest; what refines gives one first, then the single joint', () => {
    expect(sessionSeconds(day.flatMap((b) => b.items))).toBe(4 * 300 + 3 * 60);
    expect(fitSession(day, 1380, () => true)).toEqual([]);
    expect(fitSession(day, 1379, () => true)).toEqual([{ kind: 'a-set-less', id: 'one-arm', savesS: 120 }]);
    expect(fitSession(day, 1200, () => true).map((s) => s.id)).toEqual(['one-arm', 'curl']);
    // What was begun is not cut; where nothing may be, nothing is proposed.
    expect(fitSession(day, 1379, (b) => b.id === 'row')).toEqual([{ kind: 'a-set-less', id: 'row', savesS: 120 }]);
    expect(fitSession(day, 1379, () => false)).toEqual([]);
  });
  it('fits afterwards wherever that can be, with no step that is not needed (seeded)', () => {
    const random = seeded(8);
    for (let k = 0; k < 300; k++) {
      const blocks = drawnBlocks(2 + Math.floor(random() * 7), random);
      const secondsOf = (of: readonly OrderBlock[]) => blocksSeconds(of);
      const mostS = secondsOf(blocks) * (0.2 + random());
      const steps = fitSession(blocks, mostS, () => true);
      expect(secondsOf(afterSteps(blocks, steps))).toBeLessThanOrEqual(mostS);
      for (const s of steps)
        expect(
          secondsOf(
            afterSteps(
              blocks,
              steps.filter((x) => x !== s),
            ),
          ),
        ).toBeGreaterThan(mostS);
    }
  });
});

describe('the order of a session', () => {
  it('what was begun comes first, wherever it stands, and is not moved itself', () => {
    const blocks = drawnBlocks(6, seeded(4));
    const begun = [blocks[4]!, blocks[1]!];
    const best = bestOrder(blocks, (b) => begun.includes(b));
    expect(best.slice(0, 2)).toEqual([blocks[1], blocks[4]]);
    expect(new Set(best)).toEqual(new Set(blocks));
  });
  it('is the cheapest of all that keep the rules: against every order of up to seven, seeded', () => {
    const random = seeded(21);
    for (let n = 2; n <= 7; n++)
      for (let round = 0; round < (n < 6 ? 30 : 6); round++) {
        const blocks = drawnBlocks(n, random);
        const begun = Math.floor(random() * 2);
        const all = [...permutations(blocks.slice(begun))].map((o) => [...blocks.slice(0, begun), ...o]);
        const allowed = all.filter((o) => kept(o.slice(begun)));
        const least = Math.min(...allowed.map((o) => orderCost(o)));
        const best = bestOrder(blocks, (b) => blocks.indexOf(b) < begun);
        expect(kept(best.slice(begun))).toBe(true);
        expect(best.slice(0, begun)).toEqual(blocks.slice(0, begun));
        // What has begun may stand against what is free, at one price in every order.
        expect(orderCost(best)).toBeCloseTo(least, 6);
      }
  });
  it('stays as it is where nothing is better, and where there are too many', () => {
    const same = Array.from({ length: 5 }, (_, k) => ({
      ...{ ...PLAIN, id: `b${k}`, group: 'rows' as const, rank: 'compound' as const },
      items: [timed({ movement: `m${k}` })],
    }));
    expect(bestOrder(same, none)).toEqual(same);
    const many = drawnBlocks(13, seeded(2));
    expect(bestOrder(many, none)).toBe(many);
  });
  it('common practice: the drill first, rows before the curl, a one-arm row after the heavy ones', () => {
    const block = (id: string, group: OrderBlock['group'], rank: OrderBlock['rank'], refines = false): OrderBlock => ({
      ...{ ...PLAIN, id, group, rank, refines },
      items: [timed({ movement: id })],
    });
    const blocks = [
      block('curl', 'biceps', 'single-joint'),
      block('one-arm row', 'rows', 'compound', true),
      block('row', 'rows', 'compound'),
      block('pulldown', 'pulldowns', 'compound'),
      block('drill', 'before', 'wakes-up'),
    ];
    expect(bestOrder(blocks, none).map((b) => b.id)).toEqual(['drill', 'row', 'one-arm row', 'pulldown', 'curl']);
    expect(brokenRules(blocks.slice(0, 3))).toEqual([
      { rule: 'compound-first', first: 'one-arm row', then: 'curl' },
      { rule: 'compound-first', first: 'row', then: 'curl' },
      { rule: 'refining-late', first: 'row', then: 'one-arm row' },
    ]);
  });
});
