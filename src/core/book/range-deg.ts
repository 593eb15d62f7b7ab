import { dot } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { towards } from '@/core/movement/joint-action';
import { clampedAcos, toDeg } from '@/core/units/angle';

/** Turn of the target joint over the range, degrees. */
export function rangeDegOf(path: ChainPath, joint: 'proximal' | 'middle'): number {
  const limb = path.proximal.map((p, i) => towards(p, path.middle[i]!));
  const bend = (i: number): number =>
    clampedAcos(dot(limb[i]!, path.chain === 'trunk' ? limb[i]! : towards(path.middle[i]!, path.distal[i]!)));
  let sum = 0;
  for (let i = 1; i < limb.length; i++)
    sum += joint === 'middle' ? Math.abs(bend(i) - bend(i - 1)) : clampedAcos(dot(limb[i]!, limb[i - 1]!));
  return toDeg(sum);
}
