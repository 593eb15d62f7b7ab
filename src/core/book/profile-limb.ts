import type { Side } from '@/core/body/side';
import type { Palm } from '@/core/mechanics/forearm-turn';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import { allocateSamples, profileLoads, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { SAMPLES } from '@/core/movement/chain-path';
import type { JointAction } from '@/core/movement/joint-action';
import type { WorkingLimb } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import { toWorkingLimb } from './build-search';
import { entryLoads } from './entry-load';
import type { StopReason } from './fit-entry';
import { poseEntry, type EntryRange } from './pose-entry';
import type { PosedLimb } from './posed-question';
import type { Question } from './question';
import { clearOfTouch } from './touch';

/** A limb whose load needs no place at a column, profiled. */
export type ProfiledLimb = PosedLimb & { readonly profile: NonNullable<PosedLimb['profile']> };

/** The profile of a limb without a cable. */
export function profileOf(limb: PosedLimb): { readonly metrics: LineMetrics; readonly samples: ProfileSamples } {
  if (!limb.profile) throw new Error('profile: this limb hangs on a cable; its place comes first');
  return limb.profile;
}

/** The working limb of a profile, for verdicts. */
export function workingLimbOf(action: JointAction, { posed, startBy }: PosedLimb, palm: Palm | null): WorkingLimb {
  const limb = toWorkingLimb(action, posed, palm);
  const { start } = limb;
  return startBy === 'load' || startBy === 'touch' ? { ...limb, start: { ...start, from: startBy } } : limb;
}

/**
 * Position in [0, 1] at which a curve first reaches a level from that end, between samples by straight lines; that end
 * itself where it starts above.
 */
function reaches(curve: Float64Array, level: number, from: 'start' | 'finish'): number {
  const last = curve.length - 1;
  const at = (k: number): number => curve[from === 'start' ? k : last - k]!;
  let k = 0;
  while (k < last && at(k) < level) k += 1;
  const s = k === 0 ? 0 : (k - 1 + (level - at(k - 1)) / (at(k) - at(k - 1))) / last;
  return from === 'start' ? s : 1 - s;
}

/** Where the load begins and ceases to count in the range of a movement that starts or stops there, shares of it. */
function loadedPart(entry: BookEntry, { profile }: ProfiledLimb): { readonly from: number; readonly to: number } {
  const { loadedFrom } = entry;
  const { resistanceNm } = profile.samples;
  const level = (share: number): number => share * profile.metrics.peakResistanceNm;
  return {
    from: loadedFrom?.start == null ? 0 : reaches(resistanceNm, level(loadedFrom.start), 'start'),
    to: loadedFrom?.finish == null ? 1 : reaches(resistanceNm, level(loadedFrom.finish), 'finish'),
  };
}

/**
 * Pose a limb whose load needs no column and profile it, cut to where the weight meets nothing and the load counts;
 * null when the client's range leaves too little of it. `entry` is the movement on this gym's steel.
 */
export function profileLimb(entry: BookEntry, q: Question, range: EntryRange, side: Side): ProfiledLimb | null {
  const { body, kit, loadKg } = q;
  const run = (e: BookEntry): ProfiledLimb | null => {
    const posed = poseEntry(e, body, side, range, kit);
    if (!posed) return null;
    const samples = allocateSamples(SAMPLES);
    const track = buildLimbTrack(body, posed.path, posed.target);
    const metrics = profileLoads(track, entryLoads(e, posed, body, loadKg, kit), samples);
    const by = (cut: string | null): StopReason => (cut ? 'joint' : 'own');
    const { cutStart, cutFinish } = posed.range;
    return { posed, startBy: by(cutStart), finishBy: by(cutFinish), profile: { metrics, samples } };
  };
  const whole = run(entry);
  if (!whole) return null;
  const { range: r } = whole.posed;
  const along = (s: number): number => r.from + (r.to - r.from) * s;
  const clear = clearOfTouch(entry, body, whole.posed, loadKg);
  const loaded = loadedPart(entry, whole);
  const from = Math.max(clear.from, loaded.from);
  const to = Math.min(clear.to, loaded.to);
  if (from === 0 && to === 1) return whole;
  const part = run({ ...entry, startAt: along(from), stopAt: along(to) });
  return (
    part && {
      ...part,
      startBy: from === 0 ? whole.startBy : clear.from === from ? 'touch' : 'load',
      finishBy: to === 1 ? whole.finishBy : clear.to === to ? 'touch' : 'load',
    }
  );
}
