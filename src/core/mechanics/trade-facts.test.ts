import { describe, expect, it } from 'vitest';
import type { Posture } from '@/core/body/posture';
import { findHingeDeg, knucklesOverKneesM } from '@/core/fit/hinge-fit';
import { blockDeclineDeg } from '@/core/kit/bench';
import type { Body } from '@/core/body/body-model';
import { bodyOf } from '../../../test/support/fixtures';
import { armPath, d, lift, STANDING, weight } from '../../../test/support/limbs';
import { buildOffAxisTrack, resolveOffAxis } from './off-axis';

/** Facts of the trade (common practice): what free weights and cables do over a range, on three bodies. */
const BODIES = [1.52, 1.75, 1.98].map((h) => [h, bodyOf(h)] as const);
const DB = [weight(8)];
/** Value of a sampled curve at a share of the range. */
const at = (values: Float64Array, s: number): number => values[Math.round(s * 40)]!;
const of = (r: { samples: { resistanceNm: Float64Array }; metrics: { peakResistanceNm: number } }, s: number): number =>
  at(r.samples.resistanceNm, s) / r.metrics.peakResistanceNm;

/** Elbow flexes 0 to 145 degrees; the upper arm `forward` of hanging at start and finish. */
const curl = (forward: number, finish = forward) =>
  armPath(
    'floor',
    [d(forward < 0 ? -90 : 90, Math.abs(forward)), d(90, Math.max(0.01, forward))],
    [d(forward < 0 ? -90 : 90, Math.abs(forward)), d(90, 72 + (forward + finish) / 2)],
    [d(finish < 0 ? -90 : 90, Math.abs(finish)), d(90, 145 + finish)],
  );

describe.each(BODIES)('%d m', (statureM, body: Body) => {
  it('standing curl with a dumbbell: nothing hanging, most with the forearm level, nothing once it is upright', () => {
    const r = lift(body, STANDING, curl(0, 35), 'elbow.flexion', DB);
    expect(Math.abs(of(r, 0))).toBeLessThan(0.02);
    const forearmLevel = r.path.distal.findIndex((w, i) => w[1] >= r.path.middle[i]![1]) / 40;
    expect(Math.abs(r.metrics.peakAt - forearmLevel)).toBeLessThan(0.04);
    expect(Math.abs(of(r, 1))).toBeLessThan(0.02);
    // Elbow flexion alone ends near 145 degrees: the last tenth is a rest zone only with the elbow carried forward.
    expect(of(r, 0.92)).toBeLessThan(0.25);
  });
  it('standing curl: the elbow a little forward keeps the mean lever, drifting back loses it', () => {
    const mean = (forward: number) => lift(body, STANDING, curl(forward), 'elbow.flexion', DB).metrics.meanResistanceNm;
    expect(mean(30)).toBeGreaterThanOrEqual(mean(0) - 1e-9);
    expect(mean(0)).toBeGreaterThan(mean(-30) * 1.05);
    const peak = (forward: number) => lift(body, STANDING, curl(forward), 'elbow.flexion', DB).metrics.peakAt;
    expect(peak(30)).toBeLessThan(peak(0));
  });
  it('pushdown: under the pulley the lockout rests; a step back with the elbows forward loads it', () => {
    const push = (elbowDeg: number, stepM: number) => {
      const keys = armPath('floor', [d(90, elbowDeg), d(90, 120 + elbowDeg)], [d(90, elbowDeg), d(90, elbowDeg + 2)]);
      const shoulderX = lift(body, STANDING, keys, 'elbow.extension', DB).path.proximal[0]![0];
      const grip = lift(body, STANDING, keys, 'elbow.extension', DB).path.contact[40]!;
      const pulley = [stepM === 0 ? grip[0] : shoulderX + 0.25 + stepM, 2.1, grip[2]] as const;
      return lift(body, STANDING, keys, 'elbow.extension', [
        { kind: 'cable', pulley, tensionN: 200, attachmentM: 0.3 },
      ]);
    };
    const under = push(0, 0);
    const back = push(20, 0.35);
    expect(of(under, 1)).toBeLessThan(0.1);
    expect(of(back, 1)).toBeGreaterThan(0.3);
  });
  it('kickback: the weight helps until the forearm passes upright, and less than half the range is loaded', () => {
    const bent: Posture = { kind: 'hand-on-bench', benchHeightM: 0.45, support: 'left', kneeFlexionDeg: 20 };
    const kick = lift(
      body,
      bent,
      armPath('floor', [d(-90, 88), d(90, 48)], [d(-90, 88), d(-90, 20)], [d(-90, 88), d(-90, 88)]),
      'elbow.extension',
      DB,
    );
    const upright = kick.path.distal.findIndex((w, i) => w[0] <= kick.path.middle[i]![0]);
    for (let i = 0; i < upright; i++) expect(kick.samples.resistanceNm[i]!).toBeLessThan(0.001);
    expect(kick.metrics.helps).toBe(true);
    expect(kick.metrics.loadedShare).toBeLessThan(0.5);
    const overhead = lift(
      body,
      { kind: 'seated', seatHeightM: 0.45, backDeg: 85 },
      armPath('floor', [d(90, 170), d(-90, 50)], [d(90, 170), d(-90, 115)], [d(90, 170), d(90, 179)]),
      'elbow.extension',
      DB,
    );
    const lying = lift(
      body,
      { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 0 },
      armPath('floor', [d(-90, 165), d(-90, 60)], [d(-90, 165), d(-90, 115)], [d(-90, 165), d(-90, 168)]),
      'elbow.extension',
      DB,
    );
    for (const r of [overhead, lying]) expect(Math.abs(r.metrics.loadedShare - 0.75)).toBeLessThan(0.09);
  });
  it(
    'side raise with a dumbbell: below half its peak up to 30 degrees; a cable crossing the body ' +
      'peaks in the first half',
    () => {
      const raise = armPath('floor', [d(0, 2), d(0, 2)], [d(0, 90), d(0, 90)]);
      const db = lift(body, STANDING, raise, 'shoulder.abduction', DB);
      const thirty = 30 / 88;
      for (let s = 0; s < thirty - 0.02; s += 0.05) expect(of(db, s)).toBeLessThan(0.5);
      expect(of(db, thirty)).toBeCloseTo(0.5, 1);
      const cross = lift(body, STANDING, raise, 'shoulder.abduction', [
        { kind: 'cable', pulley: [0.1, 0.3 * statureM, -0.6], tensionN: 60, attachmentM: 0.14 },
      ]);
      // Of the line alone: the arm's own weight always peaks at level.
      const peak = cross.samples.lineNm.indexOf(Math.max(...cross.samples.lineNm)) / 40;
      expect(peak).toBeLessThan(0.5);
    },
  );
  it(
    'dumbbell fly: nothing with the hands over the shoulders; a hand outboard of the elbow by half ' +
      'an upper arm gives half as much again',
    () => {
      const bench: Posture = { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 0 };
      const fly = lift(
        body,
        bench,
        armPath('trunk', [d(0, 90), d(0, 90)], [d(90, 90), d(90, 90)]),
        'shoulder.horizontalAdduction',
        DB,
      );
      expect(fly.metrics.peakAt).toBeLessThan(0.02);
      expect(Math.abs(of(fly, 1))).toBeLessThan(0.02);
      // Forearm leaning out so that the hand is half the upper arm beyond the elbow, against forearm upright over it.
      const half = body.length.upperArm.m / 2;
      const fore = body.length.forearm.m + body.length.hand.m / 2;
      const out = (Math.acos(half / fore) * 180) / Math.PI;
      const at0 = (azimuth: number) =>
        lift(
          body,
          bench,
          armPath('trunk', [d(0, 90), d(azimuth, 90)], [d(89, 90), d(90, 90)]),
          'shoulder.horizontalAdduction',
          [weight(10)],
        ).samples.lineNm[0]!;
      expect(at0(out) / at0(90)).toBeCloseTo(1.5, 6);
    },
  );
  it('fly: the straighter the arm, the more the elbow flexors have to hold', () => {
    const bench: Posture = { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 0 };
    const held = (foreAz: number) => {
      const r = lift(
        body,
        bench,
        armPath('trunk', [d(0, 90), d(foreAz, 90)], [d(60, 90), d(Math.max(61, foreAz), 90)]),
        'shoulder.horizontalAdduction',
        [weight(10)],
      );
      return resolveOffAxis(buildOffAxisTrack(body, r.path, r.target), r.samples.load).find(
        (p) => p.joint === 'middle' && p.axis === 'flexion-extension',
      )!;
    };
    expect(held(20).compensatedBy).toBe('elbow-flexors');
    expect(held(20).meanNm).toBeGreaterThan(held(70).meanNm);
  });
  it('turning curl: mean resistance over the range well above the unturned one', () => {
    const keys = armPath('trunk', [d(-90, 25), d(-90, 20)], [d(90, 5), d(90, 75)], [d(90, 25), d(90, 160)]);
    const shoulder = lift(body, STANDING, keys, 'elbow.flexion', DB).path.proximal[0]!;
    const cable = [
      { kind: 'cable', pulley: [-1, shoulder[1] * 0.72, shoulder[2]], tensionN: 100, attachmentM: 0.1 },
    ] as const;
    const still = lift(body, STANDING, keys, 'elbow.flexion', cable).metrics;
    // A quarter turn and more towards the column, the arm's side first.
    const turning = lift(body, STANDING, keys, 'elbow.flexion', cable, [
      { at: 0 },
      { at: 0.35 },
      { at: 1, yawDeg: -170 },
    ]).metrics;
    expect(turning.meanResistanceNm).toBeGreaterThan(still.meanResistanceNm * 1.2);
  });
  it(
    'hinge: at 60 degrees the knuckles hang above the kneecaps, at level well below; the centimetres ' +
      'find their angle again',
    () => {
      expect(knucklesOverKneesM(body, 60)).toBeGreaterThan(0.03 * statureM);
      expect(knucklesOverKneesM(body, 0)).toBeLessThan(-0.1 * statureM);
      for (const deg of [10, 35, 45, 60, 80])
        expect(findHingeDeg(body, knucklesOverKneesM(body, deg))!).toBeCloseTo(deg, 6);
      expect(findHingeDeg(body, 2)).toBeNull();
    },
  );
  it('front raise: at least 70 % of the peak from 45 to 135 degrees', () => {
    const r = lift(
      body,
      STANDING,
      armPath('floor', [d(90, 1), d(90, 1)], [d(90, 90), d(90, 90)], [d(90, 179), d(90, 179)]),
      'shoulder.flexion',
      DB,
    );
    for (const deg of [46, 60, 90, 120, 134]) expect(of(r, deg / 180)).toBeGreaterThanOrEqual(0.69);
    expect(of(r, 30 / 180)).toBeLessThan(0.7);
  });
});

it('a plate or two laid flat under one end of a bench: about 2 to 6 degrees', () => {
  expect(blockDeclineDeg(0.045, 1.15)!).toBeCloseTo(2.24, 2);
  expect(blockDeclineDeg(0.11, 1.1)!).toBeCloseTo(5.74, 2);
  expect(blockDeclineDeg(1.2, 1.1)).toBeNull();
});
