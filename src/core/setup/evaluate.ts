import type { Violation } from '@/core/setup/violation';
import { normalHeadingDeg } from '@/core/units/turn';
import type { Side } from '@/core/body/side';
import { allocateSamples, type LineMetrics } from '@/core/mechanics/line-profile';
import { SAMPLES } from '@/core/movement/chain-path';
import { costTerms, findViolations, profileSide, type CostTerms, type SideProfile } from './cost';
import type { Placement, SearchProblem } from './setup-problem';

/** A placement with everything it does, side by side. */
export interface Evaluation {
  readonly placement: Placement;
  readonly bySide: Readonly<Partial<Record<Side, SideProfile>>>;
  /** The working side that leaves its line most; the only one when one arm works. */
  readonly worse: Side;
  readonly metrics: LineMetrics;
  readonly terms: CostTerms;
  readonly cost: number;
  readonly violations: readonly Violation[];
}

/** Evaluate exactly this placement (the station as found); its heading comes back in the normal range. */
export function evaluatePlacement(problem: SearchProblem, at: Placement): Evaluation {
  const placement = { ...at, yawDeg: normalHeadingDeg(at.yawDeg) };
  const bySide: Partial<Record<Side, SideProfile>> = {};
  const all = problem.sides.map((side, i) => {
    const samples = allocateSamples(SAMPLES);
    const metrics = profileSide(problem, i, placement, samples);
    bySide[side] = { metrics, samples };
    return metrics;
  });
  let worse = problem.sides[problem.sides.length - 1]!;
  for (const side of problem.sides) {
    if (bySide[side]!.metrics.offPlaneRmsDeg > bySide[worse]!.metrics.offPlaneRmsDeg + 1e-9) worse = side;
  }
  const terms = costTerms(problem, placement, all);
  return {
    placement,
    bySide,
    worse,
    metrics: bySide[worse]!.metrics,
    terms,
    cost: Object.values(terms).reduce((a, b) => a + b, 0),
    violations: findViolations(problem, placement, all),
  };
}
