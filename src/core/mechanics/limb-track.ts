import type { Body } from '@/core/body/body-model';
import { dot, subtract, type Vec3 } from '@/core/geometry/vector';
import type { ChainPath, ChainTarget } from '@/core/movement/chain-path';
import { limbWeightMomentNm } from './limb-weight';

/**
 * Flat layout of one sample in `LimbTrack.data`: where each part begins. `joint`, `contact`, `weight`, `axis`, `above`
 * and `line` are three numbers each, `weightResists` is one.
 */
export const TRACK = { joint: 0, contact: 3, weight: 6, weightResists: 9, axis: 10, above: 13, line: 16 } as const;
/** Numbers per sample of a limb track. */
export const TRACK_STRIDE = 19;

/**
 * One limb's range in the stand frame, laid out flat because the solver reads it thousands of times. Per sample: the
 * target joint (3, metres), the contact relative to it (3, metres), the limb weight's moment about it (3, Nm), that
 * moment's part against the action (1, Nm; positive resists), the action's axis (3, unit), the sweep's normal (3, unit)
 * and where the line is fixed, from the contact (3, metres): the middle of a bar that both hands hold, else the contact
 * itself.
 */
export interface LimbTrack {
  readonly data: Float64Array;
  readonly samples: number;
}

/** Flatten a path and its target for a body; `line`: fixed at the hand, or at the middle between both hands. */
export function buildLimbTrack(
  body: Body,
  path: ChainPath,
  target: ChainTarget,
  line: 'hand' | 'middle' = 'hand',
): LimbTrack {
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
        -dot(w, target.axis[i]!),
        ...target.axis[i]!,
        ...target.above[i]!,
        0,
        0,
        line === 'middle' ? -path.contact[i]![2] : 0,
      ],
      i * TRACK_STRIDE,
    );
  }
  return { data, samples };
}

const jointAt = (path: ChainPath, joint: 'proximal' | 'middle', i: number): Vec3 =>
  joint === 'middle' ? path.middle[i]! : path.proximal[i]!;

/** The same track at every `step`-th sample, for coarse search. Precondition: `step` divides the samples less one. */
export function thinTrack(track: LimbTrack, step: number): LimbTrack {
  const samples = (track.samples - 1) / step + 1;
  const data = new Float64Array(samples * TRACK_STRIDE);
  for (let i = 0; i < samples; i++)
    data.set(track.data.subarray(i * step * TRACK_STRIDE, (i * step + 1) * TRACK_STRIDE), i * TRACK_STRIDE);
  return { data, samples };
}
