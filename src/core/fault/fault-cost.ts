import type { Side } from '@/core/body/active-range';
import { findProblem, type SetupInput } from '@/core/book/build-problem';
import type { BookEntry } from '@/core/book/book-entry';
import { entryLoads } from '@/core/book/entry-load';
import { withKit } from '@/core/book/fit-entry';
import { poseEntry } from '@/core/book/pose-entry';
import { profileEntry } from '@/core/book/profile-entry';
import { type EntryInput } from '@/core/book/solve-entry';
import { toBody } from '@/core/geometry/rotation';
import { add, scale } from '@/core/geometry/vector';
import { buildLeakTrack, resolveLeak, type LeakPart } from '@/core/mechanics/leak';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import {
  allocateSamples,
  profileLine,
  profileLoads,
  type LineMetrics,
  type ProfileSamples,
} from '@/core/mechanics/line-profile';
import type { Load } from '@/core/mechanics/load';
import { SAMPLES, type ChainPath, type ChainTarget } from '@/core/movement/chain-path';
import { limbOf, type Placement } from '@/core/setup/setup-problem';
import { toRad } from '@/core/units/angle';
import { perturbPath } from './perturb-path';
import type { Perturbation } from './perturbation';

/** One state of a limb: where it goes, what it meets, where the rest goes. */
export interface FaultState {
  readonly path: ChainPath;
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
  readonly leak: readonly LeakPart[];
}

export interface FaultCost {
  readonly before: FaultState;
  readonly after: FaultState;
  /** Change of the mean resistance over the range, share of what it was; negative: the target does less. */
  readonly meanChange: number;
  /**
   * The part of the moment beside the target that grew most, with its growth as a share of the target joint's moment;
   * null when none did.
   */
  readonly grew: { readonly part: LeakPart; readonly by: number } | null;
  /** Cable that stays out at the least, metres; null without a cable. */
  readonly clearanceM: number | null;
}

/** Growth below this is not told, share. */
const WORTH_TELLING = 0.01;

function compare(before: FaultState, after: FaultState, clearanceM: number | null): FaultCost {
  const was = (p: LeakPart): number =>
    before.leak.find((x) => x.joint === p.joint && x.axis === p.axis && x.answeredBy === p.answeredBy)?.share ?? 0;
  const grown = after.leak.map((part) => ({ part, by: part.share - was(part) })).sort((a, b) => b.by - a.by)[0];
  const mean = before.metrics.meanResistanceNm;
  return {
    before,
    after,
    clearanceM,
    meanChange: mean > 0 ? after.metrics.meanResistanceNm / mean - 1 : 0,
    grew: grown && grown.by > WORTH_TELLING ? grown : null,
  };
}

/**
 * What a fault of some size costs where a movement hangs on a cable, on one working side: the place stays, the pose is
 * perturbed (or the place itself, for a hole or a stance that is off). Null when the client's range leaves no movement.
 */
export function costOnCable(
  input: SetupInput,
  placement: Placement,
  side: Side,
  p: Perturbation,
  size: number,
): FaultCost | null {
  const problem = findProblem(input);
  if (!problem) return null;
  const limb = limbOf(problem, side);
  const stand = (at: Placement) => ({ x: at.standX, z: at.standZ, yawRad: toRad(at.yawDeg) });
  const shared = problem.shared;
  const state = (path: ChainPath, target: ChainTarget, at: Placement): FaultState => {
    const samples = allocateSamples(SAMPLES);
    const track = buildLimbTrack(problem.body, path, target, shared ? 'middle' : 'hand');
    const metrics = profileLine(
      track,
      toBody(problem.pulley(at, side), stand(at)),
      problem.tensionN,
      input.attachmentM,
      samples,
    );
    return { path, metrics, samples, leak: resolveLeak(buildLeakTrack(problem.body, path, target), samples.load) };
  };
  const before = state(limb.path, limb.target, placement);
  if (p.kind === 'stops-short') {
    const short = findProblem({ ...input, entry: { ...input.entry, stopAt: input.entry.stopAt - size } });
    if (!short) return null;
    const cut = limbOf(short, side);
    const after = state(cut.path, cut.target, placement);
    return compare(before, after, after.metrics.minClearanceM);
  }
  const hole = Math.min(
    input.column.holes,
    Math.max(
      1,
      placement.hole +
        (p.kind === 'hole-off' ? Math.round(size) * (input.column.numberedFrom === 'bottom' ? 1 : -1) : 0),
    ),
  );
  const at = { ...placement, hole, standX: placement.standX - (p.kind === 'stands-near' ? size : 0) };
  const path = perturbPath(limb.path, limb.target, p.kind, size, problem.pose.pelvis);
  // The muscle works about the axis it worked about: the fault changes the limb, not the joint's own action.
  const after = state(path, limb.target, at);
  return compare(before, after, after.metrics.minClearanceM);
}

/**
 * The same for a movement without a cable: the load stays where it was, the pose is perturbed, or the joint against the
 * machine's axis.
 */
export function costWithoutCable(
  entry: BookEntry,
  input: Omit<EntryInput, 'column' | 'side'>,
  side: Side,
  p: Perturbation,
  size: number,
): FaultCost | null {
  const own = profileEntry(entry, input, side);
  if (!own) return null;
  const { posed } = own;
  const loads = entryLoads(entry, posed, input.body, input.loadKg, input.kit);
  const state = (path: ChainPath, target: ChainTarget, on: readonly Load[]): FaultState => {
    const samples = allocateSamples(SAMPLES);
    const metrics = profileLoads(buildLimbTrack(input.body, path, target), on, samples);
    return { path, metrics, samples, leak: resolveLeak(buildLeakTrack(input.body, path, target), samples.load) };
  };
  const before = state(posed.path, posed.target, loads);
  if (p.kind === 'stops-short') {
    const short = poseEntry(
      { ...withKit(entry, input.kit), startAt: posed.range.from, stopAt: posed.range.to - size },
      input.body,
      side,
      input.range,
      input.kit.surfaces,
    );
    return short && compare(before, state(short.path, short.target, loads), null);
  }
  if (p.kind === 'joint-off-axis') {
    // The joint sits ahead of the machine's axis, so the axis lies behind it.
    const off = loads.map((l) =>
      l.kind === 'arc'
        ? {
            ...l,
            centre: add(l.centre, scale(posed.path.frame[0]!.x, -size)),
            arm: { ...l.arm, zero: add(l.arm.zero, scale(posed.path.frame[0]!.x, size)) },
          }
        : l,
    );
    return compare(before, state(posed.path, posed.target, off), null);
  }
  const path = perturbPath(posed.path, posed.target, p.kind, size, posed.pose.pelvis);
  return compare(before, state(path, posed.target, loads), null);
}
