import { type WorkingSide } from '@/core/body/side';
import { answerQuestion, type NoAnswer, type QuestionAnswer } from '@/core/book/answer-question';
import { entryOf, findEntry, type MovementId } from '@/core/book/book';
import { sidesOf, worksOn, type BookEntry } from '@/core/book/book-entry';
import { usualOptions, type EntryOptions } from '@/core/book/entry-options';
import { practicesOn, withOurSides } from '@/core/book/practice-effect';
import type { PracticeQuestion } from '@/core/book/practice';
import { standingPractices, type ChosenBy } from '@/core/book/standing-practice';
import { askQuestion, type Question } from '@/core/book/question';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { USUAL_ATTACHMENT, type AttachmentKind, type AttachmentShape } from '@/core/kit/attachment';
import type { ChoosingView } from '@/contract/views/choosing';

type GymColumn = ChoosingView['gym']['columns'][number];

/** The weight every curve of the book is shown at; body weight and bands are themselves. */
export const SHOWN_KG = 15;

const usual = (kind: AttachmentKind): AttachmentShape => ({ kind, ...USUAL_ATTACHMENT[kind] });

/** A handle here that fits, else one of its kind as usual. */
function handleFor({ load }: BookEntry, data: ChoosingView): Pick<AttachmentShape, 'lengthM' | 'handsM' | 'kind'> {
  if (load.kind !== 'cable') return { kind: 'own', lengthM: 0, handsM: null };
  return data.gym.attachments.find((a) => load.attachments.includes(a.kind)) ?? usual(load.attachments[0]!);
}

/** A movement asked on the first column here that serves it, with a handle that fits or its usual length. */
function answerOn(
  own: BookEntry,
  options: EntryOptions,
  data: ChoosingView,
  side: WorkingSide,
): { readonly answer: QuestionAnswer; readonly column: GymColumn | null } {
  const { body, range, kit } = data;
  const ask = (column: Question['column']): QuestionAnswer =>
    answerQuestion(askQuestion(own, { options, body, range, kit, side, loadKg: SHOWN_KG, column }));
  if (own.load.kind !== 'cable') return { answer: ask(null), column: null };
  const { lengthM: attachmentM, handsM, kind: attachment } = handleFor(own, data);
  let refusal: NoAnswer | null = null;
  for (const column of data.gym.columns) {
    const answer = ask({ column: column.column, room: column.room, attachmentM, handsM, attachment });
    if (answer.ok) return { answer, column };
    refusal ??= answer;
  }
  return { answer: refusal ?? ask(null), column: null };
}

/** The stand-in as the book has it, on what is here; of the side that works where it is done with one. */
export function answerOfStandIn(id: string, data: ChoosingView, side: WorkingSide): QuestionAnswer {
  const own = findEntry(id)!;
  const working = worksOn(own, side) && own.path.kind !== 'sweep' ? side : sidesOf(own).at(-1)!;
  return answerAsUsual(own, data, working);
}

/** A movement as the book has it, on what is here. */
export const answerAsUsual = (own: BookEntry, data: ChoosingView, side: WorkingSide): QuestionAnswer =>
  answerOn(own, usualOptions(own, data.range.fit), data, side).answer;

/** The movement as chosen, our side of every question where none is, with its answer and what is set by rule. */
export function answerAsChosen(entryId: MovementId, data: ChoosingView, side: WorkingSide, options: EntryOptions) {
  const own = entryOf(entryId);
  // What the top of the range asks is judged on the movement as it is in the book.
  const plain = answerOn(own, usualOptions(own, data.range.fit), data, side).answer;
  const practices = practicesOn(own, data.notes, plain);
  const stands = standingPractices(own, data.notes, data.standing);
  const taken = withOurSides({ ...options, practices: { ...stands.practices, ...options.practices } }, practices);
  const { answer, column } = answerOn(own, taken, data, side);
  return {
    own,
    practices,
    chosen: taken.practices,
    /** Whose choice a side is that was not taken on this page. */
    chosenBy: (q: PracticeQuestion): ChosenBy => (options.practices[q] === undefined ? (stands.by[q] ?? null) : null),
    answer,
    column,
    settings: answer.ok ? settingsOf(answer.from) : [],
    region: answer.ok ? regionOf(answer.from) : null,
  };
}

/** A movement as chosen, with its answer. */
export type ChosenMovement = ReturnType<typeof answerAsChosen>;
