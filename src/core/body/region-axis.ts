import type { Frame } from '@/core/geometry/frame';
import { fromFrame, intoFrame } from '@/core/geometry/frame';
import { between, dot, normalise, type Vec3 } from '@/core/geometry/vector';
import { clampedAcos, toDeg } from '@/core/units/angle';
import type { Region } from './region-line';
import type { Side } from './side';

/**
 * How a region pulls on the upper arm: where it holds on to the bone, and the point by which it leaves the shoulder.
 *
 * With the arm along the unit vector u and the insertion at r = d u + (an offset to the front or the outside of the
 * bone), the line leaves towards a via point V that goes with the trunk. Its moment about the shoulder is
 * r x f with f along V - r, and because r x (V - r) = r x V, its axis is r x V over its length.
 *
 * A straight line from the trunk to the bone would run through the head of the humerus, or pass it on the wrong side
 * once the arm is overhead. The via point therefore goes from one place with the arm low to another with the arm
 * overhead: it is the fold of the armpit or the cap of the shoulder, which go with the blade.
 */
interface RegionPull {
  /** Via point with the arm low and with it overhead, from the shoulder, shares of stature: forward, up, outward. */
  readonly low: Vec3;
  readonly high: Vec3;
  /** Insertion along the bone, and off its middle to the front and to the outside, shares of stature. */
  readonly along: number;
  readonly front: number;
  readonly outside: number;
}

/** Half the thickness of the upper arm bone with the ridge that a muscle inserts on, share of stature. */
const RIDGE = 0.008;

/**
 * Regions that turn the upper arm. From memory of anatomy, not measured: which way each turns the arm over the poses of
 * the book is held against the actions that anatomy texts give it. What draws the blade is in `girdle-way`.
 */
const PULL: Readonly<Partial<Record<Region, RegionPull>>> = {
  'chest-upper': { low: [0.06, 0.02, -0.03], high: [0.05, 0.015, -0.02], along: 0.045, front: RIDGE, outside: 0 },
  'chest-mid': { low: [0.06, -0.005, -0.03], high: [0.06, -0.03, -0.03], along: 0.045, front: RIDGE, outside: 0 },
  'chest-lower': { low: [0.05, -0.05, -0.03], high: [0.06, -0.06, 0], along: 0.045, front: RIDGE, outside: 0 },
  'lat-upper': { low: [-0.06, -0.035, -0.035], high: [0.045, -0.06, 0.05], along: 0.03, front: RIDGE, outside: 0 },
  'lat-lower': { low: [-0.07, -0.05, -0.005], high: [0.05, -0.06, 0.035], along: 0.03, front: RIDGE, outside: 0 },
  'deltoid-front': { low: [0.05, 0.03, 0.02], high: [-0.01, 0.06, 0], along: 0.085, front: 0, outside: RIDGE },
  'deltoid-side': { low: [0, 0.04, 0.06], high: [0, 0.07, 0], along: 0.085, front: 0, outside: RIDGE },
  'deltoid-rear': { low: [-0.05, 0, 0.04], high: [-0.05, 0, 0.045], along: 0.085, front: 0, outside: RIDGE },
};

/** Numbers of a region's pull, in the order `axisOfPull` reads them: low, high, along, front, outside. */
export type RegionPullNumbers = Float64Array;

/** A region's pull laid out flat; null for one that turns no upper arm. */
export function regionPull(region: Region): RegionPullNumbers | null {
  const p = PULL[region];
  return p ? Float64Array.of(...p.low, ...p.high, p.along, p.front, p.outside) : null;
}

/** Cosines from hanging at which the via point begins to move and has arrived: the arm 60 and 150 degrees up. */
const LOW_UP = -0.5;
const HIGH_UP = 0.87;
/**
 * Via point for an upper arm that points up by `up` (its second part in the trunk's axes), share of the way to `high`.
 */
function overheadShare(up: number): number {
  const t = Math.min(1, Math.max(0, (up - LOW_UP) / (HIGH_UP - LOW_UP)));
  return t * t * (3 - 2 * t);
}

/**
 * Angle between the upper arm and a region's via point at the shoulder, degrees in [0, 180]: the region shortens as the
 * arm comes to it. `upper` in the trunk's axes, outward third; null for a region that turns no upper arm.
 */
export function viaDeg(region: Region, upper: Vec3): number | null {
  const p = PULL[region];
  if (!p) return null;
  const via = between(p.low, p.high, overheadShare(upper[1]));
  return toDeg(clampedAcos(dot(upper, normalise(via))));
}

/** A forearm bent by more than this sine tells how the bone is turned; a straight one tells it less and less. */
const TELLS = 0.3;

/**
 * Unit axis about which a region turns the upper arm, right-handed, written to `out` at `o`; all in the trunk's axes
 * with the third one outward (the right side). `u` and `v`: unit directions of upper arm and forearm.
 */
export function axisOfPull(
  p: RegionPullNumbers,
  ux: number,
  uy: number,
  uz: number,
  vx: number,
  vy: number,
  vz: number,
  out: Float64Array,
  o: number,
): void {
  const t = overheadShare(uy);
  const px = p[0]! + (p[3]! - p[0]!) * t;
  const py = p[1]! + (p[4]! - p[1]!) * t;
  const pz = p[2]! + (p[5]! - p[2]!) * t;
  // Front of the bone: where the forearm goes when the elbow bends. Its outside is square to both, up x forward.
  const along = ux * vx + uy * vy + uz * vz;
  let fx = vx - along * ux;
  let fy = vy - along * uy;
  let fz = vz - along * uz;
  const k = 1 / Math.max(TELLS, Math.sqrt(fx * fx + fy * fy + fz * fz));
  fx *= k;
  fy *= k;
  fz *= k;
  const d = p[6]!;
  const a = p[7]!;
  const b = p[8]!;
  const rx = d * ux + a * fx + b * (uy * fz - uz * fy);
  const ry = d * uy + a * fy + b * (uz * fx - ux * fz);
  const rz = d * uz + a * fz + b * (ux * fy - uy * fx);
  const x = ry * pz - rz * py;
  const y = rz * px - rx * pz;
  const z = rx * py - ry * px;
  const n = Math.sqrt(x * x + y * y + z * z);
  out[o] = x / n;
  out[o + 1] = y / n;
  out[o + 2] = z / n;
}

const scratch = new Float64Array(3);

/**
 * The axis about which a region turns the upper arm of a side at a pose, unit, right-handed, in the frame that trunk,
 * upper arm and forearm are given in; null for a region that turns no upper arm.
 */
export function regionAxis(region: Region, trunk: Frame, upper: Vec3, fore: Vec3, side: Side): Vec3 | null {
  const p = regionPull(region);
  if (!p) return null;
  const out = side === 'right' ? 1 : -1;
  const [ux, uy, uz] = intoFrame(trunk, upper);
  const [vx, vy, vz] = intoFrame(trunk, fore);
  axisOfPull(p, ux, uy, out * uz, vx, vy, out * vz, scratch, 0);
  // A turn mirrors against a vector: its part square to the mirror stays.
  return fromFrame(trunk, [out * scratch[0]!, out * scratch[1]!, scratch[2]!]);
}
