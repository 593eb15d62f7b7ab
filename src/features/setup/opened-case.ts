import { lately } from '@/core/record/lately';
import type { Practice } from '@/core/book/practice';
import { poseQuestion } from '@/core/book/pose-question';
import type { Question } from '@/core/book/question';
import { caseSchema, type CaseInput } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { WORDS } from '@/messages/screens/setup';
import { toQuestion } from '@/solver/to-question';

/** A case as a bench opens it: its question, or what is wrong with it. */
export type OpenedCase =
  { readonly ok: true; readonly question: Question } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** Cases at hand, with what was answered of each: where benches are drawn, and on the device that goes back to one. */
const CASES_AT_HAND = 24;
/** Answers to one case that stay at hand, by what was chosen. */
const CHOICES_AT_HAND = 2;

const openedLately = lately<OpenedCase>(CASES_AT_HAND);

/**
 * Open a case whose questions of practice have known sides; a station that cannot hold this client, and a range that
 * leaves too little of the movement, say so instead of drawing nonsense. The same case is the same question as long as
 * it is at hand.
 */
export const openCase = (setupCase: CaseInput, practices: readonly Practice[]): OpenedCase =>
  openedLately(JSON.stringify([setupCase, practices]), () => {
    const parsed = caseSchema.safeParse(setupCase);
    if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
    const question = toQuestion(parsed.data, practices);
    return poseQuestion(question)
      ? { ok: true, question }
      : { ok: false, issues: [{ path: 'client.activeRangeDeg', message: WORDS.theMeasuredRangeOrA }] };
  });

/** What follows from a question and from what was chosen of it (plain data), made once for a bench opened again. */
export function answeredOnce<T>(): (question: Question, chosen: unknown, make: () => T) => T {
  const known = new WeakMap<Question, (key: string, make: () => T) => T>();
  return (question, chosen, make) => {
    const own = known.get(question) ?? lately<T>(CHOICES_AT_HAND);
    known.set(question, own);
    return own(JSON.stringify(chosen), make);
  };
}
