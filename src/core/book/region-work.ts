import type { Body } from '@/core/body/body-model';
import { regionAxis, viaDeg } from '@/core/body/region-axis';
import type { Region } from '@/core/body/region-line';
import { add, cross, dot, scale, subtract, type Vec3 } from '@/core/geometry/vector';
import { intoFrame } from '@/core/geometry/frame';
import { girdleForce } from '@/core/mechanics/girdle';
import { limbWeightMomentNm } from '@/core/mechanics/limb-weight';
import type { LoadSamples } from '@/core/mechanics/load';
import { STRENGTH, strengthAt } from '@/core/mechanics/strength';
import type { ChainPath } from '@/core/movement/chain-path';
import { hingeAxis, jointOf, nominalAxis, towards, type JointAction } from '@/core/movement/joint-action';
import { clampedAcos, toDeg } from '@/core/units/angle';

/** Angles of a pose that shorten or lengthen a region, degrees. */
interface Angles {
  readonly bend: number;
  /** Upper arm or thigh from hanging, negative behind; the trunk's lean from upright. */
  readonly elevation: number;
  /** Upper arm in the trunk's axes, outward third. */
  readonly upper: Vec3;
  /** Upper arm back from reaching straight ahead: the blade goes with it. */
  readonly drawn: number;
}

/** What a region does, and the angle that shortens it, from where it is longest to where it is shortest, degrees. */
interface RegionRange {
  readonly action: JointAction;
  readonly long: number;
  readonly short: number;
  readonly shortens: (pose: Angles) => number;
}

/**
 * Levers of muscles that cross two joints at the second one, as parts of that at the first (from memory of anatomy):
 * biceps and long triceps at the shoulder, hamstrings at the hip.
 */
const BICEPS_AT_SHOULDER = 0.35;
const TRICEPS_AT_SHOULDER = 0.5;
const HAMSTRINGS_AT_HIP = 1.8;

const range = (action: JointAction, long: number, short: number, shortens: (pose: Angles) => number): RegionRange => ({
  action,
  long,
  short,
  shortens,
});

/** A level arm 45 degrees behind straight out, and 45 degrees across the body (AAOS). */
const BEHIND: Vec3 = [-Math.SQRT1_2, 0, Math.SQRT1_2];
const ACROSS: Vec3 = [Math.SQRT1_2, 0, -Math.SQRT1_2];
/**
 * A region that draws a level arm round: its length goes by the angle between the arm and where it leaves the trunk.
 */
const round = (region: Region, action: JointAction, long: Vec3, short: Vec3): RegionRange =>
  range(action, -viaDeg(region, long)!, -viaDeg(region, short)!, (a) => -viaDeg(region, a.upper)!);
const chest = (region: Region): RegionRange => round(region, 'shoulder.horizontalAdduction', BEHIND, ACROSS);
const LATS = range('shoulder.extension', -180, 60, (a) => -a.elevation);
const BLADE = range('shoulder.extension', 0, 140, (a) => a.drawn);
const FLEXOR = range('elbow.flexion', 0, 150, (a) => a.bend);
const EXTENSOR = range('elbow.extension', -150, 0, (a) => -a.bend);
const BICEPS = range(
  'elbow.flexion',
  -60 * BICEPS_AT_SHOULDER,
  150 + 180 * BICEPS_AT_SHOULDER,
  (a) => a.bend + BICEPS_AT_SHOULDER * a.elevation,
);
const LONG_TRICEPS = range(
  'elbow.extension',
  -150 - 180 * TRICEPS_AT_SHOULDER,
  60 * TRICEPS_AT_SHOULDER,
  (a) => -a.bend - TRICEPS_AT_SHOULDER * a.elevation,
);
/**
 * Ranges by the AAOS: arm 60 degrees behind to 180 up, level 45 behind to 135 across, elbow 150, knee 135, hip 120. The
 * blade goes with the arm from reaching ahead to the elbow some 50 degrees behind (our judgement).
 */
const RANGE: Readonly<Partial<Record<Region, RegionRange>>> = {
  'chest-upper': chest('chest-upper'),
  'chest-mid': chest('chest-mid'),
  'chest-lower': chest('chest-lower'),
  'lat-upper': LATS,
  'lat-lower': LATS,
  'mid-back': BLADE,
  'deltoid-front': range('shoulder.flexion', -60, 180, (a) => a.elevation),
  'deltoid-side': range('shoulder.abduction', 0, 180, (a) => Math.abs(a.elevation)),
  'deltoid-rear': round('deltoid-rear', 'shoulder.horizontalAbduction', ACROSS, BEHIND),
  'trapezius-upper': range('shoulder.abduction', 0, 180, (a) => Math.abs(a.elevation)),
  'trapezius-lower': BLADE,
  'biceps-long': BICEPS,
  'biceps-short': BICEPS,
  brachialis: FLEXOR,
  brachioradialis: FLEXOR,
  'triceps-long': LONG_TRICEPS,
  'triceps-lateral': EXTENSOR,
  'triceps-medial': EXTENSOR,
  quadriceps: range('knee.extension', -135, 0, (a) => -a.bend),
  hamstrings: range('knee.flexion', -120 * HAMSTRINGS_AT_HIP, 135, (a) => a.bend - HAMSTRINGS_AT_HIP * a.elevation),
  glutes: range('hip.extension', -120, 20, (a) => -a.elevation),
  'spinal-erectors': range('trunk.extension', -90, 0, (a) => -a.elevation),
};

/** Most that draws a shoulder back, newtons (from memory; only its ratio to the joints' moments is used). */
const BLADE_N = 700;

/** What a movement makes a region do. */
export interface RegionWork {
  /** Demand on the region at each sample, share of what it can give there. */
  readonly demand: readonly number[];
  /** Part of the region's whole range that the movement takes it through, and what of that is in its long half. */
  readonly covered: number;
  readonly stretched: number;
}

function anglesAt(path: ChainPath, i: number): Angles {
  const upper = towards(path.proximal[i]!, path.middle[i]!);
  const [x, y, z] = intoFrame(path.frame[i]!, upper);
  const from = toDeg(clampedAcos(-y));
  if (path.chain === 'trunk') return { bend: 0, elevation: 180 - from, upper, drawn: 0 };
  const bend = toDeg(clampedAcos(dot(upper, towards(path.middle[i]!, path.distal[i]!))));
  return {
    bend,
    elevation: x < 0 ? -from : from,
    upper: [x, y, path.side === 'right' ? z : -z],
    drawn: 90 - toDeg(Math.asin(Math.min(1, Math.max(-1, x)))),
  };
}

/** Unit axis about which a region turns the limb at a sample; null where its joint is not one of the limb's. */
function axisAt(region: Region, { action }: RegionRange, path: ChainPath, i: number): Vec3 | null {
  const upper = towards(path.proximal[i]!, path.middle[i]!);
  const lower = path.chain === 'trunk' ? upper : towards(path.middle[i]!, path.distal[i]!);
  const frame = path.frame[i]!;
  const of = path.chain === 'arm' ? ['shoulder', 'elbow'] : path.chain === 'leg' ? ['hip', 'knee'] : ['trunk', 'hip'];
  if (!of.includes(action.split('.')[0]!)) return null;
  if (path.chain === 'trunk') return nominalAxis('trunk.extension', frame, path.side);
  if (jointOf(action) === 'middle') {
    const axis = hingeAxis(upper, lower) ?? frame.z;
    return action.endsWith('extension') ? scale(axis, -1) : axis;
  }
  return regionAxis(region, frame, upper, lower, path.side) ?? nominalAxis(action, frame, path.side);
}

/** Moment of a load and the limb's weight about one of its joints at a sample, newton metres. */
function momentNm(body: Body, path: ChainPath, load: LoadSamples, joint: 'proximal' | 'middle', i: number): Vec3 {
  const { forceN } = load;
  const force: Vec3 = [forceN[3 * i]!, forceN[3 * i + 1]!, forceN[3 * i + 2]!];
  const weight = limbWeightMomentNm(body, path, i, joint);
  return add(cross(subtract(path.contact[i]!, path[joint][i]!), force), weight);
}

/** Demand on a region at every sample, share of what it can give; null where the limb's load does not reach it. */
function demandOn(
  region: Region,
  own: RegionRange,
  body: Body,
  path: ChainPath,
  load: LoadSamples,
): readonly number[] | null {
  const girdle = girdleForce(body, path, load, region);
  if (girdle) return Array.from(girdle.alongN, (n) => Math.max(0, n) / BLADE_N);
  const { mostNm } = STRENGTH[own.action];
  const demand: number[] = [];
  for (let i = 0; i < path.contact.length; i++) {
    const axis = axisAt(region, own, path, i);
    if (!axis) return null;
    const joint = path.chain === 'trunk' ? 'proximal' : jointOf(own.action);
    const resists = -dot(momentNm(body, path, load, joint, i), axis);
    const strength = path.chain === 'trunk' ? 1 : strengthAt(path, own.action, i);
    demand.push(Math.max(0, resists) / (mostNm * strength));
  }
  return demand;
}

/** A region along a movement, sample by sample. */
export interface RegionCourse {
  /** How far it is shortened, share of its whole range: 0 where it is longest, 1 where it is shortest. */
  readonly shortened: readonly number[];
  /** Demand on it, share of what it can give there. */
  readonly demand: readonly number[];
}

/**
 * How long a region is and how hard it works at every sample of a posed movement; what goes beyond its range by the
 * sources above counts as its end. Null as for `regionWork`.
 */
export function regionCourse(region: Region, body: Body, path: ChainPath, load: LoadSamples): RegionCourse | null {
  const acts = actsOf(region, path);
  const demand = acts && demandOn(region, acts, body, path, load);
  if (!demand) return null;
  const { long, short } = acts;
  const share = (i: number): number => (acts.shortens(anglesAt(path, i)) - long) / (short - long);
  return { shortened: path.contact.map((_, i) => Math.min(1, Math.max(0, share(i)))), demand };
}

/** What a region does in a limb's movement; null for one without a range of its own. */
function actsOf(region: Region, path: ChainPath): RegionRange | null {
  // Over the hips, what bends the knee straightens the hip.
  if (path.chain === 'trunk' && region === 'hamstrings') return RANGE.glutes!;
  return RANGE[region] ?? null;
}

/**
 * What a posed movement makes a region do: how hard it works against what it can give there, and how much of its range
 * it goes through. Null for a region that the limb's load does not reach by a moment or a force of its own.
 */
export function regionWork(region: Region, body: Body, path: ChainPath, load: LoadSamples): RegionWork | null {
  const acts = actsOf(region, path);
  const demand = acts && demandOn(region, acts, body, path, load);
  if (!demand) return null;
  let [least, most] = [Infinity, -Infinity];
  for (let i = 0; i < path.contact.length; i++) {
    const at = acts.shortens(anglesAt(path, i));
    least = Math.min(least, at);
    most = Math.max(most, at);
  }
  const middle = (acts.long + acts.short) / 2;
  const turned = Math.max(most - least, 1e-9);
  return {
    demand,
    covered: Math.min(1, turned / (acts.short - acts.long)),
    stretched: Math.min(1, Math.max(0, middle - least) / turned),
  };
}
