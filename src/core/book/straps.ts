import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { fromFrame, intoFrame, rotateAbout, turnedTowards, UPRIGHT } from '@/core/geometry/frame';
import { add, along, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { armToGripM, foreToGripM } from '@/core/body/arm-length';
import { toRad } from '@/core/units/angle';
import { slerp } from '@/core/geometry/rotation';
import { towards } from '@/core/movement/joint-action';

/** Straps from an anchor: its height and the length from it to the middle of the hand, metres. */
export interface StrapKit {
  readonly anchorM: number;
  readonly strapM: number;
}

/** Usual straps (common practice): from over head height down to the hip. */
export const USUAL_STRAPS: StrapKit = { anchorM: 2.2, strapM: 1.25 };

/** Straps set up for a body that leans back on them at the start of the rep. */
export interface StrapSetup {
  readonly heels: Vec3;
  readonly anchor: Vec3;
  /** Elbow to anchor with forearm and strap in one line, metres. */
  readonly reachM: number;
  /** Heels from under the anchor, metres; positive: short of it. */
  readonly footMarkM: number;
  readonly leanDeg: number;
}

/**
 * Where the feet stand for a lean: the body, one line from heels to shoulders, leans back by `leanDeg` with its arms
 * straight along the straps, so that the anchor lies as far off as arms and straps are long.
 */
export function strapsOf(body: Body, pose: BodyPose, leanDeg: number, kit: StrapKit): StrapSetup {
  const heels: Vec3 = [pose.leg.left.heel[0], 0, 0];
  const shoulder = add(
    heels,
    rotateAbout(subtract([pose.neckBase[0], pose.neckBase[1], 0], heels), UPRIGHT.z, toRad(leanDeg)),
  );
  const whole = armToGripM(body) + kit.strapM;
  const rise = kit.anchorM - shoulder[1];
  const ahead = Math.sqrt(Math.max(0.01, whole ** 2 - rise ** 2));
  const anchor: Vec3 = [shoulder[0] + ahead, kit.anchorM, 0];
  return { heels, anchor, reachM: foreToGripM(body) + kit.strapM, footMarkM: anchor[0] - heels[0], leanDeg };
}

/** Upper arm off the line of the strap at the start, degrees: as with a cable, nearly straight. */
const OFF_LINE_DEG = 12;

/**
 * The keyed arms of an upright body, begun along the straps: the first key gives way to the strap's direction at the
 * start and the rest of the way keeps its end. `at`: share of that way at a sample, where the range is cut.
 */
export function startOnStraps(
  body: Body,
  path: ChainPath,
  strap: StrapSetup,
  whole: ChainPath,
  at: (i: number) => number,
): ChainPath {
  const frame = path.frame[0]!;
  const shoulder = whole.proximal[0]!;
  const lean = toRad(strap.leanDeg);
  const leaned = add(strap.heels, rotateAbout(subtract(shoulder, strap.heels), UPRIGHT.z, lean));
  const line = normalise(subtract([strap.anchor[0], strap.anchor[1], leaned[2]], leaned));
  // The same direction from the body's own axes, before it leans.
  const own = rotateAbout(line, UPRIGHT.z, -lean);
  const last = intoFrame(frame, towards(whole.proximal.at(-1)!, whole.middle.at(-1)!));
  const first = intoFrame(frame, turnedTowards(own, fromFrame(frame, last), toRad(OFF_LINE_DEG)));
  const middle = path.proximal.map((p, i) =>
    along(p, fromFrame(frame, slerp(first, last, at(i))), body.length.upperArm.m),
  );
  return { ...path, middle };
}
