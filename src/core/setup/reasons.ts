import { MEASURE_NAMES, HEIGHT_RATIO, type MeasureName } from '@/core/body/segment-ratios';
import { GRAVITY_MS2 } from '@/core/units/mass';
import type { Body } from '@/core/body/body-model';
import type { BodyPose } from '@/core/body/posture';
import { regionOffPlaneDeg, type Region } from '@/core/body/region-line';
import { resolveOffAxis, type OffAxisPart } from '@/core/mechanics/off-axis';
import { signOf } from '@/core/body/side';
import type { LoadSamples } from '@/core/mechanics/load';
import { girdleForce } from '@/core/mechanics/girdle';
import type { LineMetrics, ProfileSamples } from '@/core/mechanics/line-profile';
import { mostForearmTurn, type ForearmTurn } from '@/core/mechanics/forearm-turn';
import { STRENGTH, type StrengthSource } from '@/core/mechanics/strength';
import { senseOf, type ChainPath, type SweepSense } from '@/core/movement/chain-path';
import { holeHeightM, holeStepUp } from '@/core/kit/column';
import type { CompensatingMuscle } from '@/core/body/compensating-muscle';
import { regionPoseAt } from '@/core/movement/region-pose';
import { evaluatePlacement, type Evaluation } from './evaluate';
import type { RangeStart, SetupProblem, WorkingLimb } from './setup-problem';
import { standingReason, type BraceReason, type StandingReason, type StoodLoad } from './stand-load';
import { LINE_TOLERANCE_DEG } from './tolerance';

/** Who picks up a line that leaves the sweep, and by how much at the finish. */
export interface PickUp {
  readonly deg: number;
  readonly by: CompensatingMuscle;
}

/** What a limb is, for words about its joints. */
type Chain = ChainPath['chain'];

/** One verdict with the numbers a person needs; texts are in messages/. */
export type Reason =
  | {
      readonly code: 'line';
      readonly rmsDeg: number;
      readonly finishDeg: number;
      readonly sense: SweepSense;
      readonly wholeArm: boolean;
      readonly pickedUpBy: CompensatingMuscle | null;
      readonly twoLower: PickUp | null;
      readonly twoHigher: PickUp | null;
    }
  | {
      readonly code: 'peak';
      readonly at: number;
      readonly momentNm: number;
      readonly rightAngleAt: number | null;
      readonly stepForwardAt: number | null;
    }
  /**
   * Where the resistance is hardest for the strength there, so that full reps fail, the half that is left then, and
   * where the strength is known from.
   */
  | {
      readonly code: 'demand';
      readonly at: number;
      readonly strongerHalf: LineMetrics['strongerHalf'];
      readonly source: StrengthSource;
      readonly spread: number;
    }
  | { readonly code: 'rest-zone'; readonly share: number; readonly finishShare: number; readonly helps: boolean }
  | { readonly code: 'clearance'; readonly cableM: number; readonly needM: number }
  /** Most that each hand pushes the other aside through what both hold, newtons. */
  | { readonly code: 'aside'; readonly pushN: number; readonly towards: 'in' | 'out' | 'palms' }
  /** Most that the load turns the forearm about its own length. */
  | ({ readonly code: 'forearm' } & ForearmTurn)
  | StandingReason
  | BraceReason
  | {
      readonly code: 'off-axis';
      readonly share: number;
      readonly parts: readonly OffAxisPart[];
      readonly region: Region;
      readonly chain: Chain;
    }
  /** Part of the pull on the shoulder that a region which draws the blade answers, and its mean, newtons. */
  | { readonly code: 'girdle'; readonly region: Region; readonly share: number; readonly meanN: number }
  | { readonly code: 'region'; readonly region: Region; readonly deg: number }
  | ({ readonly code: 'range' } & RangeStart);

/** How far "a step" goes in a verdict line, metres. */
export const STEP_M = 0.2;
const VERDICT_HOLES = 2;

/** Who has to answer a line that is `deg` above (positive) or below the sweep. */
export const compensatingMuscleOf = (problem: SetupProblem, deg: number): CompensatingMuscle =>
  problem.pickUp[deg > 0 ? 'above' : 'below'];

/** Where the moment goes beside the target, largest first; of the side that leaves its line more. */
export function findOffAxis(problem: SetupProblem, e: Evaluation): OffAxisPart[] {
  // Forces were counted in the stand frame, where the limb is posed.
  return resolveOffAxis(
    problem.offAxisTracks(e.placement)[problem.sides.indexOf(e.worse)]!,
    e.bySide[e.worse]!.samples.load,
  );
}

/**
 * How far a region's own line leaves the sweep in the stretch, where it is longest; null for a region without a line.
 */
function regionDeg(region: Region, statureM: number, pose: BodyPose, { path, target }: WorkingLimb): number | null {
  return regionOffPlaneDeg(region, regionPoseAt(statureM, pose, path, 0), path.side, target.above[0]!);
}

/** The greatest parts, each muscle at a joint once: the greater of what it holds about two axes. */
const namedParts = (parts: readonly OffAxisPart[]): readonly OffAxisPart[] =>
  parts
    .filter((p, i) => parts.findIndex((q) => q.joint === p.joint && q.compensatedBy === p.compensatedBy) === i)
    .slice(0, NAMED_PARTS);

/** What every load's profile tells, with or without a cable. */
export interface ProfileExplanation {
  readonly body: Body;
  readonly pose: BodyPose;
  readonly limb: WorkingLimb;
  readonly region: Region;
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
  readonly offAxis: readonly OffAxisPart[];
}

/** Verdicts that need no place at a column: peak, demand, rest zone, range, off-axis moment or blade, region. */
export function explainProfile(x: ProfileExplanation, stepForwardAt: number | null = null): Reason[] {
  const { metrics: m, samples, limb, region } = x;
  const { chain } = limb.path;
  // Of two joints together the region's own axis is told by the off-axis moment, and no sweep has one plane.
  const deg = limb.target.by ? null : regionDeg(region, x.body.statureM, x.pose, limb);
  const girdle = girdleForce(x.body, limb.path, samples.load, region);
  const { source, spread } = STRENGTH[limb.target.action];
  const finish = samples.resistanceNm[samples.resistanceNm.length - 1]!;
  return [
    { code: 'peak', at: m.peakAt, momentNm: m.peakResistanceNm, rightAngleAt: m.rightAngleAt, stepForwardAt },
    { code: 'demand', at: m.hardestAt, strongerHalf: m.strongerHalf, source, spread },
    {
      code: 'rest-zone',
      share: m.restShare,
      finishShare: m.peakResistanceNm > 0 ? finish / m.peakResistanceNm : 0,
      helps: m.helps,
    },
    { code: 'range', ...limb.start },
    girdle
      ? { code: 'girdle', region, share: girdle.share, meanN: girdle.meanN }
      : { code: 'off-axis', share: m.offAxisShare, parts: namedParts(x.offAxis), region, chain },
    ...asideReason(limb.path, samples.load),
    ...forearmReason(limb, samples.load),
    ...(deg === null ? [] : [{ code: 'region' as const, region, deg }]),
  ];
}

/** A push aside is worth a word from this share of the load in the hand on. */
const ASIDE_WORTH = 0.15;

/** What hands push each other aside, where it is worth a word. */
function asideReason({ side, hands }: ChainPath, { forceN, asideN }: LoadSamples): Reason[] {
  let most = 0;
  for (let i = 0; i < asideN.length; i++) if (Math.abs(asideN[i]!) > Math.abs(asideN[most]!)) most = i;
  const push = asideN[most]!;
  const whole = Math.hypot(forceN[3 * most]!, forceN[3 * most + 1]!, forceN[3 * most + 2]!);
  if (Math.abs(push) < ASIDE_WORTH * whole || whole === 0) return [];
  // What pushes a hand outward is the other hand, which this one presses.
  const towards = hands === 'palms' ? hands : push * signOf(side) > 0 ? 'in' : 'out';
  return [{ code: 'aside', pushN: Math.abs(push), towards }];
}

/** A turn of the palm is worth a word from this share of what people hold on. */
const TURN_WORTH = 0.05;

/** How much the load turns the palm, where it is worth a word. */
function forearmReason({ path, palm }: WorkingLimb, { forceN }: LoadSamples): Reason[] {
  const turn = palm && palm.offsetM !== 0 ? mostForearmTurn(path, forceN, palm) : null;
  return turn && turn.share >= TURN_WORTH ? [{ code: 'forearm', ...turn }] : [];
}

/** Verdicts of the curve itself: peak, demand, rest zone. */
const BEFORE_CLEARANCE = 3;

/** How many parts of an off-axis moment are worth a word. */
const NAMED_PARTS = 2;

/** The load of an evaluated set-up as it is stood; null where more than feet and knees hold the client. */
export function stoodLoad(problem: SetupProblem, e: Evaluation): StoodLoad | null {
  const { body, sides, shared, tensionN, poseAt } = problem;
  if (!problem.stands) return null;
  return {
    body,
    poseAt,
    limbs: sides.map((side) => ({
      path: problem.limbAt(side, e.placement).path,
      load: e.bySide[side]!.samples.load,
    })),
    loadKg: (tensionN * (shared ? 2 : 1) * problem.input.column.pulleyRatio) / GRAVITY_MS2,
    freeHand: sides.length === 1,
  };
}

/**
 * The verdict lines of an evaluated set-up: line, peak, demand, rest zone, clearance, standing, range, off-axis moment
 * or blade, region, in that order.
 */
export function explain(problem: SetupProblem, e: Evaluation): Reason[] {
  const { column } = problem.input;
  const m = e.metrics;
  const other = (holesUp: number): PickUp | null => {
    const hole = e.placement.hole + holesUp * holeStepUp(column);
    if (hole < 1 || hole > column.holes) return null;
    const deg = evaluatePlacement(problem, { ...e.placement, hole }).metrics.offPlaneFinishDeg;
    return { deg, by: compensatingMuscleOf(problem, deg) };
  };
  const stepped = { ...e.placement, standX: e.placement.standX + STEP_M };
  const forward =
    stepped.standX <= problem.input.room.maxDistanceM ? evaluatePlacement(problem, stepped).metrics.peakAt : null;
  const limb = problem.limbAt(e.worse, e.placement);
  const rest = explainProfile(
    {
      body: problem.body,
      pose: problem.pose,
      limb,
      region: problem.region,
      metrics: m,
      samples: e.bySide[e.worse]!.samples,
      offAxis: findOffAxis(problem, e),
    },
    forward,
  );
  const line: Reason = {
    code: 'line',
    rmsDeg: m.offPlaneRmsDeg,
    finishDeg: m.offPlaneFinishDeg,
    sense: senseOf(limb.target.above.at(-1)!),
    wholeArm: limb.start.counted === 'sweep',
    pickedUpBy:
      Math.abs(m.offPlaneFinishDeg) > LINE_TOLERANCE_DEG ? compensatingMuscleOf(problem, m.offPlaneFinishDeg) : null,
    twoLower: other(-VERDICT_HOLES),
    twoHigher: other(VERDICT_HOLES),
  };
  const clearance: Reason = { code: 'clearance', cableM: m.minClearanceM, needM: column.clearanceM };
  const stood = stoodLoad(problem, e);
  return [
    line,
    ...rest.slice(0, BEFORE_CLEARANCE),
    clearance,
    ...(stood ? [standingReason(stood)] : []),
    ...rest.slice(BEFORE_CLEARANCE),
  ];
}

/**
 * Landmark of the client nearest to the pulley's height, to check the hole by eye; centimetres matter, so with the gap.
 */
export function nearestLandmark(
  problem: SetupProblem,
  hole: number,
): { readonly landmark: MeasureName | 'stature'; readonly aboveM: number } {
  const { body } = problem;
  const { column } = problem.input;
  const pulleyM = holeHeightM(column, hole);
  let landmark: MeasureName | 'stature' = 'stature';
  let aboveM = pulleyM - body.statureM;
  for (const name of MEASURE_NAMES) {
    if (!(name in HEIGHT_RATIO)) continue;
    const gap = pulleyM - body.height[name as keyof typeof body.height].m;
    if (Math.abs(gap) < Math.abs(aboveM)) {
      landmark = name;
      aboveM = gap;
    }
  }
  return { landmark, aboveM };
}
