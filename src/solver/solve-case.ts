import { evaluatePlacement } from '@/core/setup/evaluate';
import { findLeastChange } from '@/core/setup/least-change';
import { buildProblem } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { findStandIn } from '@/core/setup/stand-in';
import { defaultOptions } from '@/core/movement/movement';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { ANSWER_FORMAT, type Answer } from '@/contract/answer';
import { caseSchema, type Case } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { MOVEMENT_NAME } from '@/messages/movements';
import { toAnswerEvaluation, toLimits } from './to-answer';
import { findFullPlacement, toSetupInput } from './to-setup-input';

/** Answer a checked case: solved best, alternatives, the set-up as given and the least change that puts it right. */
export function solveCase(c: Case): Answer {
  const input = toSetupInput(c);
  const problem = buildProblem(input);
  const solution = solveSetup(problem);
  const given = findFullPlacement(c.given);
  const asGiven = given ? toAnswerEvaluation(problem, evaluatePlacement(problem, given)) : null;
  if (!solution.feasible) {
    const standIn = findStandIn(problem);
    const other = standIn
      ? buildProblem({
          ...input,
          movement: MOVEMENT_BOOK[standIn.movement],
          options: { ...(standIn.movement === c.movement ? input.options : defaultOptions(MOVEMENT_BOOK[standIn.movement])), tiltDeg: standIn.tiltDeg },
        })
      : null;
    return {
      format: ANSWER_FORMAT,
      feasible: false,
      best: null,
      alternatives: [],
      asGiven,
      leastChange: null,
      blockedBy: toLimits(solution.nearest.violations, 'best'),
      nearest:
        standIn && other
          ? {
              movement: standIn.movement,
              tiltDeg: standIn.tiltDeg,
              best: toAnswerEvaluation(other, standIn.solution.best),
              says: `On this column: ${MOVEMENT_NAME[standIn.movement].toLowerCase()}, sweep tilted ${standIn.tiltDeg}°, hole ${standIn.solution.best.placement.hole}.`,
            }
          : null,
    };
  }
  const change = given ? findLeastChange(problem, given, solution.best) : null;
  return {
    format: ANSWER_FORMAT,
    feasible: true,
    best: toAnswerEvaluation(problem, solution.best),
    alternatives: solution.alternatives.map((e) => toAnswerEvaluation(problem, e)),
    asGiven,
    leastChange: change ? { changes: change.changes.map((x) => ({ ...x })), result: toAnswerEvaluation(problem, change.result) } : null,
    blockedBy: [],
    nearest: null,
  };
}

export type CaseReply = { readonly ok: true; readonly answer: Answer } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** Parse and answer whatever came in. */
export function answerCase(input: unknown): CaseReply {
  const parsed = caseSchema.safeParse(input);
  return parsed.success ? { ok: true, answer: solveCase(parsed.data) } : { ok: false, issues: toFieldIssues(parsed.error) };
}
