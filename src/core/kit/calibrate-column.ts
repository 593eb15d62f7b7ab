export interface HoleReading {
  readonly hole: number;
  readonly heightM: number;
}

export interface ColumnFit {
  readonly ok: true;
  readonly firstHoleM: number;
  readonly pitchM: number;
  /** Reading minus fit, metres, in the order of the readings. */
  readonly residualsM: readonly number[];
  readonly worstResidualM: number;
  /** With two readings the line passes through both, so a residual of zero proves nothing. */
  readonly exact: boolean;
}

export interface ColumnMisfit {
  readonly ok: false;
  readonly reason: 'too-few' | 'same-hole' | 'wrong-direction' | 'below-floor';
}

/**
 * Hole-1 height and pitch from measured holes, by least squares (the line through them when there are two).
 * `wrong-direction`: heights fall where the numbering says they rise. `below-floor`: the lowest hole would be under
 * the floor. Source: ordinary least squares, any statistics text.
 */
export function calibrateColumn(
  readings: readonly HoleReading[],
  holes: number,
  numberedFrom: 'bottom' | 'top',
): ColumnFit | ColumnMisfit {
  if (readings.length < 2) return { ok: false, reason: 'too-few' };
  if (new Set(readings.map((r) => r.hole)).size < 2) return { ok: false, reason: 'same-hole' };
  const n = readings.length;
  const meanHole = readings.reduce((a, r) => a + r.hole, 0) / n;
  const meanM = readings.reduce((a, r) => a + r.heightM, 0) / n;
  const sxx = readings.reduce((a, r) => a + (r.hole - meanHole) ** 2, 0);
  const sxy = readings.reduce((a, r) => a + (r.hole - meanHole) * (r.heightM - meanM), 0);
  const slope = sxy / sxx;
  const pitchM = numberedFrom === 'bottom' ? slope : -slope;
  if (!(pitchM > 0)) return { ok: false, reason: 'wrong-direction' };
  const firstHoleM = meanM + slope * (1 - meanHole);
  const lowestM = numberedFrom === 'bottom' ? firstHoleM : firstHoleM + slope * (holes - 1);
  if (!(lowestM >= 0)) return { ok: false, reason: 'below-floor' };
  const residualsM = readings.map((r) => r.heightM - (firstHoleM + slope * (r.hole - 1)));
  return {
    ok: true,
    firstHoleM,
    pitchM,
    residualsM,
    worstResidualM: Math.max(...residualsM.map(Math.abs)),
    exact: n === 2,
  };
}
