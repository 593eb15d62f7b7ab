import type { Body } from '@/core/body/body-model';
import { dot, subtract, type Vec3 } from '@/core/geometry/vector';
import { SAMPLES, type LimbPath } from '@/core/movement/limb-path';
import { armWeightMomentNm } from './limb-weight';

/** Flat layout of one sample in `LimbTrack.data`. */
export const TRACK_STRIDE = 7;

/**
 * One arm's range in the body frame, laid out flat because the solver reads it thousands of times:
 * per sample the grip relative to the shoulder (3, metres), the limb weight's moment about the shoulder (3, Nm) and that
 * moment's part against the action (1, Nm; positive resists).
 */
export interface LimbTrack {
  readonly data: Float64Array;
  readonly samples: number;
  readonly shoulder: Vec3;
  readonly actionAxis: Vec3;
  readonly sweepUp: Vec3;
}

/** Flatten a limb path for a body. */
export function buildLimbTrack(body: Body, path: LimbPath): LimbTrack {
  const data = new Float64Array(SAMPLES * TRACK_STRIDE);
  for (let i = 0; i < SAMPLES; i++) {
    const r = subtract(path.grip[i]!, path.shoulder);
    const w = armWeightMomentNm(body, path.shoulder, path.elbow[i]!, path.wrist[i]!);
    data.set([...r, ...w, -dot(w, path.actionAxis)], i * TRACK_STRIDE);
  }
  return { data, samples: SAMPLES, shoulder: path.shoulder, actionAxis: path.actionAxis, sweepUp: path.sweepUp };
}
