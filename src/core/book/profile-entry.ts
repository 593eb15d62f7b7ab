import type { Side } from '@/core/body/active-range';
import type { Body } from '@/core/body/body-model';
import { buildLimbTrack } from '@/core/mechanics/limb-track';
import { allocateSamples, profileLoads, type LineMetrics, type ProfileSamples } from '@/core/mechanics/line-profile';
import { SAMPLES } from '@/core/movement/chain-path';
import type { PosedLimb } from '@/core/setup/setup-problem';
import type { BookEntry } from './book-entry';
import { startOf } from './build-problem';
import { entryLoads } from './entry-load';
import { withKit, type StopReason } from './fit-entry';
import { poseEntry, type EntryRange, type PosedEntry } from './pose-entry';
import type { StationKit } from './station-kit';
import { clearOfTouch } from './touch';

/** What a profile is asked of. */
export interface ProfileInput {
  readonly body: Body;
  readonly range: EntryRange;
  readonly loadKg: number;
  readonly kit: StationKit;
}

/** A movement without a cable on one side: posed, loaded, and what set its ends. */
export interface ProfiledEntry {
  readonly posed: PosedEntry;
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
  readonly startBy: StopReason;
  readonly finishBy: StopReason;
}

/** The working limb of a profile, for verdicts. */
export function limbOfProfile({ posed, startBy }: ProfiledEntry): PosedLimb {
  const start = startOf(posed);
  return { path: posed.path, target: posed.target, start: startBy === 'load' ? { ...start, from: 'load' } : start };
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

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left' };

/** Both arms of a linked machine stop where the first of them does: it hides the side that could go on. */
function asLinked(e: BookEntry, input: ProfileInput, side: Side): BookEntry {
  if (e.load.kind !== 'machine' || e.hands !== 'two' || input.kit.machines[e.load.machine]?.independentArms !== false)
    return e;
  const other = poseEntry(e, input.body, OTHER[side], input.range, input.kit.surfaces);
  return other
    ? { ...e, startAt: Math.max(e.startAt, other.range.from), stopAt: Math.min(e.stopAt, other.range.to) }
    : e;
}

/** Profile a movement without a cable on one side; null when the client's range leaves too little of it. */
export function profileEntry(entry: BookEntry, input: ProfileInput, side: Side): ProfiledEntry | null {
  const { body, range, kit, loadKg } = input;
  const own = asLinked(withKit(entry, kit), input, side);
  const run = (e: BookEntry): ProfiledEntry | null => {
    const posed = poseEntry(e, body, side, range, kit.surfaces);
    if (!posed) return null;
    const samples = allocateSamples(SAMPLES);
    const metrics = profileLoads(
      buildLimbTrack(body, posed.path, posed.target),
      entryLoads(e, posed, body, loadKg, kit),
      samples,
    );
    return {
      posed,
      metrics,
      samples,
      startBy: posed.range.cutStart ? 'joint' : 'own',
      finishBy: posed.range.cutFinish ? 'joint' : 'own',
    };
  };
  const whole = run(own);
  if (!whole) return null;
  const { range: r } = whole.posed;
  const along = (s: number): number => r.from + (r.to - r.from) * s;
  const clear = clearOfTouch(own, body, whole.posed, loadKg);
  const { loadedFrom } = own;
  const level = (share: number): number => share * whole.metrics.peakResistanceNm;
  const loaded = {
    from: loadedFrom?.start == null ? 0 : reaches(whole.samples.resistanceNm, level(loadedFrom.start), 'start'),
    to: loadedFrom?.finish == null ? 1 : reaches(whole.samples.resistanceNm, level(loadedFrom.finish), 'finish'),
  };
  const from = Math.max(clear.from, loaded.from);
  const to = Math.min(clear.to, loaded.to);
  if (from === 0 && to === 1) return whole;
  const part = run({ ...own, startAt: along(from), stopAt: along(to) });
  return (
    part && {
      ...part,
      startBy: from === 0 ? whole.startBy : clear.from === from ? 'touch' : 'load',
      finishBy: to === 1 ? whole.finishBy : clear.to === to ? 'touch' : 'load',
    }
  );
}
