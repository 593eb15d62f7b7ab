/** A point of a plane. */
type Point = readonly [number, number];

/** Twice the area of a triangle, positive where it turns to the left. */
export const turn = (a: Point, b: Point, c: Point): number =>
  (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** Convex hull of points in a plane, counter-clockwise. Source: monotone chain (Andrew 1979). */
export function convexHull(points: readonly Point[]): readonly Point[] {
  const sorted = points.toSorted((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length > 1 && turn(chain.at(-2)!, chain.at(-1)!, p) <= 0) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.toReversed())];
}
