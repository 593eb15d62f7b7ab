import { describe, expect, it } from 'vitest';
import { bodyOf } from '../../../test/support/fixtures';
import { ARM_MASS_SHARE, FOREARM_HAND_MASS, UPPER_ARM_MASS } from './segment-mass';
import { poseBody } from './pose-body';

describe('body from stature (Drillis and Contini 1966, in Winter)', () => {
  it.each([
    ['shoulderHeight', 1.4315],
    ['elbowHeight', 1.106],
    ['hipHeight', 0.9275],
    ['kneeHeight', 0.49875],
    ['ankleHeight', 0.06825],
    ['chinHeight', 1.5225],
    ['eyeHeight', 1.638],
  ] as const)('%s of 1.75 m', (name, m) => expect(bodyOf(1.75).height[name].m).toBeCloseTo(m, 2));

  it.each([
    ['upperArm', 0.3255],
    ['forearm', 0.2555],
    ['hand', 0.189],
    ['shoulderBreadth', 0.4515],
    ['hipBreadth', 0.33425],
    ['foot', 0.266],
  ] as const)('%s of 1.75 m', (name, m) => expect(bodyOf(1.75).length[name].m).toBeCloseTo(m, 6));

  it('whole arm weighs the sum of its parts (Winter)', () =>
    expect(UPPER_ARM_MASS.share + FOREARM_HAND_MASS.share).toBeCloseTo(ARM_MASS_SHARE, 12));
});

describe('measured values', () => {
  const body = bodyOf(1.75, { measuredM: { shoulderHeight: 1.5, elbowHeight: 1.14 } });
  it('stand and say so', () => expect(body.height.shoulderHeight).toEqual({ m: 1.5, source: 'measured' }));
  it('give the arm between two of them', () =>
    expect(body.length.upperArm).toEqual({ m: expect.closeTo(0.36, 9), source: 'derived' }));
  it('carry the wrist below the elbow', () => expect(body.height.wristHeight.m).toBeCloseTo(1.14 - 0.146 * 1.75, 9));
  it('lift their neighbours in proportion', () => {
    expect(body.height.hipHeight.m).toBeCloseTo((0.53 / 0.818) * 1.5, 9);
    expect(body.height.hipHeight.source).toBe('derived');
    expect(body.height.chinHeight.m).toBeCloseTo(1.5 + ((0.87 - 0.818) / (1 - 0.818)) * 0.25, 9);
  });
  it('leave the rest estimated', () => expect(body.length.foot.source).toBe('estimated'));
});

describe('staggered stance', () => {
  const body = bodyOf(1.75);
  const pose = poseBody(body, { kind: 'staggered', frontFoot: 'left' }, { leanDeg: 6, sideBendDeg: 0, turnDeg: 0 });
  const span = (a: readonly number[], b: readonly number[]) => Math.hypot(a[0]! - b[0]!, a[1]! - b[1]!, a[2]! - b[2]!);
  it('keeps segment lengths', () => {
    for (const leg of Object.values(pose.leg)) {
      expect(span(leg.hip, leg.knee)).toBeCloseTo(body.height.hipHeight.m - body.height.kneeHeight.m, 6);
      expect(span(leg.knee, leg.ankle)).toBeCloseTo(body.height.kneeHeight.m - body.height.ankleHeight.m, 6);
    }
  });
  it('centres the mark between the feet and lowers the shoulders a little', () => {
    expect(pose.leg.left.ankle[0]).toBeCloseTo(-pose.leg.right.ankle[0], 12);
    expect(pose.shoulder.right[1]).toBeLessThan(body.height.shoulderHeight.m);
    expect(pose.shoulder.right[1]).toBeGreaterThan(body.height.shoulderHeight.m - 0.08);
  });
  it('is the same shape at any size', () => {
    const tall = poseBody(
      bodyOf((3.5 / 2) * 1.1),
      { kind: 'staggered', frontFoot: 'left' },
      { leanDeg: 6, sideBendDeg: 0, turnDeg: 0 },
    );
    expect(tall.shoulder.left[0] / pose.shoulder.left[0]).toBeCloseTo(1.1, 9);
    expect(tall.head[1] / pose.head[1]).toBeCloseTo(1.1, 9);
  });
});
