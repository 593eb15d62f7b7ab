import { describe, expect, it } from 'vitest';
import { JOINT_ACTIONS, type JointAction } from '@/core/movement/joint-action';
import type { ChainPath } from '@/core/movement/chain-path';
import { UPRIGHT } from '@/core/geometry/frame';
import { add, type Vec3 } from '@/core/geometry/vector';
import { toRad } from '@/core/units/angle';
import { readStrength, STRENGTH, strengthAt, strengthTable } from './strength';

const share = (action: JointAction, deg: number): number => readStrength(strengthTable(action), deg);
const hardest = (action: JointAction): number => {
  const all = Array.from({ length: 181 }, (_, deg) => share(action, deg));
  return all.indexOf(Math.max(...all));
};

describe('the biceps at the shoulder', () => {
  const at = (raisedDeg: number, bendDeg: number): number => {
    const limb = (deg: number): Vec3 => [Math.sin(toRad(deg)), -Math.cos(toRad(deg)), 0];
    const elbow = limb(raisedDeg);
    const path: ChainPath = {
      side: 'right',
      chain: 'arm',
      proximal: [[0, 0, 0]],
      middle: [elbow],
      distal: [add(elbow, limb(raisedDeg + bendDeg))],
      contact: [elbow],
      frame: [UPRIGHT],
    };
    return strengthAt(path, 'elbow.flexion', 0);
  };
  it('arm beside the trunk: the curve itself, at any bend', () => {
    for (const bend of [5, 45, 90, 140]) expect(at(0, bend)).toBeCloseTo(share('elbow.flexion', bend), 9);
  });
  it('gives less with the elbow raised and bent, nothing less while it is straight, and more behind the trunk', () => {
    expect(at(45, 130) / at(0, 130)).toBeCloseTo(0.5, 9);
    expect(at(45, 60)).toBeCloseTo(at(0, 60), 9);
    expect(at(-30, 40) / at(0, 40)).toBeCloseTo(1.2, 9);
  });
});

describe('strength over the range', () => {
  // Anderson, Madigan and Nussbaum 2007, isometric: c1 cos(c2 (q - c3)), q in radians; parameters remembered.
  it.each<[JointAction, number, number]>([
    ['knee.extension', 1.258, 1.133],
    ['knee.flexion', 0.869, 0.522],
    ['hip.extension', 0.958, 0.932],
    ['hip.flexion', 0.738, -0.214],
  ])('%s: the published formula at every tested angle', (action, c2, c3) => {
    for (let deg = 15; deg <= 90; deg += 5)
      expect(share(action, deg)).toBeCloseTo(Math.cos(c2 * ((deg * Math.PI) / 180 - c3)), 2);
  });
  // Kulig, Andrews and Hay 1984, Williams and Stutzman 1959: where each is strongest, and which way it falls;
  // remembered.
  it.each<[JointAction, number, number]>([
    ['elbow.flexion', 75, 100],
    ['elbow.extension', 60, 100],
    ['shoulder.flexion', 0, 10],
    ['shoulder.abduction', 0, 10],
    ['shoulder.extension', 90, 150],
    ['shoulder.adduction', 90, 150],
    ['shoulder.horizontalAdduction', 0, 30],
    ['shoulder.horizontalAbduction', 90, 130],
    ['knee.extension', 60, 70],
    ['knee.flexion', 25, 35],
  ])('%s is strongest between %d and %d degrees', (action, from, to) => {
    expect(hardest(action)).toBeGreaterThanOrEqual(from);
    expect(hardest(action)).toBeLessThanOrEqual(to);
  });
  it.each(JOINT_ACTIONS)('%s: rises to one peak of 1 and falls from it, between a fifth and the whole', (action) => {
    const { points, source, spread } = STRENGTH[action];
    const ys = points.map((p) => p.y);
    const top = ys.indexOf(Math.max(...ys));
    expect(Math.abs(ys[top]! - 1)).toBeLessThan(0.02);
    ys.forEach((y, k) => {
      expect(y).toBeGreaterThanOrEqual(0.2);
      if (k > 0 && k <= top) expect(y).toBeGreaterThanOrEqual(ys[k - 1]!);
      if (k > top) expect(y).toBeLessThanOrEqual(ys[k - 1]!);
    });
    expect(spread > 0).toBe(source !== 'flat');
  });
  it('reads on straight lines between whole degrees, and stays at its ends beyond them', () => {
    const table = strengthTable('elbow.flexion');
    expect(readStrength(table, 97.5)).toBeCloseTo((share('elbow.flexion', 97) + share('elbow.flexion', 98)) / 2, 12);
    expect([readStrength(table, -200), readStrength(table, 500)]).toEqual([share('elbow.flexion', 0), 0.5]);
  });
});
