import { describe, expect, it } from 'vitest';
import { poseBody } from '@/core/body/pose-body';
import { centreOfMass } from '@/core/body/centre-of-mass';
import type { Vec3 } from '@/core/geometry/vector';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { bodyOf } from '../../../test/support/fixtures';
import { pressureAt, standingMargin, supportOf, type Standing } from './standing';

const SQUARE = [
  [-0.1, -0.15],
  [0.2, -0.15],
  [0.2, 0.15],
  [-0.1, 0.15],
] as const;
const pulled = (at: Vec3, forceN: Vec3): Standing => ({ support: SQUARE, centre: [0, 1, 0], hands: [{ at, forceN }] });

describe('centre of pressure (statics by hand)', () => {
  it.each<[string, Vec3, Vec3, number, number]>([
    ['nothing pulls: under the centre of mass', [0.5, 1, 0], [0, 0, 0], 0, 0],
    // F h / (m g): 70 kg, 68.65 N at 1 m.
    ['a level pull ahead', [0.5, 1, 0], [68.646, 0, 0], 0.1, 0],
    ['a level pull to the right', [0.5, 1, 0], [0, 0, 68.646], 0, 0.1],
    // A weight of 10 kg held half a metre ahead: 0.5 x 10 / 80.
    ['a weight held ahead', [0.5, 1, 0], [0, -10 * GRAVITY_MS2, 0], 0.0625, 0],
    // Half the body's weight taken off ahead of it: the rest stands behind.
    ['a pull straight up ahead', [0.5, 1, 0], [0, 35 * GRAVITY_MS2, 0], -0.5, 0],
  ])('%s', (_, at, forceN, x, z) => {
    const [px, pz] = pressureAt(70, pulled(at, forceN))!;
    expect([px, pz]).toEqual([expect.closeTo(x, 4), expect.closeTo(z, 4)]);
  });
  it('a pull that lifts the body leaves no pressure', () =>
    expect(pressureAt(70, pulled([0, 1, 0], [0, 71 * GRAVITY_MS2, 0]))).toBeNull());
  it('margin and the most that is carried: the edge 20 cm ahead, 1 m up, is 20 % of the weight', () => {
    const level = [pulled([0.4, 1, 0], [0.1 * 70 * GRAVITY_MS2, 0, 0])];
    expect(standingMargin(70, level)).toMatchObject({
      marginM: expect.closeTo(0.1, 9),
      mostShare: expect.closeTo(2, 6),
      slips: false,
      downN: 70 * GRAVITY_MS2,
    });
    expect(standingMargin(70, [pulled([0.4, 1, 0], [0, -1, 0])]).mostShare).toBeNull();
    expect(standingMargin(70, [pulled([0.4, 1, 0], [30 * GRAVITY_MS2, 0, 0])]).marginM).toBeLessThan(0);
  });
});

describe('shoes that slip before the body tips', () => {
  it('a low pull along the floor: 0.6 of the weight', () => {
    const low = [pulled([0.4, 0.05, 0], [0.1 * 70 * GRAVITY_MS2, 0, 0])];
    expect(standingMargin(70, low)).toMatchObject({ mostShare: expect.closeTo(6, 6), slips: true });
  });
  it('a pull that also lifts leaves less to hold on with: F cos 30 is 0.6 of what F sin 30 leaves', () => {
    const slant = [pulled([0.1, 0.02, 0], [Math.sqrt(3) * 50, 50, 0])];
    const at = standingMargin(70, slant).mostShare!;
    expect(Math.sqrt(3) * 50 * at).toBeCloseTo(0.6 * (70 * GRAVITY_MS2 - 50 * at), 4);
  });
});

describe.each([1.5, 1.75, 1.98])('a body of %d m', (h) => {
  const body = bodyOf(h);
  it.each([
    { kind: 'standing', kneeFlexionDeg: 8 },
    { kind: 'staggered', frontFoot: 'left' },
    { kind: 'wide', widthM: 0.7 },
    { kind: 'hinged', trunkDeg: 30, kneeFlexionDeg: 20 },
    { kind: 'half-kneeling', kneeDown: 'right' },
    { kind: 'tall-kneeling' },
  ] as const)('stands by itself, $kind, inside its feet and knees', (posture) => {
    const pose = poseBody(body, posture);
    const standing = { support: supportOf(body, pose), centre: centreOfMass(body, pose), hands: [] };
    expect(standing.support.length).toBeGreaterThanOrEqual(4);
    expect(standingMargin(body.massKg, [standing]).marginM).toBeGreaterThan(0);
  });
  it('a split stance carries more of a pull ahead than feet together', () => {
    const most = (posture: Parameters<typeof poseBody>[1]): number => {
      const pose = poseBody(body, posture);
      const hands = [{ at: [0.5, 0.7 * h, 0] as Vec3, forceN: [50, 0, 0] as Vec3 }];
      const moment = { support: supportOf(body, pose), centre: centreOfMass(body, pose), hands };
      return standingMargin(body.massKg, [moment]).mostShare!;
    };
    expect(most({ kind: 'staggered', frontFoot: 'left' })).toBeGreaterThan(
      most({ kind: 'standing', kneeFlexionDeg: 8 }),
    );
  });
});
