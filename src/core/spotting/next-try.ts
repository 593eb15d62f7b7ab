import type { MovementId } from '@/core/book/book';
import { PERTURBATION } from '@/core/fault/perturbation';
import { sizeAt } from '@/core/fault/show-fault';
import type { FaultCode } from '@/core/movement/fault-code';
import { isRight, type SpottingAnswer } from './spotting-answer';
import { staircaseOf } from './spotting-record';

/** What is shown next. */
export type SpottingTry = Pick<SpottingAnswer, 'movement' | 'shown'>;

/** Share of tries without a fault: enough to tell seeing from always tapping (our judgement). */
export const RIGHT_SHARE = 0.4;

/** One of some things, each as likely as its weight. */
function drawn<T>(things: readonly T[], weight: (thing: T) => number, random: () => number): T {
  const total = things.reduce((sum, t) => sum + weight(t), 0);
  let at = random() * total;
  for (const thing of things) {
    at -= weight(thing);
    if (at < 0) return thing;
  }
  return things.at(-1)!;
}

/**
 * Draw what is shown next of a movement: right, or with one of its faults at the size where that fault's staircase
 * stands. What was missed comes more often: a fault's weight is its share of misses, (missed + 1) / (shown + 2), so
 * that one never shown is as likely as one missed every other time. `random`: 0 up to 1.
 */
export function nextTry(
  movement: MovementId,
  faults: readonly FaultCode[],
  answers: readonly SpottingAnswer[],
  random: () => number,
): SpottingTry {
  if (faults.length === 0 || random() < RIGHT_SHARE) return { movement, shown: null };
  const weight = (fault: FaultCode): number => {
    const there = answers.filter((a) => a.shown?.fault === fault);
    return (there.filter((a) => !isRight(a)).length + 1) / (there.length + 2);
  };
  const fault = drawn(faults, weight, random);
  return { movement, shown: { fault, size: sizeAt(PERTURBATION[fault]!, staircaseOf(answers, fault).level) } };
}
