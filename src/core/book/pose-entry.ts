import type { Side } from '@/core/body/side';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import { armToGripM } from '@/core/body/arm-length';
import type { Body } from '@/core/body/body-model';
import { poseBody } from '@/core/body/pose-body';
import { footOf } from '@/core/body/pose-legs';
import type { BodyPose, Leg, Posture } from '@/core/body/posture';
import {
  findWorkingRange,
  LAST_SAMPLE,
  targetOf,
  type ChainPath,
  type ChainTarget,
  type WorkingRange,
} from '@/core/movement/chain-path';
import { along as pointAlong, between, length, mirrorZ, subtract, type Vec3 } from '@/core/geometry/vector';
import { onFloor, onGuide, onPivot, onPlate, onStraps, underBar, type BodyShift } from '@/core/movement/close-chain';
import { jointDegAt, jointOf, towards } from '@/core/movement/joint-action';
import { bodyPoseAt, poseKeyframes, shiftPose } from '@/core/movement/keyframes';
import { poseSweep, type RangeEnd } from '@/core/movement/limb-path';
import type { SweepChoice } from '@/core/movement/sweep-path';
import { GRAVITY_MS2 } from '@/core/units/mass';
import { withArmPath } from './arm-path';
import { lowerArm } from './bend-arm';
import type { BookEntry } from './book-entry';
import { NO_FIT, type ClientFit } from './client-fit';
import { handWidths } from './hand-width';
import { gripReachM, landminePivot } from './landmine';
import { guideEnd, isGuided, platePlace, pressStart } from './machine-chain';
import { fromPins } from './pins';
import { lineOf, poseOnLine, type Pull } from './pose-on-line';
import { staggered, toPosture } from './posture-rule';
import type { StationKit } from './station-kit';
import { startOnStraps, strapsOf } from './straps';

/** A movement on a body: the pose at its start, the working limb over the working range, and what it works against. */
export interface PosedEntry {
  readonly pose: BodyPose;
  /** The whole body at a sample of the working range, for drawing and for what stands where. */
  readonly bodyAt: (i: number) => BodyPose;
  /** Where a bar or strap in the hand ends, stand frame: a landmine's pivot, a strap's anchor; null without one. */
  readonly anchor: Vec3 | null;
  readonly path: ChainPath;
  readonly target: ChainTarget;
  readonly range: WorkingRange;
  /**
   * Where a sweep begins and ends, degrees ahead of straight out to the side, and what set its start; null for
   * keyframes.
   */
  readonly sweep: { readonly startDeg: number; readonly finishDeg: number; readonly from: RangeEnd } | null;
}

/** Kit that decides where hands, feet and seats are. */
export type PoseKit = Pick<StationKit, 'surfaces' | 'landmine' | 'straps' | 'preacher' | 'machines'>;

/** Both hands on one thing that nothing pulls apart: each on a cable of its own is drawn out to its side. */
const movesAsOne = ({ hold, load }: BookEntry): boolean => hold !== null && (load.kind !== 'cable' || load.shared);

/** What takes a push to the side from the hands: one thing in both of them, a guide, the floor, a bar overhead. */
function handsOn(entry: BookEntry): Pick<ChainPath, 'hands'> {
  const { load } = entry;
  if (load.kind === 'cable') return load.shared ? { hands: 'line' } : {};
  const still = load.kind === 'body' && load.on !== 'straps';
  const guided = load.kind === 'machine' && isGuided(load.machine);
  return movesAsOne(entry) || still || guided ? { hands: entry.hold?.pressed ?? 'steel' } : {};
}

/** An elbow that bends or straightens by more than this works together with the shoulder, degrees (our judgement). */
const ELBOW_JOINS_DEG = 25;
/** Whether a movement of the shoulder is one of the elbow as well: rows, pulldowns and presses. */
function elbowJoins(entry: BookEntry, path: ChainPath): boolean {
  if (path.chain !== 'arm' || jointOf(entry.action) !== 'proximal' || entry.load.kind === 'none') return false;
  const line = lineOf(entry.load);
  if (line !== null) return line === 'forearm';
  return Math.abs(jointDegAt(path, 'middle', LAST_SAMPLE) - jointDegAt(path, 'middle', 0)) > ELBOW_JOINS_DEG;
}

/** Both legs do the same on a leg machine: the pose with the working leg's path in it and its mirror image. */
function withLegs(body: Body, pose: BodyPose, path: ChainPath, side: Side, i: number): BodyPose {
  const own: Leg = {
    hip: path.proximal[i]!,
    knee: path.middle[i]!,
    ankle: path.distal[i]!,
    ...footOn(body, path.middle[i]!, path.distal[i]!),
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

/** Arms that cross pass this far over and under each other at the start, degrees: about 8 cm between two forearms. */
const OVER_DEG = 5;
/** The arm of a side of two that begin across each other: the right one above. */
const overOrUnder = (e: BookEntry, side: Side): BookEntry =>
  lowerArm(e, (k) => (k.at > 0 ? 0 : side === 'right' ? -OVER_DEG : OVER_DEG));

/** A movement along the client's own arm path on that side, where one was measured, or from the pins it starts on. */
export function fitted(e: BookEntry, fit: ClientFit, side: Side, body: Body): BookEntry {
  const belowDeg = fit.armPathDeg[side];
  const own = belowDeg === undefined ? e : withArmPath(e, belowDeg);
  return fromPins(e.crosses ? overOrUnder(own, side) : own, body);
}

/** Shortest part of its range that is still the movement (our judgement). */
export const SHORTEST_SHARE = 0.4;

const WHOLE: WorkingRange = { from: 0, to: 1, cutStart: null, cutFinish: null, startCutBy: 'active-range' };

/** What a client's joints and limits leave of a posed path; null when nothing. */
export function cutRange(entry: BookEntry, whole: ChainPath, range: EntryRange): WorkingRange | null {
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

/** A movement with what poses it: everything that does not depend on the part of the range that is left. */
interface Posing {
  readonly entry: BookEntry;
  readonly body: Body;
  readonly side: Side;
  readonly kit: PoseKit;
  readonly posture: Posture;
  readonly pull: Pull;
}

/** The limb over a part of the range as its keys have it, the hands apart as what they hold asks. */
function poseKeyed({ entry, body, side, posture }: Posing, from: number, to: number): ChainPath {
  if (entry.path.kind === 'sweep') throw new Error(`${entry.id}: a sweep has no keys`);
  const hands = handWidths(entry.hold, body, null);
  return poseKeyframes(body, posture, entry.path, side, entry.motion, from, to, hands);
}

/** An arm on a machine's handle is never locked: this share of its straight length at most (common practice). */
const STRAIGHTEST = 0.985;
/** Pull of a band in one hand where a rep begins, newtons (common practice: a light one). */
const USUAL_BAND_N = 40;

/** Middle of a sole, where a band runs round it. */
const soleOf = ({ leg }: BodyPose, side: Side): Vec3 => between(leg[side].heel, leg[side].toe, 0.5);

/** A posed limb with what the body as a whole does for it; null where it stands still or its motion is keyed. */
interface Chain {
  readonly path: ChainPath;
  readonly shifts: readonly BodyShift[] | null;
  readonly anchor: Vec3 | null;
}

/** Pose a limb over a part of the range, closed on what hands or feet are on. */
function poseChain(p: Posing, from: number, to: number): Chain {
  const { entry, body, side, kit, posture } = p;
  const { load } = entry;
  if (load.kind === 'band') {
    const anchor = soleOf(poseBody(body, posture), side);
    const pull = { pulley: anchor, tensionN: USUAL_BAND_N };
    return { path: poseOnLine(entry, body, side, posture, pull, from, to), shifts: null, anchor };
  }
  if (load.kind === 'cable' && load.line !== null)
    return { path: poseOnLine(entry, body, side, posture, p.pull, from, to), shifts: null, anchor: null };
  const path = poseKeyed(p, from, to);
  const still = (own: ChainPath, anchor: Vec3 | null = null): Chain => ({ path: own, shifts: null, anchor });
  // What stands still is where the whole movement has it, whatever part of it is left.
  const whole = (): ChainPath => (from === 0 && to === 1 ? path : poseKeyed(p, 0, 1));
  const along = (i: number): number => from + ((to - from) * i) / LAST_SAMPLE;
  if (load.kind === 'landmine') {
    const pivot = landminePivot(whole().contact[0]!, load.at, side, kit.landmine);
    const closed = onPivot(body, path, pivot, gripReachM(load.at, kit.landmine), load.at === 'between');
    return still(closed, pivot);
  }
  if (load.kind === 'machine' && path.chain === 'leg' && load.machine === 'leg-press') {
    // The plate runs straight away from the hip, as deep as the keys begin.
    const { proximal, distal } = whole();
    const [hip, end] = [proximal[0]!, distal[LAST_SAMPLE]!];
    const start = pointAlong(hip, towards(hip, end), length(subtract(distal[0]!, hip)));
    const stop = guideEnd(start, end, kit.machines['leg-press'], hip, length(subtract(end, hip)));
    return still(onPlate(path, start, stop, platePlace(entry, body, side), along));
  }
  if (load.kind === 'machine' && isGuided(load.machine)) {
    const { contact } = whole();
    const start = load.machine === 'chest-press' ? pressStart(body, whole()) : contact[0]!;
    const reachM = STRAIGHTEST * armToGripM(body);
    const stop = guideEnd(start, contact[LAST_SAMPLE]!, kit.machines[load.machine], path.proximal[0]!, reachM);
    return still(onGuide(body, path, (i) => between(start, stop, along(i))));
  }
  if (load.kind !== 'body') return still(path);
  const pose = poseBody(body, posture);
  if (load.on === 'bar') return { ...underBar(path, whole().contact[0]!), anchor: null };
  if (load.on === 'straps') {
    const strap = strapsOf(body, pose, load.leanDeg, kit.straps);
    const begun = startOnStraps(body, path, strap, whole(), along);
    return { ...onStraps(body, begun, strap.heels, strap.anchor, strap.reachM), anchor: strap.anchor };
  }
  const last = whole().contact[LAST_SAMPLE]!;
  const hands: Vec3 = [last[0], kit.surfaces.handlesOnFloorM, last[2]];
  return { ...onFloor(body, path, pose.leg.left.toe, hands), anchor: null };
}

/** Share of its own range that a keyframed movement keeps on a side; 0 when nothing is left. */
export function workingShare(own: BookEntry, body: Body, side: Side, range: EntryRange, kit: PoseKit): number {
  const entry = fitted(own, range.fit, side, body);
  if (entry.path.kind === 'sweep') return 1;
  const posture = toPosture(entry.posture, side, kit, body);
  const cut = cutRange(entry, poseChain({ entry, body, side, kit, posture, pull: NOMINAL }, 0, 1).path, range);
  return cut === null ? 0 : Math.max(0, cut.to - cut.from);
}

/** A cable from where the movement's own start points, with a load that is usual (15 kg). */
const NOMINAL: Pull = { pulley: null, tensionN: 15 * GRAVITY_MS2 };

/** How a movement is asked for beside the body: the choice of a sweep, and where the cable of a pull comes from. */
export interface PoseChoice {
  readonly sweep?: SweepChoice;
  readonly pull?: Pull;
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
  kit: PoseKit,
  { sweep = usualSweep(own), pull = NOMINAL }: PoseChoice = {},
): PosedEntry | null {
  const entry = fitted(own, range.fit, side, body);
  if (entry.path.kind === 'sweep') {
    const stance = entry.posture.kind === 'staggered' ? entry.posture.stance : undefined;
    const stood = stance ? { ...sweep, posture: staggered(body, sweep.frontFoot, stance) } : sweep;
    const posed = poseSweep(body, entry.path, entry.action, stood, { ...range, stopAt: entry.stopAt });
    const arm = posed.arms[side];
    return {
      pose: posed.body,
      bodyAt: () => posed.body,
      anchor: null,
      path: arm,
      target: arm.target,
      range: WHOLE,
      sweep: { startDeg: arm.startDeg, finishDeg: arm.finishDeg, from: arm.startFrom },
    };
  }
  const posture = toPosture(entry.posture, side, kit, body);
  const posing: Posing = { entry, body, side, kit, posture, pull };
  const whole = poseChain(posing, 0, 1);
  const cut = cutRange(entry, whole.path, range);
  if (cut === null || cut.to - cut.from < SHORTEST_SHARE) return null;
  const { path, shifts, anchor } = cut.from === 0 && cut.to === 1 ? whole : poseChain(posing, cut.from, cut.to);
  const { path: keys, motion } = entry;
  const bodyAt = (i: number): BodyPose => {
    const s = cut.from + ((cut.to - cut.from) * i) / LAST_SAMPLE;
    const pose = bodyPoseAt(body, posture, keys, side, motion, s);
    if (path.chain === 'leg') return withLegs(body, pose, path, side, i);
    return shifts ? shiftPose(pose, shifts[i]!) : pose;
  };
  return {
    pose: shifts ? bodyAt(0) : poseBody(body, posture),
    bodyAt,
    anchor,
    path: { ...path, ...handsOn(entry) },
    target: {
      ...targetOf(path, entry.action, movesAsOne(entry), elbowJoins(entry, path) ? entry.target : null),
      onPad: entry.armOn !== null,
    },
    range: cut,
    sweep: null,
  };
}
