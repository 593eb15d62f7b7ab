/** Loads a stack can be set to, integer grams, ascending and without repeats. */
export function toStackSteps(gramsAny: readonly number[]): number[] {
  return [...new Set(gramsAny)].sort((a, b) => a - b);
}

/** The step nearest to a load; the lighter of two equally near. Null for an empty stack. */
export function findNearestStep(steps: readonly number[], loadG: number): number | null {
  let best: number | null = null;
  for (const step of steps) if (best === null || Math.abs(step - loadG) < Math.abs(best - loadG)) best = step;
  return best;
}

/** Next step below (-1) or above (+1) a load; null at the end of the stack. */
export function findNeighbourStep(steps: readonly number[], loadG: number, direction: -1 | 1): number | null {
  const beyond = steps.filter((s) => (direction > 0 ? s > loadG : s < loadG));
  return direction > 0 ? (beyond[0] ?? null) : (beyond[beyond.length - 1] ?? null);
}
