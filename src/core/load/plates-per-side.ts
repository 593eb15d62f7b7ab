/**
 * Fewest plates on one end of a bar that make up a load, heaviest first; `pairs` of each are there. Null when they
 * cannot make it up exactly. Integer grams; dynamic programming over the sums below the load.
 */
export function platesPerSide(loadG: number, barG: number, platesG: readonly number[], pairs: number): number[] | null {
  const side = (loadG - barG) / 2;
  if (!Number.isInteger(side) || side < 0) return null;
  // Fewest plates for every sum reached so far, a plate at a time.
  let best = new Map<number, readonly number[]>([[0, []]]);
  for (const g of [...platesG].sort((a, b) => b - a)) {
    const next = new Map(best);
    for (const [sum, used] of best) {
      for (let k = 1; k <= pairs && sum + k * g <= side; k++) {
        const known = next.get(sum + k * g);
        if (!known || known.length > used.length + k) next.set(sum + k * g, [...used, ...Array<number>(k).fill(g)]);
      }
    }
    best = next;
  }
  const found = best.get(side);
  return found ? [...found] : null;
}
