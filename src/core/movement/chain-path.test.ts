import fc from 'fast-check';
import { derivative } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { toDirection, toUnit } from '@/core/geometry/direction';
import { fromFrame, intoFrame, rotateAbout, rotateFrame, UPRIGHT } from '@/core/geometry/frame';
import { cross, dot, length, mirrorZ, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import { forceAt, type Load } from '@/core/mechanics/load';
import { bodyOf, sampled } from '../../../test/support/fixtures';
import { armPath, d, lift, POSTURES, profilePath, STANDING, weight } from '../../../test/support/limbs';
import { findWorkingRange, targetOf } from './chain-path';
import { poseKeyframes, type KeyframePath } from './keyframes';

const unit = fc
  .tuple(
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
    fc.double({ min: -1, max: 1, noNaN: true }),
  )
  .filter((v) => Math.hypot(...v) > 0.1)
  .map((v) => normalise(v as Vec3));
const angle = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('frames and directions', () => {
  it.each([
    [0, 90, [0, 0, 1]],
    [90, 90, [1, 0, 0]],
    [90, 0, [0, -1, 0]],
    [-90, 90, [-1, 0, 0]],
    [180, 90, [0, 0, -1]],
    [0, 180, [0, 1, 0]],
  ] as const)('azimuth %d, elevation %d', (a, e, v) => {
    expect(toUnit(d(a, e), 'right').map((x) => Math.round(x * 1e9) / 1e9 + 0)).toEqual(v);
    expect(toUnit(d(a, e), 'left')).toEqual(mirrorZ(toUnit(d(a, e), 'right')));
  });
  it('directions and frames find their way back; Rodrigues keeps lengths and the axis', () => {
    fc.assert(
      fc.property(unit, unit, angle(-3, 3), (u, axis, a) => {
        for (const side of ['left', 'right'] as const)
          expect(length(subtract(toUnit(toDirection(u, side), side), u))).toBeLessThan(1e-7);
        const f = rotateFrame(UPRIGHT, axis, a);
        expect(length(subtract(intoFrame(f, fromFrame(f, u)), u))).toBeLessThan(1e-12);
        expect(length(rotateAbout(u, axis, a))).toBeCloseTo(1, 12);
        expect(dot(rotateAbout(u, axis, a), axis)).toBeCloseTo(dot(u, axis), 12);
      }),
      { seed: 5, numRuns: 60 },
    );
  });
});

/** Potential of each load over its contact, as mathjs text of (x, y, z): its fall is the work that the limb gets. */
const POTENTIAL: readonly (readonly [string, Load, string])[] = [
  [
    'cable',
    { kind: 'cable', pulley: [1.4, 0.9, -0.3], tensionN: 180, attachmentM: 0.1 },
    '180*sqrt((1.4-x)^2+(0.9-y)^2+(-0.3-z)^2)',
  ],
  ['weight', weight(11), '11*9.80665*y'],
  ['guide', { kind: 'guide', direction: [-0.6, -0.8, 0], forceN: 320 }, '320*(0.6*x+0.8*y)'],
  [
    'band',
    {
      kind: 'band',
      anchor: [1.5, 0.2, 0.6],
      restM: 0.2,
      table: [
        { x: 0, y: 0 },
        { x: 1, y: 150 },
      ],
    },
    '75*(sqrt((1.5-x)^2+(0.2-y)^2+(0.6-z)^2)-0.2)^2',
  ],
];

describe('virtual work: resistance = d(potential)/d(angle), derivative by mathjs, in every posture', () => {
  it.each(POTENTIAL)('%s', (_, load, potential) => {
    const bodyPoint = ['x', 'y', 'z'].map((k) => `(j${k}+r${k}*cos(t)+w${k}*sin(t)+a${k}*q*(1-cos(t)))`);
    const text = potential.replace(/\b([xyz])\b/g, (k) => bodyPoint['xyz'.indexOf(k)]!);
    const slope = derivative(text, 't').compile();
    const named = (p: string, v: Vec3) => ({ [`${p}x`]: v[0], [`${p}y`]: v[1], [`${p}z`]: v[2] });
    for (const posture of sampled(POSTURES)) {
      fc.assert(
        fc.property(angle(1.4, 2.1), angle(-40, 100), angle(20, 150), angle(30, 110), (h, az, e0, e1) => {
          const body = bodyOf(h);
          const keys = armPath('trunk', [d(az, e0), d(az + 20, e1)], [d(az + 35, e1), d(az + 60, e0)]);
          for (const action of ['shoulder.flexion', 'elbow.flexion'] as const) {
            const r = lift(body, posture, keys, action, [load]);
            for (const i of [3, 22, 38]) {
              const joint = action === 'elbow.flexion' ? r.path.middle[i]! : r.path.proximal[i]!;
              const rel = subtract(r.path.contact[i]!, joint);
              const axis = r.target.axis[i]!;
              const rate = slope.evaluate({
                t: 0,
                q: dot(axis, rel),
                ...named('j', joint),
                ...named('r', rel),
                ...named('w', cross(axis, rel)),
                ...named('a', axis),
              }) as number;
              expect(Math.abs(r.samples.lineNm[i]! - rate)).toBeLessThan(1e-6 * (1 + Math.abs(rate)));
            }
          }
        }),
        { seed: 9, numRuns: 3 },
      );
    }
  });
});

describe('targets', () => {
  const body = bodyOf(1.75);
  it.each([
    ['shoulder.flexion', armPath('floor', [d(90, 10), d(90, 10)], [d(90, 100), d(90, 100)]), [0, 0, 1]],
    ['shoulder.abduction', armPath('floor', [d(0, 10), d(0, 10)], [d(0, 100), d(0, 100)]), [-1, 0, 0]],
    ['shoulder.horizontalAdduction', armPath('floor', [d(0, 90), d(0, 90)], [d(90, 90), d(90, 90)]), [0, 1, 0]],
    ['elbow.flexion', armPath('floor', [d(90, 1), d(90, 5)], [d(90, 1), d(90, 140)]), [0, 0, 1]],
    ['elbow.extension', armPath('floor', [d(90, 1), d(90, 140)], [d(90, 1), d(90, 5)]), [0, 0, -1]],
  ] as const)('%s turns about its own axis', (action, keys, axis) => {
    const t = targetOf(poseKeyframes(body, STANDING, keys, 'right'), action);
    for (const i of [2, 20, 38]) expect(length(subtract(t.axis[i]!, axis))).toBeLessThan(1e-6);
  });
  it('a limb that stands still has its action’s nominal axis', () => {
    const held = poseKeyframes(body, STANDING, armPath('floor', [d(90, 60), d(90, 60)]), 'right');
    expect(targetOf(held, 'shoulder.flexion').axis[20]).toEqual([0, 0, 1]);
  });
  it('left and right mirror in every posture, whatever the load', () => {
    const keys = armPath('trunk', [d(10, 40), d(40, 60)], [d(80, 100), d(120, 110)]);
    const at = (side: 'left' | 'right', z: number) =>
      profilePath(body, poseKeyframes(body, STANDING, keys, side), 'shoulder.flexion', [
        { kind: 'cable', pulley: [1.2, 0.4, z], tensionN: 150, attachmentM: 0.1 },
      ]);
    const [l, r] = [at('left', -0.5), at('right', 0.5)];
    for (let i = 0; i < 41; i += 4) {
      expect(l.samples.resistanceNm[i]).toBeCloseTo(r.samples.resistanceNm[i]!, 9);
      expect(l.samples.offPlaneRad[i]).toBeCloseTo(r.samples.offPlaneRad[i]!, 9);
    }
  });
});

describe('working range', () => {
  const body = bodyOf(1.75);
  const pose = (keys: KeyframePath, posture = STANDING) => poseKeyframes(body, posture, keys, 'right');
  const raise = pose(armPath('floor', [d(0, 0), d(0, 0)], [d(0, 160), d(0, 160)]));
  const rest = (path: ReturnType<typeof pose>, motion: string, deg: number) =>
    findWorkingRange(path, { right: { [motion]: deg } });
  it.each([
    ['shoulder.abduction', 120, 0, 0.75, null, 'shoulder.abduction'],
    ['shoulder.abduction', 170, 0, 1, null, null],
    ['elbow.flexion', 30, 0, 1, null, null],
    ['shoulder.flexion', 20, 0, 1, null, null],
  ] as const)('side raise with %s at %d', (motion, deg, from, to, cutStart, cutFinish) => {
    const w = rest(raise, motion, deg)!;
    expect([w.from, w.cutStart, w.cutFinish]).toEqual([from, cutStart, cutFinish]);
    expect(w.to).toBeCloseTo(to, 3);
  });
  it('a fly’s stretch is cut at the start; a range that leaves nothing says so', () => {
    const fly = pose(armPath('trunk', [d(-20, 90), d(-20, 90)], [d(80, 90), d(80, 90)]));
    const w = rest(fly, 'shoulder.horizontalAbduction', 10)!;
    expect(w.from).toBeCloseTo(0.1, 3);
    expect(w.cutStart).toBe('shoulder.horizontalAbduction');
    expect(
      rest(pose(armPath('floor', [d(90, 1), d(90, 120)], [d(90, 1), d(90, 130)])), 'elbow.flexion', 90),
    ).toBeNull();
    const leg: KeyframePath = {
      kind: 'leg',
      contact: 'shin',
      keys: [
        { at: 0, hipFlexionDeg: 90, kneeFlexionDeg: 120 },
        { at: 1, hipFlexionDeg: 90, kneeFlexionDeg: 0 },
      ],
    };
    expect(
      rest(
        pose(leg, { kind: 'leg-machine', seatHeightM: 0.5, backDeg: 90, thighDeg: 0, kneeFlexionDeg: 90 }),
        'knee.flexion',
        90,
      )!.from,
    ).toBeCloseTo(0.25, 3);
  });
  it('keys must run from 0 to 1', () => {
    const keys = armPath('floor', [d(0, 10), d(0, 10)], [d(0, 90), d(0, 90)]) as Extract<KeyframePath, { kind: 'arm' }>;
    expect(() => pose({ ...keys, keys: keys.keys.slice(1) })).toThrow('0 to 1');
  });
});

it('a band is slack below its rest length', () =>
  expect(
    forceAt(
      {
        kind: 'band',
        anchor: [0, 0, 0],
        restM: 1,
        table: [
          { x: 0, y: 0 },
          { x: 1, y: 100 },
        ],
      },
      [0.9, 0, 0],
    ),
  ).toEqual([0, 0, 0]));
