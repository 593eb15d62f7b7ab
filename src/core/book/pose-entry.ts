import { type Side, otherSide } from '@/core/body/side';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { footOf } from '@/core/body/pose-legs';
import type { BodyPose, Leg, Posture } from '@/core/body/posture';
import { HIP_OVER_SEAT } from '@/core/body/segment-ratios';
import {
  findWorkingRange,
  targetOf,
  type ChainPath,
  type ChainTarget,
  type WorkingRange,
} from '@/core/movement/chain-path';
import { mirrorZ, type Vec3 } from '@/core/geometry/vector';
import { towards } from '@/core/movement/joint-action';
import { bodyPoseAt, poseKeyframes } from '@/core/movement/keyframes';
import { poseSweep, type RangeEnd } from '@/core/movement/limb-path';
import type { SweepChoice } from '@/core/movement/sweep-path';
import { withArmPath } from './arm-path';
import type { BookEntry, PostureRule } from './book-entry';
import { NO_FIT, type ClientFit } from './client-fit';

/** Heights of the surfaces in use, metres. */
export interface Surfaces {
  readonly benchHeightM: number;
  /** A low seat for rows at a column. */
  readonly lowSeatM: number;
  readonly handlesOnFloorM: number;
}

/** What a gym usually has (common practice), where nothing is measured. */
export const USUAL_SURFACES: Surfaces = { benchHeightM: 0.45, lowSeatM: 0.3, handlesOnFloorM: 0.08 };

/** The posture of a rule for a working side on these surfaces. */
function toPosture(rule: PostureRule, working: Side, at: Surfaces, body: Body): Posture {
  const free = otherSide(working);
  switch (rule.kind) {
    case 'standing':
      return { kind: 'standing', kneeFlexionDeg: rule.kneeFlexionDeg ?? 8 };
    case 'staggered':
      return { kind: 'staggered', frontFoot: free };
    case 'wide':
      return { kind: 'wide', widthM: 0.42 * body.statureM };
    case 'hinged':
      return { kind: 'hinged', trunkDeg: rule.trunkDeg, kneeFlexionDeg: 20 };
    case 'half-kneeling':
      return { kind: 'half-kneeling', kneeDown: rule.down === 'working' ? working : free };
    case 'tall-kneeling':
      return { kind: 'tall-kneeling' };
    case 'seated':
      return {
        kind: 'seated',
        seatHeightM: rule.on === 'bench' ? at.benchHeightM : rule.on === 'low' ? at.lowSeatM : 0,
        backDeg: rule.backDeg,
      };
    case 'lying':
      return {
        kind: 'lying',
        on: rule.on === 'free-side' ? free : rule.on,
        surfaceHeightM: at.benchHeightM,
        backDeg: rule.backDeg,
      };
    case 'hand-and-knee':
      return { kind: 'hand-and-knee', benchHeightM: at.benchHeightM, support: free };
    case 'hand-on-bench':
      return { kind: 'hand-on-bench', benchHeightM: at.benchHeightM, support: free, kneeFlexionDeg: 20 };
    case 'forearm-on-thigh':
      return { kind: 'forearm-on-thigh', support: free, trunkDeg: rule.trunkDeg };
    case 'plank':
      return { kind: 'plank', handHeightM: at.handlesOnFloorM };
    case 'hanging':
      // High enough for the feet to swing free.
      return { kind: 'hanging', barHeightM: 1.34 * body.statureM };
    case 'leg-machine':
      return {
        kind: 'leg-machine',
        seatHeightM: at.benchHeightM + (0.05 - HIP_OVER_SEAT) * body.statureM,
        backDeg: rule.backDeg,
        thighDeg: 90 - rule.backDeg,
        kneeFlexionDeg: 90,
      };
  }
}

/** A movement on a body: the pose at its start, the working limb over the working range, and what it works against. */
export interface PosedEntry {
  readonly pose: BodyPose;
  readonly path: ChainPath;
  readonly target: ChainTarget;
  readonly range: WorkingRange;
  /**
   * Where a sweep begins and ends, degrees ahead of straight out to the side, and what set its start; null for
   * keyframes.
   */
  readonly sweep: { readonly startDeg: number; readonly finishDeg: number; readonly from: RangeEnd } | null;
}

/** The whole body of a posed movement at a sample of its working range, for drawing. */
export function entryBodyAt(
  entry: BookEntry,
  body: Body,
  posed: PosedEntry,
  side: Side,
  surfaces: Surfaces,
  i: number,
): BodyPose {
  if (entry.path.kind === 'sweep') return posed.pose;
  const s = posed.range.from + ((posed.range.to - posed.range.from) * i) / (posed.path.proximal.length - 1);
  const pose = bodyPoseAt(body, toPosture(entry.posture, side, surfaces, body), entry.path, side, entry.motion, s);
  if (posed.path.chain !== 'leg') return pose;
  // Both legs do the same; the other is the mirror image.
  const own: Leg = {
    hip: posed.path.proximal[i]!,
    knee: posed.path.middle[i]!,
    ankle: posed.path.distal[i]!,
    ...footOn(body, posed.path.middle[i]!, posed.path.distal[i]!),
  };
  const other: Leg = {
    hip: mirrorZ(own.hip),
    knee: mirrorZ(own.knee),
    ankle: mirrorZ(own.ankle),
    heel: mirrorZ(own.heel),
    toe: mirrorZ(own.toe),
  };
  return { ...pose, leg: side === 'right' ? { right: own, left: other } : { left: own, right: other } };
}

/** A foot square to its shank. */
function footOn(body: Body, knee: Vec3, ankle: Vec3): Pick<Leg, 'heel' | 'toe'> {
  const shank = towards(knee, ankle);
  return footOf(body, ankle, shank, [-shank[1], shank[0], 0]);
}

/** What may narrow a movement’s range: measured, limited, noted, and the paths that were fitted. */
export interface EntryRange {
  readonly active: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  readonly stopLevel: boolean;
  readonly fit: ClientFit;
}

/** The movement's own sweep. */
const usualSweep = (entry: BookEntry): SweepChoice => ({
  tiltDeg: entry.path.kind === 'sweep' ? entry.path.tiltDeg.default : 0,
  frontFoot: 'left',
});

/** Nothing narrows the range. */
export const WHOLE_RANGE: EntryRange = { active: {}, limits: {}, stopLevel: false, fit: NO_FIT };

/** A movement along the client's own arm path on that side, where one was measured. */
function fitted(e: BookEntry, fit: ClientFit, side: Side): BookEntry {
  const belowDeg = fit.armPathDeg[side];
  return belowDeg === undefined ? e : withArmPath(e, belowDeg);
}

/** Shortest part of its range that is still the movement (our judgement). */
export const SHORTEST_SHARE = 0.4;

const WHOLE: WorkingRange = { from: 0, to: 1, cutStart: null, cutFinish: null, startCutBy: 'active-range' };

/** What a client's joints and limits leave of a posed path; null when nothing. */
function cutRange(entry: BookEntry, whole: ChainPath, range: EntryRange): WorkingRange | null {
  return (
    [
      [range.active, 'active-range'],
      [range.limits, 'limit'],
    ] as const
  ).reduce<WorkingRange | null>(
    (was, [r, by]) => {
      if (was === null) return null;
      const own = findWorkingRange(whole, r);
      if (own === null) return null;
      const [a, b] = [own.from > was.from ? own : was, own.to < was.to ? own : was];
      return {
        from: a.from,
        to: b.to,
        cutStart: a.cutStart,
        cutFinish: b.cutFinish,
        startCutBy: a === own ? by : was.startCutBy,
      };
    },
    { ...WHOLE, from: entry.startAt, to: entry.stopAt },
  );
}

/** Share of its own range that a keyframed movement keeps on a side; 0 when nothing is left. */
export function workingShare(own: BookEntry, body: Body, side: Side, range: EntryRange, surfaces: Surfaces): number {
  const entry = fitted(own, range.fit, side);
  if (entry.path.kind === 'sweep') return 1;
  const cut = cutRange(
    entry,
    poseKeyframes(body, toPosture(entry.posture, side, surfaces, body), entry.path, side, entry.motion),
    range,
  );
  return cut === null ? 0 : Math.max(0, cut.to - cut.from);
}

/**
 * Pose one side of a movement, cut to what the client's joints allow; null when too little of the range is left. A
 * sweep is posed whatever is left of it: how short is told by the solver, with the degrees.
 */
export function poseEntry(
  own: BookEntry,
  body: Body,
  side: Side,
  range: EntryRange,
  surfaces: Surfaces,
  sweep: SweepChoice = usualSweep(own),
): PosedEntry | null {
  const entry = fitted(own, range.fit, side);
  if (entry.path.kind === 'sweep') {
    const posed = poseSweep(body, entry.path, entry.action, sweep, range);
    const arm = posed.arms[side];
    return {
      pose: posed.body,
      path: arm,
      target: arm.target,
      range: WHOLE,
      sweep: { startDeg: arm.startDeg, finishDeg: arm.finishDeg, from: arm.startFrom },
    };
  }
  const posture = toPosture(entry.posture, side, surfaces, body);
  const whole = poseKeyframes(body, posture, entry.path, side, entry.motion);
  const cut = cutRange(entry, whole, range);
  if (cut === null || cut.to - cut.from < SHORTEST_SHARE) return null;
  const path =
    cut.from === 0 && cut.to === 1
      ? whole
      : poseKeyframes(body, posture, entry.path, side, entry.motion, cut.from, cut.to);
  return { pose: poseBody(body, posture), path, target: targetOf(path, entry.action), range: cut, sweep: null };
}
