import { signOf } from '@/core/body/side';
import type { CompensatingMuscle } from '@/core/body/compensating-muscle';
import type { Body } from '@/core/body/body-model';
import type { Region } from '@/core/body/region-line';
import { subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { limbWeightMomentNm } from './limb-weight';
import type { LoadSamples } from './load';

/** Axes that an off-axis moment is split along. */
export const MOMENT_AXES = ['flexion-extension', 'abduction-adduction', 'horizontal', 'rotation', 'off-hinge'] as const;
/** An axis that an off-axis moment is split along. */
export type MomentAxis = (typeof MOMENT_AXES)[number];

/** A moment beside the target action, averaged over the range. */
export interface OffAxisPart {
  readonly joint: 'proximal' | 'middle';
  readonly axis: MomentAxis;
  /** Mean size, newton metres. */
  readonly meanNm: number;
  /** Mean size over the mean size of the target joint's whole moment. */
  readonly share: number;
  readonly compensatedBy: CompensatingMuscle;
}

type Pair = readonly [whenPositive: CompensatingMuscle, whenNegative: CompensatingMuscle];

/**
 * Who answers a load's moment about each axis of a ball joint on the right, by its sign. Flexion is positive about the
 * frame's right axis, abduction about minus forward, horizontal adduction about up, external rotation about the limb
 * itself. Common anatomy.
 */
const BALL: Readonly<Record<ChainPath['chain'], Readonly<Record<Exclude<MomentAxis, 'off-hinge'>, Pair>>>> = {
  arm: {
    'flexion-extension': ['lats', 'front-deltoid'],
    'abduction-adduction': ['lats', 'side-deltoid'],
    horizontal: ['rear-deltoid', 'chest'],
    rotation: ['internal-rotators', 'external-rotators'],
  },
  leg: {
    'flexion-extension': ['glutes', 'hip-flexors'],
    'abduction-adduction': ['hip-adductors', 'hip-abductors'],
    horizontal: ['hip-rotators', 'hip-rotators'],
    rotation: ['hip-rotators', 'hip-rotators'],
  },
  trunk: {
    'flexion-extension': ['trunk', 'trunk'],
    'abduction-adduction': ['trunk', 'trunk'],
    horizontal: ['trunk', 'trunk'],
    rotation: ['trunk', 'trunk'],
  },
};
/** A hinge's own axis: who answers a load that flexes it, and one that extends it. */
const HINGE: Readonly<Record<ChainPath['chain'], Pair>> = {
  arm: ['triceps', 'elbow-flexors'],
  leg: ['quadriceps', 'hamstrings'],
  trunk: ['trunk', 'trunk'],
};

/** The muscles that a region which turns the upper arm is one of: what they answer is its own work. */
const FAMILY: Readonly<Partial<Record<Region, CompensatingMuscle>>> = {
  'chest-upper': 'chest',
  'chest-mid': 'chest',
  'chest-lower': 'chest',
  'lat-upper': 'lats',
  'lat-lower': 'lats',
  'deltoid-front': 'front-deltoid',
  'deltoid-side': 'side-deltoid',
  'deltoid-rear': 'rear-deltoid',
};
/** Who else answers a moment that the target's own muscles would, beside its axis. Common anatomy. */
const ELSE: Readonly<Partial<Record<MomentAxis, Readonly<Partial<Record<CompensatingMuscle, CompensatingMuscle>>>>>> = {
  'flexion-extension': { lats: 'rear-deltoid', 'front-deltoid': 'chest' },
  'abduction-adduction': { lats: 'chest', 'side-deltoid': 'front-deltoid' },
  horizontal: { 'rear-deltoid': 'lats', chest: 'front-deltoid' },
};

/** Least share worth naming. */
const WORTH_NAMING = 0.005;

/** Flat layout of one sample in `OffAxisTrack.data`: where each part of three numbers begins. */
const STRIDE = 30;
const FROM_PROXIMAL = 0;
const FROM_MIDDLE = 3;
const WEIGHT_PROXIMAL = 6;
const WEIGHT_MIDDLE = 9;
const LIMB = 12;
const RIGHT = 15;
const FORWARD = 18;
const UP = 21;
const HINGE_AXIS = 24;
const TARGET_AXIS = 27;

/**
 * What the off-axis moment needs of a path beside the forces, laid out flat because it is asked on every frame of a
 * drag. Per sample: contact from the proximal and from the middle joint (3 + 3, metres), the limb weight's moment about
 * each (3 + 3, Nm), the limb's direction, the frame's right, forward and up axes, the hinge's axis and the target's
 * (unit, 3 each).
 */
export interface OffAxisTrack {
  readonly data: Float64Array;
  readonly samples: number;
  readonly chain: ChainPath['chain'];
  readonly joint: ChainTarget['joint'];
  /** 1 on the right, -1 on the left. */
  readonly mirror: 1 | -1;
  /** A pad holds what the proximal joint else would. */
  readonly onPad: boolean;
  /** The region that answers, where it is not the sweep's own axis that counts. */
  readonly by: Region | null;
}

/** Lay a posed limb out flat for `resolveOffAxis`. */
export function buildOffAxisTrack(body: Body, path: ChainPath, target: ChainTarget): OffAxisTrack {
  const samples = path.proximal.length;
  const data = new Float64Array(samples * STRIDE);
  let hinge: Vec3 = path.frame[0]!.z;
  for (let i = 0; i < samples; i++) {
    const p = path.proximal[i]!;
    const m = path.middle[i]!;
    const d = path.distal[i]!;
    const c = path.contact[i]!;
    const f = path.frame[i]!;
    const u: Vec3 = [m[0] - p[0], m[1] - p[1], m[2] - p[2]];
    const upper = 1 / Math.sqrt(u[0] * u[0] + u[1] * u[1] + u[2] * u[2]);
    // Bones are enough for the hinge's direction: only their cross product's own length is divided out.
    const v: Vec3 = [d[0] - m[0], d[1] - m[1], d[2] - m[2]];
    const n: Vec3 = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const bent = Math.sqrt(n[0] * n[0] + n[1] * n[1] + n[2] * n[2]);
    if (bent > 1e-8) hinge = [n[0] / bent, n[1] / bent, n[2] / bent];
    const wp = limbWeightMomentNm(body, path, i, 'proximal');
    const wm = path.chain === 'trunk' ? wp : limbWeightMomentNm(body, path, i, 'middle');
    const t = target.answers[i]!;
    let o = i * STRIDE;
    const limb: Vec3 = [u[0] * upper, u[1] * upper, u[2] * upper];
    // In the order of the layout above.
    for (const part of [subtract(c, p), subtract(c, m), wp, wm, limb, f.z, f.x, f.y, hinge, t]) {
      data[o++] = part[0];
      data[o++] = part[1];
      data[o++] = part[2];
    }
  }
  return {
    data,
    samples,
    chain: path.chain,
    joint: target.joint,
    mirror: signOf(path.side),
    by: target.by,
    onPad: target.onPad ?? false,
  };
}

/** Sums over the range, by part: sizes, then signed. */
const PARTS = [
  ['proximal', 'flexion-extension'],
  ['proximal', 'abduction-adduction'],
  ['proximal', 'horizontal'],
  ['proximal', 'rotation'],
  ['middle', 'flexion-extension'],
  ['middle', 'off-hinge'],
] as const satisfies readonly (readonly [OffAxisPart['joint'], MomentAxis])[];

/** The sums of each part as means and shares, largest first; what is not worth naming falls away. */
function toParts(
  chain: ChainPath['chain'],
  by: Region | null,
  samples: number,
  size: Float64Array,
  signed: Float64Array,
  whole: number,
): OffAxisPart[] {
  return PARTS.map(([at, axis], k): OffAxisPart => {
    const pair: Pair = axis === 'off-hinge' ? ['joint', 'joint'] : at === 'middle' ? HINGE[chain] : BALL[chain][axis];
    const answers = signed[k]! >= 0 ? pair[0] : pair[1];
    return {
      joint: at,
      axis,
      meanNm: size[k]! / samples,
      share: whole > 0 ? size[k]! / whole : 0,
      compensatedBy: by && FAMILY[by] === answers ? (ELSE[axis]?.[answers] ?? answers) : answers,
    };
  })
    .filter((p) => p.share >= WORTH_NAMING)
    .sort((a, b) => b.share - a.share);
}

/**
 * Where the moment goes that is not the target's, over the range: at the target joint what is not about the target
 * axis, at the other joint all of it. A ball joint's is split into the part about the limb's own length (rotation) and
 * the rest along its frame's right, forward and up axes, which are square to each other; a hinge's into its own axis
 * and the rest, which the joint itself has to take. Largest first; forces in the path's frame.
 */
// eslint-disable-next-line max-lines-per-function -- one loop, asked on every frame of a drag
export function resolveOffAxis(track: OffAxisTrack, load: LoadSamples): OffAxisPart[] {
  const { data, samples, chain, joint, mirror, by } = track;
  const { forceN } = load;
  const size = new Float64Array(PARTS.length);
  const signed = new Float64Array(PARTS.length);
  const onHinge = joint === 'middle';
  let whole = 0;
  const collect = (part: number, value: number): void => {
    size[part]! += Math.abs(value);
    signed[part]! += value;
  };
  for (let i = 0; i < samples; i++) {
    const o = i * STRIDE;
    const fx = forceN[3 * i]!;
    const fy = forceN[3 * i + 1]!;
    const fz = forceN[3 * i + 2]!;
    // Moment about each joint: r x F and the limb's weight.
    let px = data[o + FROM_PROXIMAL + 1]! * fz - data[o + FROM_PROXIMAL + 2]! * fy + data[o + WEIGHT_PROXIMAL]!;
    let py = data[o + FROM_PROXIMAL + 2]! * fx - data[o + FROM_PROXIMAL]! * fz + data[o + WEIGHT_PROXIMAL + 1]!;
    let pz = data[o + FROM_PROXIMAL]! * fy - data[o + FROM_PROXIMAL + 1]! * fx + data[o + WEIGHT_PROXIMAL + 2]!;
    let mx = data[o + FROM_MIDDLE + 1]! * fz - data[o + FROM_MIDDLE + 2]! * fy + data[o + WEIGHT_MIDDLE]!;
    let my = data[o + FROM_MIDDLE + 2]! * fx - data[o + FROM_MIDDLE]! * fz + data[o + WEIGHT_MIDDLE + 1]!;
    let mz = data[o + FROM_MIDDLE]! * fy - data[o + FROM_MIDDLE + 1]! * fx + data[o + WEIGHT_MIDDLE + 2]!;
    const tx = data[o + TARGET_AXIS]!;
    const ty = data[o + TARGET_AXIS + 1]!;
    const tz = data[o + TARGET_AXIS + 2]!;
    if (onHinge) {
      whole += Math.sqrt(mx * mx + my * my + mz * mz);
      const own = mx * tx + my * ty + mz * tz;
      mx -= tx * own;
      my -= ty * own;
      mz -= tz * own;
    } else {
      whole += Math.sqrt(px * px + py * py + pz * pz);
      const own = px * tx + py * ty + pz * tz;
      px -= tx * own;
      py -= ty * own;
      pz -= tz * own;
    }
    const ux = data[o + LIMB]!;
    const uy = data[o + LIMB + 1]!;
    const uz = data[o + LIMB + 2]!;
    const turn = px * ux + py * uy + pz * uz;
    px -= ux * turn;
    py -= uy * turn;
    pz -= uz * turn;
    collect(0, px * data[o + RIGHT]! + py * data[o + RIGHT + 1]! + pz * data[o + RIGHT + 2]!);
    collect(1, -mirror * (px * data[o + FORWARD]! + py * data[o + FORWARD + 1]! + pz * data[o + FORWARD + 2]!));
    collect(2, mirror * (px * data[o + UP]! + py * data[o + UP + 1]! + pz * data[o + UP + 2]!));
    collect(3, mirror * turn);
    if (chain === 'trunk') continue;
    const hx = data[o + HINGE_AXIS]!;
    const hy = data[o + HINGE_AXIS + 1]!;
    const hz = data[o + HINGE_AXIS + 2]!;
    const own = mx * hx + my * hy + mz * hz;
    if (!onHinge) collect(4, own);
    mx -= hx * own;
    my -= hy * own;
    mz -= hz * own;
    collect(5, Math.sqrt(mx * mx + my * my + mz * mz));
  }
  const parts = toParts(chain, by, samples, size, signed, whole);
  return track.onPad ? parts.filter((p) => p.joint !== 'proximal') : parts;
}
