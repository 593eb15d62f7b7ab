/** The one rounding for SVG numbers: a hundredth of a pixel, no negative zero, the same on server and browser. */
export const px = (value: number): number => Math.round(value * 100) / 100 + 0;
