/** Halvings after which what is left of any interval used here is below a billionth of it. */
const HALVINGS = 40;

/**
 * The value in [lo, hi] where `isBelow` turns from true to false, by bisection. Precondition: it turns once; where it
 * does not, the end at which it would is returned.
 */
export function bisect(lo: number, hi: number, isBelow: (value: number) => boolean, halvings = HALVINGS): number {
  let [low, high] = [lo, hi];
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2;
    if (isBelow(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
