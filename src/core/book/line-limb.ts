import type { Body } from '@/core/body/body-model';
import type { Side } from '@/core/body/side';
import type { Vec3 } from '@/core/geometry/vector';
import { allocateTrack, fillLineTrack } from '@/core/mechanics/line-track';
import type { LimbTrack } from '@/core/mechanics/limb-track';
import { SAMPLES } from '@/core/movement/chain-path';
import { BONES, closeOnLine, finishBendDeg, startOffDeg, type LineArm } from '@/core/movement/line-arm';
import { THIN } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import { cutRange, fitted, type EntryRange, type PoseKit } from './pose-entry';
import { layPull, poseOnLine } from './pose-on-line';
import { toPosture } from './posture-rule';

/** The arm of a pull for the search: its track for any place of the pulley, filled anew by every call. */
export type LineTrackOf = (pulley: Vec3, thin: boolean) => LimbTrack;
/** The same with how far a place strains the arm beyond the movement's own ends, degrees. */
export interface LineTracks {
  readonly track: LineTrackOf;
  readonly strainDeg: (pulley: Vec3) => number;
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

const THIN_SAMPLES = (SAMPLES - 1) / THIN + 1;

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
  const bones = new Float64Array(BONES * SAMPLES);
  const lay = (from: number, to: number, thin: boolean): LineArm =>
    layPull(entry, body, side, posture, tensionN, from, to, thin ? THIN_SAMPLES : SAMPLES);
  const limited = [range.active[side], range.limits[side]].some((r) => r && Object.keys(r).length > 0);
  const { startAt, stopAt } = entry;
  const whole = limited ? null : { true: lay(startAt, stopAt, true), false: lay(startAt, stopAt, false) };
  const reaching = lay(0, 1, true);
  const filled: Partial<Record<'true' | 'false', Vec3>> = {};
  const track: LineTrackOf = (pulley, thin) => {
    const key = thin ? 'true' : 'false';
    const was = filled[key];
    if (was && was[0] === pulley[0] && was[1] === pulley[1] && was[2] === pulley[2]) return room[key];
    filled[key] = pulley;
    let arm = whole?.[key];
    if (!arm) {
      const cut = cutRange(entry, poseOnLine(entry, body, side, posture, { pulley, tensionN }, 0, 1), range);
      arm = cut && cut.to > cut.from ? lay(cut.from, cut.to, thin) : lay(startAt, stopAt, thin);
    }
    closeOnLine(arm, pulley, bones);
    fillLineTrack(arm, bones, shared, room[key]);
    return room[key];
  };
  const strainDeg = (pulley: Vec3): number => {
    const start = Math.max(0, startOffDeg(reaching, pulley) - REACH_FREE_DEG);
    const bend = reaching.along ? Math.max(0, finishBendDeg(reaching, pulley) - MOST_BEND_DEG) : 0;
    return start + BEND_WEIGHT * bend;
  };
  return { track, strainDeg };
}
