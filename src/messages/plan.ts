import dayjs from 'dayjs';
import type { WorkingSide } from '@/core/body/side';
import type { LoadedPart } from '@/core/body/loaded-part';
import type { OrderRule } from '@/core/plan/session-order';
import type { Change } from '@/core/plan/session-time';
import { aimBlocks, type Aimed } from '@/core/tempo/set-aims';
import type { LoadUnit } from '@/core/units/mass';
import { loadText } from './loads';
import { ON_PART } from './reasons';
import { RESERVE_TEXT } from './schemes';

/** Why a movement cannot be planned so; loads in grams. */
export const PLAN_REFUSAL = {
  notListed: 'expected one of the list',
  otherPlan: 'The plan has changed since this page was opened: open it again, then order it.',
  noSessionYet: 'expected a client who has trained here before: there is no session to repeat yet',
  notHere: (why: readonly string[]): string => `Cannot be done there. ${why.join('. ')}. Tick this to leave them out.`,
  begunStays: 'expected the same day: sets are on record already',
  begunIsFinished: 'Sets are on record: finish the session instead.',
  begunIsSkipped: 'Sets are on record: skip the rest of it instead.',
  notYours: 'It is dropped by who made it, or by the owner.',
  nothingToKeep: 'expected a session with movements',
  noTurns: 'expected two movements of opposite muscles, both heavy or both of one joint, in turns with no other',
  sharedAlready: 'It is shared with somebody else already: let them train alone first.',
  noLoad: 'expected a load',
  noReason: 'expected a reason, in up to 200 characters',
  otherVariant: 'expected a variant of this movement',
  noGym: 'expected a gym on record: enter one under Kit first',
  onePulley: 'expected left or right: a single column serves one arm',
  overLimit: (allowedG: number, limitG: number, part: LoadedPart, unit: LoadUnit): string =>
    `expected at most ${loadText(allowedG, unit)} here: a clinician’s limit of ${loadText(limitG, unit)} ` +
    ON_PART[part],
  noSuchLoad: (nearestG: number, unit: LoadUnit): string =>
    `expected a load that is here; the nearest is ${loadText(nearestG, unit)}`,
} as const;

/** Why a movement is skipped that a session has no time for. */
export const NO_TIME_LEFT = 'no time left';

/** "Mon 30 Nov". */
export const dayTitle = (ms: number): string => dayjs(ms).format('ddd D MMM');

/** "Week of 30 Nov 2026", by its Monday. */
export const weekTitle = (mondayMs: number): string => `Week of ${dayjs(mondayMs).format('D MMM YYYY')}`;

/** When a session is, and how long. */
export const whenText = (starts: string, minutes: number): string => `${starts}, ${minutes} min`;

interface Planned extends Aimed {
  readonly side: WorkingSide;
  readonly tempo: string;
  readonly load: string | null;
  /** What loads of its blocks are told in. */
  readonly unit: LoadUnit;
}

/** Blocks of sets: "2 × 20, then 3 × 10 at 15 kg to failure". */
const blocksText = (planned: Aimed, unit: LoadUnit): string =>
  aimBlocks(planned)
    .map(({ sets, reps, reserve, loadG }) =>
      [
        `${sets} × ${reps}`,
        loadG === null ? '' : `at ${loadText(loadG, unit)}`,
        reserve === null ? '' : reserve === 0 ? RESERVE_TEXT[0]! : `with ${RESERVE_TEXT[reserve]!}`,
      ]
        .filter(Boolean)
        .join(' '),
    )
    .join(', then ');

/** What is planned of a movement, or of its two sides: "3 × 10, 3-1-2-1, 15 kg, each side", or each side by itself. */
export function plannedText(sides: readonly Planned[]): string {
  const says = (p: Planned): string => [blocksText(p, p.unit), p.tempo, p.load].filter(Boolean).join(', ');
  const [first, second] = sides;
  if (!first || !second) return first ? says(first) : '';
  return says(first) === says(second)
    ? `${says(first)}, each side`
    : `${first.side} ${says(first)}; ${second.side} ${says(second)}`;
}

/** Why a load is suggested: between what the formulas lie, and the set that says so. */
export const suggestedText = (between: string, by: string): string => `${between}, from ${by}`;

/** A set that was lifted, and the day: "12 × 15 kg on 3 Nov". */
export const liftedOn = (reps: number, load: string, atMs: number): string =>
  `${reps} × ${load} on ${dayjs(atMs).format('D MMM')}`;

/** Movements in their order. */
export const orderText = (names: readonly string[]): string => names.join(', then ');

/** Two of some names, and how many more there are. */
const someOf = (names: readonly string[]): string =>
  names.length <= 2 ? names.join('; ') : `${names.slice(0, 2).join('; ')} and ${names.length - 2} more`;

/** Why some movements should come before another; their names. */
export const RULE_TEXT: Readonly<Record<OrderRule, (first: readonly string[], then: string) => string>> = {
  'wake-up-first': (first, then) => `${then} comes after what wakes it up: ${someOf(first)}.`,
  'compound-first': (first, then) => `${then} comes after what works two joints: ${someOf(first)}.`,
  'one-arm-first': (first, then) => `${then} comes after one arm at a time, light: ${someOf(first)}.`,
  'joint-warm-first': (first, then) => `${then} asks much of a noted joint: better after ${someOf(first)}.`,
  'refining-late': (first, then) => `${then} refines, and is better after ${someOf(first)}.`,
};

/** What lies between two movements. */
export const CHANGE_TEXT: Readonly<Record<Change, string>> = {
  side: 'other side',
  hole: 'same column, same handle',
  handle: 'same column, other handle',
  station: 'another station',
};
