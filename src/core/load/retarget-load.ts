import { findNearestStep } from './stack-steps';

/** A planned load elsewhere: the step there that feels most alike. */
export interface RetargetedLoad {
  readonly loadG: number;
  /** What is felt there over what was planned; 1 when a step fits exactly. */
  readonly feels: number;
}

/**
 * Convert a stack through the pulley ratios: the hand feels stack over ratio, so the same pull on a column of twice the
 * ratio takes twice the stack; then the nearest step that exists there, the lighter of two. Grams. Null without a
 * stack.
 */
export const retargetLoad = (
  loadG: number,
  fromRatio: number,
  toRatio: number,
  stepsG: readonly number[],
): RetargetedLoad | null => nearest((loadG * toRatio) / fromRatio, stepsG);

/**
 * Convert a stack through the levers: the moment is the pull times its lever, so a movement whose hardest point makes
 * twice the moment of the same stack takes half of it for the same peak. `fromNm`, `toNm`: peak moments of both at one
 * stack, newton metres. Grams; null without a stack or a lever.
 */
export const retargetByLever = (
  loadG: number,
  fromNm: number,
  toNm: number,
  stepsG: readonly number[],
): RetargetedLoad | null => (toNm > 0 ? nearest((loadG * fromNm) / toNm, stepsG) : null);

function nearest(exact: number, stepsG: readonly number[]): RetargetedLoad | null {
  const step = findNearestStep(stepsG, exact);
  return step === null ? null : { loadG: step, feels: exact === 0 ? 1 : step / exact };
}
