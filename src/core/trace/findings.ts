import { median } from '@/core/units/mean';
import type { TraceRep } from './segment-reps';

/** What a trace can tell of a set. */
export type FindingKind =
  'lowering-rushed' | 'last-lowering-dropped' | 'range-shrinks' | 'bounces' | 'stack-touches' | 'off-tempo';

/** Something a trace shows of a rep, 1 for the first; never logged unless the trainer takes it. */
export interface Finding {
  readonly kind: FindingKind;
  readonly reps: readonly number[];
}

/** How a rep was asked for: seconds each way, and the share of the range. */
export interface AskedRep {
  readonly liftingS: number;
  readonly loweringS: number;
  readonly share: number;
}

/**
 * Lowering in less than this share of the asked time is rushed; the last in less than this share of the set's own is
 * dropped (our judgement).
 */
const RUSHED = 0.6;
const DROPPED = 0.5;
/** Less than this share of the first reps' range is a shorter rep (our judgement). */
const SHORT = 0.85;
/** A paced turn stays far below this, m/s^2; a bounce goes beyond (our judgement: more than half of gravity). */
const BOUNCE_MS2 = 6;
/** A stack that comes this near to where it rests has set down, metres: twice the noise of a good sensor. */
const TOUCH_M = 0.006;
/** Rep times further than this share from the asked are off tempo. */
const OFF_TEMPO = 0.25;

/**
 * What a set's reps show against what was asked of each, 1 for the first. `restM`: where the stack lies on its stop,
 * metres of the same trace; null when the trace does not tell.
 */
export function findInTrace(
  reps: readonly TraceRep[],
  askedOf: (rep: number) => AskedRep,
  restM: number | null,
): Finding[] {
  const asked = reps.map((_, i) => askedOf(i + 1));
  const where = (holds: (r: TraceRep, i: number) => boolean): number[] =>
    reps.flatMap((r, i) => (holds(r, i) ? [i + 1] : []));
  const last = reps.length - 1;
  // Against the set's own lowerings: a lifter who rushes every one does not drop the last. Each as a share of what was
  // asked.
  const usual = reps.length === 1 ? 1 : median(reps.slice(0, -1).map((r, i) => r.loweringS / asked[i]!.loweringS));
  const dropped = reps[last]!.loweringS / asked[last]!.loweringS < DROPPED * usual;
  const bothWays = (i: number): number => asked[i]!.liftingS + asked[i]!.loweringS;
  const found: Finding[] = [
    {
      kind: 'lowering-rushed',
      reps: where((r, i) => r.loweringS < RUSHED * asked[i]!.loweringS && !(i === last && dropped)),
    },
    { kind: 'last-lowering-dropped', reps: dropped ? [reps.length] : [] },
    { kind: 'range-shrinks', reps: where((r, i) => r.rangeShare < SHORT * asked[i]!.share) },
    { kind: 'bounces', reps: where((r) => r.turnMs2 > BOUNCE_MS2) },
    { kind: 'stack-touches', reps: restM === null ? [] : where((r, i) => i > 0 && Math.abs(r.lowM - restM) < TOUCH_M) },
    {
      kind: 'off-tempo',
      reps: where((r, i) => Math.abs(r.liftingS + r.loweringS - bothWays(i)) > OFF_TEMPO * bothWays(i)),
    },
  ];
  return found.filter((f) => f.reps.length > 0);
}

/** Loss of mean lifting speed from the fastest rep to the last, share; 0 for one rep. */
export function speedLoss(reps: readonly TraceRep[]): number {
  const best = Math.max(...reps.map((r) => r.meanSpeedMs));
  return 1 - reps[reps.length - 1]!.meanSpeedMs / best;
}
