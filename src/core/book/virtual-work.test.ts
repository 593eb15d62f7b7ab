import type { WorkingSide } from '@/core/body/side';
import { describe, expect, it } from 'vitest';
import { rotateAbout } from '@/core/geometry/frame';
import { toBody } from '@/core/geometry/rotation';
import { add, length, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { toRad } from '@/core/units/angle';
import { answerOf, bodyOf, COLUMN, ROOM, sampled } from '../../../test/support/fixtures';
import { BOOK } from './book';
import { sidesOf, type BookEntry } from './book-entry';

const LOAD_KG = 12;
const STEP_RAD = 1e-5;

/**
 * Principle of virtual work, by central differences: turning the limb a little about the action's axis changes the
 * load's potential by the moment that the joint must give. Knows nothing of levers or cross products.
 */
function byVirtualWork(e: BookEntry, statureM: number, side: WorkingSide) {
  const answer = answerOf(e, {
    body: bodyOf(statureM),
    side,
    loadKg: LOAD_KG,
    column: { column: COLUMN, room: ROOM, attachmentM: 0.14 },
  });
  if (!answer.ok) throw new Error(`${e.id}: ${answer.reason}`);
  const {
    posed: { path, target },
    placement,
    pulley,
  } = answer;
  const { load } = e;
  const stand = placement && { x: placement.standX, z: placement.standZ, yawRad: toRad(placement.yawDeg) };
  const at = stand && toBody(pulley!, stand);
  const tension = (LOAD_KG * GRAVITY_MS2) / COLUMN.pulleyRatio / (load.kind === 'cable' && load.shared ? 2 : 1);
  const potential = (contact: Vec3, offset: Vec3): number => {
    if (load.kind === 'weight') return LOAD_KG * load.share * GRAVITY_MS2 * contact[1];
    return tension * length(subtract(at!, add(contact, offset)));
  };
  return [0, 9, 20, 33, 40].map((i) => {
    const joint = target.joint === 'middle' ? path.middle[i]! : path.proximal[i]!;
    const contact = path.contact[i]!;
    const offset: Vec3 = load.kind === 'cable' && load.shared ? [0, 0, -contact[2]] : [0, 0, 0];
    const turned = (rad: number): Vec3 => add(joint, rotateAbout(subtract(contact, joint), target.answers[i]!, rad));
    // What hands push each other aside through one thing is a force of its own, held still while the joint turns.
    const own = load.kind === 'weight' ? 0 : scale(normalise(subtract(at!, add(contact, offset))), tension)[2];
    const aside = answer.samples.load.forceN[3 * i + 2]! - own;
    if (e.hold === null) expect(aside).toBeCloseTo(0, 9);
    const stored = (c: Vec3): number => potential(c, offset) - aside * c[2];
    return {
      got: answer.samples.lineNm[i]!,
      want: (stored(turned(STEP_RAD)) - stored(turned(-STEP_RAD))) / (2 * STEP_RAD),
    };
  });
}

describe('moments of the book by virtual work', () => {
  it.each(
    sampled(BOOK.filter((e) => e.load.kind === 'cable' || e.load.kind === 'weight')).map((e) => [e.id, e] as const),
  )('%s', (_, e) => {
    for (const statureM of [1.52, 1.93]) {
      for (const side of sidesOf(e)) {
        for (const { got, want } of byVirtualWork(e, statureM, side))
          expect(Math.abs(got - want)).toBeLessThan(1e-4 + 1e-6 * Math.abs(want));
      }
    }
  });
});
