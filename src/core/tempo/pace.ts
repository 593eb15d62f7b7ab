import type { SchemePart } from './scheme';
import { parseWrittenTempo, type Phase, type Section, type StartPhase, type Tempo } from './tempo';

/** How a rep is paced. Positions are shares of the movement's range: 0 the stretch, 1 the finish. */
export interface Pace {
  readonly tempo: Tempo;
  readonly startsWith: StartPhase;
  /** The part of the range that is done; shorter ways take their share of the time. */
  readonly from: number;
  readonly to: number;
  /** Shares between which the way takes its own seconds, each way; null when all of it goes at one speed. */
  readonly slow: { readonly from: number; readonly to: number; readonly seconds: number } | null;
}

/** One stretch of the paced line, from one share of the range to another. */
export interface PaceLeg {
  readonly phase: Phase;
  readonly startS: number;
  readonly seconds: number;
  readonly from: number;
  readonly to: number;
}

/** The whole range at one tempo. */
export const wholePace = (tempo: Tempo, startsWith: StartPhase): Pace => ({
  tempo,
  startsWith,
  from: 0,
  to: 1,
  slow: null,
});

/** A pace at which every second takes `by` times as long. */
export function scaledPace(pace: Pace, by: number): Pace {
  if (by === 1) return pace;
  const { lowering, stretch, lifting, finish } = pace.tempo;
  return {
    ...pace,
    tempo: {
      ...pace.tempo,
      lowering: lowering * by,
      stretch: stretch * by,
      lifting: lifting * by,
      finish: finish * by,
    },
    slow: pace.slow && { ...pace.slow, seconds: pace.slow.seconds * by },
  };
}

/**
 * Shares of a range whose joint angle lies in a section. `degs`: the target joint's angle at evenly spaced samples of
 * the range, degrees, rising or falling. Null when the range does not go through it.
 */
export function slowOf(section: Section, degs: readonly number[]): Pace['slow'] {
  const n = degs.length - 1;
  const inside: number[] = [];
  for (let i = 0; i < n; i++) {
    const [a, b] = [degs[i]!, degs[i + 1]!];
    // Ends of the overlap of this step with the section, each by a straight line.
    const [lo, hi] = [Math.max(Math.min(a, b), section.fromDeg), Math.min(Math.max(a, b), section.toDeg)];
    if (lo <= hi) inside.push(...[lo, hi].map((deg) => (i + (a === b ? 0 : (deg - a) / (b - a))) / n));
  }
  const [from, to] = [Math.min(...inside), Math.max(...inside)];
  return to > from ? { from, to, seconds: section.seconds } : null;
}

/**
 * Pace of a part of a set: its tempo as written, begun where it says, else where the movement begins. Null when the
 * tempo cannot be read.
 */
export function paceOfPart(
  part: Pick<SchemePart, 'tempo' | 'from' | 'to'>,
  startsWith: StartPhase,
  degs: readonly number[] | null,
): Pace | null {
  const written = parseWrittenTempo(part.tempo);
  if (!written) return null;
  return {
    tempo: written.tempo,
    startsWith: written.startsWith ?? startsWith,
    from: part.from,
    to: part.to,
    slow: written.section && degs ? slowOf(written.section, degs) : null,
  };
}

/** Pieces of the way up: cut at the ends of the section, each at its own speed. */
function piecesUp(
  { from, to, slow }: Pace,
  wholeS: number,
): { readonly from: number; readonly to: number; readonly seconds: number }[] {
  const cuts = slow
    ? [from, Math.min(to, Math.max(from, slow.from)), Math.max(from, Math.min(to, slow.to)), to]
    : [from, to];
  return cuts.slice(1).flatMap((end, i) => {
    const begin = cuts[i]!;
    const perShare = slow && begin >= slow.from && end <= slow.to ? slow.seconds / (slow.to - slow.from) : wholeS;
    return end > begin ? [{ from: begin, to: end, seconds: (end - begin) * perShare }] : [];
  });
}

function layLegs(pace: Pace): PaceLeg[] {
  const { tempo } = pace;
  const pause = (phase: 'stretch' | 'finish', at: number) =>
    tempo[phase] > 0 ? [{ phase, from: at, to: at, seconds: tempo[phase] }] : [];
  const up = [
    ...piecesUp(pace, tempo.lifting).map((p) => ({ phase: 'lifting' as const, ...p })),
    ...pause('finish', pace.to),
  ];
  const down = [
    ...piecesUp(pace, tempo.lowering)
      .reverse()
      .map((p) => ({ phase: 'lowering' as const, from: p.to, to: p.from, seconds: p.seconds })),
    ...pause('stretch', pace.from),
  ];
  let startS = 0;
  return (pace.startsWith === 'lifting' ? [...up, ...down] : [...down, ...up]).map((leg) => {
    const placed = { ...leg, startS };
    startS += leg.seconds;
    return placed;
  });
}

const legsOf = new WeakMap<Pace, readonly PaceLeg[]>();

/**
 * The legs of one rep in the order they are done; pauses of no length are left out. Laid once for a pace: the pacer
 * asks at every frame.
 */
export function buildRep(pace: Pace): readonly PaceLeg[] {
  const known = legsOf.get(pace) ?? layLegs(pace);
  legsOf.set(pace, known);
  return known;
}

/** Seconds of one rep. */
export const repSeconds = (pace: Pace): number => buildRep(pace).reduce((a, l) => a + l.seconds, 0);

/** Seconds of a phase of one rep, its section included. */
export const phaseSeconds = (pace: Pace, phase: Phase): number =>
  buildRep(pace).reduce((a, l) => a + (l.phase === phase ? l.seconds : 0), 0);

/** Where the pacer stands at a moment. */
export interface PaceAt {
  /** The moment: seconds after the first rep began, negative in the lead-in. */
  readonly atS: number;
  /** Rep under way, 1 for the first; 0 during the lead-in. */
  readonly rep: number;
  readonly phase: Phase | 'ready';
  /** 0 stretch, 1 finish. */
  readonly position: number;
  /** Until the phase is over. */
  readonly leftS: number;
  /** Reps wholly done. */
  readonly done: number;
}

/** Where the paced set stands `t` seconds after its first rep began; negative `t` is the lead-in. */
export function paceAt(pace: Pace, t: number): PaceAt {
  const legs = buildRep(pace);
  if (t < 0) return { atS: t, rep: 0, phase: 'ready', position: legs[0]!.from, leftS: -t, done: 0 };
  const end = legs[legs.length - 1]!;
  const whole = end.startS + end.seconds;
  const done = Math.floor(t / whole);
  const within = t - done * whole;
  const leg = legs.find((l) => within < l.startS + l.seconds) ?? end;
  const last = legs.findLast((l) => l.phase === leg.phase)!;
  const share = Math.min(1, Math.max(0, (within - leg.startS) / leg.seconds));
  return {
    atS: t,
    rep: done + 1,
    phase: leg.phase,
    position: leg.from + (leg.to - leg.from) * share,
    leftS: last.startS + last.seconds - within,
    done,
  };
}

/**
 * Seconds under tension of reps; time counts where resistance is at least a quarter of its peak, all of it when that is
 * not known. `loaded`: whether it is, at evenly spaced samples of the range.
 */
export function timeUnderTensionS(pace: Pace, reps: number, loaded: readonly boolean[] | null): number {
  if (!loaded) return reps * repSeconds(pace);
  const n = loaded.length - 1;
  const shareOf = ({ from, to }: PaceLeg): number => {
    const [a, b] = [Math.round(Math.min(from, to) * n), Math.round(Math.max(from, to) * n)];
    const part = loaded.slice(a, b + 1);
    return part.filter(Boolean).length / part.length;
  };
  return reps * buildRep(pace).reduce((sum, leg) => sum + leg.seconds * shareOf(leg), 0);
}
