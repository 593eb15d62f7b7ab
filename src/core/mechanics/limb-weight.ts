import type { Body } from '@/core/body/body-model';
import {
  ARM_MASS_SHARE,
  FOOT_MASS,
  FOREARM_HAND_MASS,
  HEAD_MASS_SHARE,
  SHANK_MASS,
  THIGH_MASS,
  TRUNK_MASS,
  UPPER_ARM_MASS,
} from '@/core/body/segment-mass';
import { add, along, between, cross, normalise, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { GRAVITY_MS2 } from '@/core/units/mass';

/** Weight force of a mass, newtons, in any frame whose y is up. */
const weightN = (massKg: number): Vec3 => [0, -massKg * GRAVITY_MS2, 0];

interface Part {
  readonly share: number;
  readonly at: Vec3;
}

/**
 * Segments beyond a joint of a chain at one sample, each with its share of body mass and its centre. Source: Winter.
 */
function partsBeyond(body: Body, path: ChainPath, i: number, joint: 'proximal' | 'middle'): readonly Part[] {
  const p = path.proximal[i]!;
  const m = path.middle[i]!;
  const d = path.distal[i]!;
  if (path.chain === 'trunk') {
    const spine = normalise(subtract(m, p));
    const head = (body.height.chinHeight.m + body.statureM) / 2 - body.height.shoulderHeight.m;
    return [
      { share: TRUNK_MASS.share, at: between(m, p, TRUNK_MASS.centre) },
      { share: HEAD_MASS_SHARE, at: along(m, spine, head) },
      // Both arms hang from the shoulders.
      { share: 2 * ARM_MASS_SHARE, at: add(m, [0, -0.53 * (body.length.upperArm.m + body.length.forearm.m), 0]) },
    ];
  }
  if (path.chain === 'leg') {
    const foot = along(d, normalise(subtract(d, m)), body.height.ankleHeight.m * 0.5);
    const lower: Part[] = [
      { share: SHANK_MASS.share, at: between(m, d, SHANK_MASS.centre) },
      { share: FOOT_MASS.share, at: foot },
    ];
    return joint === 'middle' ? lower : [{ share: THIGH_MASS.share, at: between(p, m, THIGH_MASS.centre) }, ...lower];
  }
  const fore: Part = { share: FOREARM_HAND_MASS.share, at: between(m, d, FOREARM_HAND_MASS.centre) };
  return joint === 'middle'
    ? [fore]
    : [{ share: UPPER_ARM_MASS.share, at: between(p, m, UPPER_ARM_MASS.centre) }, fore];
}

/** Moment of the limb's own weight about a joint at one sample, newton metres, in the path's frame (y up). */
export function limbWeightMomentNm(body: Body, path: ChainPath, i: number, joint: 'proximal' | 'middle'): Vec3 {
  const about = joint === 'middle' ? path.middle[i]! : path.proximal[i]!;
  return partsBeyond(body, path, i, joint).reduce<Vec3>(
    (sum, part) => add(sum, cross(subtract(part.at, about), weightN(body.massKg * part.share))),
    [0, 0, 0],
  );
}
