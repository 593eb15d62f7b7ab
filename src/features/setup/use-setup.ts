'use client';
import { useDebouncedValue } from '@mantine/hooks';
import { useMemo, useReducer } from 'react';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { findSensitivity } from '@/core/book/sensitivity';
import { findStandIn } from '@/core/book/stand-in';
import { solveSetup } from '@/core/setup/solve-setup';
import { withFixed } from '@/core/setup/setup-problem';
import { findTolerance, isWithin } from '@/core/setup/tolerance';
import { useLeastChange } from '@/workers/use-least-change';
import { poseKnown, poseQuestion } from '@/core/book/pose-question';
import { searchOf } from '@/core/book/posed-question';
import { regionOf, settingsOf } from '@/core/book/question-settings';
import { stanceOf } from '@/core/book/stand-up';
import { withChoices, type Question } from '@/core/book/question';
import { answeredOnce } from './opened-case';
import { reduceSetup, type SetupState } from './setup-machine';

const SETTLED_MS = 140;

type Chosen = Pick<SetupState, 'options' | 'side' | 'held'>;
/** What a body is estimated from. */
interface BodyInput {
  readonly statureM: number;
  readonly massKg: number;
  readonly measuredM: object;
}

function solveBench(question: Question, { options, side, held }: Chosen, body: BodyInput) {
  const asked = withChoices(question, options, side);
  // A choice that leaves this client too little range is told; the drawing stays with what was there.
  const found = poseQuestion(asked);
  const posed = found ?? poseKnown(question);
  const search = searchOf(posed);
  const problem = Object.keys(held).length > 0 ? withFixed(search, held) : search;
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
        ? findSensitivity(posed.question, body, 'shoulderHeight', base.placement, stanceOf(posed.entry))
        : null,
  };
}

const solvedOnce = answeredOnce<ReturnType<typeof solveBench>>();

/** A question on its column with what was chosen of it: the solved place and what is said of it, made once. */
export function solvedBench(question: Question, chosen: Chosen, { statureM, massKg, measuredM }: BodyInput) {
  const [{ options, side, held }, body] = [chosen, { statureM, massKg, measuredM }];
  return solvedOnce(question, [options, side, held, body], () => solveBench(question, chosen, body));
}

/** The bench's state and everything computed from it; re-evaluated live as things are moved. */
export function useSetup(question: Question, bodyInput: BodyInput, initial: SetupState) {
  const [state, dispatch] = useReducer(reduceSetup, initial);
  const { options, side, held } = state;
  const solvedPart = useMemo(
    () => solvedBench(question, { options, side, held }, bodyInput),
    [question, bodyInput, options, side, held],
  );
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
