import { describe, expect, it } from 'vitest';
import { girdleWay } from '@/core/body/girdle-way';
import { REGIONS } from '@/core/body/region-line';
import { SIDES } from '@/core/body/side';
import { UPRIGHT } from '@/core/geometry/frame';
import { dot, length, mirrorZ, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { bodyOf } from '../../../test/support/fixtures';
import { girdleForce } from './girdle';
import { allocateLoad } from './load';

const body = bodyOf(1.75);
/** Winter: a whole arm is 5 % of the body. */
const ARM_N = 0.05 * body.massKg * GRAVITY_MS2;
const still = (side: 'left' | 'right'): ChainPath => ({
  side,
  chain: 'arm',
  proximal: [[0, 1.4, 0.2]],
  middle: [[0.3, 1.4, 0.2]],
  distal: [[0.6, 1.4, 0.2]],
  contact: [[0.6, 1.4, 0.2]],
  frame: [UPRIGHT],
});
const under = (force: Vec3, side: 'left' | 'right' = 'right', region: 'mid-back' | 'trapezius-upper' = 'mid-back') => {
  const load = allocateLoad(1);
  load.forceN.set(force);
  return girdleForce(body, still(side), load, region)!;
};

describe('what draws the blade answers the pull on the shoulder along its own way', () => {
  it('a pull straight ahead: its part square to a collar bone 25 degrees behind straight out', () => {
    expect(under([100, 0, 0]).meanN).toBeCloseTo(100 * Math.cos((25 * Math.PI) / 180), 9);
  });
  it('the arm’s own weight hangs on the upper trapezius and on no mid back', () => {
    expect(under([0, 0, 0], 'right', 'trapezius-upper').meanN).toBeCloseTo(ARM_N, 1);
    expect(under([0, 0, 0]).meanN).toBeCloseTo(0, 9);
  });
  it('share: the part along the way of the whole pull, the arm counted in', () => {
    const { meanN, share } = under([100, 0, 0]);
    expect(share).toBeCloseTo(meanN / Math.hypot(100, ARM_N), 2);
    // A push that draws the blade back asks for nothing.
    expect(under([-100, 0, 0])).toMatchObject({ share: 0 });
    expect(under([-100, 0, 0]).meanN).toBeLessThan(0);
  });
  it('left mirrors right, and only what holds the blade has a way', () => {
    expect(under([80, 10, 30], 'left').meanN).toBeCloseTo(under([80, 10, -30], 'right').meanN, 9);
    for (const region of REGIONS) {
      const [left, right] = SIDES.map((side) => girdleWay(region, UPRIGHT, side));
      expect(right === null).toBe(!['mid-back', 'trapezius-upper', 'trapezius-lower'].includes(region));
      if (!left || !right) continue;
      expect(length(right)).toBeCloseTo(1, 1);
      expect(dot(left, mirrorZ(right))).toBeCloseTo(dot(right, right), 9);
    }
  });
});
