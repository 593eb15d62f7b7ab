import type { ClientNote } from '@/core/body/client-note';
import { WORTH_PRACTICES, type BookEntry } from './book-entry';
import {
  PRACTICE_QUESTIONS,
  practicesOf,
  presetsOf,
  sidesOfPractice,
  type PracticeChoice,
  type PracticeQuestion,
} from './practice';

/** What a kind of movement is worth: what its numbers say, as much as the best of its region, or nothing. */
const WORTH = ['as-measured', 'worth-it', 'not-worth-it'] as const;

/** Questions of practice that are answered for a whole plan, not for one movement, each with its sides, ours first. */
export const PLAN_PRACTICES = {
  'deltoid-share': ['half-side', 'mostly-side', 'spread-evenly'],
  'opposite-muscles': ['when-short', 'one-first', 'in-turns'],
  kickbacks: WORTH,
  'neutral-curls': WORTH,
  'squeeze-presses': WORTH,
} as const satisfies Readonly<Record<string, readonly string[]>> &
  Readonly<Record<(typeof WORTH_PRACTICES)[number], unknown>>;

/** A question that is answered for a whole plan. */
export type PlanQuestion = keyof typeof PLAN_PRACTICES;
/** The sides of such a question. */
export type PlanSide<Q extends PlanQuestion = PlanQuestion> = (typeof PLAN_PRACTICES)[Q][number];
/** A question that a trainer can answer once for all movements of theirs or of a client. */
export type StandingQuestion = PlanQuestion | PracticeQuestion;

const isOfPlan = (q: StandingQuestion): q is PlanQuestion => q in PLAN_PRACTICES;

/** Every question that can be answered once, those of a plan first. */
export const STANDING_QUESTIONS: readonly StandingQuestion[] = [
  ...(Object.keys(PLAN_PRACTICES) as PlanQuestion[]),
  ...PRACTICE_QUESTIONS,
];

/** The sides of a question that can be answered once. */
export const sidesOfStanding = (q: StandingQuestion): readonly string[] =>
  isOfPlan(q) ? PLAN_PRACTICES[q] : sidesOfPractice(q);

/** Our sides of a question for a client's notes: one, or two where the curve of the movement decides between them. */
export const oursOf = (q: StandingQuestion, notes: readonly ClientNote[]): readonly string[] =>
  isOfPlan(q) ? [PLAN_PRACTICES[q][0]] : presetsOf(q, notes);

/** A side that was taken once and stands from then on. */
export interface StandingSide {
  readonly question: StandingQuestion;
  readonly side: string;
  readonly sinceMs: number;
}

/** The sides that stand for a client: their own, and those of the trainer who has them. */
export interface Standing {
  readonly client: readonly StandingSide[];
  readonly trainer: readonly StandingSide[];
}

/** Nobody's: ours stand. */
export const NO_STANDING: Standing = { client: [], trainer: [] };

/** The sides that a movement was set up with for a client, and when. */
export interface KeptSides {
  readonly practices: PracticeChoice;
  readonly atMs: number;
}

/** Whose choice a side is: of who has this client, of their trainer, or neither's. */
export type ChosenBy = 'client' | 'trainer' | null;

const sideIn = (of: readonly StandingSide[], question: StandingQuestion): StandingSide | undefined =>
  of.find((s) => s.question === question);

/**
 * The side that stands for one question of a movement, and by whom; null leaves it to ours. What is newest stands: a
 * client's own choice before what the movement was set up with earlier; the trainer's before what was set up earlier
 * with our side, where no note of the client asks for another one. A variant's own side gives way to neither.
 */
function standingSide(
  notes: readonly ClientNote[],
  { question, options }: { readonly question: PracticeQuestion; readonly options: readonly string[] },
  { client, trainer }: Standing,
  kept: KeptSides | null,
  own: PracticeChoice,
): { readonly side: string; readonly by: ChosenBy } | null {
  const keptSide = kept?.practices[question];
  const since = kept && keptSide !== undefined ? kept.atMs : -Infinity;
  const before = keptSide ?? own[question];
  if (own[question] !== undefined) return { side: before!, by: null };
  const isNew = (s: StandingSide | undefined): boolean =>
    s !== undefined && options.includes(s.side) && s.sinceMs > since;
  const [ofClient, ofTrainer] = [sideIn(client, question), sideIn(trainer, question)];
  if (ofClient && isNew(ofClient)) return { side: ofClient.side, by: 'client' };
  const ours = presetsOf(question, notes);
  const isNoted = ours.join() !== presetsOf(question, []).join();
  if (ofTrainer && isNew(ofTrainer) && !isNoted && (before === undefined || ours.includes(before)))
    return { side: ofTrainer.side, by: 'trainer' };
  if (before === undefined) return null;
  const by = before === ofClient?.side ? 'client' : before === ofTrainer?.side ? 'trainer' : null;
  return { side: before, by };
}

/** The sides that stand for a movement of a client, and whose choice each is. */
export interface StandingPractices {
  readonly practices: PracticeChoice;
  readonly by: Readonly<Partial<Record<PracticeQuestion, ChosenBy>>>;
}

/**
 * The sides that stand for a movement: what was set up, what was chosen once for this client or by their trainer; the
 * rest is left open, and a side kept of a question that is not raised here any longer stands for nothing. `own`: sides
 * that a variant of the movement has.
 */
export function standingPractices(
  e: BookEntry,
  notes: readonly ClientNote[],
  standing: Standing,
  kept: KeptSides | null = null,
  own: PracticeChoice = {},
): StandingPractices {
  const found = practicesOf(e, notes, 1).flatMap((p) => {
    const side = standingSide(notes, p, standing, kept, own);
    return side ? [[p.question, side] as const] : [];
  });
  return {
    practices: Object.fromEntries(found.map(([q, { side }]) => [q, side])),
    by: Object.fromEntries(found.map(([q, { by }]) => [q, by])),
  };
}

/** The side of a plan's question that stands for a client: their own, their trainer's, ours. */
export function planSide<Q extends PlanQuestion>(question: Q, { client, trainer }: Standing): PlanSide<Q> {
  const of = (all: readonly StandingSide[]): PlanSide<Q> | undefined =>
    (PLAN_PRACTICES[question] as readonly PlanSide<Q>[]).find((s) => s === sideIn(all, question)?.side);
  return of(client) ?? of(trainer) ?? PLAN_PRACTICES[question][0];
}

/** The sides of every plan question that stand for a client. */
export type PlanPractice = { readonly [Q in PlanQuestion]: PlanSide<Q> };

/** Every plan question's side for a client. */
export const planPractice = (standing: Standing): PlanPractice =>
  Object.fromEntries(
    (Object.keys(PLAN_PRACTICES) as PlanQuestion[]).map((q) => [q, planSide(q, standing)]),
  ) as unknown as PlanPractice;

/** What a movement is held to be worth: its numbers, as much as the best of its region, or nothing. */
export const worthOfKind = (e: BookEntry, practice: PlanPractice): (typeof WORTH)[number] => {
  const question = WORTH_PRACTICES.find((q) => e.raises.includes(q));
  return question ? practice[question] : 'as-measured';
};
