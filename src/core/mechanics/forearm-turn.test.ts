import { describe, expect, it } from 'vitest';
import { mirrorZ, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { UPRIGHT } from '@/core/geometry/frame';
import { forearmTurnNm } from './forearm-turn';

const DOWN_N = -50;
/** Upper arm hanging, forearm level ahead or hanging straight. */
function arm(side: 'left' | 'right', hand: Vec3): ChainPath {
  const at = (p: Vec3): Vec3[] => [0, 1].map(() => (side === 'right' ? p : mirrorZ(p)));
  return {
    side,
    chain: 'arm',
    proximal: at([0, 1.4, 0.2]),
    middle: at([0, 1.1, 0.2]),
    distal: at(hand),
    contact: at(hand),
    frame: [UPRIGHT, UPRIGHT],
  };
}
const held = new Float64Array([0, DOWN_N, 0, 0, DOWN_N, 0]);
const LEVEL: Vec3 = [0.3, 1.1, 0.2];

describe.each(['left', 'right'] as const)('what a load off the middle of the hand turns, %s', (side) => {
  // By hand: 50 N two centimetres from the middle of the hand turn a level palm with 1 Nm, an upright one not at all.
  it.each([
    ['palm up, past the little finger: it turns the palm down', 90, 0.02, 1],
    ['palm up, past the thumb: it turns it up', 90, -0.02, -1],
    ['palm down, past the little finger: it turns it up', -90, 0.02, -1],
    ['thumb up: it hangs under the hand', 0, 0.02, 0],
    ['half way: by the sine of 30 degrees', 30, 0.02, 0.5],
    ['in the middle of the hand: nothing', 90, 0, 0],
  ])('%s', (_, deg, offsetM, nm) => {
    const turn = forearmTurnNm(arm(side, LEVEL), held, { startDeg: deg, finishDeg: deg, offsetM });
    for (const v of turn) expect(v).toBeCloseTo(nm, 9);
  });
  it('a forearm that hangs is not turned: the load pulls along it', () => {
    const turn = forearmTurnNm(arm(side, [0.02, 0.8, 0.2]), held, { startDeg: 80, finishDeg: 80, offsetM: 0.02 });
    for (const v of turn) expect(Math.abs(v)).toBeLessThan(0.08);
  });
  it('turning on the way, it grows from nothing', () => {
    const turn = forearmTurnNm(arm(side, LEVEL), held, { startDeg: 0, finishDeg: 90, offsetM: 0.02 });
    expect([...turn].map((v) => Math.abs(Math.round(v * 1e6) / 1e6))).toEqual([0, 1]);
  });
});
