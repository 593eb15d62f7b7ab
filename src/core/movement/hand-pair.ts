import type { Body } from '@/core/body/body-model';
import { foreToGripM } from '@/core/body/arm-length';
import { signOf, type Side } from '@/core/body/side';
import { middleJoint } from '@/core/body/two-link';
import { add, along, normalise, scale, subtract, type Vec3 } from '@/core/geometry/vector';

/**
 * Which part of the arm gives way so that the hand is where the thing in both hands has it: the upper arm (pulls on a
 * wide bar, whose forearms stay parallel), the forearm (curls, pushdowns, narrow handles), the whole straight arm, or
 * the elbow between a shoulder and a hand that are both given (presses).
 */
export type Gives = 'upper' | 'fore' | 'arm' | 'elbow';

/** Hand to hand over the range, metres: constant on a rigid thing, opening or closing on a rope. */
export interface HandWidths {
  readonly startM: number;
  readonly finishM: number;
  readonly gives: Gives;
}

/** Unit directions of an arm's bones, stand frame. */
export interface ArmBones {
  readonly upper: Vec3;
  readonly fore: Vec3;
}

/** A bone turned further out than this would lie across the body, sine. */
const MOST_ACROSS = 0.97;
/** A hand is never asked further off than this share of the straight arm. */
const MOST_REACH = 0.995;

/** A sine kept where a bone still points somewhere in the body's own plane. */
export const acrossOf = (z: number): number => Math.min(MOST_ACROSS, Math.max(-MOST_ACROSS, z));

/** The direction with another part across the body: what is left keeps its heading in the body's own plane. */
export function withAcross(v: Vec3, z: number): Vec3 {
  const plane = Math.hypot(v[0], v[1]);
  const k = Math.sqrt(Math.max(0, 1 - z * z)) / (plane > 1e-9 ? plane : 1);
  return plane > 1e-9 ? [v[0] * k, v[1] * k, z] : [0, -k, z];
}

/**
 * The arm with its hand half the width from the midline. Both hands do the same by the mirror, so that the middle of
 * the thing lies in the plane z = 0. With shoulder S, upper arm a u, forearm with hand b f and the hand's place h:
 * the upper arm gives way by u_z = (h - b f_z - S_z) / a, the forearm by f_z = (h - S_z - a u_z) / b, the whole arm by
 * u_z = f_z = (h - S_z) / (a + b); between given ends the elbow follows from the law of cosines, on its own side.
 */
export function closeHands(
  body: Body,
  side: Side,
  shoulder: Vec3,
  bones: ArmBones,
  widthM: number,
  gives: Gives,
): ArmBones {
  const a = body.length.upperArm.m;
  const b = foreToGripM(body);
  const h = (signOf(side) * widthM) / 2;
  const { upper, fore } = bones;
  switch (gives) {
    case 'upper': {
      const u = withAcross(upper, acrossOf((h - b * fore[2] - shoulder[2]) / a));
      return { upper: u, fore: withAcross(fore, acrossOf((h - shoulder[2] - a * u[2]) / b)) };
    }
    case 'fore':
      return { upper, fore: withAcross(fore, acrossOf((h - shoulder[2] - a * upper[2]) / b)) };
    case 'arm': {
      const z = acrossOf((h - shoulder[2]) / (a + b));
      return { upper: withAcross(upper, z), fore: withAcross(fore, z) };
    }
    case 'elbow': {
      const wanted = subtract(add(along(shoulder, upper, a), scale(fore, b)), shoulder);
      const z = h - shoulder[2];
      const plane = Math.hypot(wanted[0], wanted[1]);
      const room = Math.sqrt(Math.max(1e-6, (MOST_REACH * (a + b)) ** 2 - z * z));
      const k = plane > room ? room / plane : 1;
      const hand: Vec3 = [shoulder[0] + wanted[0] * k, shoulder[1] + wanted[1] * k, h];
      const elbow = middleJoint(shoulder, hand, a, b, upper);
      return { upper: normalise(subtract(elbow, shoulder)), fore: normalise(subtract(hand, elbow)) };
    }
  }
}
