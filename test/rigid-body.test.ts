import { beforeAll, describe, expect, it } from 'vitest';
import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import { toBody } from '@/core/geometry/rotation';
import { add, cross, dot, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { COLUMN, FLIES, problemOf } from './support/fixtures';
import { momentByLibrary, startLibrary, STUB_KG } from './support/rigid-limb';
import { pulleyAt } from '@/core/kit/column';

/**
 * The arm held still as one rigid body on a ball joint at the shoulder, in a rigid-body physics library: the cable
 * pulls at the grip, gravity at the two segment centres. With the known inertia about the joint, the angular velocity
 * gained in one short step is the moment; it must be the one that core computes.
 */
beforeAll(startLibrary);

describe.each(FLIES)('%s: forces and moments on held poses against a rigid-body library', (movement) => {
  it.each([
    [1.55, { hole: 12, standX: 0.2, standZ: 0, yawDeg: 0 }, 10],
    [1.75, { hole: 18, standX: 0.3, standZ: 0.1, yawDeg: 8 }, 15],
    [1.98, { hole: 4, standX: 0.5, standZ: -0.1, yawDeg: -12 }, 25],
  ] as const)('%d m, %j, %d kg', (statureM, place, loadKg) => {
    const p = problemOf(movement, statureM, { loadKg });
    const e = evaluatePlacement(p, place);
    const { body } = p;
    for (const side of ['left', 'right'] as const) {
      const { path: arm, target } = p.limbAt(side, place);
      const q = toBody(pulleyAt(COLUMN, place.hole, side), {
        x: place.standX,
        z: place.standZ,
        yawRad: (place.yawDeg * Math.PI) / 180,
      });
      for (const i of [0, 20, 40]) {
        const from = (v: Vec3): Vec3 => subtract(v, arm.proximal[0]!);
        const elbow = from(arm.middle[i]!);
        const parts = [
          { r: scale(elbow, UPPER_ARM_MASS.centre), kg: body.massKg * UPPER_ARM_MASS.share },
          {
            r: add(elbow, scale(subtract(arm.distal[i]!, arm.middle[i]!), FOREARM_HAND_MASS.centre)),
            kg: body.massKg * FOREARM_HAND_MASS.share,
          },
          // A light stub square to the arm keeps the inertia tensor from being singular about the arm's own axis.
          { r: scale(target.above[0]!, 0.3), kg: STUB_KG },
        ];
        const force = scale(normalise(subtract(q, arm.contact[i]!)), p.tensionN);
        const seen = momentByLibrary(parts, from(arm.contact[i]!), force);
        const stub = cross(parts[2]!.r, [0, -STUB_KG * GRAVITY_MS2, 0]);
        const resistance = -dot(subtract(seen, stub), target.axis[0]!);
        const ours = e.bySide[side]!.samples.resistanceNm[i]!;
        expect(Math.abs(resistance - ours)).toBeLessThan(Math.max(0.05, 0.005 * Math.abs(ours)));
      }
    }
  });
});
