/** A heading in the one range used everywhere: above -180 up to 180 degrees. */
export function normalHeadingDeg(deg: number): number {
  const within = deg - 360 * Math.ceil((deg - 180) / 360);
  return within === 0 ? 0 : within;
}

/** The shorter turn from one heading to another, degrees in [-180, 180); positive where headings grow. */
export const turnDeg = (fromDeg: number, toDeg: number): number => -normalHeadingDeg(fromDeg - toDeg);
