import type { Body } from '@/core/body/body-model';
import type { Side } from '@/core/body/side';
import type { Vec3 } from '@/core/geometry/vector';
import { allocateTrack, fillLineTrack } from '@/core/mechanics/line-track';
import type { LimbTrack } from '@/core/mechanics/limb-track';
import { SAMPLES, type ChainPath, type WorkingRange } from '@/core/movement/chain-path';
import { BONES, closeOnLine, finishBendDeg, pointsOf, startOffDeg, type LineArm } from '@/core/movement/line-arm';
import { THIN } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import { cutRange, fitted, SHORTEST_SHARE, type EntryRange, type PoseKit } from './pose-entry';
import { layPull } from './pose-on-line';
import { toPosture } from './posture-rule';

/** The arm of a pull for the search: its track for any place of the pulley, filled anew by every call. */
export type LineTrackOf = (pulley: Vec3, thin: boolean) => LimbTrack;
/** What the client's range leaves of a pull at a place, share of the whole movement. */
export type LeftShareOf = (pulley: Vec3) => number;
/** The same with how far a place strains the arm beyond the movement's own ends, degrees. */
export interface LineTracks {
  readonly track: LineTrackOf;
  readonly strainDeg: (pulley: Vec3) => number;
  readonly leftShare: LeftShareOf;
  /** Forearm from elbow to grip at a sample of all of them, for a pulley in the stand frame; metres. */
  readonly forearm: (pulley: Vec3, i: number) => readonly [elbow: Vec3, grip: Vec3];
}

/**
 * An arm may reach this far from where the movement's own start points before another movement begins (our judgement).
 */
const REACH_FREE_DEG = 6;
/**
 * An elbow that ends on the line may bend this far: a little short of what people can (AAOS: 150). A degree beyond
 * counts for more than one of reach, because the hand is at the shoulder there.
 */
const MOST_BEND_DEG = 142;
const BEND_WEIGHT = 4;

const samePoint = (a: Vec3, b: Vec3): boolean => a[0] === b[0] && a[1] === b[1] && a[2] === b[2];

/** Where wrist and grip begin among a sample's bones; the elbow comes first. */
const WRIST = 3;
const GRIP = 6;
const pointIn = (flat: Float64Array, at: number): Vec3 => [flat[at]!, flat[at + 1]!, flat[at + 2]!];

const THIN_SAMPLES = (SAMPLES - 1) / THIN + 1;

/** What a client's range leaves of a whole pull at a place; cost, limits and track of one place ask for the same. */
function cutFinder(entry: BookEntry, whole: LineArm, range: EntryRange): (pulley: Vec3) => WorkingRange | null {
  const bones = new Float64Array(BONES * SAMPLES);
  // Shoulders and trunk are where they are wherever the pulley is.
  const still = pointsOf(whole, bones);
  let last: { readonly pulley: Vec3; readonly cut: WorkingRange | null } | null = null;
  return (pulley) => {
    if (last && samePoint(last.pulley, pulley)) return last.cut;
    closeOnLine(whole, pulley, bones);
    const points = (at: number): Vec3[] => still.proximal.map((_, i) => pointIn(bones, BONES * i + at));
    const path: ChainPath = { ...still, side: whole.side, chain: 'arm', middle: points(0), distal: points(WRIST) };
    last = { pulley, cut: cutRange(entry, path, range) };
    return last.cut;
  };
}

/**
 * Lay out a pull's arm for the search of its place. What the client's range leaves of it depends on where the arm has
 * to reach, so that a client with limits is cut anew for every pulley; a client without is laid out once.
 */
export function lineTracks(
  own: BookEntry,
  body: Body,
  side: Side,
  range: EntryRange,
  kit: PoseKit,
  tensionN: number,
): LineTracks {
  const entry = fitted(own, range.fit, side, body);
  const posture = toPosture(entry.posture, side, kit, body);
  const shared = entry.load.kind === 'cable' && entry.load.shared;
  const room = { true: allocateTrack(THIN_SAMPLES), false: allocateTrack(SAMPLES) };
  const bones = { true: new Float64Array(BONES * THIN_SAMPLES), false: new Float64Array(BONES * SAMPLES) };
  const lay = (from: number, to: number, thin: boolean): LineArm =>
    layPull(entry, body, side, posture, tensionN, from, to, thin ? THIN_SAMPLES : SAMPLES);
  const limited = [range.active[side], range.limits[side]].some((r) => r && Object.keys(r).length > 0);
  const { startAt, stopAt } = entry;
  const whole = { true: lay(startAt, stopAt, true), false: lay(startAt, stopAt, false) };
  const cutAt = cutFinder(entry, lay(0, 1, false), range);
  const leftShare: LeftShareOf = (pulley) => {
    if (!limited) return stopAt - startAt;
    const cut = cutAt(pulley);
    return cut ? Math.max(0, cut.to - cut.from) : 0;
  };
  const reaching = lay(0, 1, true);
  const finish = layPull(entry, body, side, posture, tensionN, 1, 1, 1);
  const filled: Partial<Record<'true' | 'false', Vec3>> = {};
  /** The arm over what is left of the range; where a place leaves all of it, as it is laid out already. */
  const armAt = (pulley: Vec3, thin: boolean): LineArm => {
    const key = thin ? 'true' : 'false';
    const cut = limited ? cutAt(pulley) : null;
    if (!cut || cut.to - cut.from < SHORTEST_SHARE || (cut.from === startAt && cut.to === stopAt)) return whole[key];
    return lay(cut.from, cut.to, thin);
  };
  const track: LineTrackOf = (pulley, thin) => {
    const key = thin ? 'true' : 'false';
    const was = filled[key];
    if (was && samePoint(was, pulley)) return room[key];
    filled[key] = pulley;
    const arm = armAt(pulley, thin);
    closeOnLine(arm, pulley, bones[key]);
    fillLineTrack(arm, bones[key], shared, room[key]);
    return room[key];
  };
  const strainDeg = (pulley: Vec3): number => {
    const start = Math.max(0, startOffDeg(reaching, pulley) - REACH_FREE_DEG);
    const bend = finish.along ? Math.max(0, finishBendDeg(finish, pulley) - MOST_BEND_DEG) : 0;
    return start + BEND_WEIGHT * bend;
  };
  const forearm: LineTracks['forearm'] = (pulley, i) => {
    track(pulley, false);
    return [pointIn(bones.false, i * BONES), pointIn(bones.false, i * BONES + GRIP)];
  };
  return { track, strainDeg, leftShare, forearm };
}
