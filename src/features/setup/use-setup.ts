'use client';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useReducer } from 'react';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { findSensitivity } from '@/core/book/sensitivity';
import { findStandIn } from '@/core/book/stand-in';
import { solveSetup } from '@/core/setup/solve-setup';
import { withFixed } from '@/core/setup/setup-problem';
import { findTolerance, isWithin } from '@/core/setup/tolerance';
import { caseSchema, type CaseInput } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { useLeastChange } from '@/workers/use-least-change';
import { describeQuestion } from '@/solver/describe';
import { toQuestion, withChoices, type Question } from '@/solver/to-question';
import { reduceSetup, type SetupState } from './setup-machine';

export type CaseCheck =
  { readonly ok: true; readonly question: Question } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** Check a case; a station that cannot hold this client says why instead of drawing nonsense. */
export function checkCase(setupCase: CaseInput): CaseCheck {
  const parsed = caseSchema.safeParse(setupCase);
  return parsed.success
    ? { ok: true, question: toQuestion(parsed.data) }
    : { ok: false, issues: toFieldIssues(parsed.error) };
}

const SETTLED_MS = 140;

/** The bench's state and everything computed from it; re-evaluated live as things are moved. */
export function useSetup(
  question: Question,
  bodyInput: { statureM: number; massKg: number; measuredM: object },
  initial: SetupState,
) {
  const [state, dispatch] = useReducer(reduceSetup, initial);
  const solvedPart = useMemo(() => {
    const asked = withChoices(question, state.options, state.side);
    // A choice that leaves this client too little range is told; the drawing stays with what was there.
    const found = describeQuestion(asked);
    const tooShort = found === null;
    const described = found ?? describeQuestion(question);
    const setup = tooShort ? question.setup : asked.setup;
    if (!described?.problem || !setup)
      throw new Error('setup: a bench needs a movement on a cable within the client’s range');
    const problem = Object.keys(state.held).length > 0 ? withFixed(described.problem, state.held) : described.problem;
    const solution = solveSetup(problem);
    const base = solution.feasible ? solution.best : solution.nearest;
    const measured = problem.body.height.shoulderHeight.source === 'measured';
    return {
      entry: setup.entry,
      described,
      tooShort,
      input: setup,
      problem,
      solution,
      base,
      tolerance: solution.feasible ? findTolerance(problem, base) : null,
      standIn: solution.feasible ? null : findStandIn(setup),
      sensitivity:
        solution.feasible && !measured
          ? findSensitivity(setup, { ...bodyInput }, 'shoulderHeight', base.placement)
          : null,
    };
  }, [question, bodyInput, state.options, state.side, state.held]);
  const { problem, solution, base, tolerance } = solvedPart;
  const placement = state.moved ?? base.placement;
  const shown = useMemo(() => evaluatePlacement(problem, placement), [problem, placement]);
  const off = tolerance !== null && !isWithin(tolerance, base.placement, placement);
  // The least change is a search of its own: it comes when the finger rests, and holds up no frame.
  const [settled] = useDebouncedValue(placement, SETTLED_MS);
  const { input } = solvedPart;
  const leastChange = useLeastChange(
    useMemo(
      () =>
        solution.feasible && tolerance !== null && !isWithin(tolerance, base.placement, settled)
          ? { input, held: state.held, found: settled, best: base.placement }
          : null,
      [solution, input, state.held, tolerance, base, settled],
    ),
  );
  return useMemo(
    () => ({ state, dispatch, ...solvedPart, placement, shown, off, leastChange }),
    [state, solvedPart, placement, shown, off, leastChange],
  );
}

export type SetupView = ReturnType<typeof useSetup>;
