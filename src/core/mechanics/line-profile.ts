import { length, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { toDeg } from '@/core/units/angle';
import { TRACK, TRACK_STRIDE, type LimbTrack } from './limb-track';
import { allocateLoad, fillLoad, fillLoads, hasLine, type Load, type LoadSamples } from './load';

/** Resistance below this share of its peak counts as rest (common practice: a quarter). */
export const REST_BELOW = 0.25;
/** Resistance at or above this share of its peak counts as loaded. */
const LOADED_FROM = 0.5;

/** Room for one profile's samples, reused by the solver so that an evaluation allocates nothing. */
export interface ProfileSamples {
  readonly load: LoadSamples;
  readonly resistanceNm: Float64Array;
  /**
   * Resistance over the share of its strength that the action has there: what it would be where people are strongest.
   */
  readonly demandNm: Float64Array;
  /** Share of its greatest moment that the action has at each sample. */
  readonly strength: Float64Array;
  /** Of the load alone, without the limb's weight. */
  readonly lineNm: Float64Array;
  readonly offPlaneRad: Float64Array;
  readonly travelM: Float64Array;
}

/** Room for the profile of so many samples; it is reused. */
export function allocateSamples(samples: number): ProfileSamples {
  const load = allocateLoad(samples);
  return {
    load,
    resistanceNm: new Float64Array(samples),
    demandNm: new Float64Array(samples),
    strength: new Float64Array(samples),
    lineNm: new Float64Array(samples),
    offPlaneRad: new Float64Array(samples),
    travelM: load.travelM,
  };
}

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
  /** Where limb (joint to contact) and line are square to each other; null when they never are. */
  readonly rightAngleAt: number | null;
  /** Longest lever of the load about the target axis, metres: the part of its moment on the axis over its force. */
  readonly peakLeverM: number;
  readonly restShare: number;
  readonly loadedShare: number;
  /** Mean over peak. */
  readonly evenness: number;
  /** Where the resistance is hardest for the strength there: full reps fail here. */
  readonly hardestAt: number;
  readonly hardestNm: number;
  /** Mean demand over its peak: 1 where the resistance follows the strength. */
  readonly matched: number;
  /** The half whose mean demand is less: it is left when full reps fail. */
  readonly strongerHalf: 'first' | 'second';
  /** Resistance is negative somewhere: the weight helps. */
  readonly helps: boolean;
  /** Of a cable or band beyond its handle; infinite and 0 for loads without a line. */
  readonly minClearanceM: number;
  readonly maxTravelM: number;
  /** Part of the target joint's moment that is not about the target axis, as a share. */
  readonly offAxisShare: number;
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

/** What one pass over the samples sums up. */
interface ProfileSums {
  readonly mean: number;
  /** Mean demand of each half. */
  readonly firstHalf: number;
  readonly secondHalf: number;
  readonly offPlaneRmsRad: number;
  readonly offAxisShare: number;
  readonly minTravel: number;
  readonly maxTravel: number;
  readonly least: number;
  readonly peakLever: number;
  readonly rightAngleAt: number | null;
}

/** Metrics of a profile from its sums and the samples that are left in `out`. */
function toMetrics({ resistanceNm, demandNm, offPlaneRad }: ProfileSamples, sums: ProfileSums): LineMetrics {
  const peak = findPeak(resistanceNm);
  const hardest = findPeak(demandNm);
  const positive = peak.value > 0;
  return {
    offPlaneRmsDeg: toDeg(sums.offPlaneRmsRad),
    offPlaneFinishDeg: toDeg(offPlaneRad[offPlaneRad.length - 1]!),
    peakAt: peak.at,
    peakResistanceNm: peak.value,
    meanResistanceNm: sums.mean,
    rightAngleAt: sums.rightAngleAt,
    peakLeverM: sums.peakLever,
    restShare: positive ? shareBelow(resistanceNm, REST_BELOW * peak.value) : 1,
    loadedShare: positive ? 1 - shareBelow(resistanceNm, LOADED_FROM * peak.value) : 0,
    evenness: positive ? Math.max(0, sums.mean / peak.value) : 0,
    hardestAt: hardest.at,
    hardestNm: hardest.value,
    matched: hardest.value > 0 ? Math.max(0, (sums.firstHalf + sums.secondHalf) / 2 / hardest.value) : 0,
    strongerHalf: sums.firstHalf <= sums.secondHalf ? 'first' : 'second',
    helps: sums.least < 0,
    minClearanceM: sums.minTravel,
    maxTravelM: sums.maxTravel,
    offAxisShare: sums.offAxisShare,
  };
}

const {
  contact: CONTACT,
  weight: WEIGHT,
  weightResists: WEIGHT_RESISTS,
  axis: AXIS,
  above: ABOVE,
  strength: STRENGTH_AT,
} = TRACK;
const STRIDE: number = TRACK_STRIDE;

/**
 * Profile of the forces in `out.load` over the range of one limb.
 *
 * With target joint J, contact P and force F on it: the joint must answer M = (P - J) x F + limb weight;
 * resistance = -M . n for the action axis n; lever = that of F alone over |F|; off-plane = asin(F/|F| . above).
 * The metrics can be recomputed from the samples that are left in `out`.
 */
// eslint-disable-next-line max-lines-per-function -- one loop, asked on every frame of a drag
function profileForces(track: LimbTrack, line: boolean, out: ProfileSamples): LineMetrics {
  const { data, samples } = track;
  const { resistanceNm, demandNm, strength, lineNm, offPlaneRad, travelM } = out;
  const middle = (samples - 1) / 2;
  const { forceN, asideN } = out.load;
  let sum = 0;
  let firstHalf = 0;
  let secondHalf = 0;
  let offSquares = 0;
  let weightSum = 0;
  let momentSum = 0;
  let offAxisSum = 0;
  let minTravel = Infinity;
  let maxTravel = -Infinity;
  let least = Infinity;
  let peakLever = 0;
  let lastCos = 0;
  let rightAngleAt: number | null = null;
  for (let i = 0; i < samples; i++) {
    const o = i * STRIDE;
    const rx = data[o + CONTACT]!;
    const ry = data[o + CONTACT + 1]!;
    const rz = data[o + CONTACT + 2]!;
    const fx = forceN[3 * i]!;
    const fy = forceN[3 * i + 1]!;
    const fz = forceN[3 * i + 2]!;
    const force = Math.sqrt(fx * fx + fy * fy + fz * fz);
    // M_load = r x F
    const mx = ry * fz - rz * fy;
    const my = rz * fx - rx * fz;
    const mz = rx * fy - ry * fx;
    const own = -(mx * data[o + AXIS]! + my * data[o + AXIS + 1]! + mz * data[o + AXIS + 2]!);
    const resistance = own + data[o + WEIGHT_RESISTS]!;
    const tx = mx + data[o + WEIGHT]!;
    const ty = my + data[o + WEIGHT + 1]!;
    const tz = mz + data[o + WEIGHT + 2]!;
    const square = tx * tx + ty * ty + tz * tz;
    // Of the load's own line: what hands push each other aside through one thing does not lead the limb.
    const lz = fz - asideN[i]!;
    const ownN = Math.sqrt(fx * fx + fy * fy + lz * lz);
    const across = fx * data[o + ABOVE]! + fy * data[o + ABOVE + 1]! + lz * data[o + ABOVE + 2]!;
    const offPlane = ownN > 0 ? Math.asin(Math.min(1, Math.max(-1, across / ownN))) : 0;
    resistanceNm[i] = resistance;
    const has = data[o + STRENGTH_AT]!;
    const demand = resistance / has;
    strength[i] = has;
    demandNm[i] = demand;
    lineNm[i] = own;
    offPlaneRad[i] = offPlane;
    const end = i === 0 || i === samples - 1 ? 0.5 : 1;
    sum += resistance * end;
    // The sample in the middle ends the one half and begins the other.
    if (i < middle) firstHalf += demand * end;
    else if (i > middle) secondHalf += demand * end;
    else {
      firstHalf += demand / 2;
      secondHalf += demand / 2;
    }
    if (resistance < least) least = resistance;
    if (force > 0 && own / force > peakLever) peakLever = own / force;
    const w = resistance > 0 ? resistance : 0;
    offSquares += w * offPlane * offPlane;
    weightSum += w;
    momentSum += Math.sqrt(square);
    offAxisSum += Math.sqrt(Math.max(0, square - resistance * resistance));
    if (line) {
      const travel = travelM[i]!;
      if (travel < minTravel) minTravel = travel;
      if (travel > maxTravel) maxTravel = travel;
    }
    const cos = rx * fx + ry * fy + rz * fz;
    if (i > 0 && rightAngleAt === null && cos * lastCos <= 0 && cos !== lastCos) {
      rightAngleAt = (i - 1 + lastCos / (lastCos - cos)) / (samples - 1);
    }
    lastCos = cos;
  }
  return toMetrics(out, {
    mean: sum / (samples - 1),
    firstHalf: firstHalf / middle,
    secondHalf: secondHalf / middle,
    offPlaneRmsRad: weightSum > 0 ? Math.sqrt(offSquares / weightSum) : Math.PI / 2,
    offAxisShare: momentSum > 0 ? offAxisSum / momentSum : 0,
    minTravel,
    maxTravel: line ? maxTravel : 0,
    least,
    peakLever,
    rightAngleAt,
  });
}

/** Profile of a cable from a pulley in the stand frame: its force along itself, then `profileForces`. */
export function profileLine(
  track: LimbTrack,
  pulley: Vec3,
  tensionN: number,
  attachmentM: number,
  out: ProfileSamples,
): LineMetrics {
  fillLoad(track, { kind: 'cable', pulley, tensionN, attachmentM }, out.load);
  return profileForces(track, true, out);
}

/** Profile of loads that act together; the first names the line, where it has one. */
export function profileLoads(track: LimbTrack, loads: readonly Load[], out: ProfileSamples): LineMetrics {
  fillLoads(track, loads, out.load);
  return profileForces(track, hasLine(loads[0]!), out);
}

/**
 * The moment that the action could give at each sample when its strength is just spent at the hardest one, newton
 * metres: it touches the resistance where full reps fail and lies over it elsewhere.
 */
export const strengthCurve = ({ strength }: ProfileSamples, { hardestNm }: LineMetrics): Float64Array =>
  strength.map((share) => Math.max(0, hardestNm) * share);

/** Unit line of pull from a grip to a pulley, both in one frame. */
export function lineUnit(grip: Vec3, pulley: Vec3): Vec3 {
  const d = subtract(pulley, grip);
  return scale(d, 1 / length(d));
}
