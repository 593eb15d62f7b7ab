import { derivative } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { regionAngleDeg, regionLine, REGIONS, type Region, type RegionPose } from '@/core/body/region-line';
import { poseBody } from '@/core/body/pose-body';
import { UPRIGHT } from '@/core/geometry/frame';
import { add, cross, dot, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { bodyOf } from '../../../test/support/fixtures';
import { armPath, d, lift, STANDING, weight } from '../../../test/support/limbs';
import { targetOf, type ChainPath } from '../movement/chain-path';
import type { KeyframePath } from '../movement/keyframes';
import { buildLimbTrack } from './limb-track';
import { peakAccelerationMs2, peakTensionN } from './fast-lift';
import { buildOffAxisTrack, resolveOffAxis, type MomentAxis } from './off-axis';
import { allocateLoad, fillLoads, forceAt, landmineForceN, type Load } from './load';

const body = bodyOf(1.75);
const light = { ...body, massKg: 1e-9 };

describe('loads, known answers', () => {
  it('landmine: lever of the second class (statics handbook): F = m g cos(angle) (half bar + plates) / reach', () => {
    const bar = { barKg: 20, barM: 2.2, platesKg: 20, platesAtM: 2 };
    const level = landmineForceN([0, 0, 0], [2, 0, 0], bar);
    expect(level[1]).toBeCloseTo((-GRAVITY_MS2 * (20 * 1.1 + 20 * 2)) / 2, 9);
    const up: Vec3 = [2 * Math.cos(Math.PI / 3), 2 * Math.sin(Math.PI / 3), 0];
    const tilted = landmineForceN([0, 0, 0], up, bar);
    expect(length(tilted)).toBeCloseTo(-level[1] * 0.5, 9);
    expect(dot(tilted, up)).toBeCloseTo(0, 9);
    expect(length(landmineForceN([0, 0, 0], [0, 2, 0], bar))).toBe(0);
  });
  it('an inclined guide: weight along the incline (inclined plane, statics handbook)', () => {
    const along: Vec3 = [-Math.cos(Math.PI / 4), -Math.sin(Math.PI / 4), 0];
    const sled = 100 * GRAVITY_MS2 * Math.sin(Math.PI / 4);
    expect(length(forceAt({ kind: 'guide', direction: along, forceN: sled }, [0, 0, 0]))).toBeCloseTo(693.43, 2);
  });
  it('a machine whose axis is the knee: the resistance is the stack’s moment whatever the roller’s place', () => {
    const keys: KeyframePath = {
      kind: 'leg',
      contact: 'shin',
      keys: [
        { at: 0, hipFlexionDeg: 90, kneeFlexionDeg: 95 },
        { at: 1, hipFlexionDeg: 90, kneeFlexionDeg: 5 },
      ],
    };
    const posture = { kind: 'leg-machine', seatHeightM: 0.5, backDeg: 90, thighDeg: 0, kneeFlexionDeg: 90 } as const;
    const knee = lift(light, posture, keys, 'knee.extension', [weight(1)]).path.middle[0]!;
    const arc: Load = {
      kind: 'arc',
      centre: knee,
      axis: [0, 0, 1],
      stackN: 500,
      arm: { zero: [0, -1, 0], table: [{ x: 0, y: 0.1 }] },
    };
    const r = lift(light, posture, keys, 'knee.extension', [arc]);
    for (const i of [0, 20, 40]) expect(r.samples.resistanceNm[i]).toBeCloseTo(50, 6);
    expect(r.metrics.evenness).toBeCloseTo(1, 6);
    // With the axis 4 cm off, a part of it goes along the shank into the knee.
    const off = lift(light, posture, keys, 'knee.extension', [{ ...arc, centre: add(knee, [0.04, 0, 0]) }]);
    expect(Math.abs(off.samples.resistanceNm[20]! - 50)).toBeGreaterThan(1);
  });
  it('loads add up: a band’s help takes from the body’s weight', () => {
    const keys = armPath('floor', [d(90, 175), d(90, 175)], [d(10, 60), d(90, 170)]);
    const half: Load = { kind: 'held', forceN: [0, 300, 0] };
    const help: Load = { kind: 'held', forceN: [0, -100, 0] };
    const [alone, eased] = [[half], [half, help]].map(
      (l) => lift(light, { kind: 'hanging', barHeightM: 2.4 }, keys, 'shoulder.extension', l).samples.lineNm,
    );
    for (const i of [5, 20, 35]) expect(eased![i]).toBeCloseTo((alone![i]! * 2) / 3, 9);
  });
  it('the trunk over the hips at level: its own weight at Winter’s centres and the bar at the shoulders', () => {
    const keys: KeyframePath = {
      kind: 'hinge',
      contact: 'hands',
      keys: [
        { at: 0, trunkDeg: 0, kneeFlexionDeg: 20 },
        { at: 1, trunkDeg: 80, kneeFlexionDeg: 10 },
      ],
    };
    const r = lift(body, STANDING, keys, 'trunk.extension', [weight(60)]);
    const trunk = 0.288 * 1.75;
    const head = (0.87 + 1) / 2 - 0.818;
    const own = body.massKg * (0.497 * 0.5 * trunk + 0.081 * (trunk + head * 1.75) + 0.1 * trunk);
    expect(r.samples.resistanceNm[0]).toBeCloseTo(GRAVITY_MS2 * (60 * trunk + own), 6);
    expect(r.samples.resistanceNm[40]!).toBeLessThan(0.35 * r.samples.resistanceNm[0]!);
  });
});

describe('tension of a fast lift (Flash and Hogan 1985)', () => {
  it('is the greatest second derivative of the minimum-jerk position, by mathjs', () => {
    const a = derivative(derivative('10*t^3 - 15*t^4 + 6*t^5', 't'), 't').compile();
    let most = 0;
    for (let t = 0; t <= 1; t += 1e-4) most = Math.max(most, a.evaluate({ t }) as number);
    expect(peakAccelerationMs2(1, 1)).toBeCloseTo(most, 6);
    expect(peakTensionN(20, 0.6, 1)).toBeCloseTo(20 * (GRAVITY_MS2 + 3.4641), 3);
    expect(peakTensionN(20, 0.6, 0.5) - peakTensionN(20, 0.6, 1)).toBeCloseTo(20 * 3.4641 * 3, 2);
  });
});

describe('where the moment goes that the target does not take', () => {
  /** A straight arm held still at a direction, pulled by one force at the grip. */
  const pulled = (side: 'flexion' | 'abduction', at: ReturnType<typeof d>, force: Vec3, fore = at) => {
    const r = lift(light, STANDING, armPath('floor', [at, fore]), `shoulder.${side}`, [
      { kind: 'held', forceN: force },
    ]);
    return resolveOffAxis(buildOffAxisTrack(light, r.path, r.target), r.samples.load);
  };
  it.each([
    ['hanging, pulled back', d(90, 0), [-50, 0, 0], 'flexion-extension', 'front-deltoid'],
    ['hanging, pulled ahead', d(90, 0), [50, 0, 0], 'flexion-extension', 'lats'],
    ['level ahead, pulled out', d(90, 90), [0, 0, 50], 'horizontal', 'chest'],
    ['level ahead, pulled in', d(90, 90), [0, 0, -50], 'horizontal', 'rear-deltoid'],
    ['level ahead, pulled up', d(90, 90), [0, 50, 0], 'flexion-extension', 'lats'],
  ] as const)('%s', (_, at, force, axis, by) => {
    // Against abduction none of these is the target's own, so all of it is named.
    const [part] = pulled('abduction', at, force as unknown as Vec3);
    expect([part!.joint, part!.axis, part!.compensatedBy]).toEqual(['proximal', axis satisfies MomentAxis, by]);
    expect(part!.share).toBeCloseTo(1, 6);
  });
  it.each([
    ['pulled down', [0, -50, 0], 'side-deltoid'],
    ['pulled up', [0, 50, 0], 'lats'],
  ] as const)('level to the side, %s', (_, force, by) => {
    const [part] = pulled('flexion', d(0, 90), force as unknown as Vec3);
    expect([part!.axis, part!.compensatedBy]).toEqual(['abduction-adduction', by]);
  });
  it('a bent forearm pulled ahead turns the arm: out at the hand asks the inward rotators', () => {
    const parts = pulled('abduction', d(90, 0), [0, 0, 50], d(90, 90));
    expect(parts.find((p) => p.axis === 'rotation')).toMatchObject({
      compensatedBy: 'internal-rotators',
      meanNm: expect.closeTo(50 * (0.146 + 0.054) * 1.75, 6),
    });
  });
  it('a target whose line is true leaks nothing at its own joint', () => {
    const r = lift(
      light,
      STANDING,
      armPath('floor', [d(90, 20), d(90, 20)], [d(90, 120), d(90, 120)]),
      'shoulder.flexion',
      [weight(10)],
    );
    expect(r.metrics.offAxisShare).toBeLessThan(1e-6);
    expect(
      resolveOffAxis(buildOffAxisTrack(light, r.path, r.target), r.samples.load).filter((p) => p.joint === 'proximal'),
    ).toEqual([]);
  });
});

describe('region lines (approximate, from memory)', () => {
  const b = poseBody(body, STANDING);
  const pose = (arm: Vec3): RegionPose => {
    const shoulder = b.shoulder.right;
    const elbow = add(shoulder, scale(arm, 0.32));
    return {
      statureM: 1.75,
      trunkFrame: UPRIGHT,
      neckBase: b.neckBase,
      pelvisFrame: UPRIGHT,
      pelvis: b.pelvis,
      proximal: shoulder,
      middle: elbow,
      distal: add(elbow, scale(arm, 0.25)),
    };
  };
  const nearest = (arm: Vec3, pull: Vec3, among: readonly Region[]) =>
    among.toSorted(
      (a, c) => regionAngleDeg(a, pose(arm), 'right', pull)! - regionAngleDeg(c, pose(arm), 'right', pull)!,
    )[0];
  const CHEST = ['chest-upper', 'chest-mid', 'chest-lower'] as const;
  const out = normalise([0.5, 0, 1]);
  it.each([
    [[0.2, -0.85, -1], 'chest-lower'],
    [[0.2, -0.12, -1], 'chest-mid'],
    [[0.1, 0.25, -1], 'chest-upper'],
  ] as const)('an arm out, drawn in along %j, lies nearest %s', (pull, region) =>
    expect(nearest(out, normalise(pull as unknown as Vec3), CHEST)).toBe(region),
  );
  it('of the lats the lower pulls more along the trunk', () => {
    const up = normalise([0.3, 1, 0.2] as Vec3);
    expect(regionAngleDeg('lat-lower', pose(up), 'right', [0, -1, 0])!).toBeLessThan(
      regionAngleDeg('lat-upper', pose(up), 'right', [0, -1, 0])!,
    );
  });
  it('left mirrors right; regions that hold have none', () => {
    for (const r of REGIONS) {
      const right = regionLine(r, pose(out), 'right');
      if (r === 'core' || r === 'spinal-erectors' || r === 'calf') expect(right).toBeNull();
      else expect(length(subtract(right!.from, right!.to))).toBeGreaterThan(0.02);
    }
  });
});

describe('hands on one thing push each other aside', () => {
  const path = (elbow: Vec3, hands: ChainPath['hands']): ChainPath => ({
    side: 'right',
    chain: 'arm',
    proximal: [[0, 1.4, 0.2]],
    middle: [elbow],
    distal: [[0.3, 1.2, 0.1]],
    contact: [[0.4, 1.1, 0.08]],
    frame: [UPRIGHT],
    ...(hands ? { hands } : {}),
  });
  const forceOf = (elbow: Vec3, hands: ChainPath['hands'], pull: Vec3) => {
    const own = path(elbow, hands);
    const track = buildLimbTrack(light, own, targetOf(own, 'shoulder.extension'));
    const out = allocateLoad(1);
    fillLoads(track, [{ kind: 'held', forceN: pull }], out);
    return { force: [...out.forceN] as unknown as Vec3, aside: out.asideN[0]! };
  };
  const elbow: Vec3 = [0.1, 1.15, 0.18];
  it('by as much as spares the elbow most: a little more or less leaves more moment', () => {
    const { force, aside } = forceOf(elbow, 'steel', [60, -25, 0]);
    const fore = subtract([0.4, 1.1, 0.08], elbow);
    const left = (more: number): number => length(cross(fore, add(force, [0, 0, more])));
    expect(aside).toBe(force[2]);
    for (const more of [-4, -0.5, 0.5, 4]) expect(left(more)).toBeGreaterThan(left(0));
  });
  it('along a forearm that follows the load, so that both are in one line', () => {
    // The load lies along the forearm seen from the side: what is left of the moment is nothing.
    const level: Vec3 = [0.1, 1.1, 0.18];
    const { force } = forceOf(level, 'steel', [60, 0, 0]);
    expect(length(cross(subtract([0.4, 1.1, 0.08], level), force))).toBeLessThan(1e-9);
  });
  it('what is pressed is never pulled apart, and palms press with 1 / 0.6 of what they carry (friction)', () => {
    // A forearm that hangs inward would have the hands pull apart.
    const inside: Vec3 = [0.35, 1.4, 0.18];
    expect(forceOf(inside, 'steel', [0, -50, 0]).aside).toBeLessThan(0);
    expect(forceOf(inside, 'together', [0, -50, 0]).aside).toBe(0);
    expect(forceOf(inside, 'palms', [0, -50, 0]).aside).toBeCloseTo(50 / 0.6, 9);
    const pressing = forceOf(elbow, 'steel', [60, 25, 0]).aside;
    for (const hands of ['steel', 'together'] as const)
      expect(Math.max(0, forceOf(elbow, hands, [60, 25, 0]).aside)).toBe(Math.max(0, pressing));
  });
  it('never by more than 0.6 of the load, and not at all where each hand has its own', () => {
    const across = forceOf([0.39, 1.1, 0.4], 'steel', [60, 0, 0]);
    expect(Math.abs(across.aside)).toBeLessThanOrEqual(0.6 * 60 + 1e-9);
    expect(forceOf(elbow, undefined, [60, -25, 0])).toEqual({ force: [60, -25, 0], aside: 0 });
  });
});
