import type { Side } from '@/core/body/active-range';
import { findProblem } from '@/core/book/build-problem';
import { fitSettings, withKit, type FitSetting } from '@/core/book/fit-entry';
import { loadedRegion, type LoadedRegion } from '@/core/book/region-of';
import { poseEntry, type PosedEntry } from '@/core/book/pose-entry';
import { profileEntry, type ProfiledEntry } from '@/core/book/profile-entry';
import type { SetupProblem } from '@/core/setup/setup-problem';
import type { Question } from './to-question';

/** The side that stands for a set-up in words and drawings: the right one of two. */
const shownSide = (q: Question): Side => (q.input.side === 'both' ? 'right' : q.input.side);

/** A question posed: with its search where it hangs on a cable, with its profile where it does not. */
export interface Described {
  readonly posed: PosedEntry;
  readonly side: Side;
  readonly settings: readonly FitSetting[];
  readonly region: LoadedRegion;
  readonly problem: SetupProblem | null;
  readonly free: ProfiledEntry | null;
}

/** Pose a question and find what is set by rule; null when the client's range leaves too little of the movement. */
export function describeQuestion(q: Question): Described | null {
  const side = shownSide(q);
  const { setup, entry } = q;
  const { body, kit } = q.input;
  const problem = setup ? findProblem(setup) : null;
  const free = setup ? null : profileEntry(entry, q.input, side);
  const posed = setup
    ? poseEntry(
        withKit(entry, kit),
        body,
        side,
        { active: setup.range, limits: setup.limits, stopLevel: setup.stopLevel, fit: setup.fit },
        kit.surfaces,
        setup.options,
      )
    : (free?.posed ?? null);
  if (!posed || (setup && !problem)) return null;
  const stops = free ?? {
    startBy: posed.range.cutStart ? ('joint' as const) : ('own' as const),
    finishBy: posed.range.cutFinish ? ('joint' as const) : ('own' as const),
  };
  return {
    posed,
    side,
    settings: fitSettings(entry, body, kit, posed, side, stops),
    region: loadedRegion(entry, posed, side),
    problem,
    free,
  };
}
