import { findNearestStep } from './stack-steps';

/** The step nearest to a load less a fraction, and lighter than it; null when there is none lighter. Integer grams. */
export function dropStep(stepsG: readonly number[], loadG: number, fraction: number): number | null {
  return findNearestStep(
    stepsG.filter((s) => s < loadG && s > 0),
    loadG * (1 - fraction),
  );
}

/** Loads of drops in a row, each a fraction off the one before; ends where nothing lighter is left. */
export function dropsInRow(stepsG: readonly number[], loadG: number, fractions: readonly number[]): number[] {
  const loads: number[] = [];
  let at = loadG;
  for (const f of fractions) {
    const next = dropStep(stepsG, at, f);
    if (next === null) break;
    loads.push(next);
    at = next;
  }
  return loads;
}
