import RAPIER from '@dimforge/rapier3d-compat';
import { beforeAll, describe, expect, it } from 'vitest';
import { BOOK } from '@/core/book/book';
import { sidesOf } from '@/core/book/book-entry';
import { answerQuestion } from '@/core/book/answer-question';
import { searchOf } from '@/core/book/posed-question';
import { askQuestion } from '@/core/book/question';
import { standsFree } from '@/core/book/stands-free';
import { standingMargin, type Standing } from '@/core/mechanics/standing';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { stoodLoad } from '@/core/setup/reasons';
import { momentAt } from '@/core/setup/stand-load';
import { clampedAcos, toDeg } from '@/core/units/angle';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { bodyOf, COLUMN, ROOM, seeded } from './support/fixtures';

beforeAll(() => RAPIER.init());

/** Size of the studs at the corners of feet and knees, metres; and how long the body is watched, seconds. */
const STUD_M = 0.01;
const WATCHED_S = 0.8;
const STEP_S = 1 / 600;

/**
 * How far a stiff client on feet and knees tips under the load of a moment, degrees, by a rigid-body library: studs at
 * the corners of the outline on a floor, the body's mass at its centre, forces that stay with the hands.
 */
function tiltByLibrary(massKg: number, { support, centre, hands }: Standing): number {
  const world = new RAPIER.World({ x: 0, y: -GRAVITY_MS2, z: 0 });
  world.timestep = STEP_S;
  world.createCollider(RAPIER.ColliderDesc.cuboid(20, 1, 20).setTranslation(0, -1, 0).setFriction(2));
  const client = world.createRigidBody(RAPIER.RigidBodyDesc.dynamic().setCanSleep(false));
  // Feet that twist on the spot are another matter than tipping.
  client.setEnabledRotations(true, false, true, true);
  for (const [x, z] of support)
    world.createCollider(
      RAPIER.ColliderDesc.ball(STUD_M).setTranslation(x, STUD_M, z).setMass(0).setFriction(2),
      client,
    );
  // The centre's own inertia is that of an upright rod of the body's length, which only sets how fast it tips.
  const about = (massKg * (2 * centre[1]) ** 2) / 12;
  client.setAdditionalMassProperties(
    massKg,
    { x: centre[0], y: centre[1], z: centre[2] },
    { x: about, y: about / 10, z: about },
    { x: 0, y: 0, z: 0, w: 1 },
    true,
  );
  for (let t = 0; t < WATCHED_S; t += STEP_S) {
    client.resetForces(true);
    client.resetTorques(true);
    const { x, y, z, w } = client.rotation();
    const p = client.translation();
    for (const { at, forceN } of hands) {
      // The hand goes with the body: v + 2 q x (q x v + w v).
      const [a, b, c] = at;
      const t1 = [y * c - z * b + w * a, z * a - x * c + w * b, x * b - y * a + w * c] as const;
      const on = {
        x: p.x + a + 2 * (y * t1[2] - z * t1[1]),
        y: p.y + b + 2 * (z * t1[0] - x * t1[2]),
        z: p.z + c + 2 * (x * t1[1] - y * t1[0]),
      };
      client.addForceAtPoint({ x: forceN[0], y: forceN[1], z: forceN[2] }, on, true);
    }
    world.step();
  }
  // Upright leans by the angle whose cosine is its own height; turning on the spot is no tipping.
  const { x, z } = client.rotation();
  world.free();
  return toDeg(clampedAcos(1 - 2 * (x * x + z * z)));
}

/** Near the edge the two may differ: what the library lets sink in, metres. */
const NEAR_M = 0.012;

describe('a client stands where the margin is positive and tips where it is negative, by a rigid-body library', () => {
  const stood = BOOK.filter((e) => e.load.kind === 'cable' && standsFree(e));
  const random = seeded(20261129);
  it.each(stood.map((e) => [e.id, e] as const))('%s', (_, e) => {
    const body = bodyOf(1.5 + 0.48 * random());
    const side = sidesOf(e).at(-1)!;
    const column = { column: COLUMN, room: ROOM, attachmentM: 0.14, handsM: null };
    const seen = new Set<boolean>();
    for (const loadKg of [3, 8, 15, 25, 45]) {
      const a = answerQuestion(askQuestion(e, { body, side, loadKg, column }));
      // A light load cannot be asked of every movement: its stack would not hold the arm.
      if (!a.ok || !a.placement) continue;
      const search = searchOf(a.from);
      const load = stoodLoad(search, evaluatePlacement(search, a.placement))!;
      for (const i of [0, 20, 40]) {
        const moment = momentAt(load, i);
        const { marginM } = standingMargin(body.massKg, [moment]);
        if (Math.abs(marginM) < NEAR_M) continue;
        seen.add(marginM > 0);
        const tilted = tiltByLibrary(body.massKg, moment);
        expect([e.id, loadKg, i, tilted > 1]).toEqual([e.id, loadKg, i, marginM < 0]);
      }
    }
    expect(seen.size).toBeGreaterThan(0);
  });
});
