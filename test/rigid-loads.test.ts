import { beforeAll, describe, expect, it } from 'vitest';
import { FOOT_MASS, FOREARM_HAND_MASS, SHANK_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import type { Posture } from '@/core/body/posture';
import { add, between, cross, dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { arcForceN, forceAt, landmineForceN, type Load } from '@/core/mechanics/load';
import type { JointAction } from '@/core/movement/joint-action';
import type { KeyframePath } from '@/core/movement/keyframes';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { bodyOf } from './support/fixtures';
import { armPath, d, lift, STANDING } from './support/limbs';
import { momentByLibrary, startLibrary, STUB_KG } from './support/rigid-limb';

/**
 * Held poses over every kind of load: the moment that core says the joint must answer, against a rigid-body library.
 */
beforeAll(startLibrary);

const ROW = armPath('trunk', [d(90, 80), d(90, 85)], [d(-90, 20), d(90, 70)]);
const RAISE = armPath('floor', [d(20, 5), d(30, 5)], [d(10, 100), d(25, 105)]);
const CURL = armPath('floor', [d(90, 10), d(90, 15)], [d(90, 25), d(90, 150)]);
const FLY = armPath('trunk', [d(-5, 88), d(30, 88)], [d(85, 92), d(100, 92)]);
const EXTEND: KeyframePath = {
  kind: 'leg',
  contact: 'shin',
  keys: [
    { at: 0, hipFlexionDeg: 80, kneeFlexionDeg: 100 },
    { at: 1, hipFlexionDeg: 80, kneeFlexionDeg: 5 },
  ],
};
const PRESS: KeyframePath = {
  kind: 'leg',
  contact: 'sole',
  keys: [
    { at: 0, hipFlexionDeg: 110, kneeFlexionDeg: 100 },
    { at: 1, hipFlexionDeg: 60, kneeFlexionDeg: 20 },
  ],
};
const HINGED: Posture = { kind: 'hinged', trunkDeg: 35, kneeFlexionDeg: 25 };
const BENCH: Posture = { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 15 };
const MACHINE: Posture = { kind: 'leg-machine', seatHeightM: 0.5, backDeg: 80, thighDeg: 0, kneeFlexionDeg: 90 };
/**
 * Mass that keeps the inertia tensor of a lone forearm well conditioned for a library that counts in single precision.
 */
const BALLAST_KG = 0.2;
/** A load that is known wherever the hand is. */
type Steady = Exclude<Load, { kind: 'samples' }>;
const BAR = { barKg: 20, barM: 2.2, platesKg: 40, platesAtM: 2 };

const cable = (pulley: Vec3): Steady => ({ kind: 'cable', pulley, tensionN: 250, attachmentM: 0.14 });
const landmine: Steady = { kind: 'landmine', pivot: [2, 0.1, 0.2], bar: BAR, share: 0.5 };
const band: Steady = {
  kind: 'band',
  anchor: [1.2, 0.3, 0.4],
  restM: 0.4,
  table: [
    { x: 0, y: 0 },
    { x: 0.3, y: 60 },
    { x: 1.5, y: 210 },
  ],
};

const POSES: readonly (readonly [string, Posture, KeyframePath, JointAction, Steady])[] = [
  ['cable, row', { kind: 'seated', seatHeightM: 0.3, backDeg: 90 }, ROW, 'shoulder.extension', cable([1.8, 0.8, 0.2])],
  ['cable, raise across the body', STANDING, RAISE, 'shoulder.abduction', cable([0.2, 0.3, -0.9])],
  ['weight, curl at the elbow', STANDING, CURL, 'elbow.flexion', { kind: 'weight', massKg: 12 }],
  ['weight, fly on an incline', BENCH, FLY, 'shoulder.horizontalAdduction', { kind: 'weight', massKg: 10 }],
  ['landmine, hinged row', HINGED, ROW, 'shoulder.extension', landmine],
  ['landmine, half-kneeling', { kind: 'half-kneeling', kneeDown: 'right' }, ROW, 'shoulder.extension', landmine],
  [
    'machine arc, leg extension',
    MACHINE,
    EXTEND,
    'knee.extension',
    {
      kind: 'arc',
      centre: [0.45, 0.58, 0.07],
      axis: [0, 0, 1],
      stackN: 400,
      arm: {
        zero: [0, -1, 0],
        table: [
          { x: -10, y: 0.1 },
          { x: 60, y: 0.13 },
          { x: 110, y: 0.08 },
        ],
      },
    },
  ],
  [
    'guide, leg press',
    { kind: 'leg-machine', seatHeightM: 0.3, backDeg: 30, thighDeg: 50, kneeFlexionDeg: 90 },
    PRESS,
    'knee.extension',
    { kind: 'guide', direction: normalise([-1, -1, 0]), forceN: 700 },
  ],
  ['band, raise', STANDING, RAISE, 'shoulder.abduction', band],
  ['band, row kneeling', { kind: 'tall-kneeling' }, ROW, 'shoulder.extension', band],
];

describe.each([1.55, 1.9])('%d m', (statureM) => {
  it.each(POSES)('%s', (_, posture, keys, action, load) => {
    const body = bodyOf(statureM);
    const r = lift(body, posture, keys, action, [load]);
    for (const i of [0, 13, 27, 40]) {
      const { path, target } = r;
      const joint = target.joint === 'middle' ? path.middle[i]! : path.proximal[i]!;
      const from = (v: Vec3): Vec3 => subtract(v, joint);
      const [m, e] = [path.middle[i]!, path.distal[i]!];
      const fore =
        path.chain === 'arm'
          ? [{ r: from(between(m, e, FOREARM_HAND_MASS.centre)), kg: body.massKg * FOREARM_HAND_MASS.share }]
          : [
              { r: from(between(m, e, SHANK_MASS.centre)), kg: body.massKg * SHANK_MASS.share },
              {
                r: from(add(e, scale(normalise(subtract(e, m)), body.height.ankleHeight.m / 2))),
                kg: body.massKg * FOOT_MASS.share,
              },
            ];
      const parts = [
        ...fore,
        ...(target.joint === 'middle'
          ? []
          : [
              { r: from(between(path.proximal[i]!, m, UPPER_ARM_MASS.centre)), kg: body.massKg * UPPER_ARM_MASS.share },
            ]),
        { r: scale(target.axis[i]!, 0.3), kg: BALLAST_KG },
        { r: scale(normalise(cross(target.axis[i]!, [0.3, 0.5, 0.8])), 0.3), kg: BALLAST_KG },
      ];
      const seen = momentByLibrary(parts, from(path.contact[i]!), forceAt(load, path.contact[i]!));
      const stubs = parts.slice(-2).reduce<Vec3>((a, p) => add(a, cross(p.r, [0, -p.kg * GRAVITY_MS2, 0])), [0, 0, 0]);
      const resistance = -dot(subtract(seen, stubs), target.axis[i]!);
      expect(Math.abs(resistance - r.samples.resistanceNm[i]!)).toBeLessThan(
        Math.max(0.06, 0.006 * Math.abs(resistance)),
      );
    }
  });
});

describe('the apparatus itself rests under the hand that core says', () => {
  it.each([[[0.6, 0.9, 0]], [[1.2, 0.5, 0.3]], [[0.3, 1.8, -0.2]]] as readonly (readonly [Vec3])[])(
    'a landmine held at %j does not turn',
    (grip) => {
      const u = normalise(grip);
      const parts = [
        { r: scale(u, BAR.barM / 2), kg: BAR.barKg },
        { r: scale(u, BAR.platesAtM), kg: BAR.platesKg },
      ];
      const side = normalise(cross(u, [0, 1, 0]));
      const stubs = [
        { r: scale(side, 0.2), kg: STUB_KG },
        { r: scale(side, -0.2), kg: STUB_KG },
      ];
      const moment = momentByLibrary([...parts, ...stubs], grip, scale(landmineForceN([0, 0, 0], grip, BAR), -1));
      const hanging = parts.reduce<Vec3>((a, p) => add(a, cross(p.r, [0, -p.kg * GRAVITY_MS2, 0])), [0, 0, 0]);
      // The library counts in single precision: a hundredth of what the weights alone would do.
      expect(Math.hypot(...moment)).toBeLessThan(0.01 * Math.hypot(...hanging));
    },
  );
  it('a machine arm pushed back by the contact balances its stack', () => {
    const arm = { zero: [1, 0, 0] as Vec3, table: [{ x: 0, y: 0.12 }] };
    for (const deg of [0, 30, 75]) {
      const a = (deg * Math.PI) / 180;
      const contact: Vec3 = [0.4 * Math.cos(a), 0.4 * Math.sin(a), 0.05];
      const f = arcForceN([0, 0, 0], [0, 0, 1], contact, 500, arm);
      expect(dot(cross(contact, scale(f, -1)), [0, 0, 1])).toBeCloseTo(500 * 0.12, 9);
      expect(dot(f, contact)).toBeCloseTo(0, 9);
    }
  });
});
