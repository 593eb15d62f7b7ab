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
import type { Practice } from '@/core/book/practice';
import { poseKnown, poseQuestion } from '@/core/book/pose-question';
import { searchOf } from '@/core/book/posed-question';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { stanceOf } from '@/core/book/stand-up';
import { withChoices, type Question } from '@/core/book/question';
import { toQuestion } from '@/solver/to-question';
import { reduceSetup, type SetupState } from './setup-machine';

export type CaseCheck =
  { readonly ok: true; readonly question: Question } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/**
 * Check a case whose questions of practice have known sides; a station that cannot hold this client says why instead of
 * drawing nonsense.
 */
export function checkCase(setupCase: CaseInput, practices: readonly Practice[]): CaseCheck {
  const parsed = caseSchema.safeParse(setupCase);
  return parsed.success
    ? { ok: true, question: toQuestion(parsed.data, practices) }
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
    const found = poseQuestion(asked);
    const posed = found ?? poseKnown(question);
    const search = searchOf(posed);
    const problem = Object.keys(state.held).length > 0 ? withFixed(search, state.held) : search;
    const solution = solveSetup(problem);
    const base = solution.feasible ? solution.best : solution.nearest;
    const measured = problem.body.height.shoulderHeight.source === 'measured';
    return {
      entry: posed.question.entry,
      posed,
      settings: settingsOf(posed),
      region: regionOf(posed),
      tooShort: found === null,
      problem,
      solution,
      base,
      tolerance: solution.feasible ? findTolerance(problem, base) : null,
      standIn: solution.feasible ? null : findStandIn(posed.question),
      sensitivity:
        solution.feasible && !measured
          ? findSensitivity(posed.question, { ...bodyInput }, 'shoulderHeight', base.placement, stanceOf(posed.entry))
          : null,
    };
  }, [question, bodyInput, state.options, state.side, state.held]);
  const { problem, solution, base, tolerance } = solvedPart;
  const placement = state.moved ?? base.placement;
  const shown = useMemo(() => evaluatePlacement(problem, placement), [problem, placement]);
  const off = tolerance !== null && !isWithin(tolerance, base.placement, placement);
  // The least change is a search of its own: it comes when the finger rests, and holds up no frame.
  const [settled] = useDebouncedValue(placement, SETTLED_MS);
  const { posed } = solvedPart;
  const { change: leastChange, failed: leastChangeFailed } = useLeastChange(
    useMemo(
      () =>
        solution.feasible && tolerance !== null && !isWithin(tolerance, base.placement, settled)
          ? { question: posed.question, held: state.held, found: settled, best: base.placement }
          : null,
      [solution, posed, state.held, tolerance, base, settled],
    ),
  );
  return useMemo(
    () => ({ state, dispatch, ...solvedPart, placement, shown, off, leastChange, leastChangeFailed }),
    [state, solvedPart, placement, shown, off, leastChange, leastChangeFailed],
  );
}

export type BenchSetup = ReturnType<typeof useSetup>;
