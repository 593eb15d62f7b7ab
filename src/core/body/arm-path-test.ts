/**
 * The rear-deltoid arm path test: at each of a few arm paths below shoulder level the client draws the elbow back as
 * far as it goes without help, and the trainer measures how far behind the body it ends.
 */
export interface ArmPathTrial {
  /** Arm path below shoulder level, degrees. */
  readonly belowDeg: number;
  /** Elbow behind the line of the back, metres; negative in front of it. */
  readonly behindM: number;
}

/** Paths to try, in order: level and down (common practice: usually a slightly high-to-low line). */
export const TRIAL_DEG = [0, 10, 20, 30, 40] as const;

/** The arm path with the furthest reach behind the body, and how sure it is. */
export interface ArmPath {
  /** Path along which the elbow travels furthest, degrees below level. */
  readonly belowDeg: number;
  readonly behindM: number;
  /** Whether the best lies between trials (fitted) or at the end of those done. */
  readonly source: 'fitted' | 'edge';
}

/**
 * Best arm path from at least three trials: vertex of the parabola through the furthest trial and its neighbours, or
 * the furthest trial itself when it is the first or last. Null with fewer than three different paths.
 */
export function findArmPath(trials: readonly ArmPathTrial[]): ArmPath | null {
  const sorted = [...trials].sort((a, b) => a.belowDeg - b.belowDeg);
  if (new Set(sorted.map((t) => t.belowDeg)).size < 3) return null;
  const k = sorted.reduce((best, t, i) => (t.behindM > sorted[best]!.behindM ? i : best), 0);
  const top = sorted[k]!;
  const before = sorted[k - 1];
  const after = sorted[k + 1];
  if (!before || !after) return { ...top, source: 'edge' };
  const a = top.belowDeg - before.belowDeg;
  const b = top.belowDeg - after.belowDeg;
  const fa = top.behindM - before.behindM;
  const fb = top.behindM - after.behindM;
  // Successive parabolic interpolation (Brent 1973, ch. 5).
  const d = a * fb - b * fa;
  const shift = d === 0 ? 0 : (-0.5 * (a * a * fb - b * b * fa)) / d;
  const curve = d / (a * b * (a - b));
  return { belowDeg: top.belowDeg + shift, behindM: top.behindM - curve * shift * shift, source: 'fitted' };
}
