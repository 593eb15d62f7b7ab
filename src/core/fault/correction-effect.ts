import type { CorrectionCode } from '@/core/movement/correction-code';
import type { FaultCode } from '@/core/movement/fault-code';
import { groupBy } from '@/core/record/group-by';
import type { CorrectionMark } from '@/core/record/set-log';
import { workedShare } from './interval';

/** How a correction fared for a fault, as far as it was looked at in the next set. */
export interface CorrectionEffect {
  readonly fault: FaultCode;
  readonly correction: CorrectionCode;
  readonly held: number;
  readonly partly: number;
  readonly not: number;
  /** What is believed of how often it holds; what held partly speaks for neither. */
  readonly works: ReturnType<typeof workedShare>;
}

/** How every correction that was looked at fared, what works best first. */
export function correctionEffects(given: readonly CorrectionMark[]): readonly CorrectionEffect[] {
  const looked = given.filter((c) => c.outcome !== null && c.outcome !== 'not-checked');
  return [...groupBy(looked, (c) => `${c.fault} ${c.correction}`).values()]
    .map((own): CorrectionEffect => {
      const count = (outcome: CorrectionMark['outcome']): number => own.filter((c) => c.outcome === outcome).length;
      const [held, not] = [count('held'), count('not')];
      const { fault, correction } = own[0]!;
      return { fault, correction, held, partly: count('partly'), not, works: workedShare(held, not) };
    })
    .toSorted((a, b) => b.works.mean - a.works.mean || (a.correction < b.correction ? -1 : 1));
}
