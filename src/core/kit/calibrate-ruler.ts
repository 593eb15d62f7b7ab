/** A measured hole: its number and its position (height above the floor, or distance from a stop), metres. */
export interface HoleReading {
  readonly hole: number;
  readonly heightM: number;
}

/** Evenly spaced holes: of a column, a seat post, a back pad. Metres. */
export interface HoleRuler {
  /** Position of hole number 1. */
  readonly firstHoleM: number;
  /** Distance between neighbouring holes, positive. */
  readonly pitchM: number;
  readonly holes: number;
  /** Which end hole number 1 is at; for a distance, `bottom` is the near end. */
  readonly numberedFrom: 'bottom' | 'top';
}

/** A ruler of holes through its readings, metres, with how far they lie off it. */
export interface RulerFit {
  readonly ok: true;
  readonly firstHoleM: number;
  readonly pitchM: number;
  /** Reading minus fit, metres, in the order of the readings. */
  readonly residualsM: readonly number[];
  readonly worstResidualM: number;
  /** With two readings the line passes through both, so a residual of zero proves nothing. */
  readonly exact: boolean;
}

/** A reading that does not lie with the others, metres. */
export interface RulerMisfit {
  readonly ok: false;
  readonly reason: 'too-few' | 'same-hole' | 'wrong-direction' | 'below-floor';
}

/**
 * Least-squares line through points; null when all share one x. Source: ordinary least squares, any statistics text.
 */
export function fitLine(
  points: readonly (readonly [number, number])[],
): { readonly slope: number; readonly at: (x: number) => number } | null {
  const n = points.length;
  const meanX = points.reduce((a, [x]) => a + x, 0) / n;
  const meanY = points.reduce((a, [, y]) => a + y, 0) / n;
  const sxx = points.reduce((a, [x]) => a + (x - meanX) ** 2, 0);
  if (!(sxx > 0)) return null;
  const slope = points.reduce((a, [x, y]) => a + (x - meanX) * (y - meanY), 0) / sxx;
  return { slope, at: (x) => meanY + slope * (x - meanX) };
}

/**
 * Hole-1 position and pitch from measured holes, by least squares (the line through them when there are two).
 * `wrong-direction`: positions fall where the numbering says they rise. `below-floor`: the lowest hole would be under
 * the floor (or the stop).
 */
export function calibrateRuler(
  readings: readonly HoleReading[],
  holes: number,
  numberedFrom: 'bottom' | 'top',
): RulerFit | RulerMisfit {
  if (readings.length < 2) return { ok: false, reason: 'too-few' };
  const line = fitLine(readings.map((r) => [r.hole, r.heightM]));
  if (!line) return { ok: false, reason: 'same-hole' };
  const pitchM = numberedFrom === 'bottom' ? line.slope : -line.slope;
  if (!(pitchM > 0)) return { ok: false, reason: 'wrong-direction' };
  if (!(line.at(numberedFrom === 'bottom' ? 1 : holes) >= 0)) return { ok: false, reason: 'below-floor' };
  const residualsM = readings.map((r) => r.heightM - line.at(r.hole));
  return {
    ok: true,
    firstHoleM: line.at(1),
    pitchM,
    residualsM,
    worstResidualM: Math.max(...residualsM.map(Math.abs)),
    exact: readings.length === 2,
  };
}

/** Position of a hole, metres. Precondition: 1 <= hole <= holes. */
export const holePositionM = (ruler: HoleRuler, hole: number): number =>
  ruler.firstHoleM + (ruler.numberedFrom === 'bottom' ? 1 : -1) * (hole - 1) * ruler.pitchM;

/** Hole nearest to a position. */
export function nearestHoleOf(ruler: HoleRuler, positionM: number): number {
  const steps = Math.round(
    ((positionM - ruler.firstHoleM) * (ruler.numberedFrom === 'bottom' ? 1 : -1)) / ruler.pitchM,
  );
  return Math.min(ruler.holes, Math.max(1, steps + 1));
}
