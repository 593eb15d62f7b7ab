import type { Frame } from '@/core/geometry/frame';
import { fromFrame } from '@/core/geometry/frame';
import { mirrorZ, type Vec3 } from '@/core/geometry/vector';
import type { Region } from './region-line';
import type { Side } from './side';

/** Collar bone behind straight out to the side at rest, radians: about 25 degrees (common anatomy). */
const COLLAR_RAD = (25 * Math.PI) / 180;

/**
 * Way along which a region that holds the shoulder blade draws the shoulder, right side, in the trunk's axes, unit. The
 * shoulder goes round the inner end of the collar bone, so that it is drawn back square to that bone; up and down along
 * the trunk.
 */
const WAY: Readonly<Partial<Record<Region, Vec3>>> = {
  'mid-back': [-Math.cos(COLLAR_RAD), 0, -Math.sin(COLLAR_RAD)],
  'trapezius-upper': [0, 1, 0],
  'trapezius-lower': [-0.6, -0.75, -0.28],
};

/**
 * The way along which a region draws the shoulder of a side, unit, in the frame that the trunk is given in; null for a
 * region that does not hold the blade. What it answers is the force on the shoulder along that way.
 */
export function girdleWay(region: Region, trunk: Frame, side: Side): Vec3 | null {
  const way = WAY[region];
  return way ? fromFrame(trunk, side === 'right' ? way : mirrorZ(way)) : null;
}
