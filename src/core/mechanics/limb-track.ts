import type { Body } from '@/core/body/body-model';
import { signOf } from '@/core/body/side';
import { dot, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { limbWeightMomentNm } from './limb-weight';
import { strengthAt } from './strength';

/**
 * Flat layout of one sample in `LimbTrack.data`: where each part begins. `joint`, `contact`, `weight`, `axis`, `above`
 * and `line` are three numbers each (`aside` too), `weightResists` and `strength` are one.
 */
export const TRACK = {
  joint: 0,
  contact: 3,
  weight: 6,
  weightResists: 9,
  axis: 10,
  above: 13,
  line: 16,
  aside: 19,
  strength: 22,
} as const;
/** Numbers per sample of a limb track. */
export const TRACK_STRIDE = 23;

/**
 * One limb's range in the stand frame, laid out flat because the solver reads it thousands of times. Per sample: the
 * target joint (3, metres), the contact relative to it (3, metres), the limb weight's moment about it (3, Nm), that
 * moment's part against the action (1, Nm; positive resists), the action's axis (3, unit), the sweep's normal (3, unit)
 * where the line is fixed, from the contact (3, metres): the middle of a bar that both hands hold, else the contact
 * itself; and how much of a force on the hand goes out to the side through what both hands hold (3, share of each part
 * of the force; see `asideOf`); and the share of its greatest moment that the action has there (1).
 */
export interface LimbTrack {
  readonly data: Float64Array;
  readonly samples: number;
  /** What is held by pressing from both sides; null where hands may pull it apart too. */
  readonly squeeze: Squeeze | null;
}

/** Hands that can only press: `out` is the way to this hand's own side along z, `least` a share of the load on it. */
export interface Squeeze {
  readonly out: 1 | -1;
  readonly least: number;
}

/**
 * Friction of skin on what it holds: a hand pushes to the side along it by this share of the load at most, and palms
 * that hold a weight by pressing alone press with 1 / 0.6 of what each carries at least (F = 0.6 N; an assumption).
 */
export const SKIN_FRICTION = 0.6;

/** The least that hands press, each from its own side. */
function squeezeOf({ hands, side }: ChainPath): Squeeze | null {
  if (hands !== 'together' && hands !== 'palms') return null;
  return { out: signOf(side), least: hands === 'palms' ? 1 / SKIN_FRICTION : 0 };
}

/**
 * What both hands hold takes a push to the side: each hand gives as much as spares the elbow, because nobody holds an
 * elbow's moment there on purpose. With the elbow at r from the hand, a force F on it and a push h to the side z, the
 * elbow's moment r x (F + h z) is least at h = r_z (F . r) / (r . r - r_z r_z); this is r times its factor, so that
 * h = F . aside. Where the forearm follows the load, force and forearm are then in one line.
 */
export function asideOf(x: number, y: number, z: number, out: Float64Array, o: number): void {
  const flat = x * x + y * y;
  const k = flat > 1e-9 ? z / flat : 0;
  out[o] = x * k;
  out[o + 1] = y * k;
  out[o + 2] = z * k;
}

/** Flatten a path and its target for a body. */
export function buildLimbTrack(body: Body, path: ChainPath, target: ChainTarget): LimbTrack {
  const samples = path.proximal.length;
  const data = new Float64Array(samples * TRACK_STRIDE);
  for (let i = 0; i < samples; i++) {
    const joint = jointAt(path, target.joint, i);
    const w = limbWeightMomentNm(body, path, i, target.joint);
    data.set(
      [
        ...joint,
        ...subtract(path.contact[i]!, joint),
        ...w,
        -dot(w, target.answers[i]!),
        ...target.answers[i]!,
        ...target.above[i]!,
        0,
        0,
        path.hands === 'line' ? -path.contact[i]![2] : 0,
      ],
      i * TRACK_STRIDE,
    );
    if (path.hands) asideOf(...subtract(path.contact[i]!, path.middle[i]!), data, i * TRACK_STRIDE + TRACK.aside);
    data[i * TRACK_STRIDE + TRACK.strength] = strengthAt(path, target.action, i);
  }
  return { data, samples, squeeze: squeezeOf(path) };
}

const jointAt = (path: ChainPath, joint: 'proximal' | 'middle', i: number): Vec3 =>
  joint === 'middle' ? path.middle[i]! : path.proximal[i]!;

/** The same track at every `step`-th sample, for coarse search. Precondition: `step` divides the samples less one. */
export function thinTrack(track: LimbTrack, step: number): LimbTrack {
  const samples = (track.samples - 1) / step + 1;
  const data = new Float64Array(samples * TRACK_STRIDE);
  for (let i = 0; i < samples; i++)
    data.set(track.data.subarray(i * step * TRACK_STRIDE, (i * step + 1) * TRACK_STRIDE), i * TRACK_STRIDE);
  return { data, samples, squeeze: track.squeeze };
}
