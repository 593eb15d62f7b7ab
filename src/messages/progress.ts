import type { BandChoice } from '@/core/load/choose-band';
import type { KeptPace } from '@/core/record/course';
import type { ProgressReason, SessionResult } from '@/core/load/progress';

/** Why a load is offered for today, after "15 kg". */
export const PROGRESS_TEXT: Readonly<Record<ProgressReason, string>> = {
  first: 'as planned: nothing on record yet',
  up: 'one step up: two sessions clean at the top of the reps',
  limit: 'the clinician’s limit allows no more',
  'end-of-stack': 'the heaviest there is',
  'one-more-clean': 'the same once more: clean at the top, then a step up',
  'reps-first': 'the same: all reps first',
  'form-first': 'the same: clean sets first',
  down: 'one step down: faults from the load in two sessions',
};

/** What a session says about the next load. */
export function evidenceText(r: SessionResult): string {
  if (r.loadCaused) return 'faults from the load';
  if (!r.topReached) return 'reps short of the target';
  return r.clean ? 'all reps, clean' : 'all reps, with faults that hold the load back';
}

/** What a rep took, from the start of its set to the end, beside what the tempo asks. */
export const paceText = ({ tookS, askedS }: KeptPace): string => `${tookS.toFixed(1)} s a rep, ${askedS} asked`;

/** What a band should leave, and by which set; `reps` were done with the band called `by`. */
export function bandAdviceText({ reps, more, within }: BandChoice, done: number, by: string): string {
  const left = reps === 0 ? 'not one strict rep yet' : more ? '20 strict reps or more' : `about ${reps} strict reps`;
  return `${within ? left : `nearest here: ${left}`}, by ${done} with the ${by.toLowerCase()}`;
}
