/** Heaviest load that is made up of plates, grams: more than any stand holds. */
const MOST_G = 400_000;

/**
 * Every load that can be made of pieces, each usable up to `copies` times; integer grams, ascending, nothing included.
 * Reachable sums by dynamic programming.
 */
export function sumsOf(piecesG: readonly number[], copies: number): number[] {
  const reached = new Set<number>([0]);
  for (const g of piecesG) {
    for (const sum of [...reached]) {
      for (let k = 1; k <= copies && sum + k * g <= MOST_G; k++) reached.add(sum + k * g);
    }
  }
  return [...reached].sort((a, b) => a - b);
}

/** A bar with the same plates on both ends; `pairs` of each plate are there. */
export const barLoads = (barG: number, platesG: readonly number[], pairs: number): number[] =>
  sumsOf(platesG, pairs).map((side) => barG + 2 * side);
