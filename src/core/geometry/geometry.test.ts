import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { clampedAcos, clampedAsin, toDeg, toRad } from '@/core/units/angle';
import { gramsToKg, gramsToLb, kgToGrams, lbToGrams } from '@/core/units/mass';
import { slerp, toBody, toFloor, turn } from './rotation';
import { along, cross, dot, length, mirrorZ, normalise, scale, subtract, type Vec3 } from './vector';

const coordinate = fc.double({ min: -3, max: 3, noNaN: true });
const vec = fc.tuple(coordinate, coordinate, coordinate) as fc.Arbitrary<Vec3>;
const direction = vec.filter((v) => length(v) > 0.1).map(normalise);
const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true });
const near = (a: Vec3, b: Vec3, eps = 1e-9): boolean => length(subtract(a, b)) < eps;

describe('vectors', () => {
  it.each([
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ],
    [
      [0, 1, 0],
      [0, 0, 1],
      [1, 0, 0],
    ],
    [
      [0, 0, 1],
      [1, 0, 0],
      [0, 1, 0],
    ],
    [
      [1, 2, 3],
      [4, 5, 6],
      [-3, 6, -3],
    ],
  ] as [Vec3, Vec3, Vec3][])('%j x %j', (a, b, c) => expect(cross(a, b)).toEqual(c));
  it('a cross product is square to both and mirrors as an axial vector', () => {
    fc.assert(
      fc.property(vec, vec, (a, b) => {
        const c = cross(a, b);
        const mirrored = cross(mirrorZ(a), mirrorZ(b));
        return Math.abs(dot(c, a)) < 1e-9 && Math.abs(dot(c, b)) < 1e-9 && near(mirrored, scale(mirrorZ(c), -1));
      }),
    );
  });
  it('a direction asked of a point is a mistake', () => expect(() => normalise([0, 0, 0])).toThrow(/no length/));
  it('along goes the distance asked', () => {
    fc.assert(
      fc.property(
        vec,
        direction,
        coordinate,
        (p, d, m) => Math.abs(length(subtract(along(p, d, m), p)) - Math.abs(m)) < 1e-9,
      ),
    );
  });
});

describe('turning', () => {
  it.each([
    [[1, 0, 0], 90, [0, 0, -1]],
    [[0, 0, 1], 90, [1, 0, 0]],
    [[0, 1, 0], 37, [0, 1, 0]],
    [[1, 0, 0], 180, [-1, 0, 0]],
  ] as [Vec3, number, Vec3][])('%j by %d degrees', (v, deg, expected) =>
    expect(near(turn(v, toRad(deg)), expected)).toBe(true),
  );
  it('keeps lengths and heights and comes back', () => {
    fc.assert(
      fc.property(vec, angle, (v, a) => {
        const t = turn(v, a);
        return Math.abs(length(t) - length(v)) < 1e-9 && t[1] === v[1] && near(turn(t, -a), v);
      }),
    );
  });
  it('body to floor and back is where it began', () => {
    fc.assert(
      fc.property(vec, angle, coordinate, coordinate, (v, yawRad, x, z) =>
        near(toBody(toFloor(v, { x, z, yawRad }), { x, z, yawRad }), v),
      ),
    );
  });
});

describe('slerp (Shoemake 1985)', () => {
  it.each([
    [0, [1, 0, 0]],
    [1, [0, 1, 0]],
    [0.5, [Math.SQRT1_2, Math.SQRT1_2, 0]],
    [1 / 3, [Math.cos(Math.PI / 6), Math.sin(Math.PI / 6), 0]],
  ] as [number, Vec3][])('a quarter turn at %d', (t, expected) =>
    expect(near(slerp([1, 0, 0], [0, 1, 0], t), expected)).toBe(true),
  );
  it('stays a unit direction, moves at a constant rate and mirrors', () => {
    fc.assert(
      fc.property(direction, direction, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, t) => {
        fc.pre(dot(a, b) > -0.99);
        const s = slerp(a, b, t);
        const whole = Math.acos(Math.min(1, Math.max(-1, dot(a, b))));
        const part = Math.acos(Math.min(1, Math.max(-1, dot(a, s))));
        return (
          Math.abs(length(s) - 1) < 1e-9 &&
          Math.abs(part - t * whole) < 1e-5 &&
          near(slerp(mirrorZ(a), mirrorZ(b), t), mirrorZ(s), 1e-6)
        );
      }),
    );
  });
  it('has no single arc between opposites', () => expect(() => slerp([1, 0, 0], [-1, 0, 0], 0.5)).toThrow(/opposite/));
});

describe('units', () => {
  it.each([
    [lbToGrams(1), 454],
    [lbToGrams(100), 45359],
    [kgToGrams(2.5), 2500],
    [gramsToKg(12500), 12.5],
    [Math.round(gramsToLb(45359.237)), 100],
    [toDeg(Math.PI), 180],
    [toRad(90), Math.PI / 2],
    [clampedAsin(1.0000001), Math.PI / 2],
    [clampedAcos(-1.0000001), Math.PI],
  ])('%d is %d', (a, b) => expect(a).toBeCloseTo(b, 9));
});
