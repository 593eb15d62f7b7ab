import { describe, expect, it } from 'vitest';
import { cross, dot, length, mirrorZ, normalise, subtract } from '@/core/geometry/vector';
import { toDeg } from '@/core/units/angle';
import { bodyOf, FLIES } from '../../../test/support/fixtures';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import { SAMPLES } from './chain-path';
import { findEntry } from '@/core/book/book';
import { poseSweep } from './limb-path';
import type { SweepPath } from './sweep-path';

const sweepOf = (id: string): SweepPath => {
  const { path } = findEntry(id)!;
  if (path.kind !== 'sweep') throw new Error(id);
  return path;
};
const own = (path: SweepPath) => ({ tiltDeg: path.tiltDeg.default, frontFoot: 'left' as const });
const ACTION = 'shoulder.horizontalAdduction';

const STATURES = [1.45, 1.75, 2.05];
const CASES = FLIES.flatMap((id) => STATURES.map((h) => [id, h] as const));

const WHOLE = { active: {}, limits: {}, stopLevel: false };

describe.each(CASES)('%s at %d m', (id, statureM) => {
  const body = bodyOf(statureM);
  const path = sweepOf(id);
  const { arms } = poseSweep(body, path, ACTION, own(path), WHOLE);

  it('keeps arm lengths at every sample', () => {
    for (const arm of Object.values(arms)) {
      expect(arm.contact).toHaveLength(SAMPLES);
      for (let i = 0; i < SAMPLES; i++) {
        expect(length(subtract(arm.middle[i]!, arm.proximal[0]!))).toBeCloseTo(body.length.upperArm.m, 9);
        expect(length(subtract(arm.distal[i]!, arm.middle[i]!))).toBeCloseTo(body.length.forearm.m, 9);
        expect(length(subtract(arm.contact[i]!, arm.distal[i]!))).toBeCloseTo(body.length.hand.m / 2, 9);
      }
    }
  });
  it('stays in its sweep, whose normal points up', () => {
    for (const arm of Object.values(arms)) {
      expect(arm.target.above[0]![1]).toBeGreaterThan(0);
      for (let i = 0; i < SAMPLES; i += 8) {
        expect(dot(subtract(arm.contact[i]!, arm.proximal[0]!), arm.target.above[0]!)).toBeCloseTo(0, 9);
        expect(dot(subtract(arm.middle[i]!, arm.proximal[0]!), arm.target.above[0]!)).toBeCloseTo(0, 9);
      }
    }
  });
  it('mirrors left and right', () => {
    for (let i = 0; i < SAMPLES; i += 8)
      expect(length(subtract(mirrorZ(arms.left.contact[i]!), arms.right.contact[i]!))).toBeLessThan(1e-9);
  });
  it('ends with the hands the asked gap apart, in front', () => {
    const [l, r] = [arms.left.contact[SAMPLES - 1]!, arms.right.contact[SAMPLES - 1]!];
    expect(length(subtract(l, r))).toBeCloseTo(path.finishGapM, 6);
    expect(r[0]).toBeGreaterThan(arms.right.proximal[0]![0] + 0.2);
  });
  it('bends the elbow in the stretch and nearly straightens it at the finish', () => {
    const bend = (i: number): number => {
      const upper = normalise(subtract(arms.right.middle[i]!, arms.right.proximal[0]!));
      const lower = normalise(subtract(arms.right.distal[i]!, arms.right.middle[i]!));
      return toDeg(Math.acos(dot(upper, lower)));
    };
    expect(bend(0)).toBeCloseTo(30, 6);
    expect(bend(SAMPLES - 1)).toBeCloseTo(10, 6);
  });
  it('turns about its action axis: the hand moves the way the axis says', () => {
    for (const arm of Object.values(arms)) {
      const r = subtract(arm.contact[20]!, arm.proximal[0]!);
      const velocity = subtract(arm.contact[21]!, arm.contact[19]!);
      expect(dot(cross(arm.target.axis[0]!, r), velocity)).toBeGreaterThan(0);
    }
  });
});

describe('active range cuts the sweep', () => {
  const path = sweepOf('cable-fly-level');
  const pose = (active: ActiveRangeDeg) => poseSweep(bodyOf(1.75), path, ACTION, own(path), { ...WHOLE, active }).arms;
  it.each([
    [undefined, -10, 'movement'],
    [25, -10, 'movement'],
    [10, -10, 'movement'],
    [4, -4, 'active-range'],
    [0, 0, 'active-range'],
  ] as const)('measured %s degrees behind: starts at %d, set by the %s', (measured, start, from) => {
    const { right, left } = pose(measured === undefined ? {} : { right: { 'shoulder.horizontalAbduction': measured } });
    expect(right.startDeg).toBeCloseTo(start, 9);
    expect(right.startFrom).toBe(from);
    expect(left.startDeg).toBeCloseTo(-10, 9);
  });
  it('stops where it is told to: three quarters of the way are where the whole has them, a quarter is not done', () => {
    const arm = (stopAt: number) => poseSweep(bodyOf(1.75), path, ACTION, own(path), { ...WHOLE, stopAt }).arms.right;
    const [whole, short] = [arm(1), arm(0.75)];
    expect(length(subtract(short.contact[40]!, whole.contact[30]!))).toBeLessThan(1e-12);
    expect(short.finishDeg).toBeCloseTo(whole.startDeg + 0.75 * (whole.finishDeg - whole.startDeg), 9);
    expect(short.startDeg).toBe(whole.startDeg);
  });
  it('stops short of the hands when the arm does not come across', () => {
    const { left } = pose({ left: { 'shoulder.horizontalAdduction': 70 } });
    expect(left.finishDeg).toBeCloseTo(70, 9);
    expect(left.finishFrom).toBe('active-range');
  });
});

describe('tilt', () => {
  const path = sweepOf('cable-fly-high-to-low');
  it.each([
    [30, 60],
    [45, 45],
    [60, 30],
  ])('%d degrees down ends with the arm about %d degrees from hanging', (tiltDeg, elevation) => {
    const { arms } = poseSweep(bodyOf(1.75), path, ACTION, { ...own(path), tiltDeg }, WHOLE);
    const r = normalise(subtract(arms.right.contact[SAMPLES - 1]!, arms.right.proximal[0]!));
    expect(Math.abs(toDeg(Math.acos(-r[1])) - elevation)).toBeLessThan(6);
  });
});
