import type { Answerer } from '@/core/body/answerer';
import type { Body } from '@/core/body/body-model';
import type { Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { limbWeightMomentNm } from './limb-weight';
import type { LoadSamples } from './load';

export const LEAK_AXES = ['flexion-extension', 'abduction-adduction', 'horizontal', 'rotation', 'off-hinge'] as const;
export type LeakAxis = (typeof LEAK_AXES)[number];

/** A moment beside the target action, averaged over the range. */
export interface LeakPart {
  readonly joint: 'proximal' | 'middle';
  readonly axis: LeakAxis;
  /** Mean size, newton metres. */
  readonly meanNm: number;
  /** Mean size over the mean size of the target joint's whole moment. */
  readonly share: number;
  readonly answeredBy: Answerer;
}

type Pair = readonly [whenPositive: Answerer, whenNegative: Answerer];

/**
 * Who answers a load's moment about each axis of a ball joint on the right, by its sign. Flexion is positive about the
 * frame's right axis, abduction about minus forward, horizontal adduction about up, external rotation about the limb
 * itself. Common anatomy.
 */
const BALL: Readonly<Record<ChainPath['chain'], Readonly<Record<Exclude<LeakAxis, 'off-hinge'>, Pair>>>> = {
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

/** Least share worth naming. */
const WORTH_NAMING = 0.005;

/** Flat layout of one sample in `LeakTrack.data`. */
const STRIDE = 30;

/**
 * What the leak needs of a path beside the forces, laid out flat because it is asked on every frame of a drag. Per
 * sample: contact from the proximal and from the middle joint (3 + 3, metres), the limb weight's moment about each
 * (3 + 3, Nm), the limb's direction, the frame's right, forward and up axes, the hinge's axis and the target's (unit, 3
 * each).
 */
export interface LeakTrack {
  readonly data: Float64Array;
  readonly samples: number;
  readonly chain: ChainPath['chain'];
  readonly joint: ChainTarget['joint'];
  /** 1 on the right, -1 on the left. */
  readonly mirror: 1 | -1;
}

export function buildLeakTrack(body: Body, path: ChainPath, target: ChainTarget): LeakTrack {
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
    const t = target.axis[i]!;
    let o = i * STRIDE;
    for (const part of [
      c[0] - p[0],
      c[1] - p[1],
      c[2] - p[2],
      c[0] - m[0],
      c[1] - m[1],
      c[2] - m[2],
      wp[0],
      wp[1],
      wp[2],
      wm[0],
      wm[1],
      wm[2],
      u[0] * upper,
      u[1] * upper,
      u[2] * upper,
    ])
      data[o++] = part;
    for (const axis of [f.z, f.x, f.y, hinge, t]) {
      data[o++] = axis[0];
      data[o++] = axis[1];
      data[o++] = axis[2];
    }
  }
  return { data, samples, chain: path.chain, joint: target.joint, mirror: path.side === 'right' ? 1 : -1 };
}

/** Sums over the range, by part: sizes, then signed. */
const PARTS = [
  ['proximal', 'flexion-extension'],
  ['proximal', 'abduction-adduction'],
  ['proximal', 'horizontal'],
  ['proximal', 'rotation'],
  ['middle', 'flexion-extension'],
  ['middle', 'off-hinge'],
] as const satisfies readonly (readonly [LeakPart['joint'], LeakAxis])[];

/**
 * Where the moment goes that is not the target's, over the range: at the target joint what is not about the target
 * axis, at the other joint all of it. A ball joint's is split into the part about the limb's own length (rotation) and
 * the rest along its frame's right, forward and up axes, which are square to each other; a hinge's into its own axis
 * and the rest, which the joint itself has to take. Largest first; forces in the path's frame.
 */
export function resolveLeak(track: LeakTrack, load: LoadSamples): LeakPart[] {
  const { data, samples, chain, joint, mirror } = track;
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
    let px = data[o + 1]! * fz - data[o + 2]! * fy + data[o + 6]!;
    let py = data[o + 2]! * fx - data[o]! * fz + data[o + 7]!;
    let pz = data[o]! * fy - data[o + 1]! * fx + data[o + 8]!;
    let mx = data[o + 4]! * fz - data[o + 5]! * fy + data[o + 9]!;
    let my = data[o + 5]! * fx - data[o + 3]! * fz + data[o + 10]!;
    let mz = data[o + 3]! * fy - data[o + 4]! * fx + data[o + 11]!;
    const tx = data[o + 27]!;
    const ty = data[o + 28]!;
    const tz = data[o + 29]!;
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
    const ux = data[o + 12]!;
    const uy = data[o + 13]!;
    const uz = data[o + 14]!;
    const turn = px * ux + py * uy + pz * uz;
    px -= ux * turn;
    py -= uy * turn;
    pz -= uz * turn;
    collect(0, px * data[o + 15]! + py * data[o + 16]! + pz * data[o + 17]!);
    collect(1, -mirror * (px * data[o + 18]! + py * data[o + 19]! + pz * data[o + 20]!));
    collect(2, mirror * (px * data[o + 21]! + py * data[o + 22]! + pz * data[o + 23]!));
    collect(3, mirror * turn);
    if (chain === 'trunk') continue;
    const hx = data[o + 24]!;
    const hy = data[o + 25]!;
    const hz = data[o + 26]!;
    const own = mx * hx + my * hy + mz * hz;
    if (!onHinge) collect(4, own);
    mx -= hx * own;
    my -= hy * own;
    mz -= hz * own;
    collect(5, Math.sqrt(mx * mx + my * my + mz * mz));
  }
  return PARTS.map(([at, axis], k): LeakPart => {
    const pair: Pair = axis === 'off-hinge' ? ['joint', 'joint'] : at === 'middle' ? HINGE[chain] : BALL[chain][axis];
    return {
      joint: at,
      axis,
      meanNm: size[k]! / samples,
      share: whole > 0 ? size[k]! / whole : 0,
      answeredBy: signed[k]! >= 0 ? pair[0] : pair[1],
    };
  })
    .filter((p) => p.share >= WORTH_NAMING)
    .sort((a, b) => b.share - a.share);
}
