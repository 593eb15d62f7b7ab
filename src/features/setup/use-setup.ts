'use client';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useReducer } from 'react';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { explain } from '@/core/setup/reasons';
import { findLeastChange } from '@/core/setup/least-change';
import { buildProblem } from '@/core/setup/setup-problem';
import { findSensitivity } from '@/core/setup/sensitivity';
import { solveSetup } from '@/core/setup/solve-setup';
import { findStandIn } from '@/core/setup/stand-in';
import { findTolerance, isWithin } from '@/core/setup/tolerance';
import { caseSchema, type CaseInput } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { toVerdict } from '@/messages/reasons';
import { toSetupInput } from '@/solver/to-setup-input';
import { reduceSetup, type SetupState } from './setup-machine';

export type CaseCheck = { readonly ok: true; readonly input: ReturnType<typeof toSetupInput> } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** Check a case; a station that cannot hold this client says why instead of drawing nonsense. */
export function checkCase(setupCase: CaseInput): CaseCheck {
  const parsed = caseSchema.safeParse(setupCase);
  return parsed.success ? { ok: true, input: toSetupInput(parsed.data) } : { ok: false, issues: toFieldIssues(parsed.error) };
}

const SETTLED_MS = 140;

/** The bench's state and everything computed from it; re-evaluated live as things are moved. */
export function useSetup(input: ReturnType<typeof toSetupInput>, bodyInput: { statureM: number; massKg: number; measuredM: object }, initial: SetupState) {
  const [state, dispatch] = useReducer(reduceSetup, initial);
  const solvedPart = useMemo(() => {
    const problem = buildProblem({ ...input, options: state.options, side: state.side });
    const solution = solveSetup(problem);
    const base = solution.feasible ? solution.best : solution.nearest;
    const measured = input.body.height.shoulderHeight.source === 'measured';
    return {
      problem,
      solution,
      base,
      tolerance: solution.feasible ? findTolerance(problem, base) : null,
      standIn: solution.feasible ? null : findStandIn(problem),
      sensitivity: solution.feasible && !measured ? findSensitivity(problem.input, { ...bodyInput }, 'shoulderHeight', base.placement) : null,
    };
  }, [input, bodyInput, state.options, state.side]);
  const { problem, solution, base, tolerance } = solvedPart;
  const placement = state.moved ?? base.placement;
  const shown = useMemo(() => evaluatePlacement(problem, placement), [problem, placement]);
  const verdicts = useMemo(() => explain(problem, shown).map(toVerdict), [problem, shown]);
  const off = tolerance !== null && !isWithin(tolerance, base.placement, placement);
  // The least change is a search of its own: it comes when the finger rests, and holds up no frame.
  const [settled] = useDebouncedValue(placement, SETTLED_MS);
  const leastChange = useMemo(
    () => (solution.feasible && tolerance !== null && !isWithin(tolerance, base.placement, settled) ? findLeastChange(problem, settled, base) : null),
    [solution, problem, tolerance, base, settled],
  );
  return { state, dispatch, ...solvedPart, placement, shown, verdicts, off, leastChange };
}

export type SetupView = ReturnType<typeof useSetup>;
