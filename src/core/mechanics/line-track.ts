import { axisOfPull } from '@/core/body/region-axis';
import { FOREARM_HAND_MASS, UPPER_ARM_MASS } from '@/core/body/segment-mass';
import { BASE_STRIDE, BONES, type LineArm } from '@/core/movement/line-arm';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { readStrength, STRENGTH, strengthDeg, strengthTable } from './strength';
import { asideOf, TRACK, TRACK_STRIDE, type LimbTrack } from './limb-track';

/** A limb track with room for so many samples; it is filled anew for every place. */
export const allocateTrack = (samples: number): LimbTrack => ({
  data: new Float64Array(samples * TRACK_STRIDE),
  samples,
  squeeze: null,
});

// Called in the same loop: plain functions, not members of what is imported.
const axisOf = axisOfPull;
const strengthOf = readStrength;
const angleOf = strengthDeg;
const aside = asideOf;

/** Directions of upper arm and forearm at a sample in the trunk's axes, outward third, left in `local`. */
function intoTrunk(arm: LineArm, bones: Float64Array, i: number): void {
  const { base } = arm;
  const s = i * BASE;
  const b = i * ARM;
  const out = arm.side === 'left' ? -1 : 1;
  const upper = 1 / arm.upperM;
  const fore = 1 / arm.foreM;
  const ux = (bones[b]! - base[s]!) * upper;
  const uy = (bones[b + 1]! - base[s + 1]!) * upper;
  const uz = (bones[b + 2]! - base[s + 2]!) * upper;
  const vx = (bones[b + 3]! - bones[b]!) * fore;
  const vy = (bones[b + 4]! - bones[b + 1]!) * fore;
  const vz = (bones[b + 5]! - bones[b + 2]!) * fore;
  // The trunk's axes in turn: forward, up, right.
  local[0] = base[s + 3]! * ux + base[s + 4]! * uy + base[s + 5]! * uz;
  local[1] = base[s + 6]! * ux + base[s + 7]! * uy + base[s + 8]! * uz;
  local[2] = out * (base[s + 9]! * ux + base[s + 10]! * uy + base[s + 11]! * uz);
  local[3] = base[s + 3]! * vx + base[s + 4]! * vy + base[s + 5]! * vz;
  local[4] = base[s + 6]! * vx + base[s + 7]! * vy + base[s + 8]! * vz;
  local[5] = out * (base[s + 9]! * vx + base[s + 10]! * vy + base[s + 11]! * vz);
}

/**
 * Axis of the region that answers at a sample, in the stand frame, written to `data` at `o`; see `regionAxis`. Reads
 * what `intoTrunk` left.
 */
function regionAxisInto(arm: LineArm, i: number, data: Float64Array, o: number): void {
  const { base } = arm;
  const s = i * BASE;
  const out = arm.side === 'left' ? -1 : 1;
  axisOf(arm.answers!, local[0]!, local[1]!, local[2]!, local[3]!, local[4]!, local[5]!, local, 6);
  // A turn mirrors against a vector: its part square to the mirror stays.
  const ax = out * local[6]!;
  const ay = out * local[7]!;
  const az = local[8]!;
  data[o] = ax * base[s + 3]! + ay * base[s + 6]! + az * base[s + 9]!;
  data[o + 1] = ax * base[s + 4]! + ay * base[s + 7]! + az * base[s + 10]!;
  data[o + 2] = ax * base[s + 5]! + ay * base[s + 8]! + az * base[s + 11]!;
}

/** Upper arm, forearm and axis in the trunk's own axes. */
const local = new Float64Array(9);

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
  aside: ASIDE,
  strength: STRENGTH_AT,
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
  const { by } = STRENGTH[arm.action];
  const strength = strengthTable(arm.action);
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
    data[o + AXIS] = ax;
    data[o + AXIS + 1] = ay;
    data[o + AXIS + 2] = az;
    intoTrunk(arm, bones, i);
    data[o + STRENGTH_AT] = strengthOf(strength, angleOf(by, local[0]!, local[1]!, local[2]!));
    if (arm.answers) regionAxisInto(arm, i, data, o + AXIS);
    data[o + WEIGHT_RESISTS] = -(wx * data[o + AXIS]! + wz * data[o + AXIS + 2]!);
    // The side of the sweep that is called above: up, ahead, or out to the limb's side.
    const lead = Math.abs(ay) > 0.5 ? ay : Math.abs(ax) > Math.abs(az) ? ax : left ? -az : az;
    const flip = lead >= 0 ? 1 : -1;
    data[o + ABOVE] = ax * flip;
    data[o + ABOVE + 1] = ay * flip;
    data[o + ABOVE + 2] = az * flip;
    data[o + LINE] = 0;
    data[o + LINE + 1] = 0;
    data[o + LINE + 2] = shared ? -bones[b + 8]! : 0;
    if (shared)
      aside(bones[b + 6]! - bones[b]!, bones[b + 7]! - bones[b + 1]!, bones[b + 8]! - bones[b + 2]!, data, o + ASIDE);
  }
}
