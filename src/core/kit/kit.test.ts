import { describe, expect, it } from 'vitest';
import { COLUMN } from '../../../test/support/fixtures';
import { blockDeclineDeg, calibrateNotches, nearestNotch } from './bench';
import {
  calibrateArms,
  holeHeightM,
  holeOnSide,
  nearestHole,
  pulleyAt,
  type ArmColumn,
  type HoleColumn,
} from './column';
import { readTable } from './force-table';

describe('columns of every kind', () => {
  const arms: ArmColumn = {
    kind: 'arms',
    holes: 12,
    numberedFrom: 'bottom',
    twinSpacingM: 0.6,
    pulleyRatio: 2,
    clearanceM: 0.05,
    travelM: 3,
    floorPlateM: 0,
    pivotHeightM: 1.2,
    armM: 0.8,
    firstDeg: -75,
    pitchDeg: 13,
    swingDeg: 30,
  };
  it('a single column pulls from the middle; twins from either side', () => {
    const single: HoleColumn = { ...COLUMN, kind: 'single', twinSpacingM: 0 };
    expect(pulleyAt(single, 5, 'left')).toEqual(pulleyAt(single, 5, 'right'));
    expect(pulleyAt(COLUMN, 5, 'left')[2]).toBe(-1.2);
  });
  it('a left column with its own numbers uses its hole nearest in height', () => {
    const odd: HoleColumn = {
      ...COLUMN,
      leftRuler: { firstHoleM: 2.11, pitchM: 0.08, holes: 24, numberedFrom: 'top' },
    };
    for (let h = 1; h <= 20; h++) {
      const left = holeOnSide(odd, h, 'left');
      expect(holeOnSide(odd, h, 'right')).toBe(h);
      const gap = pulleyAt(odd, h, 'left')[1] - pulleyAt(odd, h, 'right')[1];
      expect(Math.abs(gap)).toBeLessThanOrEqual(0.0401);
      expect(pulleyAt(odd, h, 'left')[1]).toBeCloseTo(2.11 - (left - 1) * 0.08, 9);
    }
  });
  it('arms: height and reach follow the angle, swung apart to the sides', () => {
    const level = { ...arms, firstDeg: 0 };
    expect(pulleyAt(level, 1, 'right')).toEqual(
      [0.8 * Math.cos(Math.PI / 6), 1.2, 0.3 + 0.8 * Math.sin(Math.PI / 6)].map((v) => expect.closeTo(v, 9)),
    );
    expect(holeHeightM(arms, 1)).toBeCloseTo(1.2 - 0.8 * Math.sin((75 * Math.PI) / 180), 9);
    for (let n = 1; n <= 12; n++) expect(nearestHole(arms, holeHeightM(arms, n))).toBe(n);
  });
  it('arms are calibrated from pulley heights, with the residual', () => {
    const read = (hole: number, off = 0) => ({ hole, heightM: holeHeightM(arms, hole) + off });
    expect(calibrateArms([read(1), read(12)], 1.2, 0.8, 'bottom')).toMatchObject({
      firstDeg: expect.closeTo(-75, 6),
      pitchDeg: expect.closeTo(13, 6),
      exact: true,
    });
    expect(calibrateArms([read(1), read(6, 0.02), read(12)], 1.2, 0.8, 'bottom')!.worstResidualM).toBeGreaterThan(
      0.008,
    );
    expect(calibrateArms([read(1), { hole: 5, heightM: 2.5 }], 1.2, 0.8, 'bottom')).toBeNull();
    expect(calibrateArms([read(1), read(12)], 1.2, 0.8, 'top')).toBeNull();
  });
});

describe('benches', () => {
  it('notches between measured ones are fitted, measured ones kept; uneven ones show', () => {
    const fit = calibrateNotches(
      [
        { notch: 1, deg: 0 },
        { notch: 7, deg: 84 },
      ],
      7,
    )!;
    expect(fit.anglesDeg.map(Math.round)).toEqual([0, 14, 28, 42, 56, 70, 84]);
    expect(fit.measured).toEqual([true, false, false, false, false, false, true]);
    expect(
      calibrateNotches(
        [
          { notch: 1, deg: 0 },
          { notch: 4, deg: 60 },
          { notch: 7, deg: 84 },
        ],
        7,
      )!.worstResidualDeg,
    ).toBeCloseTo(12, 6);
    expect(calibrateNotches([{ notch: 2, deg: 30 }], 7)).toBeNull();
  });
  it.each([
    [[0, 15, 30, 45, 60, 75], 38, 4],
    [[0, 15, 30, 45, 60, 75], 37, 3],
    [[0, 15, 30], 90, 3],
  ] as const)('of %j nearest to %d is notch %d', (angles, wanted, notch) =>
    expect(nearestNotch(angles, wanted)).toEqual({ notch, offDeg: angles[notch - 1]! - wanted }),
  );
  it('a block of half the length between the feet tips 30 degrees', () =>
    expect(blockDeclineDeg(0.5, 1)).toBeCloseTo(30, 9));
});

describe('force tables', () => {
  it('tables run on straight lines, and on beyond their ends', () => {
    const t = [
      { x: 0, y: 0 },
      { x: 1, y: 10 },
      { x: 2, y: 30 },
    ];
    expect([-1, 0.5, 1, 1.5, 3].map((x) => readTable(t, x))).toEqual([-10, 5, 10, 20, 50]);
    expect(readTable([{ x: 1, y: 4 }], 9)).toBe(4);
  });
});
