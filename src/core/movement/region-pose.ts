import type { BodyPose } from '@/core/body/posture';
import type { RegionPose } from '@/core/body/region-line';
import type { ChainPath } from './chain-path';

/** What a region's ends hang on at sample `i` of a limb's range, in the frame of the pose. */
export function regionPoseAt(statureM: number, pose: BodyPose, path: ChainPath, i: number): RegionPose {
  const { trunkFrame, neckBase, pelvisFrame, pelvis } = pose;
  return {
    statureM,
    trunkFrame,
    neckBase,
    pelvisFrame,
    pelvis,
    proximal: path.proximal[i]!,
    middle: path.middle[i]!,
    distal: path.distal[i]!,
  };
}
