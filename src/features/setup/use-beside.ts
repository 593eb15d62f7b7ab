'use client';
import { useMemo, useState } from 'react';
import type { Side } from '@/core/body/active-range';
import type { ClientNote } from '@/core/body/client-note';
import { costOnCable } from '@/core/fault/fault-cost';
import { PERTURBATION } from '@/core/fault/perturbation';
import { REST_BELOW } from '@/core/mechanics/line-profile';
import { evaluatePlacement } from '@/core/setup/evaluate';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import type { Question } from '@/solver/to-question';
import type { ShownFault } from './fault-panel';
import { findRival, rivalsOf } from './rival';
import { samePlacement } from './setup-machine';
import type { SetupView } from './use-setup';

const curveAt = (problem: SetupProblem, name: string, p: Placement, side: Side) => ({
  name,
  resistanceNm: evaluatePlacement(problem, p).bySide[side]!.samples.resistanceNm as ArrayLike<number>,
});

/**
 * What is laid beside the set-up on curve and drawing: a fault, a rival, the solved one while things are moved, or the
 * last used.
 */
export function useBeside(question: Question, setup: SetupView, notes: readonly ClientNote[]) {
  const { problem, placement, shown, base, off, solution } = setup;
  const { worse, metrics } = shown;
  const [fault, setFault] = useState<ShownFault | null>(null);
  const [key, setKey] = useState('');
  const cost = useMemo(() => {
    const p = fault && PERTURBATION[fault.code];
    return fault && p ? costOnCable(setup.input, placement, worse, p, fault.size) : null;
  }, [fault, setup.input, placement, worse]);
  const own = shown.bySide[worse]!.samples.resistanceNm;
  // Schools ask only whether the load rests at the finish: a number that stays while things are dragged.
  const finishShare = own[own.length - 1]! < REST_BELOW * metrics.peakResistanceNm ? 0 : 1;
  const { schools } = setup.state.options;
  const rivals = useMemo(
    () => rivalsOf(question, solution, schools, notes, finishShare),
    [question, solution, schools, notes, finishShare],
  );
  const label = rivals.find((r) => r.key === key)?.label ?? '';
  // What lies beside it depends on the question, not on where things are dragged.
  const { options, side } = setup.state;
  const rival = useMemo(
    () => (label === '' ? null : findRival(key, label, question, { problem, solution }, { options, side }, worse)),
    [key, label, question, problem, solution, options, side, worse],
  );
  const lastUsed = question.setup?.lastUsed ?? null;
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
    () => lastUsed && curveAt(problem, `last used: hole ${lastUsed.hole}`, lastUsed, worse),
    [problem, lastUsed, worse],
  );
  const other = withFault ?? rival ?? (off ? solved : samePlacement(lastUsed, placement) ? null : last);
  const ghost = useMemo(
    () =>
      cost ? { path: cost.after.path, placement } : rival ? { path: rival.path, placement: rival.placement } : null,
    [cost, rival, placement],
  );
  return useMemo(
    () => ({ fault, setFault, cost, rivals, key, setKey, rival, other, ghost, finishShare }),
    [fault, cost, rivals, key, rival, other, ghost, finishShare],
  );
}

export type Beside = ReturnType<typeof useBeside>;
