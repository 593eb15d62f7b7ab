import type { CorrectionCode } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { groupBy } from '@/core/record/group-by';
import { workedShare } from './interval';
import type { CorrectionEffect } from './correction-effect';

/** How often a correction of a fault held, partly held and did not, whoever it was given to. */
export interface CorrectionCount {
  readonly fault: FaultCode;
  readonly correction: CorrectionCode;
  readonly held: number;
  readonly partly: number;
  readonly not: number;
}

/** How a correction fares in a gym: what was seen, and its share that holds, drawn towards the gym's own. */
export interface GymEffect extends CorrectionEffect {
  /** 0 to 1. */
  readonly drawnIn: number;
}

/** The gym's own share weighs as much as so many looks (our judgement: about a quarter of a year of weekly work). */
const GYM_LOOKS = 12;

/**
 * Which corrections work for which fault, best first within a fault, faults that were corrected most first. What was
 * looked at seldom is drawn towards the share that holds over all corrections: (held + k m) / (n + k), the mean of a
 * Beta whose prior is the gym's mean m with the weight of k looks; so one lucky set does not lead a list. Source:
 * Efron and Morris 1975, J Am Stat Assoc 70: 311, for why.
 */
export function gymEffects(
  counts: readonly CorrectionCount[],
): readonly { readonly fault: FaultCode; readonly looks: number; readonly effects: readonly GymEffect[] }[] {
  const sum = (list: readonly CorrectionCount[], f: (c: CorrectionCount) => number): number =>
    list.reduce((s, c) => s + f(c), 0);
  const looksOf = (c: CorrectionCount): number => c.held + c.not;
  // Before anything was seen, half.
  const mean = (sum(counts, (c) => c.held) + 1) / (sum(counts, looksOf) + 2);
  return [...groupBy(counts, (c) => c.fault).values()]
    .map((own) => ({
      fault: own[0]!.fault,
      looks: sum(own, (c) => looksOf(c) + c.partly),
      effects: own
        .map((c): GymEffect => ({
          ...c,
          works: workedShare(c.held, c.not),
          drawnIn: (c.held + GYM_LOOKS * mean) / (looksOf(c) + GYM_LOOKS),
        }))
        .toSorted((a, b) => b.drawnIn - a.drawnIn || (a.correction < b.correction ? -1 : 1)),
    }))
    .toSorted((a, b) => b.looks - a.looks || (a.fault < b.fault ? -1 : 1));
}
