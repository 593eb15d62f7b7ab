export { seeded } from '../../tracker/seeded';
import { buildBody, type BodyInput } from '@/core/body/body-model';
import type { Column, HoleColumn, Room } from '@/core/kit/column';
import { findEntry } from '@/core/book/book';
import type { ActiveRangeDeg } from '@/core/body/active-range';
import type { BookEntry } from '@/core/book/book-entry';
import { usualOptions, type EntryOptions } from '@/core/book/entry-options';
import { NO_FIT, type ClientFit } from '@/core/book/client-fit';
import type { Side } from '@/core/body/side';
import { answerQuestion, posedOf } from '@/core/book/answer-question';
import { poseKnown, poseQuestion } from '@/core/book/pose-question';
import { limbOn, searchOf } from '@/core/book/posed-question';
import { profileOf } from '@/core/book/profile-limb';
import { askQuestion, type Asked, type Question } from '@/core/book/question';
import type { SetupProblem } from '@/core/setup/setup-problem';
import { solveSetup, type SolvedSetup } from '@/core/setup/solve-setup';

/** A common twin column: 20 holes from 25 to 215 cm, pulleys 2.4 m apart. */
export const COLUMN: HoleColumn = {
  kind: 'twin',
  leftRuler: null,
  firstHoleM: 0.25,
  pitchM: 0.1,
  holes: 20,
  numberedFrom: 'bottom',
  twinSpacingM: 2.4,
  pulleyRatio: 1,
  clearanceM: 0.05,
  travelM: 3,
  floorPlateM: 0,
};
/** The movements that are sweeps of the whole arm. */
export const FLIES = ['cable-fly-high-to-low', 'cable-fly-level', 'cable-fly-low-to-high'] as const;
export const ROOM: Room = { minDistanceM: -0.3, maxDistanceM: 2 };

export const bodyOf = (statureM: number, more: Partial<BodyInput> = {}) =>
  buildBody({ statureM, massKg: 24 * statureM ** 2, measuredM: {}, ...more });

/** What a test changes of a question that is as usual otherwise. */
export interface Change extends Partial<
  Pick<Question, 'body' | 'options' | 'side' | 'kit' | 'loadKg' | 'fixed' | 'lastUsed' | 'loadLimits'>
> {
  readonly entry?: BookEntry;
  readonly column?: Column;
  readonly room?: Room;
  readonly attachmentM?: number;
  readonly range?: ActiveRangeDeg;
  readonly limits?: ActiveRangeDeg;
  readonly fit?: ClientFit;
}

/** A movement's own choices, upright whatever the load: for what asks one pose of several loads. */
export const uprightOf = (e: BookEntry): EntryOptions => ({ ...usualOptions(e), leanDeg: 0 });

/** A question with everything usual, at the common column, and what a test changes. */
export function questionOf(movement: string, statureM = 1.75, change: Change = {}): Question {
  const {
    entry,
    column = COLUMN,
    room = ROOM,
    attachmentM = 0.14,
    range = {},
    limits = {},
    fit = NO_FIT,
    ...rest
  } = change;
  return askQuestion(entry ?? findEntry(movement)!, {
    body: bodyOf(statureM),
    side: 'both',
    range: { active: range, limits, stopLevel: false, fit },
    column: { column, room, attachmentM },
    ...rest,
  });
}

/** The search of a question at the common column. */
export const problemOf = (...args: Parameters<typeof questionOf>): SetupProblem =>
  searchOf(poseKnown(questionOf(...args)));

/** What `npm run check` looks at of what takes long: every third, from a place in it; `npm test` looks at all. */
export const sampled = <T>(all: readonly T[], from = 0): readonly T[] =>
  process.env.JORVIX_WHOLE ? all : all.filter((_, i) => i % 3 === from % 3);

/** The answer of a movement as it is asked, with its shown limb at hand; what is left out is as usual. */
export function answerOf(entry: BookEntry, asked: Asked) {
  const answer = answerQuestion(askQuestion(entry, asked));
  return answer.ok ? { ...answer, posed: posedOf(answer), side: answer.from.shown } : answer;
}

/** The search of a movement as it is asked; null without a column, or when the range leaves too little of it. */
export const searchFor = (entry: BookEntry, asked: Asked): SetupProblem | null =>
  poseQuestion(askQuestion(entry, asked))?.search ?? null;

/** One side of a movement without a cable, posed and profiled; null when the range leaves too little of it. */
export function profileOn(entry: BookEntry, asked: Asked, side: Side) {
  const posed = poseQuestion(askQuestion(entry, { ...asked, side }));
  if (!posed) return null;
  const limb = limbOn(posed, side);
  return { ...limb, ...profileOf(limb) };
}

/** Solve and insist that there is an answer. */
export function solved(problem: SetupProblem): SolvedSetup {
  const s = solveSetup(problem);
  if (!s.feasible) throw new Error(`blocked: ${JSON.stringify(s.nearest.violations)}`);
  return s;
}
