import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import type { CorrectionMark } from '@/core/record/set-log';
import { effectText } from '@/messages/faults';
import { correctionEffects } from './correction-effect';
import { wilsonInterval, workedShare } from './interval';

describe('Wilson’s interval, against the worked examples of Newcombe 1998, Stat Med 17: 857 (remembered)', () => {
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718],
  ])('%d of %d', (seen, n, low, high) => {
    const found = wilsonInterval(seen, n);
    expect(found.low).toBeCloseTo(low, 4);
    expect(found.high).toBeCloseTo(high, 4);
  });
  it('solves what it is defined by, with the normal quantile of a statistics library', () => {
    const z = jStat.normal.inv(0.975, 0, 1);
    for (const [seen, n] of [
      [1, 9],
      [12, 40],
      [250, 1000],
    ] as const)
      for (const p of Object.values(wilsonInterval(seen, n)))
        expect(Math.abs(seen / n - p)).toBeCloseTo(z * Math.sqrt((p * (1 - p)) / n), 6);
  });
  it('of nothing seen is everything; the rate lies inside; mirrored for what was not seen', () => {
    expect(wilsonInterval(0, 0)).toEqual({ low: 0, high: 1 });
    for (let n = 1; n < 40; n += 3)
      for (let k = 0; k <= n; k++) {
        const [a, b] = [wilsonInterval(k, n), wilsonInterval(n - k, n)];
        expect(a.low - 1e-12 <= k / n && k / n <= a.high + 1e-12).toBe(true);
        expect(a.low).toBeCloseTo(1 - b.high, 12);
      }
  });
});

describe('how often a correction works: Beta(1 + held, 1 + not)', () => {
  it.each([
    // Beta(1, 1) is even; Beta(2, 1) has x squared, Beta(1, n) 1 - (1 - x)^n, Beta(2, 2) 3 x^2 - 2 x^3.
    [0, 0, 0.5, 0.05, 0.95],
    [1, 0, 2 / 3, Math.sqrt(0.05), Math.sqrt(0.95)],
    [0, 3, 1 / 5, 1 - 0.95 ** 0.25, 1 - 0.05 ** 0.25],
    [1, 1, 0.5, 0.13535, 0.86465],
  ])('held %d, not %d', (held, not, mean, low, high) => {
    const found = workedShare(held, not);
    expect(found.mean).toBeCloseTo(mean, 9);
    expect(found.low).toBeCloseTo(low, 5);
    expect(found.high).toBeCloseTo(high, 5);
  });
  it('has the quantiles of a statistics library', () => {
    for (const [held, not] of [
      [0, 0],
      [1, 6],
      [9, 3],
      [40, 25],
      [3, 400],
      [900, 1100],
    ] as const) {
      const { low, high } = workedShare(held, not);
      expect(low).toBeCloseTo(jStat.beta.inv(0.05, 1 + held, 1 + not), 6);
      expect(high).toBeCloseTo(jStat.beta.inv(0.95, 1 + held, 1 + not), 6);
    }
  });
  it('of thousands of looks, as over all of a gym’s clients, is near the normal distribution of its own spread', () => {
    const [held, not] = [6000, 4000];
    const { mean, low, high } = workedShare(held, not);
    const spread = Math.sqrt((mean * (1 - mean)) / (held + not + 3));
    expect(low).toBeCloseTo(mean - 1.644854 * spread, 4);
    expect(high).toBeCloseTo(mean + 1.644854 * spread, 4);
  });
  it('grows surer with what is seen, and mirrors', () => {
    for (const k of [1, 3, 9, 27]) {
      const [a, b] = [workedShare(3 * k, k), workedShare(k, 3 * k)];
      expect(a.low).toBeCloseTo(1 - b.high, 9);
      expect(a.high - a.low).toBeLessThan(
        workedShare(k, Math.floor(k / 3)).high - workedShare(k, Math.floor(k / 3)).low,
      );
    }
  });
  it('tells each correction of each fault apart, what works first; what was not looked at says nothing', () => {
    const mark = (correction: 'blades-down' | 'step-in', outcome: CorrectionMark['outcome']): CorrectionMark => ({
      ...{ id: 'x', fault: 'shrugs', correction, cause: 'cue', outcome, outcomeId: null, outcomeSetId: null },
    });
    const given = [
      ...['held', 'held', 'partly', 'not-checked', null].map((o) => mark('step-in', o as CorrectionMark['outcome'])),
      ...['not', 'not', 'held'].map((o) => mark('blades-down', o as CorrectionMark['outcome'])),
    ];
    expect(correctionEffects(given).map((e) => [e.correction, e.held, e.partly, e.not])).toEqual([
      ['step-in', 2, 1, 0],
      ['blades-down', 1, 0, 2],
    ]);
    expect(effectText(correctionEffects(given)[0]!)).toBe('held 2 of 2, partly 1; too few looks to say more');
    const often = Array.from({ length: 9 }, (_, k) => mark('step-in', k < 6 ? 'held' : 'not'));
    expect(effectText(correctionEffects(often)[0]!)).toBe('held 6 of 9; likely works 39 to 85 % of the time');
  });
});
