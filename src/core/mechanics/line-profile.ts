import { length, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { toDeg } from '@/core/units/angle';
import { TRACK_STRIDE, type LimbTrack } from './limb-track';

/** Resistance below this share of its peak counts as rest (common practice: a quarter). */
export const REST_BELOW = 0.25;
/** Resistance at or above this share of its peak counts as loaded. */
export const LOADED_FROM = 0.5;

/** Room for one profile's samples, reused by the solver so that an evaluation allocates nothing. */
export interface ProfileSamples {
  readonly resistanceNm: Float64Array;
  /** Of the line alone, without the limb's weight. */
  readonly lineNm: Float64Array;
  readonly offPlaneRad: Float64Array;
  readonly travelM: Float64Array;
}

export const allocateSamples = (samples: number): ProfileSamples => ({
  resistanceNm: new Float64Array(samples),
  lineNm: new Float64Array(samples),
  offPlaneRad: new Float64Array(samples),
  travelM: new Float64Array(samples),
});

/** What one pull does over the range. Positions are shares of the range, 0 = start of the lift. */
export interface LineMetrics {
  /** Root mean square of the line's angle to the sweep, weighted by resistance. */
  readonly offPlaneRmsDeg: number;
  /** At the finish; positive when the line pulls the limb above its sweep. */
  readonly offPlaneFinishDeg: number;
  /** Greatest resistance, limb weight included. */
  readonly peakAt: number;
  readonly peakResistanceNm: number;
  readonly meanResistanceNm: number;
  /** Where limb (shoulder to grip) and line are square to each other; null when they never are. */
  readonly rightAngleAt: number | null;
  /** Longest lever of the line about the target axis, metres. */
  readonly peakLeverM: number;
  readonly restShare: number;
  readonly loadedShare: number;
  /** Mean over peak. */
  readonly evenness: number;
  /** Resistance is negative somewhere: the weight helps. */
  readonly helps: boolean;
  readonly minClearanceM: number;
  readonly maxTravelM: number;
  /** Part of the shoulder's moment that is not about the target axis, as a share. */
  readonly leakShare: number;
}

/** Share of a piecewise-linear curve over [0, 1] that lies below `level`. */
export function shareBelow(values: Float64Array, level: number): number {
  const n = values.length - 1;
  let below = 0;
  for (let i = 0; i < n; i++) {
    const a = values[i]! - level;
    const b = values[i + 1]! - level;
    if (a < 0 && b < 0) below += 1;
    else if (a < 0 || b < 0) below += Math.min(a, b) / (Math.min(a, b) - Math.max(a, b));
  }
  return below / n;
}

/** Position and height of the greatest sample, refined by the parabola through it and its neighbours. */
function findPeak(values: Float64Array): { readonly at: number; readonly value: number } {
  let k = 0;
  for (let i = 1; i < values.length; i++) if (values[i]! > values[k]!) k = i;
  const n = values.length - 1;
  if (k === 0 || k === n) return { at: k / n, value: values[k]! };
  const a = values[k - 1]!;
  const b = values[k]!;
  const c = values[k + 1]!;
  const curve = a - 2 * b + c;
  if (curve === 0) return { at: k / n, value: b };
  const shift = (0.5 * (a - c)) / curve;
  return { at: (k + shift) / n, value: b - 0.25 * (a - c) * shift };
}

/**
 * Profile of a cable from a fixed pulley over the range of one limb.
 *
 * With shoulder J, grip P, pulley Q, tension T at the hand: F = T u, u = (Q - P)/|Q - P|; the shoulder must answer
 * M = (P - J) x F + limb weight; resistance = -M . n for the action axis n; off-plane = asin(u . sweepUp);
 * travel = |Q - P| - attachment.
 *
 * @param pulley in the body frame of the track, metres
 * @param tensionN at the hand, newtons, not negative
 * @param attachmentM cable end to grip centre
 * @param out filled with the samples; the metrics returned can be recomputed from them
 */
export function profileLine(track: LimbTrack, pulley: Vec3, tensionN: number, attachmentM: number, out: ProfileSamples): LineMetrics {
  const { data, samples } = track;
  const [nx, ny, nz] = track.actionAxis;
  const [ux, uy, uz] = track.sweepUp;
  const { resistanceNm, lineNm, offPlaneRad, travelM } = out;
  const qx = pulley[0] - track.shoulder[0];
  const qy = pulley[1] - track.shoulder[1];
  const qz = pulley[2] - track.shoulder[2];
  let sum = 0;
  let offSquares = 0;
  let weightSum = 0;
  let momentSum = 0;
  let leakSum = 0;
  let minTravel = Infinity;
  let maxTravel = -Infinity;
  let least = Infinity;
  let peakLine = 0;
  let lastCos = 0;
  let rightAngleAt: number | null = null;
  for (let i = 0; i < samples; i++) {
    const o = i * TRACK_STRIDE;
    const rx = data[o]!;
    const ry = data[o + 1]!;
    const rz = data[o + 2]!;
    const dx = qx - rx;
    const dy = qy - ry;
    const dz = qz - rz;
    const distance = Math.sqrt(dx * dx + dy * dy + dz * dz);
    const k = tensionN / distance;
    // M_line = r x F
    const mx = (ry * dz - rz * dy) * k;
    const my = (rz * dx - rx * dz) * k;
    const mz = (rx * dy - ry * dx) * k;
    const line = -(mx * nx + my * ny + mz * nz);
    const resistance = line + data[o + 6]!;
    const tx = mx + data[o + 3]!;
    const ty = my + data[o + 4]!;
    const tz = mz + data[o + 5]!;
    const square = tx * tx + ty * ty + tz * tz;
    const offPlane = Math.asin((dx * ux + dy * uy + dz * uz) / distance);
    const travel = distance - attachmentM;
    resistanceNm[i] = resistance;
    lineNm[i] = line;
    offPlaneRad[i] = offPlane;
    travelM[i] = travel;
    const end = i === 0 || i === samples - 1 ? 0.5 : 1;
    sum += resistance * end;
    if (resistance < least) least = resistance;
    if (line > peakLine) peakLine = line;
    const w = resistance > 0 ? resistance : 0;
    offSquares += w * offPlane * offPlane;
    weightSum += w;
    momentSum += Math.sqrt(square);
    leakSum += Math.sqrt(Math.max(0, square - resistance * resistance));
    if (travel < minTravel) minTravel = travel;
    if (travel > maxTravel) maxTravel = travel;
    const cos = rx * dx + ry * dy + rz * dz;
    if (i > 0 && rightAngleAt === null && cos * lastCos <= 0 && cos !== lastCos) {
      rightAngleAt = (i - 1 + lastCos / (lastCos - cos)) / (samples - 1);
    }
    lastCos = cos;
  }
  const peak = findPeak(out.resistanceNm);
  const mean = sum / (samples - 1);
  const positive = peak.value > 0;
  return {
    offPlaneRmsDeg: weightSum > 0 ? toDeg(Math.sqrt(offSquares / weightSum)) : 90,
    offPlaneFinishDeg: toDeg(out.offPlaneRad[samples - 1]!),
    peakAt: peak.at,
    peakResistanceNm: peak.value,
    meanResistanceNm: mean,
    rightAngleAt,
    peakLeverM: tensionN > 0 ? peakLine / tensionN : 0,
    restShare: positive ? shareBelow(out.resistanceNm, REST_BELOW * peak.value) : 1,
    loadedShare: positive ? 1 - shareBelow(out.resistanceNm, LOADED_FROM * peak.value) : 0,
    evenness: positive ? Math.max(0, mean / peak.value) : 0,
    helps: least < 0,
    minClearanceM: minTravel,
    maxTravelM: maxTravel,
    leakShare: momentSum > 0 ? leakSum / momentSum : 0,
  };
}

/** Unit line of pull from a grip to a pulley, both in one frame. */
export function lineUnit(grip: Vec3, pulley: Vec3): Vec3 {
  const d = subtract(pulley, grip);
  return scale(d, 1 / length(d));
}
