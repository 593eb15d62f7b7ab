/** Where a staircase stands. Levels are shares of the largest size. */
export interface Staircase {
  /** Level of the next try. */
  readonly level: number;
  /** Levels at which it turned. */
  readonly turns: readonly number[];
  /** Level that is seen in about 71 of 100 tries; null before it has turned often enough. */
  readonly threshold: number | null;
}

/** Smallest level: below it nobody sees anything on a drawing (our judgement). */
const SMALLEST_LEVEL = 0.05;
/** Factor of a step until it has turned twice, and from then on (our judgement; steps of equal ratio, Levitt). */
const COARSE = Math.SQRT2;
const FINE = 2 ** 0.25;
/** Turns before the threshold counts, and how many are asked for. */
const SETTLING_TURNS = 2;
const ENOUGH_TURNS = 4;

const geometricMean = (levels: readonly number[]): number =>
  Math.exp(levels.reduce((sum, l) => sum + Math.log(l), 0) / levels.length);

/**
 * A transformed up-and-down staircase over what was seen, oldest first: two in a row that are seen make the next one
 * smaller, one that is missed makes it larger. It settles where two in a row are as likely as not, p^2 = 1/2: at 70.7 %
 * seen. Source: Levitt 1971, J Acoust Soc Am 49: 467; the threshold is the mean of the turns, the first two left out
 * (Wetherill and Levitt 1965), of an even number, so that as many are from above as from below.
 */
export function climb(seen: readonly boolean[]): Staircase {
  let level = 1;
  let inRow = 0;
  let way: 'up' | 'down' | null = null;
  const turns: number[] = [];
  for (const was of seen) {
    inRow = was ? inRow + 1 : 0;
    const next = was ? (inRow === 2 ? 'down' : null) : 'up';
    if (next === null) continue;
    inRow = 0;
    if (way !== null && way !== next) turns.push(level);
    way = next;
    const factor = turns.length < SETTLING_TURNS ? COARSE : FINE;
    level = Math.min(1, Math.max(SMALLEST_LEVEL, next === 'down' ? level / factor : level * factor));
  }
  const settled = turns.slice(SETTLING_TURNS);
  const even = settled.slice(settled.length % 2);
  return { level, turns, threshold: settled.length >= ENOUGH_TURNS ? geometricMean(even) : null };
}
