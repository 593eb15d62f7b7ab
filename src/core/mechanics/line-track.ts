import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import { BASE_STRIDE, BONES, type LineArm } from '@/core/movement/line-arm';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { TRACK, TRACK_STRIDE, type LimbTrack } from './limb-track';

/** A limb track with room for so many samples; it is filled anew for every place. */
export const allocateTrack = (samples: number): LimbTrack => ({
  data: new Float64Array(samples * TRACK_STRIDE),
  samples,
});

/** Steps of the upper arm below this are an arm that stands still, as in `targetOf`. */
const STILL = 1e-5;

// Read in a loop that the search runs at every place: plain numbers, not members of what is imported.
const {
  joint: JOINT,
  contact: CONTACT,
  weight: WEIGHT,
  weightResists: WEIGHT_RESISTS,
  axis: AXIS,
  above: ABOVE,
  line: LINE,
} = TRACK;
const STRIDE: number = TRACK_STRIDE;
const BASE: number = BASE_STRIDE;
const ARM: number = BONES;
const UPPER_CENTRE = UPPER_ARM_MASS.centre;
const FORE_CENTRE = FOREARM_HAND_MASS.centre;

/**
 * What `buildLimbTrack` makes of a posed arm about its shoulder, made straight from the flat bones of `closeOnLine`:
 * the same numbers without a list between them, because the search asks at every place. `shared`: the line is fixed at
 * the middle between both hands.
 */
// eslint-disable-next-line max-lines-per-function -- one loop, asked for every place that the search looks at
export function fillLineTrack(arm: LineArm, bones: Float64Array, shared: boolean, out: LimbTrack): void {
  const { base, samples, massKg } = arm;
  const { data } = out;
  const upperN = -UPPER_ARM_MASS.share * massKg * GRAVITY_MS2;
  const foreN = -FOREARM_HAND_MASS.share * massKg * GRAVITY_MS2;
  const left = arm.side === 'left';
  for (let i = 0; i < samples; i++) {
    const o = i * STRIDE;
    const b = i * ARM;
    const s = i * BASE;
    const sx = base[s]!;
    const sy = base[s + 1]!;
    const sz = base[s + 2]!;
    const ux = bones[b]! - sx;
    const uy = bones[b + 1]! - sy;
    const uz = bones[b + 2]! - sz;
    data[o + JOINT] = sx;
    data[o + JOINT + 1] = sy;
    data[o + JOINT + 2] = sz;
    data[o + CONTACT] = bones[b + 6]! - sx;
    data[o + CONTACT + 1] = bones[b + 7]! - sy;
    data[o + CONTACT + 2] = bones[b + 8]! - sz;
    // Weight acts straight down: r x (0, f, 0) = (-r_z f, 0, r_x f).
    const cu = UPPER_CENTRE;
    const cf = FORE_CENTRE;
    const fx = ux + cf * (bones[b + 3]! - bones[b]!);
    const fz = uz + cf * (bones[b + 5]! - bones[b + 2]!);
    const wx = -cu * uz * upperN - fz * foreN;
    const wz = cu * ux * upperN + fx * foreN;
    data[o + WEIGHT] = wx;
    data[o + WEIGHT + 1] = 0;
    data[o + WEIGHT + 2] = wz;
    // Normal of the arm's own sweep: the arm across its step from the sample before to the one after.
    const p = Math.max(0, i - 1);
    const n = Math.min(samples - 1, i + 1);
    const dx = bones[n * ARM]! - base[n * BASE]! - bones[p * ARM]! + base[p * BASE]!;
    const dy = bones[n * ARM + 1]! - base[n * BASE + 1]! - bones[p * ARM + 1]! + base[p * BASE + 1]!;
    const dz = bones[n * ARM + 2]! - base[n * BASE + 2]! - bones[p * ARM + 2]! + base[p * BASE + 2]!;
    let ax = uy * dz - uz * dy;
    let ay = uz * dx - ux * dz;
    let az = ux * dy - uy * dx;
    const size = Math.sqrt(ax * ax + ay * ay + az * az);
    if (arm.hands) {
      // Both hands on one thing: about the trunk's own axis, to the left, because every pull extends.
      ax = -base[s + 9]!;
      ay = -base[s + 10]!;
      az = -base[s + 11]!;
    } else if (size > STILL) {
      ax /= size;
      ay /= size;
      az /= size;
    } else {
      const before = o - STRIDE + AXIS;
      ax = i > 0 ? data[before]! : 0;
      ay = i > 0 ? data[before + 1]! : 0;
      az = i > 0 ? data[before + 2]! : -1;
    }
    data[o + WEIGHT_RESISTS] = -(wx * ax + wz * az);
    data[o + AXIS] = ax;
    data[o + AXIS + 1] = ay;
    data[o + AXIS + 2] = az;
    // The side of the sweep that is called above: up, ahead, or out to the limb's side.
    const lead = Math.abs(ay) > 0.5 ? ay : Math.abs(ax) > Math.abs(az) ? ax : left ? -az : az;
    const flip = lead >= 0 ? 1 : -1;
    data[o + ABOVE] = ax * flip;
    data[o + ABOVE + 1] = ay * flip;
    data[o + ABOVE + 2] = az * flip;
    data[o + LINE] = 0;
    data[o + LINE + 1] = 0;
    data[o + LINE + 2] = shared ? -bones[b + 8]! : 0;
  }
}
