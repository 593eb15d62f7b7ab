import RAPIER from '@dimforge/rapier3d-compat';
import { dot, scale, type Vec3 } from '@/core/geometry/vector';
import { GRAVITY_MS2 } from '@/core/units/mass';

export const startLibrary = (): Promise<void> => RAPIER.init();

const STEP_S = 1 / 100_000;
export const STUB_KG = 1e-3;

type Row = [number, number, number];
/** Inertia tensor of point masses about the origin. */
function inertiaOf(points: readonly { readonly r: Vec3; readonly kg: number }[]): [Row, Row, Row] {
  const t: [Row, Row, Row] = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  for (const { r, kg } of points)
    for (let i = 0; i < 3; i++)
      for (let j = 0; j < 3; j++) t[i]![j]! += kg * ((i === j ? dot(r, r) : 0) - r[i]! * r[j]!);
  return t;
}
const apply = (m: [Row, Row, Row], v: Vec3): Vec3 => [dot(m[0], v), dot(m[1], v), dot(m[2], v)];

/** Moment about the joint that the library sees, from the spin gained in one step. */
export function momentByLibrary(
  parts: readonly { readonly r: Vec3; readonly kg: number }[],
  grip: Vec3,
  force: Vec3,
): Vec3 {
  const world = new RAPIER.World({ x: 0, y: -GRAVITY_MS2, z: 0 });
  world.timestep = STEP_S;
  const base = world.createRigidBody(RAPIER.RigidBodyDesc.fixed());
  const arm = world.createRigidBody(RAPIER.RigidBodyDesc.dynamic().setCanSleep(false));
  const size = 0.02;
  const own = (2 / 5) * size ** 2;
  for (const { r, kg } of parts)
    world.createCollider(
      RAPIER.ColliderDesc.ball(size).setTranslation(r[0], r[1], r[2]).setMass(kg).setSensor(true),
      arm,
    );
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
