/** One point of a measured curve: x rising. */
export interface TablePoint {
  readonly x: number;
  readonly y: number;
}

/**
 * Value at `x` on straight lines between the points; beyond the ends the last line goes on. Precondition: at least one
 * point, x rising.
 */
export function readTable(points: readonly TablePoint[], x: number): number {
  if (points.length === 1) return points[0]!.y;
  let i = 0;
  while (i < points.length - 2 && points[i + 1]!.x < x) i += 1;
  const a = points[i]!;
  const b = points[i + 1]!;
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
}
