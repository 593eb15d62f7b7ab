import type { Side } from '@/core/body/active-range';
import { findProblem, type SetupInput } from '@/core/book/build-problem';
import { inHandKg } from '@/core/book/entry-load';
import { withKit } from '@/core/book/fit-entry';
import { poseEntry, SHORTEST_SHARE, type PosedEntry } from '@/core/book/pose-entry';
import { profileEntry, type ProfiledEntry } from '@/core/book/profile-entry';
import { wholeRangeDeg } from '@/core/book/solve-entry';
import { findStandIn } from '@/core/book/stand-in';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { findLeastChange } from '@/core/setup/least-change';
import { solveSetup } from '@/core/setup/solve-setup';
import { ANSWER_FORMAT, type Answer } from '@/contract/answer';
import { caseSchema, type Case } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { BOOK_TEXT } from '@/messages/book';
import { toAnswerEvaluation, toFreeEvaluation, toLimits } from './to-answer';
import { findFullPlacement, toQuestion, type Question } from './to-question';

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
  const { wholeDeg, leftDeg } = wholeRangeDeg(q.entry, q.input);
  return {
    ...empty(),
    feasible: false,
    blockedBy: toLimits([{ limit: 'range', need: SHORTEST_SHARE * wholeDeg, have: leftDeg }], 'best'),
  };
}

/** Pose of a side as the search posed it, for words about settings and regions. */
const posedFor =
  (setup: SetupInput) =>
  (side: Side): PosedEntry =>
    poseEntry(
      withKit(setup.entry, setup.kit),
      setup.body,
      side,
      { active: setup.range, limits: setup.limits, stopLevel: setup.stopLevel, fit: setup.fit },
      setup.kit.surfaces,
      setup.options,
    )!;

function solveFree(q: Question): Answer {
  const sides: readonly Side[] = q.input.side === 'both' ? ['left', 'right'] : [q.input.side];
  const bySide: Partial<Record<Side, ProfiledEntry>> = {};
  for (const side of sides) {
    const p = profileEntry(q.entry, q.input, side);
    if (!p) return tooShort(q);
    bySide[side] = p;
  }
  const inHand = inHandKg(q.entry, q.input.loadKg, 1);
  if (q.mostLoadKg !== null && inHand > q.mostLoadKg)
    return {
      ...empty(),
      feasible: false,
      blockedBy: toLimits([{ limit: 'load', need: inHand, have: q.mostLoadKg }], 'best'),
    };
  return { ...empty(), feasible: true, best: toFreeEvaluation(q, bySide) };
}

/** Answer a checked case: solved best, alternatives, the set-up as given and the least change that puts it right. */
export function solveCase(c: Case): Answer {
  const q = toQuestion(c);
  const { setup } = q;
  if (!setup) return solveFree(q);
  const problem = findProblem(setup);
  if (!problem) return tooShort(q);
  const solution = solveSetup(problem);
  const given = findFullPlacement(c.given);
  const tell = (e: Parameters<typeof toAnswerEvaluation>[3]) => toAnswerEvaluation(setup, problem, posedFor(setup), e);
  const asGiven = given ? tell(evaluatePlacement(problem, given)) : null;
  if (!solution.feasible) {
    const standIn = findStandIn(setup);
    const name = standIn && BOOK_TEXT[standIn.entry.id]!.name.toLowerCase();
    return {
      ...empty(),
      feasible: false,
      asGiven,
      blockedBy: toLimits(solution.nearest.violations, 'best'),
      nearest: standIn && {
        movement: standIn.entry.id,
        tiltDeg: standIn.tiltDeg,
        best: toAnswerEvaluation(
          standIn.input,
          findProblem(standIn.input)!,
          posedFor(standIn.input),
          standIn.solution.best,
        ),
        says:
          `On this column: ${name}, ` +
          (standIn.tiltDeg === null ? '' : `sweep tilted ${standIn.tiltDeg}°, `) +
          `hole ${standIn.solution.best.placement.hole}.`,
      },
    };
  }
  const change = given ? findLeastChange(problem, given, solution.best) : null;
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
