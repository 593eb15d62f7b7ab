/** Plates on one side of a bar, fewest first, with what remains that no plate makes; integer grams. */
export interface PlateStack {
  readonly plates: readonly number[];
  readonly shortG: number;
}

/**
 * Fewest plates for one side: exact search over whole grams (coin change by dynamic programming), each size used at most
 * as often as there are pairs. Falls back to the heaviest load below that can be made.
 */
export function fewestPlates(sideG: number, sizes: readonly { readonly g: number; readonly pairs: number }[]): PlateStack {
  // Work in the greatest common divisor of the sizes to keep the table short.
  const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
  const unit = sizes.reduce((a, s) => gcd(a, s.g), 0);
  if (unit === 0 || sideG <= 0) return { plates: [], shortG: Math.max(0, sideG) };
  const most = Math.floor(sideG / unit);
  let best: (readonly number[] | null)[] = Array.from({ length: most + 1 }, (_, i) => (i === 0 ? [] : null));
  for (const { g, pairs } of sizes) {
    const step = g / unit;
    const next = [...best];
    for (let total = step; total <= most; total++) {
      for (let k = 1; k <= pairs && k * step <= total; k++) {
        const from = best[total - k * step];
        if (from && (next[total] === null || next[total]!.length > from.length + k)) next[total] = [...from, ...Array.from({ length: k }, () => g)];
      }
    }
    best = next;
  }
  let at = most;
  while (best[at] === null) at -= 1;
  return { plates: [...best[at]!].sort((a, b) => b - a), shortG: sideG - at * unit };
}

/** A bar; metres and kilograms. */
export interface Bar {
  readonly massKg: number;
  readonly lengthM: number;
}
