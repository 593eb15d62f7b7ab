import type { Side } from '@/core/body/side';
import { entryLoads } from '@/core/book/entry-load';
import { poseEntry, type PosedEntry } from '@/core/book/pose-entry';
import { closedAt } from '@/core/book/pose-question';
import type { Pull } from '@/core/book/pose-on-line';
import { limbOn, searchOf, type PosedLimb, type PosedQuestion } from '@/core/book/posed-question';
import { toBody } from '@/core/geometry/rotation';
import { add, scale, subtract } from '@/core/geometry/vector';
import { holeStepUp, type Column } from '@/core/kit/column';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import {
  allocateSamples,
  profileLine,
  profileLoads,
  type LineMetrics,
  type ProfileSamples,
} from '@/core/mechanics/line-profile';
import type { Load } from '@/core/mechanics/load';
import { buildOffAxisTrack, resolveOffAxis, type OffAxisPart } from '@/core/mechanics/off-axis';
import { SAMPLES, type ChainPath, type ChainTarget } from '@/core/movement/chain-path';
import { pulleyFrom, type Placement } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import { perturbPath } from './perturb-path';
import type { Perturbation } from './perturbation';

/** One state of a limb: where it goes, what it meets, where the rest goes. */
export interface FaultState {
  readonly path: ChainPath;
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
  readonly offAxis: readonly OffAxisPart[];
}

/** What a fault costs: resistance and off-axis moment before and after it. */
export interface FaultCost {
  readonly before: FaultState;
  readonly after: FaultState;
  /** Change of the mean resistance over the range, share of what it was; negative: the target does less. */
  readonly meanChange: number;
  /**
   * The part of the moment beside the target that grew most, with its growth as a share of the target joint's moment;
   * null when none did.
   */
  readonly grew: { readonly part: OffAxisPart; readonly by: number } | null;
  /** Cable that stays out at the least, metres; null without a cable. */
  readonly clearanceM: number | null;
}

/** Growth below this is not told, share. */
const WORTH_TELLING = 0.01;

function compare(before: FaultState, after: FaultState, clearanceM: number | null): FaultCost {
  const was = (p: OffAxisPart): number =>
    before.offAxis.find((x) => x.joint === p.joint && x.axis === p.axis && x.compensatedBy === p.compensatedBy)
      ?.share ?? 0;
  const grown = after.offAxis.map((part) => ({ part, by: part.share - was(part) })).sort((a, b) => b.by - a.by)[0];
  const mean = before.metrics.meanResistanceNm;
  return {
    before,
    after,
    clearanceM,
    meanChange: mean > 0 ? after.metrics.meanResistanceNm / mean - 1 : 0,
    grew: grown && grown.by > WORTH_TELLING ? grown : null,
  };
}

/** The hole some holes higher on a column, lower where it is negative; the last one where it ends. */
export const holeAt = (column: Column, hole: number, up: number): number =>
  Math.min(column.holes, Math.max(1, hole + Math.round(up) * holeStepUp(column)));

type StateOf = (path: ChainPath, target: ChainTarget) => FaultState;

/**
 * The same movement stopped short of its finish by a share of its range, on the side that works; null when little is
 * left.
 */
export function stoppedShort(
  { question, range, entry }: PosedQuestion,
  limb: PosedLimb,
  side: Side,
  size: number,
  pull?: Pull,
): PosedEntry | null {
  const { body, kit, options } = question;
  const { from, to } = limb.profile ? limb.posed.range : { from: entry.startAt, to: entry.stopAt };
  return poseEntry({ ...entry, startAt: from, stopAt: to - size }, body, side, range, kit, {
    sweep: options,
    ...(pull ? { pull } : {}),
  });
}

/** Of a movement on a cable: the place stays, the pose is perturbed, or the place itself is off. */
function costOnCable(
  posed: PosedQuestion,
  placement: Placement,
  side: Side,
  p: Perturbation,
  size: number,
): FaultCost | null {
  const search = searchOf(posed);
  const limb = limbOn(closedAt(posed, placement), side);
  const { path, target } = limb.posed;
  const { column, attachmentM } = search.input;
  const stateAt =
    (at: Placement): StateOf =>
    (along, against) => {
      const samples = allocateSamples(SAMPLES);
      const track = buildLimbTrack(search.body, along, against);
      const stand = { x: at.standX, z: at.standZ, yawRad: toRad(at.yawDeg) };
      const metrics = profileLine(track, toBody(search.pulley(at, side), stand), search.tensionN, attachmentM, samples);
      const offAxis = resolveOffAxis(buildOffAxisTrack(search.body, along, against), samples.load);
      return { path: along, metrics, samples, offAxis };
    };
  const before = stateAt(placement)(path, target);
  const told = (after: FaultState): FaultCost => compare(before, after, after.metrics.minClearanceM);
  if (p.kind === 'stops-short') {
    const pull = { pulley: pulleyFrom(search, placement, side), tensionN: search.tensionN };
    const short = stoppedShort(posed, limb, side, size, pull);
    return short && told(stateAt(placement)(short.path, short.target));
  }
  const at = {
    ...placement,
    hole: p.kind === 'hole-off' ? holeAt(column, placement.hole, size) : placement.hole,
    standX: placement.standX - (p.kind === 'stands-near' ? size : 0),
  };
  // The muscle works about the axis it worked about: the fault changes the limb, not the joint's own action.
  return told(stateAt(at)(perturbPath(path, target, p.kind, size, search.pose.pelvis), target));
}

/**
 * Of a movement without one: the load stays where it was, the pose is perturbed, or the joint against the machine's
 * axis.
 */
function costWithoutCable(posed: PosedQuestion, side: Side, p: Perturbation, size: number): FaultCost | null {
  const { body, kit, loadKg } = posed.question;
  const limb = limbOn(posed, side);
  const own = limb.posed;
  const loads = entryLoads(posed.entry, own, body, loadKg, kit);
  const stateOn =
    (on: readonly Load[]): StateOf =>
    (path, target) => {
      const samples = allocateSamples(SAMPLES);
      const metrics = profileLoads(buildLimbTrack(body, path, target), on, samples);
      return { path, metrics, samples, offAxis: resolveOffAxis(buildOffAxisTrack(body, path, target), samples.load) };
    };
  const before = stateOn(loads)(own.path, own.target);
  if (p.kind === 'stops-short') {
    const short = stoppedShort(posed, limb, side, size);
    return (
      short &&
      compare(before, stateOn(entryLoads(posed.entry, short, body, loadKg, kit))(short.path, short.target), null)
    );
  }
  if (p.kind === 'joint-off-axis') {
    // The joint sits ahead of the machine's axis, so the axis lies behind it.
    const ahead = scale(own.path.frame[0]!.x, size);
    const off = loads.map((l) =>
      l.kind === 'arc'
        ? { ...l, centre: subtract(l.centre, ahead), arm: { ...l.arm, zero: add(l.arm.zero, ahead) } }
        : l,
    );
    return compare(before, stateOn(off)(own.path, own.target), null);
  }
  const path = perturbPath(own.path, own.target, p.kind, size, own.pose.pelvis);
  return compare(before, stateOn(loads)(path, own.target), null);
}

/**
 * What a fault of some size costs on one working side, at a place where the movement hangs on a cable. Null when the
 * fault leaves no movement.
 */
export const costOfFault = (
  posed: PosedQuestion,
  placement: Placement | null,
  side: Side,
  p: Perturbation,
  size: number,
): FaultCost | null =>
  posed.search && placement ? costOnCable(posed, placement, side, p, size) : costWithoutCable(posed, side, p, size);
