import type { ClientNote } from '@/core/body/client-note';
import { answerQuestion, posedOf, type GoodAnswer, type QuestionAnswer } from './answer-question';
import type { BookEntry } from './book-entry';
import { usualOptions, type EntryOptions } from './entry-options';
import {
  asksBeyondNumbers,
  ownSideOf,
  practicesOf,
  type Practice,
  type PracticeChoice,
  type PracticeQuestion,
} from './practice';
import { withChoices, type Question } from './question';
import { rangeDegOf } from './range-deg';

/** What another side of a question would change in an answer. */
export interface AnswerChange {
  /** Hole and mark where they are others, the mark in metres from the pulleys. */
  readonly hole: number | null;
  readonly standX: number | null;
  /** Greatest resistance and mean of the rep, as shares of what they are. */
  readonly peakBy: number;
  readonly meanBy: number;
  /** Turn of the joint that works, degrees. */
  readonly rangeByDeg: number;
  /** How far along the range the hardest moves, shares of it; positive towards the finish. */
  readonly hardestBy: number;
}

/** A side of a question beside the one that is taken: what it changes; null where there is no set-up with it here. */
export interface PracticeEffect {
  readonly question: PracticeQuestion;
  readonly side: string;
  readonly change: AnswerChange | null;
}

/** Less than this is no change that a trainer would set or a client feel (our judgement). */
export const FELT = { markM: 0.02, share: 0.02, rangeDeg: 2, hardest: 0.05 } as const;

const rangeOf = (a: GoodAnswer): number => rangeDegOf(posedOf(a).path, posedOf(a).target.joint);

function changeOf(was: GoodAnswer, now: GoodAnswer): AnswerChange {
  const share = (a: number, b: number): number => (a > 0 ? b / a - 1 : 0);
  return {
    hole: now.placement && now.placement.hole !== was.placement?.hole ? now.placement.hole : null,
    standX:
      now.placement && Math.abs(now.placement.standX - was.placement!.standX) >= FELT.markM
        ? now.placement.standX
        : null,
    peakBy: share(was.metrics.peakResistanceNm, now.metrics.peakResistanceNm),
    meanBy: share(was.metrics.meanResistanceNm, now.metrics.meanResistanceNm),
    rangeByDeg: rangeOf(now) - rangeOf(was),
    hardestBy: now.metrics.hardestAt - was.metrics.hardestAt,
  };
}

/**
 * Questions of practice that a movement raises for a client, with our side of each. `plain`: the movement as the book
 * has it, answered; what the top of the range asks is judged on it, as if it were loaded to the end where it has none.
 */
export function practicesOn(own: BookEntry, notes: readonly ClientNote[], plain: QuestionAnswer): readonly Practice[] {
  const peakNm = plain.ok ? plain.metrics.peakResistanceNm : 0;
  return practicesOf(own, notes, plain.ok && peakNm > 0 ? plain.samples.resistanceNm.at(-1)! / peakNm : 1);
}

/** The same for a question, whose plain answer is solved here. */
export function practicesFor(question: Question, notes: readonly ClientNote[]): readonly Practice[] {
  const { own, range, side } = question;
  return practicesOn(own, notes, answerQuestion(withChoices(question, usualOptions(own, range.fit), side)));
}

/** Choices with a side of every question that is raised: the chosen one, ours where it is left open. */
export const withOurSides = (options: EntryOptions, practices: readonly Practice[]): EntryOptions => ({
  ...options,
  practices: Object.fromEntries(practices.map((p) => [p.question, options.practices[p.question] ?? p.preset])),
});

/** The side that stands for a question: the chosen one, else the movement's own way. */
export const takenSide = (question: PracticeQuestion, chosen: PracticeChoice): string =>
  chosen[question] ?? ownSideOf(question);

/**
 * What every side that is not taken would change in the answer to a question, each solved anew for this body, load and
 * kit. Empty where the question has no answer as it is.
 */
export function practiceEffects(question: Question, practices: readonly Practice[]): readonly PracticeEffect[] {
  const { options, side: working } = question;
  const was = answerQuestion(question);
  if (!was.ok) return [];
  return practices.flatMap(({ question: asks, options: sides }) =>
    sides
      .filter((side) => side !== takenSide(asks, options.practices))
      .map((side) => {
        const chosen = { ...options, practices: { ...options.practices, [asks]: side } };
        const now = answerQuestion(withChoices(question, chosen, working));
        return { question: asks, side, change: now.ok ? changeOf(was, now) : null };
      }),
  );
}

/** Whether a change can be set or felt. */
export const isFelt = (c: AnswerChange): boolean =>
  c.hole !== null ||
  c.standX !== null ||
  Math.max(Math.abs(c.peakBy), Math.abs(c.meanBy)) >= FELT.share ||
  Math.abs(c.rangeByDeg) >= FELT.rangeDeg ||
  Math.abs(c.hardestBy) >= FELT.hardest;

/**
 * Whether a question is asked of a movement: its sides are told apart beyond numbers, or one that is not taken changes
 * something here or cannot be done; before the effects are known, every one is.
 */
export const isAsked = (question: PracticeQuestion, effects: readonly PracticeEffect[] | null): boolean =>
  effects === null ||
  asksBeyondNumbers(question) ||
  effects.some((e) => e.question === question && (e.change === null || isFelt(e.change)));
