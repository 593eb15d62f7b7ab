import { derivative } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { add, cross, dot, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { UPRIGHT } from '@/core/geometry/frame';
import { toBody, toFloor } from '@/core/geometry/rotation';
import { findEntry } from '@/core/book/book';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { COLUMN, FLIES, problemOf, seeded, uprightOf } from '../../../test/support/fixtures';
import { limbWeightMomentNm } from './limb-weight';
import { allocateSamples, profileLine, shareBelow } from './line-profile';
import { TRACK_STRIDE, type LimbTrack } from './limb-track';
import { pulleyAt } from '@/core/kit/column';

/** A weightless arm of length 1 m sweeping a quarter circle from +z to +x in the level plane. */
function quarterArm(n = 41): LimbTrack {
  const data = new Float64Array(n * TRACK_STRIDE);
  for (let i = 0; i < n; i++) {
    const a = (i / (n - 1)) * (Math.PI / 2);
    data.set([0, 0, 0, Math.sin(a), 0, Math.cos(a), 0, 0, 0, 0, 0, 1, 0, 0, 1, 0], i * TRACK_STRIDE);
  }
  return { data, samples: n, squeeze: null };
}

describe('statics of one line on one limb', () => {
  it('square to the limb the lever is the limb (moment of a force, any statics text)', () => {
    const out = allocateSamples(41);
    // Pulley far out at -x: at s = 0 the limb points along z, square to the line.
    const m = profileLine(quarterArm(), [-1000, 0, 1], 100, 0, out);
    expect(out.resistanceNm[0]).toBeCloseTo(100, 3);
    expect(m.rightAngleAt).toBeCloseTo(0, 3);
    expect(m.peakLeverM).toBeCloseTo(1, 5);
    // Parallel to the limb at the finish: nothing left.
    expect(Math.abs(out.resistanceNm[40]!)).toBeLessThan(0.1);
  });
  it('cable length follows the law of cosines', () => {
    const out = allocateSamples(41);
    profileLine(quarterArm(), [0, 0, 2], 100, 0.1, out);
    for (const i of [0, 10, 20, 40]) {
      const angle = (i / 40) * (Math.PI / 2);
      expect(out.travelM[i]).toBeCloseTo(Math.sqrt(1 + 4 - 4 * Math.cos(angle)) - 0.1, 12);
    }
  });
  it('peaks where the line is tangent to the hand circle: cos = limb over distance', () => {
    const m = profileLine(quarterArm(401), [0, 0, 2], 100, 0, allocateSamples(401));
    expect(m.peakAt).toBeCloseTo(Math.acos(0.5) / (Math.PI / 2), 3);
    expect(m.rightAngleAt).toBeCloseTo(Math.acos(0.5) / (Math.PI / 2), 3);
    expect(m.peakResistanceNm).toBeCloseTo(100, 3);
  });
  it('a pulley above the sweep pulls the limb up by its own angle', () => {
    const out = allocateSamples(41);
    profileLine(quarterArm(), [0, 1, 1], 100, 0, out);
    expect((out.offPlaneRad[0]! * 180) / Math.PI).toBeCloseTo(90, 9);
    profileLine(quarterArm(), [-1, 1, 1], 100, 0, out);
    expect((out.offPlaneRad[0]! * 180) / Math.PI).toBeCloseTo(45, 9);
  });
  it.each([
    [[0, 1], 0.5, 0.5],
    [[1, 0, 1], 0.25, 0.25],
    [[1, 1], 0.5, 0],
    [[0, 0], 0.5, 1],
    [[-1, 1], 0, 0.5],
  ] as const)('share of %j below %d', (values, level, share) =>
    expect(shareBelow(Float64Array.from(values), level)).toBeCloseTo(share, 12),
  );
});

describe('virtual work: moment = tension x d(cable length)/d(angle), derivative by mathjs', () => {
  // P(t) = r turned about the unit axis a by t (Rodrigues); cable length |q - P(t)|.
  const turned = (k: 'x' | 'y' | 'z') => `(r${k}*cos(t) + w${k}*sin(t) + a${k}*d*(1-cos(t)))`;
  const slope = derivative(
    `sqrt((qx-${turned('x')})^2 + (qy-${turned('y')})^2 + (qz-${turned('z')})^2)`,
    't',
  ).compile();
  const named = (p: string, v: Vec3) => ({ [`${p}x`]: v[0], [`${p}y`]: v[1], [`${p}z`]: v[2] });

  it.each(FLIES)('%s on seeded bodies and places', (movement) => {
    const random = seeded(7);
    for (let k = 0; k < 25; k++) {
      const p = problemOf(movement, 1.45 + 0.6 * random(), { loadKg: 5 + 20 * random() });
      const place = {
        hole: 1 + Math.floor(20 * random()),
        standX: 1.5 * random(),
        standZ: 0.4 * random() - 0.2,
        yawDeg: 40 * random() - 20,
      };
      const e = evaluatePlacement(p, place);
      for (const side of ['left', 'right'] as const) {
        const { path: arm, target } = p.limbAt(side, place);
        const stand = { x: place.standX, z: place.standZ, yawRad: (place.yawDeg * Math.PI) / 180 };
        const q = subtract(toBody(pulleyAt(COLUMN, place.hole, side), stand), arm.proximal[0]!);
        for (const i of [0, 13, 40]) {
          const r = subtract(arm.contact[i]!, arm.proximal[0]!);
          const w = cross(target.axis[0]!, r);
          const rate = slope.evaluate({
            t: 0,
            d: dot(target.axis[0]!, r),
            ...named('r', r),
            ...named('w', w),
            ...named('a', target.axis[0]!),
            ...named('q', q),
          }) as number;
          expect(e.bySide[side]!.samples.lineNm[i]).toBeCloseTo(p.tensionN * rate, 6);
        }
      }
    }
  });
});

describe('limb weight', () => {
  it('of a level straight arm is the arm hung at its two centres (Winter)', () => {
    const p = problemOf('cable-fly-level', 1.75);
    const { body } = p;
    const at = (x: number): Vec3[] => [[x, 0, 0]];
    const straight = {
      side: 'right',
      chain: 'arm',
      proximal: at(0),
      middle: at(body.length.upperArm.m),
      distal: at(body.length.upperArm.m + body.length.forearm.m),
      contact: at(0.6),
      frame: [UPRIGHT],
    } as const;
    const m = limbWeightMomentNm(body, straight, 0, 'proximal');
    const expected =
      -body.massKg *
      GRAVITY_MS2 *
      (0.028 * 0.436 * body.length.upperArm.m + 0.022 * (body.length.upperArm.m + 0.682 * body.length.forearm.m));
    expect(m[2]).toBeCloseTo(expected, 9);
    expect(Math.abs(m[0]) + Math.abs(m[1])).toBeCloseTo(0, 12);
  });
});

describe('symmetry and scale', () => {
  it.each(FLIES)('%s: left mirrors right', (movement) => {
    const both = problemOf(movement, 1.8);
    for (const [standZ, yawDeg] of [
      [0, 0],
      [0.13, 9],
    ] as const) {
      const a = evaluatePlacement(both, { hole: 12, standX: 0.3, standZ, yawDeg });
      const b = evaluatePlacement(both, { hole: 12, standX: 0.3, standZ: -standZ, yawDeg: -yawDeg });
      for (let i = 0; i < 41; i += 5) {
        expect(a.bySide.left!.samples.resistanceNm[i]).toBeCloseTo(b.bySide.right!.samples.resistanceNm[i]!, 9);
        expect(a.bySide.left!.samples.offPlaneRad[i]).toBeCloseTo(b.bySide.right!.samples.offPlaneRad[i]!, 12);
      }
    }
  });
  it('a world twice as big keeps every angle and share, and doubles the lever', () => {
    const fly = findEntry('cable-fly-level')!;
    const options = uprightOf(fly);
    const small = problemOf('cable-fly-level', 1.1, { loadKg: 20, column: COLUMN, options });
    const big = problemOf('cable-fly-level', 2.2, {
      loadKg: 20,
      options,
      attachmentM: 0.28,
      entry: { ...fly, path: { ...fly.path, finishGapM: 0.2 } as typeof fly.path },
      column: { ...COLUMN, firstHoleM: 0.5, pitchM: 0.2, twinSpacingM: 4.8 },
      body: { ...small.body, ...scaleBody(small.body, 2) },
    });
    const a = evaluatePlacement(small, { hole: 8, standX: 0.2, standZ: 0, yawDeg: 0 }).bySide.right!;
    const b = evaluatePlacement(big, { hole: 8, standX: 0.4, standZ: 0, yawDeg: 0 }).bySide.right!;
    expect(b.metrics.peakLeverM).toBeCloseTo(2 * a.metrics.peakLeverM, 9);
    for (let i = 0; i < 41; i += 8) expect(b.samples.offPlaneRad[i]).toBeCloseTo(a.samples.offPlaneRad[i]!, 12);
  });
  const scaleBody = (body: ReturnType<typeof problemOf>['body'], k: number) => ({
    statureM: body.statureM * k,
    height: Object.fromEntries(
      Object.entries(body.height).map(([n, s]) => [n, { ...s, m: s.m * k }]),
    ) as typeof body.height,
    seated: Object.fromEntries(
      Object.entries(body.seated).map(([n, s]) => [n, { ...s, m: s.m * k }]),
    ) as typeof body.seated,
    length: Object.fromEntries(
      Object.entries(body.length).map(([n, s]) => [n, { ...s, m: s.m * k }]),
    ) as typeof body.length,
  });
  it('floor and body frames are inverse', () => {
    const v: Vec3 = [0.3, 1.2, -0.4];
    const stand = { x: 0.7, z: -0.2, yawRad: 0.6 };
    expect(
      subtract(toBody(toFloor(v, stand), stand), v)
        .map(Math.abs)
        .every((d) => d < 1e-12),
    ).toBe(true);
    // Positive turns left seen from above: facing +x turned 90 degrees left looks along -z.
    const ahead = subtract(toFloor([1, 0, 0], { x: 0, z: 0, yawRad: Math.PI / 2 }), [0, 0, 0]);
    expect(add(ahead, scale([0, 0, 1], 1)).map((x) => Math.round(x * 1e9))).toEqual([0, 0, 0]);
  });
});
