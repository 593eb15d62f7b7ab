/** The one rounding for SVG numbers: a hundredth of a pixel, no negative zero, the same on server and browser. */
export const px = (value: number): number => Math.round(value * 100) / 100 + 0;

interface Spot {
  readonly u: number;
  readonly v: number;
}

/** Both ends of a line as its element takes them. */
export const lineEnds = ({ from, to }: { readonly from: Spot; readonly to: Spot }) => ({
  x1: px(from.u),
  y1: px(from.v),
  x2: px(to.u),
  y2: px(to.v),
});
