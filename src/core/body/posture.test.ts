import { SIDES } from '@/core/body/side';
import { describe, expect, it } from 'vitest';
import { dot, length, mirrorZ, subtract, type Vec3 } from '@/core/geometry/vector';
import { bodyOf, seeded } from '../../../test/support/fixtures';
import { mirrored, POSTURES } from '../../../test/support/limbs';
import { centreOfMass, shareOnHands } from './centre-of-mass';
import { poseBody } from './pose-body';
import type { BodyPose } from './posture';
import * as M from './segment-mass';
import { HIP_OVER_SEAT } from './segment-ratios';

const near = (a: Vec3, b: Vec3, tol = 1e-9) => expect(length(subtract(a, b))).toBeLessThan(tol);
const name = (p: (typeof POSTURES)[number]) => JSON.stringify(p);
const points = (b: BodyPose): Vec3[] => [
  b.pelvis,
  b.neckBase,
  b.head,
  ...SIDES.flatMap((s) => [b.shoulder[s], ...Object.values(b.leg[s])]),
];

it('Winter’s segments make a whole body; arm and leg are the sums of their parts', () => {
  expect(M.UPPER_ARM_MASS.share + M.FOREARM_HAND_MASS.share).toBeCloseTo(M.ARM_MASS_SHARE, 9);
  expect(M.THIGH_MASS.share + M.SHANK_MASS.share + M.FOOT_MASS.share).toBeCloseTo(M.LEG_MASS_SHARE, 9);
  expect(M.TRUNK_MASS.share + M.HEAD_MASS_SHARE + 2 * (M.ARM_MASS_SHARE + M.LEG_MASS_SHARE)).toBeCloseTo(1, 9);
});

describe.each(POSTURES.map((p) => [name(p), p] as const))('%s', (_, posture) => {
  const random = seeded(11);
  const statures = Array.from({ length: 5 }, () => 1.3 + 0.9 * random());

  it('bones keep their lengths, frames stay square, nothing sinks below the floor', () => {
    for (const h of statures) {
      const body = bodyOf(h);
      const b = poseBody(body, posture, { leanDeg: 8, sideBendDeg: -6, turnDeg: 15 });
      const { x, y, z } = b.trunkFrame;
      for (const [u, v] of [
        [x, y],
        [y, z],
        [z, x],
      ] as const)
        expect(dot(u, v)).toBeCloseTo(0, 9);
      expect(length(subtract(b.neckBase, b.pelvis))).toBeCloseTo(0.288 * h, 9);
      expect(length(subtract(b.shoulder.left, b.shoulder.right))).toBeCloseTo(0.258 * h, 9);
      for (const s of SIDES) {
        const { hip, knee, ankle } = b.leg[s];
        expect(length(subtract(knee, hip))).toBeCloseTo(0.245 * h, 6);
        expect(length(subtract(ankle, knee))).toBeCloseTo(0.246 * h, 6);
      }
      if (b.supportArm)
        expect(length(subtract(b.supportArm.elbow, b.shoulder[b.supportArm.side]))).toBeCloseTo(0.186 * h, 9);
      for (const p of points(b)) expect(p[1]).toBeGreaterThan(-0.015 * h);
    }
  });
  it('mirrors: the other side’s posture is the mirror image', () => {
    const body = bodyOf(1.75);
    const [a, b] = [poseBody(body, posture), poseBody(body, mirrored(posture))];
    near(mirrorZ(a.neckBase), b.neckBase);
    near(mirrorZ(a.shoulder.left), b.shoulder.right);
    near(mirrorZ(a.leg.left.ankle), b.leg.right.ankle);
    near(mirrorZ(a.leg.right.knee), b.leg.left.knee);
  });
  it('scales: a body and surfaces twice as big pose twice as big', () => {
    const doubled = Object.fromEntries(
      Object.entries(posture).map(([k, v]) => [k, k.endsWith('M') ? 2 * (v as number) : v]),
    ) as typeof posture;
    const small = points(poseBody(bodyOf(1.15), posture));
    points(poseBody(bodyOf(2.3), doubled)).forEach((p, i) =>
      near(p, small[i]!.map((c) => 2 * c) as unknown as Vec3, 1e-6),
    );
  });
});

describe('postures do what their names say', () => {
  const body = bodyOf(1.75);
  it.each([
    [20, 60],
    [20, 30],
    [10, 80],
    [35, 10],
  ])(
    'a hinge with knees at %d and trunk at %d balances over the feet, and its trunk is at that angle',
    (kneeFlexionDeg, trunkDeg) => {
      const b = poseBody(body, { kind: 'hinged', trunkDeg, kneeFlexionDeg });
      const centre = centreOfMass(body, b)[0];
      expect(centre).toBeGreaterThan(b.leg.left.heel[0]);
      expect(Math.abs(centre - 0.26 * body.length.foot.m)).toBeLessThan(0.02);
      expect((Math.asin(b.trunkFrame.y[1]) * 180) / Math.PI).toBeCloseTo(trunkDeg, 9);
      const { hip, knee, ankle } = b.leg.left;
      const bend = Math.acos(
        dot(subtract(knee, hip), subtract(ankle, knee)) / (length(subtract(knee, hip)) * length(subtract(ankle, knee))),
      );
      expect((bend * 180) / Math.PI).toBeCloseTo(kneeFlexionDeg, 6);
    },
  );
  it('seated: the shoulder is the seated height above the seat (Drillis and Contini: 0.338)', () => {
    const b = poseBody(body, { kind: 'seated', seatHeightM: 0.45, backDeg: 90 });
    expect(b.shoulder.right[1] - 0.45).toBeCloseTo(0.338 * 1.75, 6);
    expect(b.pelvis[1] - 0.45).toBeCloseTo(HIP_OVER_SEAT * 1.75, 9);
  });
  it('lying on a bench the trunk has the bench’s angle; on the side one shoulder is over the other', () => {
    expect(
      poseBody(body, { kind: 'lying', on: 'back', surfaceHeightM: 0.45, backDeg: 30 }).trunkFrame.y[1],
    ).toBeCloseTo(0.5, 9);
    const side = poseBody(body, { kind: 'lying', on: 'left', surfaceHeightM: 0.45, backDeg: 0 });
    expect(side.shoulder.right[1]).toBeGreaterThan(side.shoulder.left[1] + 0.4);
    const front = poseBody(body, { kind: 'lying', on: 'front', surfaceHeightM: 0.5, backDeg: 30 });
    expect(front.trunkFrame.x[1]).toBeLessThan(-0.8);
  });
  it('hand and knee on a bench: the trunk comes near level on a straight arm (common practice)', () => {
    for (const h of [1.5, 1.75, 2]) {
      const b = poseBody(bodyOf(h), { kind: 'hand-and-knee', benchHeightM: 0.45, support: 'right' });
      expect(Math.abs((Math.asin(b.trunkFrame.y[1]) * 180) / Math.PI)).toBeLessThan(30);
      expect(b.leg.left.ankle[1]).toBeCloseTo(0.039 * h, 9);
      near(b.supportArm!.hand, [b.shoulder.right[0], 0.45, b.shoulder.right[2]], 1e-6);
    }
  });
  it('half-kneeling: the front thigh is nearly level; a hanging body’s hands reach the bar', () => {
    const b = poseBody(body, { kind: 'half-kneeling', kneeDown: 'left' });
    expect(Math.abs(b.leg.right.knee[1] - b.leg.right.hip[1])).toBeLessThan(0.02);
    expect(b.leg.left.knee[1]).toBeLessThan(0.06);
    const hung = poseBody(body, { kind: 'hanging', barHeightM: 2.4 });
    expect(2.4 - hung.shoulder.left[1]).toBeCloseTo((0.186 + 0.146 + 0.054) * 1.75, 9);
  });
  it('girdle offsets move the shoulder along the trunk’s own axes', () => {
    const plain = poseBody(body, { kind: 'hinged', trunkDeg: 45, kneeFlexionDeg: 20 });
    const moved = poseBody(body, { kind: 'hinged', trunkDeg: 45, kneeFlexionDeg: 20 }, undefined, {
      right: { protractionM: 0.03, elevationM: -0.02 },
    });
    const by = subtract(moved.shoulder.right, plain.shoulder.right);
    expect([dot(by, plain.trunkFrame.x), dot(by, plain.trunkFrame.y)].map((v) => Math.round(v * 1e6) / 1e6)).toEqual([
      0.03, -0.02,
    ]);
    near(moved.shoulder.left, plain.shoulder.left);
  });
  it('in a push-up with straight arms the hands carry about 69 % of the body (remembered: Suprak et al. 2011)', () => {
    const b = poseBody(body, { kind: 'plank', handHeightM: 0 });
    const share = shareOnHands(centreOfMass(body, b)[0], 0, b.leg.left.toe[0]);
    expect(Math.abs(share - 0.69)).toBeLessThan(0.05);
  });
});
