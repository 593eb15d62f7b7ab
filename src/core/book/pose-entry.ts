import type { ActiveRangeDeg, Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { footOf } from '@/core/body/pose-legs';
import type { BodyPose, Leg, Posture } from '@/core/body/posture';
import { HIP_OVER_SEAT } from '@/core/body/segment-ratios';
import { findWorkingRange, targetOf, type ChainPath, type ChainTarget, type WorkingRange } from '@/core/movement/chain-path';
import { mirrorZ, type Vec3 } from '@/core/geometry/vector';
import { towards } from '@/core/movement/joint-action';
import { bodyPoseAt, poseKeyframes } from '@/core/movement/keyframes';
import { poseMovement } from '@/core/movement/limb-path';
import { defaultOptions, type MovementId } from '@/core/movement/movement';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import type { BookEntry, PostureRule } from './book-entry';

/** Heights of the surfaces in use, metres. */
export interface Surfaces {
  readonly benchHeightM: number;
  /** A low seat for rows at a column. */
  readonly lowSeatM: number;
  readonly handlesOnFloorM: number;
}

/** What a gym usually has (common practice), where nothing is measured. */
export const USUAL_SURFACES: Surfaces = { benchHeightM: 0.45, lowSeatM: 0.3, handlesOnFloorM: 0.08 };

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };

/** The posture of a rule for a working side on these surfaces. */
export function toPosture(rule: PostureRule, working: Side, at: Surfaces, body: Body): Posture {
  const free = OTHER[working];
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
      return { kind: 'seated', seatHeightM: rule.on === 'bench' ? at.benchHeightM : rule.on === 'low' ? at.lowSeatM : 0, backDeg: rule.backDeg };
    case 'lying':
      return { kind: 'lying', on: rule.on === 'free-side' ? free : rule.on, surfaceHeightM: at.benchHeightM, backDeg: rule.backDeg };
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
      return { kind: 'leg-machine', seatHeightM: at.benchHeightM + (0.05 - HIP_OVER_SEAT) * body.statureM, backDeg: rule.backDeg, thighDeg: 90 - rule.backDeg, kneeFlexionDeg: 90 };
  }
}

/** A movement on a body: the pose at its start, the working limb over the working range, and what it works against. */
export interface PosedEntry {
  readonly pose: BodyPose;
  readonly path: ChainPath;
  readonly target: ChainTarget;
  readonly range: WorkingRange;
}

/** The whole body of a posed movement at a sample of its working range, for drawing. */
export function entryBodyAt(entry: BookEntry, body: Body, posed: PosedEntry, side: Side, surfaces: Surfaces, i: number): BodyPose {
  if (entry.path === null) return posed.pose;
  const s = posed.range.from + ((posed.range.to - posed.range.from) * i) / (posed.path.proximal.length - 1);
  const pose = bodyPoseAt(body, toPosture(entry.posture, side, surfaces, body), entry.path, side, entry.motion, s);
  if (posed.path.chain !== 'leg') return pose;
  // Both legs do the same; the other is the mirror image.
  const own: Leg = { hip: posed.path.proximal[i]!, knee: posed.path.middle[i]!, ankle: posed.path.distal[i]!, ...footOn(body, posed.path.middle[i]!, posed.path.distal[i]!) };
  const other: Leg = { hip: mirrorZ(own.hip), knee: mirrorZ(own.knee), ankle: mirrorZ(own.ankle), heel: mirrorZ(own.heel), toe: mirrorZ(own.toe) };
  return { ...pose, leg: side === 'right' ? { right: own, left: other } : { left: own, right: other } };
}

/** A foot square to its shank. */
function footOn(body: Body, knee: Vec3, ankle: Vec3): Pick<Leg, 'heel' | 'toe'> {
  const shank = towards(knee, ankle);
  return footOf(body, ankle, shank, [-shank[1], shank[0], 0]);
}

export interface EntryRange {
  readonly active: ActiveRangeDeg;
  readonly limits: ActiveRangeDeg;
  readonly stopLevel: boolean;
}
export const WHOLE_RANGE: EntryRange = { active: {}, limits: {}, stopLevel: false };

/** Shortest part of its range that is still the movement (our judgement). */
export const SHORTEST_SHARE = 0.4;

const WHOLE: WorkingRange = { from: 0, to: 1, cutStart: null, cutFinish: null };

/** Pose one side of a movement, cut to what the client's joints allow; null when too little of the range is left. */
export function poseEntry(entry: BookEntry, body: Body, side: Side, range: EntryRange, surfaces: Surfaces): PosedEntry | null {
  if (entry.path === null) {
    const movement = MOVEMENT_BOOK[entry.id as MovementId];
    const posed = poseMovement(body, movement, defaultOptions(movement), range);
    const arm = posed.arms[side];
    return { pose: posed.body, path: arm, target: arm.target, range: WHOLE };
  }
  const posture = toPosture(entry.posture, side, surfaces, body);
  const whole = poseKeyframes(body, posture, entry.path, side, entry.motion);
  const cut = [range.active, range.limits].reduce<WorkingRange | null>((was, r) => {
    if (was === null) return null;
    const own = findWorkingRange(whole, r);
    if (own === null) return null;
    const [a, b] = [own.from > was.from ? own : was, own.to < was.to ? own : was];
    return { from: a.from, to: b.to, cutStart: a.cutStart, cutFinish: b.cutFinish };
  }, { ...WHOLE, to: entry.stopAt });
  if (cut === null || cut.to - cut.from < SHORTEST_SHARE) return null;
  const path = cut.from === 0 && cut.to === 1 ? whole : poseKeyframes(body, posture, entry.path, side, entry.motion, cut.from, cut.to);
  return { pose: poseBody(body, posture), path, target: targetOf(path, entry.action), range: cut };
}
