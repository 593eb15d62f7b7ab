import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { timed } from '../../../test/support/order-blocks';
import { learnTimes, medianOf, observeChanges, timesFor, type PastSet } from './change-times';
import { betweenS, CHANGES, OUR_TIMES, sessionSeconds } from './session-time';

const NONE = { side: null, hole: null, handle: null, station: null };
const ITEMS = {
  row: timed({ movement: 'row' }),
  'row-left': timed({ movement: 'row' }),
  fly: timed({ movement: 'fly' }),
  rope: timed({ movement: 'rope', attachmentId: 'e' }),
  curl: timed({ movement: 'curl', stationId: null, attachmentId: null }),
};
const itemOf = (id: string) => ITEMS[id as keyof typeof ITEMS] ?? null;

describe('seconds between movements', () => {
  it('the median’s interval by the binomial: of ten the second from either end, of five none is known', () => {
    const ten = [9, 1, 8, 2, 7, 3, 6, 4, 5, 10];
    // 95 % intervals of the median by order statistics: n = 10 gives the 2nd and the 9th (remembered table).
    expect(medianOf(ten)).toEqual({ seconds: 5.5, from: 2, to: 9 });
    expect(medianOf(Array.from({ length: 20 }, (_, k) => k + 1))).toEqual({ seconds: 10.5, from: 6, to: 15 });
  });
  it('simulated sessions give back the true times, within their interval 95 times of 100', () => {
    const random = seeded(77);
    const TRUE = { side: 20, hole: 55, handle: 80, station: 140 };
    let [held, all] = [0, 0];
    for (let gym = 0; gym < 250; gym++) {
      const sets: PastSet[] = [];
      for (let s = 0; s < 24; s++) {
        let ms = s * 86_400_000;
        let last: keyof typeof ITEMS | null = null;
        for (const id of ['row', 'row-left', 'fly', 'rope', 'curl'] as const) {
          if (last !== null) {
            const change = observeChanges(
              [last, id].map((itemId, k) => ({ sessionId: 'x', itemId, startedAtMs: k, endedAtMs: k })),
              itemOf,
            )[0]!.change;
            // Skewed as real ones are: the median of exp(z) is 1.
            const z = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
            ms += 1000 * TRUE[change] * Math.exp(0.4 * z);
          }
          for (let k = 0; k < 3; k++) {
            sets.push({ sessionId: `s${s}`, itemId: id, startedAtMs: ms, endedAtMs: ms + 60_000 });
            ms += 60_000 + (k < 2 ? 90_000 : 0);
          }
          last = id;
        }
      }
      const learned = learnTimes(observeChanges(sets, itemOf));
      for (const c of CHANGES) {
        const { from, to, observations, seconds } = learned[c]!;
        expect([observations, from <= seconds && seconds <= to]).toEqual([24, true]);
        all += 1;
        if (from <= TRUE[c] && TRUE[c] <= to) held += 1;
      }
    }
    expect(held / all).toBeGreaterThan(0.94);
    expect(held / all).toBeLessThan(0.99);
  });
  it('too few are not learned from, nor what took longer than any change; a pause of the same movement is none', () => {
    const often = (n: number, seconds: number) =>
      Array.from({ length: n }, () => ({ change: 'hole' as const, seconds }));
    expect(learnTimes(often(7, 50)).hole).toBeNull();
    expect(learnTimes([...often(8, 50), ...often(9, 2000), ...often(5, -3)]).hole).toMatchObject({ observations: 8 });
    const same = [0, 1].map((k) => ({ sessionId: 's', itemId: 'row', startedAtMs: k * 1e5, endedAtMs: k * 1e5 + 1 }));
    expect(observeChanges([...same, { ...same[1]!, itemId: 'gone', startedAtMs: 9e5 }], itemOf)).toEqual([]);
  });
  it('what was entered goes before what was learned, and that before ours; learned, the rest is part of it', () => {
    const learned = { ...NONE, hole: { seconds: 41.4, from: 38, to: 45, observations: 30 } };
    const times = timesFor({ station: 200 }, learned);
    expect([times.hole, times.station, times.side]).toEqual([
      { seconds: 41, isWhole: true },
      { seconds: 200, isWhole: false },
      OUR_TIMES.side,
    ]);
    expect([betweenS(ITEMS.row, ITEMS.fly), betweenS(ITEMS.row, ITEMS.fly, times)]).toEqual([60, 41]);
    expect(sessionSeconds([ITEMS.row, ITEMS.curl], times)).toBe(600 + 200);
  });
});
