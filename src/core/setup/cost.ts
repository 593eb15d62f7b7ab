import { allocateSamples, profileLine, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { SAMPLES } from '@/core/movement/chain-path';
import type { PeakTarget } from '@/core/movement/peak-target';
import { toDeg } from '@/core/units/angle';
import { turnDeg } from '@/core/units/turn';
import { GRAZE_M, lineClearance } from './line-clear';
import { pulleyFrom, THIN, type Placement, type SearchProblem } from './setup-problem';
import type { Violation } from './violation';

/** Terms of the cost, in the order in which they are shown. */
export const COST_TERMS = [
  'offPlane',
  'finishLine',
  'peak',
  'restZone',
  'shortCable',
  'distance',
  'reach',
  'squareness',
  'change',
] as const;
/** A term of the cost. */
export type CostTerm = (typeof COST_TERMS)[number];
/** The cost by its terms, degrees. */
export type CostTerms = Readonly<Record<CostTerm, number>>;

/** Centre of each third of the range, 0 = start (lengthened), 1 = finish (contracted). */
export const PEAK_CENTRE: Readonly<Record<Exclude<PeakTarget, 'even' | 'matched'>, number>> = {
  lengthened: 1 / 6,
  mid: 1 / 2,
  contracted: 5 / 6,
};

/** A wholly uneven curve, a peak one range away and a range of pure rest, in degrees of cost (our judgement). */
const UNEVEN_DEG = 25;
const PEAK_AWAY_DEG = 30;
const REST_DEG = 20;
const FINISH_WEIGHT = 0.5;
/**
 * An arm that lies along its cable goes where the cable leads: a line beside its sweep weighs less than for a limb that
 * is led along a path of its own (our judgement).
 */
const PULL_LINE_WEIGHT = 0.35;
/** What a degree costs that a pull reaches beyond the movement's own ends (our judgement). */
const REACH_WEIGHT = 0.5;
/** A degree of turn or a metre sideways costs little: only enough to stay square when nothing is gained. */
const TURN_DEG = 0.15;
const SIDEWAYS_DEG_PER_M = 6;
/** A body height that is 2 cm off tips the line by this much per metre of cable: a short cable is a twitchy line. */
const HEIGHT_ERROR_M = 0.02;
const CHANGE_PER_HOLE = 0.1;
const CHANGE_PER_M = 1;
const CHANGE_PER_DEG = 0.02;
/** Any broken limit outweighs every soft term; the slope leads the search back. */
export const BROKEN = 1000;
const BROKEN_PER_UNIT = 1000;

/** A forearm may touch trunk or head, drawn round as they are; deeper than this it is in the way, metres. */
const FOREARM_IN_M = 0.04;

/** The profile of one working side at a place. */
export interface SideProfile {
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
}

function peakCost(peakTarget: PeakTarget, m: LineMetrics): number {
  if (peakTarget === 'even') return UNEVEN_DEG * (1 - m.evenness);
  if (peakTarget === 'matched') return UNEVEN_DEG * (1 - m.matched);
  return PEAK_AWAY_DEG * Math.abs(m.peakAt - PEAK_CENTRE[peakTarget]);
}

/** Profile of one side at a placement; `thin` uses the coarse limb. */
export function profileSide(
  problem: SearchProblem,
  index: number,
  placement: Placement,
  out: ProfileSamples,
  thin = false,
): LineMetrics {
  const { attachmentM } = problem.input;
  const pulley = pulleyFrom(problem, placement, problem.sides[index]!);
  return profileLine(problem.trackAt(index, pulley, thin), pulley, problem.tensionN, attachmentM, out);
}

/** Cost of a placement in degrees, each term by name, from the metrics of the working sides (their mean). */
export function costTerms(problem: SearchProblem, placement: Placement, sides: readonly LineMetrics[]): CostTerms {
  const { peakTarget, lastUsed, attachmentM } = problem.input;
  const terms: Record<CostTerm, number> = {
    offPlane: 0,
    finishLine: 0,
    peak: 0,
    restZone: 0,
    shortCable: 0,
    distance: 0,
    reach: 0,
    squareness:
      TURN_DEG * Math.abs(turnDeg(problem.bounds.yawDeg, placement.yawDeg)) +
      SIDEWAYS_DEG_PER_M * Math.abs(placement.standZ - problem.bounds.standZ),
    change: 0,
  };
  const share = 1 / sides.length;
  const line = problem.pulls ? PULL_LINE_WEIGHT : 1;
  terms.distance = problem.bounds.perM * Math.max(0, placement.standX - problem.input.room.minDistanceM);
  if (problem.pulls) {
    terms.reach = REACH_WEIGHT * problem.strainDeg(0, pulleyFrom(problem, placement, problem.sides[0]!));
  }
  for (const m of sides) {
    terms.offPlane += share * line * m.offPlaneRmsDeg;
    terms.finishLine += share * line * FINISH_WEIGHT * Math.abs(m.offPlaneFinishDeg);
    terms.peak += share * peakCost(peakTarget, m);
    terms.restZone += share * REST_DEG * m.restShare;
    terms.shortCable += share * toDeg(HEIGHT_ERROR_M / (Math.max(0, m.minClearanceM) + attachmentM + HEIGHT_ERROR_M));
  }
  if (lastUsed) {
    terms.change =
      CHANGE_PER_HOLE * Math.abs(placement.hole - lastUsed.hole) +
      CHANGE_PER_M * Math.hypot(placement.standX - lastUsed.standX, placement.standZ - lastUsed.standZ) +
      CHANGE_PER_DEG * Math.abs(turnDeg(lastUsed.yawDeg, placement.yawDeg));
  }
  return terms;
}

/** Hard limits that a placement breaks; empty when it can be used. */
export function findViolations(
  problem: SearchProblem,
  placement: Placement,
  sides: readonly LineMetrics[],
  thin = false,
): Violation[] {
  const { column, floor, nearestM, meets } = problem.input;
  const broken: Violation[] = [...problem.input.always];
  let clearance = Infinity;
  let travel = -Infinity;
  let off = 0;
  let rest = 0;
  for (const m of sides) {
    clearance = Math.min(clearance, m.minClearanceM);
    travel = Math.max(travel, m.maxTravelM);
    off = Math.max(off, m.offPlaneRmsDeg);
    rest = Math.max(rest, m.restShare);
  }
  // The coarse search looks at the line alone.
  if (problem.obstacles && !thin) {
    for (let i = 0; i < sides.length; i++) {
      const pulley = pulleyFrom(problem, placement, problem.sides[i]!);
      const { metres, part } = lineClearance(problem.trackAt(i, pulley, false), pulley, problem.obstacles);
      if (metres < -GRAZE_M) broken.push({ limit: 'through', need: -GRAZE_M, have: metres, through: part });
    }
  }
  if (problem.limbDepth && !thin) {
    for (let i = 0; i < sides.length; i++) {
      const { metres, part } = problem.limbDepth(i, pulleyFrom(problem, placement, problem.sides[i]!));
      if (metres > FOREARM_IN_M) broken.push({ limit: 'limb', need: FOREARM_IN_M, have: metres, through: part });
    }
  }
  if (problem.leftShare) {
    for (let i = 0; i < sides.length; i++) {
      const left = problem.leftShare(i, pulleyFrom(problem, placement, problem.sides[i]!));
      if (left < problem.shortestShare) broken.push({ limit: 'part', need: problem.shortestShare, have: left });
    }
  }
  const sweep = problem.sweepDeg;
  if (clearance < column.clearanceM) broken.push({ limit: 'clearance', need: column.clearanceM, have: clearance });
  if (travel > column.travelM) broken.push({ limit: 'travel', need: travel, have: column.travelM });
  const { standX } = placement;
  if (standX > floor.maxDistanceM) broken.push({ limit: 'room', need: standX, have: floor.maxDistanceM });
  if (standX < floor.minDistanceM) broken.push({ limit: 'room', need: standX, have: floor.minDistanceM });
  if (meets && standX < nearestM - 1e-9) broken.push({ limit: 'column', need: standX, have: nearestM, meets });
  const { lineDeg, restShare, shortestSweepDeg } = problem.bounds;
  if (off > lineDeg) broken.push({ limit: 'line', need: lineDeg, have: off });
  if (rest > restShare) broken.push({ limit: 'rest', need: restShare, have: rest });
  if (sweep < shortestSweepDeg) broken.push({ limit: 'range', need: shortestSweepDeg, have: sweep });
  return broken;
}

const scratch = allocateSamples(SAMPLES);
const scratchThin = allocateSamples((SAMPLES - 1) / THIN + 1);

/** Total cost of a placement in degrees; above `BROKEN` a hard limit is broken. */
export function totalCost(problem: SearchProblem, placement: Placement, thin = false): number {
  const out = thin ? scratchThin : scratch;
  // A symmetric pair is alike while it stands midway and square: one side tells both.
  const alike =
    problem.symmetric &&
    placement.standZ === problem.bounds.standZ &&
    turnDeg(placement.yawDeg, problem.bounds.yawDeg) === 0;
  const sides = [profileSide(problem, 0, placement, out, thin)];
  if (!alike && problem.sides.length > 1) sides.push(profileSide(problem, 1, placement, out, thin));
  const t = costTerms(problem, placement, sides);
  let total =
    t.offPlane + t.finishLine + t.peak + t.restZone + t.shortCable + t.distance + t.reach + t.squareness + t.change;
  for (const v of findViolations(problem, placement, sides, thin)) {
    const by = Math.abs(v.need - v.have);
    total += BROKEN + BROKEN_PER_UNIT * (v.limit === 'line' || v.limit === 'range' ? by / 90 : by);
  }
  return total;
}
