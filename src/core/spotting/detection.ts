/** What somebody saw of one thing that was there or not, time after time. */
export interface Detections {
  /** How often it was there, and how often it was seen then. */
  readonly signals: number;
  readonly hits: number;
  /** How often it was not there, and how often it was seen all the same. */
  readonly noises: number;
  readonly falseAlarms: number;
}

/** How well a thing is told from its absence. */
export interface Sensitivity {
  /** d': distance of the two, in standard deviations of what is seen; 0 is guessing. */
  readonly dPrime: number;
  /** 95 % interval of d'. */
  readonly low: number;
  readonly high: number;
  /** Where the line is drawn: above 0 slow to say that it is there, below 0 quick to. Standard deviations. */
  readonly criterion: number;
}

/** Of the standard normal distribution: 95 % lie within it. */
const Z95 = 1.959964;

type Coefficients = readonly number[];
const CENTRE_TOP: Coefficients = [
  -3.969683028665376e1, 2.209460984245205e2, -2.759285104469687e2, 1.38357751867269e2, -3.066479806614716e1,
  2.506628277459239,
];
const CENTRE_BOTTOM: Coefficients = [
  -5.447609879822406e1, 1.615858368580409e2, -1.556989798598866e2, 6.680131188771972e1, -1.328068155288572e1, 1,
];
const TAIL_TOP: Coefficients = [
  -7.784894002430293e-3, -3.223964580411365e-1, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
];
const TAIL_BOTTOM: Coefficients = [7.784695709041462e-3, 3.224671290700398e-1, 2.445134137142996, 3.754408661907416, 1];
const TAIL = 0.02425;
const polynomial = (c: Coefficients, x: number): number => c.reduce((sum, k) => sum * x + k, 0);

/**
 * Quantile of the standard normal distribution at a share, 0 to 1 without its ends. Rational approximation of P. J.
 * Acklam 2003, relative error below 1.2e-9; not finite at 0 and 1.
 */
export function normalQuantile(p: number): number {
  if (p <= 0 || p >= 1) return p <= 0 ? -Infinity : Infinity;
  if (p > 1 - TAIL) return -normalQuantile(1 - p);
  if (p < TAIL) {
    const q = Math.sqrt(-2 * Math.log(p));
    return polynomial(TAIL_TOP, q) / polynomial(TAIL_BOTTOM, q);
  }
  const q = p - 0.5;
  return (q * polynomial(CENTRE_TOP, q * q)) / polynomial(CENTRE_BOTTOM, q * q);
}

const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);

/**
 * d' = z(hits) - z(false alarms) of shares, and the criterion c = -(z(hits) + z(false alarms)) / 2. Source: Green and
 * Swets 1966, Signal Detection Theory and Psychophysics; Macmillan and Creelman 2005, Detection Theory.
 */
export function dPrimeOf(hitShare: number, falseAlarmShare: number): { readonly dPrime: number; readonly c: number } {
  const [h, f] = [normalQuantile(hitShare), normalQuantile(falseAlarmShare)];
  return { dPrime: h - f, c: -(h + f) / 2 };
}

/**
 * Sensitivity from counts. Half a hit and half a false alarm are added, and one of each kind of try, so that all or
 * none is no infinity (log-linear rule, Hautus 1995, Behav Res Methods 27: 46). Variance of d', by how a share's own
 * spread comes through z: H (1 - H) / (n phi(z(H))^2) + F (1 - F) / (m phi(z(F))^2) (Gourevitch and Galanter 1967,
 * Psychometrika 32: 25). Null where it was never there, or never not.
 */
export function sensitivityOf({ signals, hits, noises, falseAlarms }: Detections): Sensitivity | null {
  if (signals === 0 || noises === 0) return null;
  const variance = (share: number, n: number): number =>
    (share * (1 - share)) / (n * normalDensity(normalQuantile(share)) ** 2);
  const [h, f] = [(hits + 0.5) / (signals + 1), (falseAlarms + 0.5) / (noises + 1)];
  const { dPrime, c } = dPrimeOf(h, f);
  const half = Z95 * Math.sqrt(variance(h, signals) + variance(f, noises));
  return { dPrime, low: dPrime - half, high: dPrime + half, criterion: c };
}
