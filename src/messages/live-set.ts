import type { WorkKind } from '@/core/book/book-entry';
import type { Phase } from '@/core/tempo/tempo';

/** What is done in each phase, in a word that is called out. A drill and a stretch lift nothing. */
export const PHASE_WORD: Readonly<Record<WorkKind, Readonly<Record<Phase | 'ready', string>>>> = {
  lift: { lifting: 'lift', finish: 'hold', lowering: 'lower', stretch: 'stretch', ready: 'get set' },
  drill: { lifting: 'go', finish: 'hold', lowering: 'back', stretch: 'rest', ready: 'get set' },
  hold: { lowering: 'go in', stretch: 'hold', lifting: 'come out', finish: 'loose', ready: 'get set' },
};

/** What a set is counted in: the holds of a stretch, the reps of anything else. */
export type Counted = 'rep' | 'hold';
export const countedIn = (work: WorkKind): Counted => (work === 'hold' ? 'hold' : 'rep');
export const countOf = (n: number, of: Counted): string => `${n} ${of}${n === 1 ? '' : 's'}`;

/** For a hold. */
export const HOLD_BREATH = 'Breathe on, slowly';

/** When to breathe, by phase. */
export const BREATH_TEXT = {
  'out-on-effort': { lifting: 'Breathe out', lowering: 'Breathe in' },
  'in-on-pull': { lifting: 'Breathe in', lowering: 'Breathe out' },
} as const;

/** What ends the set. */
export const LAST_REPS_TEXT = {
  strict: 'Last reps: strict, the set ends with the form',
  'little-help': 'Last reps: a little help if it is needed',
} as const;

/** For every way back. */
export const LOWERING_CUE = 'Slow all the way back';

export const shortPausesText = (holdS: number): string =>
  `Blood pressure noted: keep the pauses to ${holdS} s and breathe through.`;

export const overLimitText = 'The load stands above the clinician’s limit: step it down.';

/** How far a set is from its target, near it and past it. */
export function targetText(left: number, reps: number): string {
  if (left > 1) return `${left} left`;
  if (left === 1) return 'Last one';
  return left === 0 ? `${reps}: that is the set` : `${-left} over ${reps}`;
}
