import RAPIER from '@dimforge/rapier3d-compat';
import { beforeAll, describe, expect, it } from 'vitest';
import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import { toBody } from '@/core/geometry/rotation';
import { add, cross, dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { MOVEMENT_IDS } from '@/core/movement/movement';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { pulleyInFloor } from '@/core/setup/setup-problem';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { COLUMN, problemOf } from './support/fixtures';

/**
 * The arm held still as one rigid body on a ball joint at the shoulder, in a rigid-body physics library: the cable pulls
 * at the grip, gravity at the two segment centres. With the known inertia about the joint, the angular velocity gained in
 * one short step is the moment; it must be the one that core computes.
 */
beforeAll(() => RAPIER.init());

const STEP_S = 1 / 100_000;
const STUB_KG = 1e-3;

type Row = [number, number, number];
/** Inertia tensor of point masses about the origin. */
function inertiaOf(points: readonly { readonly r: Vec3; readonly kg: number }[]): [Row, Row, Row] {
  const t: [Row, Row, Row] = [[0, 0, 0], [0, 0, 0], [0, 0, 0]];
  for (const { r, kg } of points) for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) t[i]![j]! += kg * ((i === j ? dot(r, r) : 0) - r[i]! * r[j]!);
  return t;
}
const apply = (m: [Row, Row, Row], v: Vec3): Vec3 => [dot(m[0], v), dot(m[1], v), dot(m[2], v)];

/** Moment about the joint that the library sees, from the spin gained in one step. */
function momentByLibrary(parts: readonly { readonly r: Vec3; readonly kg: number }[], grip: Vec3, force: Vec3): Vec3 {
  const world = new RAPIER.World({ x: 0, y: -GRAVITY_MS2, z: 0 });
  world.timestep = STEP_S;
  const base = world.createRigidBody(RAPIER.RigidBodyDesc.fixed());
  const arm = world.createRigidBody(RAPIER.RigidBodyDesc.dynamic().setCanSleep(false));
  const size = 0.02;
  const own = (2 / 5) * size ** 2;
  for (const { r, kg } of parts) world.createCollider(RAPIER.ColliderDesc.ball(size).setTranslation(r[0], r[1], r[2]).setMass(kg).setSensor(true), arm);
  world.createImpulseJoint(RAPIER.JointData.spherical({ x: 0, y: 0, z: 0 }, { x: 0, y: 0, z: 0 }), base, arm, true);
  world.step();
  arm.setAngvel({ x: 0, y: 0, z: 0 }, true);
  arm.setLinvel({ x: 0, y: 0, z: 0 }, true);
  arm.addForceAtPoint({ x: force[0], y: force[1], z: force[2] }, { x: grip[0], y: grip[1], z: grip[2] }, true);
  world.step();
  const w = arm.angvel();
  const inertia = inertiaOf(parts);
  for (let i = 0; i < 3; i++) inertia[i]![i]! += parts.reduce((a, p) => a + p.kg * own, 0);
  const moment = scale(apply(inertia, [w.x, w.y, w.z]), 1 / STEP_S);
  world.free();
  return moment;
}

describe.each(MOVEMENT_IDS)('%s: forces and moments on held poses against a rigid-body library', (movement) => {
  it.each([
    [1.55, { hole: 12, standX: 0.2, standZ: 0, yawDeg: 0 }, 10],
    [1.75, { hole: 18, standX: 0.3, standZ: 0.1, yawDeg: 8 }, 15],
    [1.98, { hole: 4, standX: 0.5, standZ: -0.1, yawDeg: -12 }, 25],
  ] as const)('%d m, %j, %d kg', (statureM, place, loadKg) => {
    const p = problemOf(movement, statureM, { loadKg });
    const e = evaluatePlacement(p, place);
    const { body } = p.input;
    for (const side of ['left', 'right'] as const) {
      const arm = p.posed.arms[side];
      const q = toBody(pulleyInFloor(COLUMN, place.hole, side), { x: place.standX, z: place.standZ, yawRad: (place.yawDeg * Math.PI) / 180 });
      for (const i of [0, 20, 40]) {
        const from = (v: Vec3): Vec3 => subtract(v, arm.shoulder);
        const elbow = from(arm.elbow[i]!);
        const parts = [
          { r: scale(elbow, UPPER_ARM_MASS.centre), kg: body.massKg * UPPER_ARM_MASS.share },
          { r: add(elbow, scale(subtract(arm.wrist[i]!, arm.elbow[i]!), FOREARM_HAND_MASS.centre)), kg: body.massKg * FOREARM_HAND_MASS.share },
          // A light stub square to the arm keeps the inertia tensor from being singular about the arm's own axis.
          { r: scale(arm.sweepUp, 0.3), kg: STUB_KG },
        ];
        const force = scale(normalise(subtract(q, arm.grip[i]!)), p.tensionN);
        const seen = momentByLibrary(parts, from(arm.grip[i]!), force);
        const stub = cross(parts[2]!.r, [0, -STUB_KG * GRAVITY_MS2, 0]);
        const resistance = -dot(subtract(seen, stub), arm.actionAxis);
        const ours = e.bySide[side]!.samples.resistanceNm[i]!;
        expect(Math.abs(resistance - ours)).toBeLessThan(Math.max(0.05, 0.005 * Math.abs(ours)));
      }
    }
  });
});
