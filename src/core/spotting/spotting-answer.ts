import type { MovementId } from '@/core/book/book';
import type { FaultCode } from '@/core/movement/fault-code';

/** What a trainer said of reps that were shown with a fault in them, or right. */
export interface SpottingAnswer {
  readonly id: string;
  readonly atMs: number;
  readonly movement: MovementId;
  /** The fault that was there, with its size in the unit and sign of its perturbation; null: the reps were right. */
  readonly shown: { readonly fault: FaultCode; readonly size: number } | null;
  /** The fault that was said to be there; null: none. */
  readonly said: FaultCode | null;
  /** From the first frame to the tap, milliseconds. */
  readonly tookMs: number;
}

/** An hour, milliseconds: who takes longer to answer was away. */
export const LONGEST_ANSWER_MS = 3_600_000;

/** Whether what was there was said, no more and no less. */
export const isRight = ({ shown, said }: Pick<SpottingAnswer, 'shown' | 'said'>): boolean =>
  (shown?.fault ?? null) === said;
