import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { normalHeadingDeg, turnDeg } from './turn';

describe('headings above -180 up to 180', () => {
  it.each([
    [0, 0],
    [180, 180],
    [-180, 180],
    [181, -179],
    [-181, 179],
    [360, 0],
    [540, 180],
    [-725, -5],
  ])('%d is %d', (deg, normal) => expect(normalHeadingDeg(deg)).toBeCloseTo(normal, 12));
  it.each([
    [10, 30, 20],
    [170, -170, 20],
    [-170, 170, -20],
    [0, 180, -180],
    [90, 90, 0],
  ])('from %d to %d is a turn of %d', (from, to, turn) => expect(turnDeg(from, to)).toBeCloseTo(turn, 12));
  it('a turn leads there, and none is more than half a turn', () => {
    const random = seeded(17);
    for (let k = 0; k < 300; k++) {
      const [from, to] = [(random() - 0.5) * 1000, (random() - 0.5) * 1000];
      const turn = turnDeg(from, to);
      expect(Math.abs(turn)).toBeLessThanOrEqual(180);
      const miss = normalHeadingDeg(from + turn - to);
      expect(Math.min(Math.abs(miss), 360 - Math.abs(miss))).toBeCloseTo(0, 8);
    }
  });
});
