/** The four phases of a rep by the names used everywhere. */
export const PHASES = ['lowering', 'stretch', 'lifting', 'finish'] as const;
export type Phase = (typeof PHASES)[number];

/** Seconds of each phase; `stretch` and `finish` are the pauses at the two ends. */
export type Tempo = Readonly<Record<Phase, number>>;

/** "As fast as is controlled" is paced as one second (our assumption; the mark needs a length). */
export const FAST_S = 1;
export const LONGEST_PHASE_S = 20;

/**
 * Tempo from `lower-pause-lift-pause`, whole seconds or X for as fast as is controlled, e.g. `3-1-2-1` or `4-0-X-1`.
 * Null when it is not four such parts, a phase is over 20 s, or lifting or lowering takes no time.
 */
export function parseTempo(notation: string): Tempo | null {
  const parts = notation.trim().toUpperCase().split('-');
  if (parts.length !== 4 || !parts.every((p) => /^(X|\d{1,2})$/.test(p))) return null;
  const [lowering, stretch, lifting, finish] = parts.map((p) => (p === 'X' ? FAST_S : Number(p))) as [number, number, number, number];
  if (Math.max(lowering, stretch, lifting, finish) > LONGEST_PHASE_S || lowering === 0 || lifting === 0) return null;
  return { lowering, stretch, lifting, finish };
}

/** Seconds of one rep. */
export const repSeconds = (tempo: Tempo): number => PHASES.reduce((a, p) => a + tempo[p], 0);

/** Where the resistance counts: shares and ends of the range at or above a quarter of its peak. */
export interface TensionShape {
  readonly tensionShare: number;
  readonly stretchLoaded: boolean;
  readonly finishLoaded: boolean;
}

/** Seconds under tension of a set; a phase counts where resistance is at least a quarter of its peak, all of it when unknown. */
export function timeUnderTensionS(tempo: Tempo, reps: number, shape: TensionShape | null): number {
  if (!shape) return reps * repSeconds(tempo);
  const moving = (tempo.lifting + tempo.lowering) * shape.tensionShare;
  return reps * (moving + (shape.stretchLoaded ? tempo.stretch : 0) + (shape.finishLoaded ? tempo.finish : 0));
}
