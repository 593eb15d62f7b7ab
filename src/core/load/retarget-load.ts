import { findNearestStep } from './stack-steps';

/** A planned stack on another column: the step there that the hand feels most alike. */
export interface RetargetedLoad {
  readonly loadG: number;
  /** Hand force there over hand force as planned; 1 when a step fits exactly. */
  readonly feels: number;
}

/**
 * Convert a stack through the pulley ratios: the hand feels stack over ratio, so the same pull on a column of twice the
 * ratio takes twice the stack; then the nearest step that exists there, the lighter of two. Grams. Null without a stack.
 */
export function retargetLoad(loadG: number, fromRatio: number, toRatio: number, stepsG: readonly number[]): RetargetedLoad | null {
  const exact = (loadG * toRatio) / fromRatio;
  const step = findNearestStep(stepsG, exact);
  return step === null ? null : { loadG: step, feels: loadG === 0 ? 1 : step / exact };
}
