import type { Answerer } from '@/core/body/answerer';
import type { Body } from '@/core/body/body-model';
import { intoFrame } from '@/core/geometry/frame';
import { add, cross, dot, length, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { hingeAxis, towards } from '@/core/movement/joint-action';
import { jointAt } from './limb-track';
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
const HINGE: Readonly<Record<ChainPath['chain'], Pair>> = { arm: ['triceps', 'elbow-flexors'], leg: ['quadriceps', 'hamstrings'], trunk: ['trunk', 'trunk'] };

/** Least share worth naming. */
const WORTH_NAMING = 0.005;

/**
 * Where the moment goes that is not the target's, over the range: at the target joint what is not about the target axis,
 * at the other joint all of it. A ball joint's is split into the part about the limb's own length (rotation) and the rest
 * along its frame's right, forward and up axes, which are square to each other; a hinge's into its own axis and the rest,
 * which the joint itself has to take. Largest first; forces as `LoadSamples` in the path's frame.
 */
export function resolveLeak(body: Body, path: ChainPath, target: ChainTarget, load: LoadSamples): LeakPart[] {
  const n = path.proximal.length;
  const sums = new Map<string, { joint: LeakPart['joint']; axis: LeakAxis; size: number; signed: number }>();
  const collect = (joint: LeakPart['joint'], axis: LeakAxis, value: number): void => {
    const key = `${joint}/${axis}`;
    const was = sums.get(key) ?? { joint, axis, size: 0, signed: 0 };
    sums.set(key, { joint, axis, size: was.size + Math.abs(value), signed: was.signed + value });
  };
  const mirror = path.side === 'right' ? 1 : -1;
  let whole = 0;
  let hinge: Vec3 = path.frame[0]!.z;
  for (let i = 0; i < n; i++) {
    const force: Vec3 = [load.forceN[3 * i]!, load.forceN[3 * i + 1]!, load.forceN[3 * i + 2]!];
    const moment = (joint: 'proximal' | 'middle'): Vec3 => add(cross(subtract(path.contact[i]!, jointAt(path, joint, i)), force), limbWeightMomentNm(body, path, i, joint));
    const rest = (joint: 'proximal' | 'middle'): Vec3 => {
      const m = moment(joint);
      if (joint !== target.joint) return m;
      whole += length(m);
      const axis = target.axis[i]!;
      return subtract(m, scale(axis, dot(m, axis)));
    };
    const ball = rest('proximal');
    const limb = towards(path.proximal[i]!, path.middle[i]!);
    const turn = dot(ball, limb);
    const swing = intoFrame(path.frame[i]!, subtract(ball, scale(limb, turn)));
    collect('proximal', 'flexion-extension', swing[2]);
    collect('proximal', 'abduction-adduction', -mirror * swing[0]);
    collect('proximal', 'horizontal', mirror * swing[1]);
    collect('proximal', 'rotation', mirror * turn);
    if (path.chain === 'trunk') continue;
    const bent = rest('middle');
    hinge = hingeAxis(limb, towards(path.middle[i]!, path.distal[i]!)) ?? hinge;
    const own = dot(bent, hinge);
    if (target.joint !== 'middle') collect('middle', 'flexion-extension', own);
    collect('middle', 'off-hinge', length(subtract(bent, scale(hinge, own))));
  }
  return [...sums.values()]
    .map(({ joint, axis, size, signed }): LeakPart => {
      const pair: Pair = axis === 'off-hinge' ? ['joint', 'joint'] : joint === 'middle' ? HINGE[path.chain] : BALL[path.chain][axis];
      return { joint, axis, meanNm: size / n, share: whole > 0 ? size / whole : 0, answeredBy: signed >= 0 ? pair[0] : pair[1] };
    })
    .filter((p) => p.share >= WORTH_NAMING)
    .sort((a, b) => b.share - a.share);
}
