import type { Body } from '@/core/body/body-model';
import { girdleWay } from '@/core/body/girdle-way';
import type { Region } from '@/core/body/region-line';
import { ARM_MASS_SHARE } from '@/core/body/segment-mass';
import { dot, length, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath } from '@/core/movement/chain-path';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { LoadSamples } from './load';

/** What a region that draws the shoulder blade has to hold over the range. */
export interface GirdleForce {
  /** Force on the shoulder against the region's way, newtons, by sample; negative where it helps. */
  readonly alongN: Float64Array;
  readonly meanN: number;
  /** Part of the whole force on the shoulder that is along the way, as a share of its size. */
  readonly share: number;
}

/**
 * Force that a load in the hand and the arm's own weight put on the shoulder, along the way of a region that draws the
 * blade; null for one that does not. Forces pass through a limb that is held still, whatever its joints do.
 */
export function girdleForce(body: Body, path: ChainPath, load: LoadSamples, region: Region): GirdleForce | null {
  if (path.chain !== 'arm' || !girdleWay(region, path.frame[0]!, path.side)) return null;
  const armN = ARM_MASS_SHARE * body.massKg * GRAVITY_MS2;
  const n = path.contact.length;
  const alongN = new Float64Array(n);
  let along = 0;
  let whole = 0;
  for (let i = 0; i < n; i++) {
    const force: Vec3 = [load.forceN[3 * i]!, load.forceN[3 * i + 1]! - armN, load.forceN[3 * i + 2]!];
    alongN[i] = -dot(force, girdleWay(region, path.frame[i]!, path.side)!);
    along += alongN[i]!;
    whole += length(force);
  }
  return { alongN, meanN: along / n, share: whole > 0 ? Math.max(0, along / whole) : 0 };
}
