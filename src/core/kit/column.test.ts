import { describe, expect, it } from 'vitest';
import { calibrateRuler } from './calibrate-ruler';
import { holeHeightM, nearestHole, type HoleColumn } from './column';
import { COLUMN } from '../../../test/support/fixtures';

describe('calibrateRuler', () => {
  it.each([
    [
      'two holes, from the bottom',
      [
        [3, 0.45],
        [18, 1.95],
      ],
      20,
      'bottom',
      0.25,
      0.1,
      0,
    ],
    [
      'two holes, from the top',
      [
        [1, 2.1],
        [11, 1.35],
      ],
      20,
      'top',
      2.1,
      0.075,
      0,
    ],
    // Least squares by hand: slope 0.1, residuals +1/3, -2/3, +1/3 cm.
    [
      'three holes, one a centimetre off',
      [
        [1, 0.25],
        [2, 0.34],
        [3, 0.45],
      ],
      20,
      'bottom',
      0.24667,
      0.1,
      0.00667,
    ],
  ] as const)('%s', (_, readings, holes, from, first, pitch, worst) => {
    const fit = calibrateRuler(
      readings.map(([hole, heightM]) => ({ hole, heightM })),
      holes,
      from,
    );
    expect(fit).toMatchObject({
      ok: true,
      firstHoleM: expect.closeTo(first, 4),
      pitchM: expect.closeTo(pitch, 6),
      worstResidualM: expect.closeTo(worst, 4),
    });
  });
  it.each([
    ['too-few', [[1, 0.3]], 'bottom'],
    [
      'same-hole',
      [
        [4, 0.5],
        [4, 0.6],
      ],
      'bottom',
    ],
    [
      'wrong-direction',
      [
        [1, 2],
        [5, 1],
      ],
      'bottom',
    ],
    [
      'below-floor',
      [
        [1, 1],
        [2, 0.9],
      ],
      'top',
    ],
  ] as const)('%s', (reason, readings, from) =>
    expect(
      calibrateRuler(
        readings.map(([hole, heightM]) => ({ hole, heightM })),
        20,
        from,
      ),
    ).toEqual({ ok: false, reason }),
  );
});

describe('holes', () => {
  const fromTop: HoleColumn = { ...COLUMN, numberedFrom: 'top', firstHoleM: 2.15 };
  it.each([
    [COLUMN, 1, 0.25],
    [COLUMN, 20, 2.15],
    [fromTop, 1, 2.15],
    [fromTop, 20, 0.25],
  ] as const)('heights', (c, hole, m) => expect(holeHeightM(c, hole)).toBeCloseTo(m, 9));
  it('find their way back', () => {
    for (const c of [COLUMN, fromTop])
      for (let h = 1; h <= c.holes; h++) expect(nearestHole(c, holeHeightM(c, h) + 0.03)).toBe(h);
    expect(nearestHole(COLUMN, 9)).toBe(20);
  });
});
