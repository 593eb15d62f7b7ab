import type { BodyPose } from '@/core/body/posture';
import { segmentDistance } from '@/core/geometry/segments';
import { between, type Vec3 } from '@/core/geometry/vector';

/** A part of the body that a forearm may not run through. */
export type LimbPart = 'trunk' | 'head';

/** How deep a forearm lies in a part of the body over the range, metres (negative: clear of it), and in which. */
export interface LimbDepth {
  readonly metres: number;
  readonly part: LimbPart;
}

/** A forearm with half the depth of a chest, and the forearm alone, shares of stature (our judgement, as drawn). */
const CHEST_AND_ARM = 0.08;
const ARM = 0.02;
/** The chest ends below the neck, share of the way from the pelvis to it. */
const CHEST = 0.85;

/** Trunk and head of a body at one sample, as a forearm meets them; stand frame, metres. */
export interface LimbObstacle {
  readonly trunk: readonly [from: Vec3, to: Vec3, radiusM: number];
  readonly head: readonly [from: Vec3, to: Vec3, radiusM: number];
}

/** Trunk and head of a pose, each wider by half a forearm. */
export const limbObstacle = (
  statureM: number,
  { pelvis, neckBase, head, neck, headRadiusM }: BodyPose,
): LimbObstacle => ({
  trunk: [pelvis, between(pelvis, neckBase, CHEST), CHEST_AND_ARM * statureM],
  head: [neck, head, headRadiusM + ARM * statureM],
});

/** How deep forearms lie in trunk or head at worst; `forearms` are from elbow to grip, one for each obstacle. */
export function limbDepth(
  obstacles: readonly LimbObstacle[],
  forearm: (k: number) => readonly [elbow: Vec3, grip: Vec3],
): LimbDepth {
  let worst: LimbDepth = { metres: -Infinity, part: 'trunk' };
  obstacles.forEach((obstacle, k) => {
    const [elbow, grip] = forearm(k);
    for (const part of ['trunk', 'head'] as const) {
      const [from, to, radiusM] = obstacle[part];
      // Written out: the search asks at every place, and a spread of twelve numbers costs more than the sum.
      const off = segmentDistance(
        elbow[0],
        elbow[1],
        elbow[2],
        grip[0],
        grip[1],
        grip[2],
        from[0],
        from[1],
        from[2],
        to[0],
        to[1],
        to[2],
      );
      const metres = radiusM - off;
      if (metres > worst.metres) worst = { metres, part };
    }
  });
  return worst;
}
