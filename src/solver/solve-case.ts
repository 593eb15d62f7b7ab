import { wholeRangeDeg } from '@/core/book/answer-question';
import { findOverload } from '@/core/book/load-limit';
import { SHORTEST_SHARE } from '@/core/book/pose-entry';
import { poseQuestion } from '@/core/book/pose-question';
import type { PosedQuestion } from '@/core/book/posed-question';
import type { Question } from '@/core/book/question';
import { findStandIn } from '@/core/book/stand-in';
import { evaluatePlacement, type Evaluation } from '@/core/setup/evaluate';
import { findLeastChange } from '@/core/setup/least-change';
import { solveSetup } from '@/core/setup/solve-setup';
import { ANSWER_FORMAT, type Answer } from '@/contract/answer';
import { caseSchema, type Case } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { BOOK_TEXT } from '@/messages/book';
import { toAnswerEvaluation, toFreeEvaluation, toLimits } from './to-answer';
import { findFullPlacement, toQuestion } from './to-question';

const empty = (): Omit<Answer, 'feasible'> => ({
  format: ANSWER_FORMAT,
  best: null,
  alternatives: [],
  asGiven: null,
  leastChange: null,
  blockedBy: [],
  nearest: null,
});

/** A range that leaves too little: what is needed and what is there, degrees at the target joint. */
function tooShort(q: Question): Answer {
  const { wholeDeg, leftDeg } = wholeRangeDeg(q);
  return {
    ...empty(),
    feasible: false,
    blockedBy: toLimits([{ limit: 'range', need: SHORTEST_SHARE * wholeDeg, have: leftDeg }], 'best'),
  };
}

function answerFree(posed: PosedQuestion): Answer {
  const { question } = posed;
  const over = findOverload(posed.entry, question.loadKg, 1, question.loadLimits);
  if (!over) return { ...empty(), feasible: true, best: toFreeEvaluation(posed) };
  const limit = { limit: 'load' as const, need: over.haveKg, have: over.mostKg, part: over.part };
  return { ...empty(), feasible: false, blockedBy: toLimits([limit], 'best') };
}

/** The nearest thing that works on this column, with its answer; null when nothing does. */
function nearestOf(q: Question): Answer['nearest'] {
  const standIn = findStandIn(q);
  if (!standIn) return null;
  const name = BOOK_TEXT[standIn.entry.id]!.name.toLowerCase();
  const { entry, tiltDeg, posed, solution } = standIn;
  const tilt = tiltDeg === null ? '' : `sweep tilted ${tiltDeg}°, `;
  const arm = posed.question.side !== q.side && entry.path.kind === 'sweep' ? 'one arm at a time, ' : '';
  const common = { movement: entry.id, tiltDeg };
  return solution
    ? {
        ...common,
        best: toAnswerEvaluation(posed, solution.best),
        says: `On this column: ${name}, ${arm}${tilt}hole ${solution.best.placement.hole}.`,
      }
    : { ...common, best: toFreeEvaluation(posed), says: `Without a column: ${name}.` };
}

/** Answer a checked case: solved best, alternatives, the set-up as given and the least change that puts it right. */
export function solveCase(c: Case): Answer {
  const question = toQuestion(c);
  const posed = poseQuestion(question);
  if (!posed) return tooShort(question);
  const { search } = posed;
  if (!search) return answerFree(posed);
  const solution = solveSetup(search);
  const given = findFullPlacement(c.given);
  const tell = (e: Evaluation) => toAnswerEvaluation(posed, e);
  const asGiven = given ? tell(evaluatePlacement(search, given)) : null;
  if (!solution.feasible) {
    const blockedBy = toLimits(solution.nearest.violations, 'best');
    return { ...empty(), feasible: false, asGiven, blockedBy, nearest: nearestOf(question) };
  }
  const change = given ? findLeastChange(search, given, solution.best) : null;
  return {
    ...empty(),
    feasible: true,
    best: tell(solution.best),
    alternatives: solution.alternatives.map(tell),
    asGiven,
    leastChange: change ? { changes: change.changes.map((x) => ({ ...x })), result: tell(change.result) } : null,
  };
}

export type CaseReply =
  { readonly ok: true; readonly answer: Answer } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** Parse and answer whatever came in. */
export function answerCase(input: unknown): CaseReply {
  const parsed = caseSchema.safeParse(input);
  return parsed.success
    ? { ok: true, answer: solveCase(parsed.data) }
    : { ok: false, issues: toFieldIssues(parsed.error) };
}
