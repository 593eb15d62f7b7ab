import type { Side } from './side';

/** What a trainer notes of a client that changes defaults. A note is an observation, never a diagnosis. */
export const CLIENT_NOTES = [
  'shoulder',
  'elbow',
  'low-back',
  'knee',
  'abdomen-or-groin',
  'blood-pressure',
  'first-month',
  'pregnancy',
  'recent-surgery',
  'under-18',
  'does-not-feel',
  'left-weaker',
  'right-weaker',
  'rounded-shoulders',
] as const;
/** An observation that changes defaults. */
export type ClientNote = (typeof CLIENT_NOTES)[number];

/** Notes for which a clinician's limits must be asked before loading (section "cautions": common practice). */
const NEEDS_CLINICIAN = ['pregnancy', 'recent-surgery', 'under-18'] as const satisfies readonly ClientNote[];
/** A note that asks for a clinician’s limit. */
export type LimitNote = (typeof NEEDS_CLINICIAN)[number];

/** Longest pause asked of a client with a blood-pressure note, seconds (common practice: no long holds). */
const LONGEST_HOLD_S = 2;

/** What the notes change where the trainer has chosen nothing. */
export interface NoteDefaults {
  /** Loaded stretches of the shoulder stop level with the trunk. */
  readonly stopLevel: boolean;
  /** Rows keep the blade set at the bottom instead of reaching. */
  readonly keepBladeSet: boolean;
  /** One arm at a time while a region is not felt or the movement is new. */
  readonly oneArm: boolean;
  /** Knee on a bench is not offered first. */
  readonly avoidStraddle: boolean;
  readonly longestHoldS: number | null;
  /** The side that goes first in movements of one arm or leg; null where neither, or both, are noted. */
  readonly weakerSide: Side | null;
  /** Notes that want a clinician's limit before anything is loaded. */
  readonly wantLimits: readonly LimitNote[];
}

/** What a client’s notes change. */
export function noteDefaults(notes: readonly ClientNote[]): NoteDefaults {
  const has = (n: ClientNote): boolean => notes.includes(n);
  return {
    stopLevel: has('shoulder'),
    keepBladeSet: has('shoulder') || has('first-month'),
    oneArm: has('does-not-feel'),
    avoidStraddle: has('abdomen-or-groin'),
    weakerSide: has('left-weaker') === has('right-weaker') ? null : has('left-weaker') ? 'left' : 'right',
    longestHoldS: has('blood-pressure') ? LONGEST_HOLD_S : null,
    wantLimits: NEEDS_CLINICIAN.filter(has),
  };
}
