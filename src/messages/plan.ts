import type { LoadedPart } from '@/core/body/loaded-part';
import type { OrderRule } from '@/core/plan/session-order';
import type { Change } from '@/core/plan/session-time';
import type { LoadUnit } from '@/core/units/mass';
import { loadText } from './loads';
import { ON_PART } from './reasons';

/** Why a movement cannot be planned so; loads in grams. */
export const PLAN_REFUSAL = {
  notListed: 'expected one of the list',
  otherPlan: 'The plan has changed since this page was opened: open it again, then order it.',
  begunMeanwhile: 'A movement was begun since this page was opened: what was begun stays ahead of the others.',
  otherVariant: 'expected a variant of this movement',
  noGym: 'expected a gym on record: enter one under Kit first',
  onePulley: 'expected left or right: a single column serves one arm',
  overLimit: (allowedG: number, limitG: number, part: LoadedPart, unit: LoadUnit): string =>
    `expected at most ${loadText(allowedG, unit)} here: a clinician’s limit of ${loadText(limitG, unit)} ` +
    ON_PART[part],
  noSuchLoad: (nearestG: number, unit: LoadUnit): string =>
    `expected a load that is here; the nearest is ${loadText(nearestG, unit)}`,
} as const;

/** What is planned of a movement: "3 x 10, 3-1-2-1, 15 kg, each side". */
export const plannedText = (
  { sets, reps, tempo }: { readonly sets: number; readonly reps: number; readonly tempo: string },
  load: string | null,
  eachSide: boolean,
): string => [`${sets} × ${reps}`, tempo, load, eachSide ? 'each side' : null].filter(Boolean).join(', ');

/** Movements in their order. */
export const orderText = (names: readonly string[]): string => names.join(', then ');

/** Two of some names, and how many more there are. */
const someOf = (names: readonly string[]): string =>
  names.length <= 2 ? names.join('; ') : `${names.slice(0, 2).join('; ')} and ${names.length - 2} more`;

/** Why some movements should come before another; their names. */
export const RULE_TEXT: Readonly<Record<OrderRule, (first: readonly string[], then: string) => string>> = {
  'wake-up-first': (first, then) => `${then} comes after what wakes it up: ${someOf(first)}.`,
  'compound-first': (first, then) => `${then} comes after what works two joints: ${someOf(first)}.`,
  'refining-late': (first, then) => `${then} refines, and is better after ${someOf(first)}.`,
};

/** What lies between two movements. */
export const CHANGE_TEXT: Readonly<Record<Change, string>> = {
  side: 'other side',
  hole: 'same column, same handle',
  handle: 'same column, other handle',
  station: 'another station',
};
