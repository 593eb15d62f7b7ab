import jStat from 'jstat';
import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { dPrimeOf, normalQuantile, sensitivityOf } from './detection';
import { climb } from './staircase';

describe('the normal quantile', () => {
  it('is that of a statistics library, from tail to tail', () => {
    for (let k = 1; k < 2000; k++) expect(normalQuantile(k / 2000)).toBeCloseTo(jStat.normal.inv(k / 2000, 0, 1), 7);
    expect([normalQuantile(0), normalQuantile(1)]).toEqual([-Infinity, Infinity]);
  });
});

describe('d prime', () => {
  it('of the worked example: 20 of 25 old faces known, 10 of 25 new ones taken for old', () => {
    // Macmillan and Creelman 2005, Detection Theory, chapter 1 (remembered): z(0.8) - z(0.4) = 0.842 + 0.253.
    const { dPrime, c } = dPrimeOf(20 / 25, 10 / 25);
    expect(dPrime).toBeCloseTo(1.095, 3);
    expect(c).toBeCloseTo(-0.294, 3);
  });
  it.each([
    // Tables of d' for yes and no (Swets 1964, remembered).
    [0.99, 0.01, 4.653],
    [0.9, 0.1, 2.563],
    [0.7, 0.3, 1.049],
    [0.5, 0.5, 0],
    [0.3, 0.7, -1.049],
  ])('of %d hits and %d false alarms is %d', (h, f, d) => expect(dPrimeOf(h, f).dPrime).toBeCloseTo(d, 3));

  it('from counts: all seen and none imagined is no infinity, and by hand with its interval', () => {
    // (20.5 / 21, 0.5 / 21): z = 1.9808 each way.
    const all = sensitivityOf({ signals: 20, hits: 20, noises: 20, falseAlarms: 0 })!;
    expect(all.dPrime).toBeCloseTo(2 * jStat.normal.inv(20.5 / 21, 0, 1), 6);
    expect(all.criterion).toBeCloseTo(0, 12);
    const [h, f] = [20.5 / 26, 10.5 / 26];
    const phi = (p: number) => Math.exp(-(jStat.normal.inv(p, 0, 1) ** 2) / 2) / Math.sqrt(2 * Math.PI);
    const variance = (h * (1 - h)) / (25 * phi(h) ** 2) + (f * (1 - f)) / (25 * phi(f) ** 2);
    const seen = sensitivityOf({ signals: 25, hits: 20, noises: 25, falseAlarms: 10 })!;
    expect((seen.high - seen.low) / 2).toBeCloseTo(1.959964 * Math.sqrt(variance), 6);
    expect((seen.high + seen.low) / 2).toBeCloseTo(seen.dPrime, 12);
  });
  it('is not told where one of both never was', () => {
    expect(sensitivityOf({ signals: 0, hits: 0, noises: 9, falseAlarms: 1 })).toBeNull();
    expect(sensitivityOf({ signals: 9, hits: 4, noises: 0, falseAlarms: 0 })).toBeNull();
  });
  it('its interval holds the truth 95 times in 100: 2,000 simulated trainers of known d prime', () => {
    const random = seeded(11);
    const normal = () => normalQuantile(random());
    let held = 0;
    for (let n = 0; n < 2000; n++) {
      const [dPrime, line] = [random() * 2.5, random() * 1.5];
      const above = (mean: number) => Array.from({ length: 60 }, () => mean + normal() > line).filter(Boolean).length;
      const told = sensitivityOf({ signals: 60, hits: above(dPrime), noises: 60, falseAlarms: above(0) })!;
      if (told.low <= dPrime && dPrime <= told.high) held++;
    }
    expect(held / 2000).toBeGreaterThan(0.93);
    expect(held / 2000).toBeLessThan(0.98);
  });
});

describe('the staircase', () => {
  const [yes, no] = [true, false];
  it('by hand: two seen make it smaller, one missed larger; from the third turn on in smaller steps', () => {
    expect(climb([]).level).toBe(1);
    expect(climb([yes]).level).toBe(1);
    expect(climb([yes, yes]).level).toBeCloseTo(Math.SQRT1_2, 12);
    expect(climb([yes, yes, yes, yes]).level).toBeCloseTo(0.5, 12);
    // Turns up at 0.5 to 0.707, seen twice: turns down, now in steps of the fourth root of two.
    expect(climb([yes, yes, yes, yes, no]).turns).toEqual([expect.closeTo(0.5, 12)]);
    const twice = climb([yes, yes, yes, yes, no, yes, yes]);
    expect(twice.turns.map((t) => t.toFixed(3))).toEqual(['0.500', '0.707']);
    expect(twice.level).toBeCloseTo(Math.SQRT1_2 / 2 ** 0.25, 12);
    expect(twice.threshold).toBeNull();
  });
  it('stays between the largest and the smallest', () => {
    expect(climb(Array<boolean>(9).fill(false)).level).toBe(1);
    expect(climb(Array<boolean>(60).fill(true)).level).toBe(0.05);
  });
  it('finds where a simulated trainer sees 70.7 of 100: Weibull observers of known thresholds', () => {
    for (const [truth, seed] of [
      [0.15, 3],
      [0.3, 5],
      [0.6, 7],
    ] as const) {
      const random = seeded(seed);
      // P(seen) = 1 - exp(-(level / scale)^slope) is 0.7071 where level = scale (-ln 0.2929)^(1 / slope).
      const slope = 3;
      const scaleOf = truth / (-Math.log(1 - Math.SQRT1_2)) ** (1 / slope);
      const found = Array.from({ length: 60 }, () => {
        const seen: boolean[] = [];
        for (let n = 0; n < 80; n++) seen.push(random() < 1 - Math.exp(-((climb(seen).level / scaleOf) ** slope)));
        return Math.log(climb(seen).threshold!);
      });
      const mean = Math.exp(found.reduce((a, b) => a + b) / found.length);
      expect(mean / truth, `threshold ${truth}`).toBeGreaterThan(0.93);
      expect(mean / truth, `threshold ${truth}`).toBeLessThan(1.07);
    }
  });
});
