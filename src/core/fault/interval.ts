import { bisect } from '@/core/units/bisect';

/** Both ends of an interval of shares, 0 to 1. */
export interface ShareInterval {
  readonly low: number;
  readonly high: number;
}

/** Of the standard normal distribution: 95 % lie within it. */
const Z = 1.959964;

/**
 * Interval that holds a rate with 95 % of confidence, seen so many times in n: all p with
 * |seen / n - p| <= z sqrt(p (1 - p) / n). Source: Wilson 1927, J Am Stat Assoc 22: 209. From 0 to 1 where n is 0.
 */
export function wilsonInterval(seen: number, n: number): ShareInterval {
  if (n === 0) return { low: 0, high: 1 };
  const middle = seen + (Z * Z) / 2;
  const half = Z * Math.sqrt((seen * (n - seen)) / n + (Z * Z) / 4);
  const of = n + Z * Z;
  return { low: Math.max(0, (middle - half) / of), high: Math.min(1, (middle + half) / of) };
}

/**
 * Chance that of n tries at least k come off, by the share p at which each does: the binomial's upper tail. What does
 * not depend on p, the logarithms of n over j, is made once; summed as logarithms, thousands of tries neither overflow
 * nor vanish.
 */
function upperTail(k: number, n: number): (p: number) => number {
  const logs: number[] = [0];
  for (let j = 1; j <= n; j++) logs.push(logs[j - 1]! + Math.log((n - j + 1) / j));
  return (p) => {
    const [yes, no] = [Math.log(p), Math.log1p(-p)];
    let sum = 0;
    for (let j = k; j <= n; j++) sum += Math.exp(logs[j]! + j * yes + (n - j) * no);
    return sum;
  };
}

/**
 * How often something works that held so often and failed so often: mean and 90 % interval of Beta(1 + held, 1 + not),
 * which is what is believed after seeing it when nothing was known before. For whole numbers its distribution is the
 * binomial's tail: I_x(a, b) = P(at least a of a + b - 1 at x).
 */
export function workedShare(held: number, not: number): ShareInterval & { readonly mean: number } {
  const [a, b] = [1 + held, 1 + not];
  const below = upperTail(a, a + b - 1);
  const quantile = (p: number): number => bisect(0, 1, (x) => below(x) < p);
  return { mean: a / (a + b), low: quantile(0.05), high: quantile(0.95) };
}
