import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { drawnBlocks, permutations, PLAIN, timed } from '../../../test/support/order-blocks';
import { freeOrder, isFreeOrder, type Meanwhile } from './free-order';
import { brokenRules, isKept, orderCost, type OrderBlock } from './session-order';
import { stationUses } from './station-use';

const MIN_MS = 60_000;
const hour = { startsAtMs: 0, endsAtMs: 60 * MIN_MS };
const on = (id: string, stationId: string | null): OrderBlock => ({
  ...{ ...PLAIN, id, group: 'rows', rank: 'compound', items: [timed({ movement: id, stationId })] },
});
const use = (stationId: string, from: number, to: number) => ({
  ...{ stationId, fromMs: from * MIN_MS, toMs: to * MIN_MS },
});
const none = () => false;

describe('when a session uses which stations, by hand', () => {
  const day = [on('row', 'a'), on('press', null), on('fly', 'b')];
  it('five minutes each and 75 s between them, three minutes longer on both ends, but for its start and end', () => {
    expect(stationUses(day, hour)).toEqual([use('a', 0, 8), use('b', 9.5, 20.5)]);
    expect(stationUses(day, { ...hour, endsAtMs: 19 * MIN_MS })[1]).toEqual(use('b', 9.5, 19));
    // What runs over its end uses its station as long as it takes.
    expect(stationUses(day, { ...hour, endsAtMs: 15 * MIN_MS })[1]).toEqual(use('b', 9.5, 17.5));
  });
  it('two in turns use both their stations until both are done', () => {
    const pair = [on('curl', 'a'), on('pushdown', 'b')].map((b) => ({ ...b, pairId: 'p' }));
    const [a, b] = stationUses(pair, hour);
    expect([a!.fromMs, a!.toMs]).toEqual([b!.fromMs, b!.toMs]);
  });
});

describe('an order in which nobody else wants a station meanwhile', () => {
  const day = [on('row', 'a'), on('press', null), on('fly', 'b')];
  const taken = (...others: Meanwhile['others']): Meanwhile => ({ span: hour, others });
  it('by hand: somebody is on the column for the first nine minutes', () => {
    expect(isFreeOrder(day, taken(use('a', 0, 9)))).toBe(false);
    expect(freeOrder(day, none, taken(use('a', 0, 9)))!.map((b) => b.id)).toEqual(['press', 'fly', 'row']);
    expect(freeOrder(day, none, taken(use('a', 0, 60)))).toBeNull();
    // What was begun goes first: the column that it is on cannot be left for later.
    expect(freeOrder(day, (b) => b.id === 'row', taken(use('a', 0, 9)))).toBeNull();
    const pinned = day.map((b) => ({ ...b, isPinned: b.id === 'press' }));
    expect(freeOrder(pinned, none, taken(use('a', 0, 9)))!.map((b) => b.id)).toEqual(['fly', 'press', 'row']);
  });
  it('is the cheapest of all that are free and keep the rules, or there is none (seeded, every order tried)', () => {
    const random = seeded(12);
    let found = 0;
    for (let k = 0; k < 250; k++) {
      const blocks = drawnBlocks(2 + Math.floor(random() * 4), random);
      const others = Array.from({ length: 2 }, () => {
        const from = random() * 40;
        return use(random() < 0.5 ? 'a' : 'b', from, from + 4 + 15 * random());
      });
      const ours = freeOrder(blocks, none, taken(...others));
      const free = [...permutations(blocks)].filter(
        (o) => isFreeOrder(o, taken(...others)) && !brokenRules(o).some((r) => isKept(r.rule)),
      );
      expect(ours !== null, `${k}`).toBe(free.length > 0);
      if (!ours) continue;
      found += 1;
      expect(free.some((o) => o.every((b, i) => b.id === ours[i]!.id))).toBe(true);
      expect(orderCost(ours)).toBeCloseTo(Math.min(...free.map((o) => orderCost(o))), 3);
    }
    expect(found).toBeGreaterThan(80);
  });
});
