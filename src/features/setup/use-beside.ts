'use client';
import type { Side } from '@/core/body/side';
import { useMemo, useState } from 'react';
import type { Practice } from '@/core/book/practice';
import { costOfFault } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import type { Question } from '@/core/book/question';
import type { ShownFault } from './fault-panel';
import { findComparison, comparisonsOf } from './comparison';
import { samePlacement } from './setup-machine';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';

const curveAt = (problem: SetupProblem, name: string, p: Placement, side: Side) => ({
  name,
  resistanceNm: evaluatePlacement(problem, p).bySide[side]!.samples.resistanceNm as ArrayLike<number>,
});

/**
 * What is laid beside the set-up on curve and drawing: a fault, a comparison, the solved one while things are moved, or
 * the last used.
 */
export function useBeside(question: Question, setup: BenchSetup, practices: readonly Practice[]) {
  const { problem, placement, shown, base, off, solution } = setup;
  const { worse } = shown;
  const [fault, setFault] = useState<ShownFault | null>(null);
  const [key, setKey] = useState('');
  const cost = useMemo(() => {
    const p = fault && PERTURBATION[fault.code];
    return fault && p ? costOfFault(setup.posed, placement, worse, p, fault.size) : null;
  }, [fault, setup.posed, placement, worse]);
  const chosenSides = setup.state.options.practices;
  const comparisons = useMemo(
    () => comparisonsOf(question, solution, chosenSides, practices),
    [question, solution, chosenSides, practices],
  );
  const chosen = comparisons.find((c) => c.key === key) ?? null;
  // What lies beside it depends on the question, not on where things are dragged.
  const { options, side } = setup.state;
  const comparison = useMemo(
    () => chosen && findComparison(chosen, question, { problem, solution }, { options, side }, worse),
    [chosen, question, problem, solution, options, side, worse],
  );
  const lastUsed = question.lastUsed;
  // Each keeps its identity while things are dragged, so that nothing is drawn anew for it.
  const withFault = useMemo(
    () => cost && { name: 'with the fault', resistanceNm: cost.after.samples.resistanceNm },
    [cost],
  );
  const solved = useMemo(
    () => curveAt(problem, `solved: hole ${base.placement.hole}`, base.placement, worse),
    [problem, base, worse],
  );
  const last = useMemo(
    () => lastUsed && curveAt(problem, WORDS.lastUsedHole(lastUsed.hole), lastUsed, worse),
    [problem, lastUsed, worse],
  );
  const other = withFault ?? comparison ?? (off ? solved : samePlacement(lastUsed, placement) ? null : last);
  const ghost = useMemo(
    () =>
      cost
        ? { path: cost.after.path, placement }
        : comparison
          ? { path: comparison.path, placement: comparison.placement }
          : null,
    [cost, comparison, placement],
  );
  return useMemo(
    () => ({ fault, setFault, cost, comparisons, key, setKey, comparison, other, ghost }),
    [fault, cost, comparisons, key, comparison, other, ghost],
  );
}

export type Beside = ReturnType<typeof useBeside>;
