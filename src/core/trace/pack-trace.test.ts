import { Buffer } from 'node:buffer';
import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { MOST_KEPT, MOST_PACKED, packTrace, unpackTrace } from './pack-trace';
import { wayAt } from './minimum-jerk';
import { segmentReps, type TracePoint } from './segment-reps';

/** Reps of two seconds up and three down over half a metre, read unevenly with noise of half a millimetre. */
function lifted(reps: number, hz: number, random: () => number): TracePoint[] {
  const points: TracePoint[] = [];
  for (let tS = 0; tS < 1 + reps * 6; tS += (0.5 + random()) / hz) {
    const t = (tS - 1) % 6;
    const way = tS < 1 ? 0 : t < 2 ? wayAt(t / 2) : t < 3 ? 1 : 1 - wayAt(Math.min(1, (t - 3) / 3));
    points.push({ tS: tS + 7, xM: 0.05 + 0.5 * way + 0.0005 * (2 * random() - 1) });
  }
  return points;
}

describe('a trace as it is kept', () => {
  it('comes back within a twentieth of a millimetre, at its own rate or fifty a second (seeded)', () => {
    for (let seed = 1; seed <= 40; seed++) {
      const random = seeded(seed);
      const even = lifted(3, 50, random).map((p, i) => ({ tS: i / 50, xM: p.xM }));
      const packed = packTrace(even)!;
      expect(packed.hz).toBe(50);
      const back = unpackTrace(packed)!;
      expect(back).toHaveLength(even.length);
      expect(Math.max(...back.map((p, i) => Math.abs(p.tS - even[i]!.tS)))).toBeLessThan(1e-9);
      expect(Math.max(...back.map((p, i) => Math.abs(p.xM - even[i]!.xM)))).toBeLessThanOrEqual(0.00005 + 1e-12);
    }
  });
  it('its reps are those of the readings that it was made of', () => {
    for (const [reps, hz] of [
      [8, 200],
      [5, 100],
      [12, 50],
      // Longer than a minute: kept more coarsely.
      [25, 50],
    ] as const) {
      const points = lifted(reps, hz, seeded(reps));
      const packed = packTrace(points)!;
      const [own, kept] = [segmentReps(points, 'lifting')!, segmentReps(unpackTrace(packed)!, 'lifting')!];
      expect(kept).toHaveLength(own.length);
      kept.forEach((r, i) => {
        expect(Math.abs(r.liftingS - own[i]!.liftingS)).toBeLessThan(0.12);
        expect(Math.abs(r.loweringS - own[i]!.loweringS)).toBeLessThan(0.12);
      });
      expect(packed.data.length).toBeLessThanOrEqual(MOST_PACKED);
      expect(unpackTrace(packed)!.length).toBeLessThanOrEqual(MOST_KEPT);
    }
  });
  it('takes little: under two signs a reading', () => {
    const points = lifted(8, 50, seeded(3));
    expect(packTrace(points)!.data.length / points.length).toBeLessThan(2);
  });
  it('is written in signs that a library reads alike (RFC 4648)', () => {
    // 0, 1, -1 in tenths of a millimetre: bytes 0, 2, and for the third, -1 - 2 + 0 = -3, five.
    const packed = packTrace([0, 0.0001, -0.0001].map((xM, i) => ({ tS: i / 50, xM })))!;
    expect([...Buffer.from(packed.data, 'base64url')]).toEqual([0, 2, 5]);
  });
  it.each([
    ['too few', [{ tS: 0, xM: 0 }]],
    ['no time', [0, 0, 0].map((tS) => ({ tS, xM: 1 }))],
    ['a gap', [0, 0.02, 1.5].map((tS) => ({ tS, xM: 1 }))],
    ['no number', [0, Number.NaN, 0.04].map((tS) => ({ tS, xM: 1 }))],
  ])('%s is no trace', (_, points) => expect(packTrace(points)).toBeNull());
  it.each(['', 'A', '*AAA', '____', 'gICAgICAgICAgICA'])('%j cannot be read', (data) =>
    expect(unpackTrace({ hz: 50, data })).toBeNull(),
  );
});
