import { bisect } from '@/core/units/bisect';
import type { StartPhase } from '@/core/tempo/tempo';
import { wayAt } from './minimum-jerk';

/** A reading of where the stack or handle is: seconds from any start, metres, up while lifting. */
export interface TracePoint {
  readonly tS: number;
  readonly xM: number;
}

/** One rep of a trace; seconds and metres. Phases that touch leave a pause of 0. */
export interface TraceRep {
  readonly startS: number;
  readonly liftingS: number;
  readonly loweringS: number;
  /** Pauses at the two ends; the one before the next rep is null after the last. */
  readonly finishS: number | null;
  readonly stretchS: number | null;
  readonly rangeM: number;
  /** Range over that of the set's reference. */
  readonly rangeShare: number;
  readonly meanSpeedMs: number;
  readonly peakSpeedMs: number;
  /**
   * Greatest acceleration at the turn in the stretch before this lift, m/s^2; 0 where the set starts there from rest.
   */
  readonly turnMs2: number;
  /** Lowest place of the stack before this lift, metres. */
  readonly lowM: number;
}

/** Evenly spaced trace after smoothing. */
interface Even {
  readonly startS: number;
  readonly x: Float64Array;
}

/** More readings than this are no set: an hour at 200 Hz. */
export const MOST_POINTS = 720_000;
const STEP_S = 0.01;
/** Half of the smoothing window, samples: a centred mean has no phase shift. */
const HALF_WINDOW = 7;
/** Longer gaps than this break a trace: nothing is made up over them, seconds. */
const LONGEST_GAP_S = 1;
/** A turn counts when the position comes back by this share of the trace's span (hysteresis). */
const TURN_SHARE = 0.3;
/** What counts as being at the end of a way, share of it. */
const LEVEL_SHARE = 0.015;
/** Less travel than this is no rep, metres. */
const LEAST_RANGE_M = 0.05;
/**
 * Slower than this share of the way's peak speed is standing still before the first rep: 0.4 % of a minimum-jerk way.
 */
const STILL_SHARE = 0.08;

/** The share of the time by which a share of the way is done, by bisection. */
const timeOfWay = (wayOf: (s: number) => number, way: number): number => bisect(0, 1, (s) => wayOf(s) < way);

/** Way at an even speed with a ramp of share `r` of the time at either end. */
const evenWay =
  (r: number) =>
  (s: number): number => {
    const speed = 1 / (1 - r);
    if (s < r) return (speed * s * s) / (2 * r);
    return s > 1 - r ? 1 - (speed * (1 - s) ** 2) / (2 * r) : speed * (s - r / 2);
  };

/** Tenths of a phase's way at which its crossings are read. */
const TENTHS = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9];
/**
 * How a way is gone: freely by a minimum-jerk profile, or after a mark at an even speed. Shares of the time of each
 * tenth.
 */
const SHAPES = [wayAt, evenWay(0.1), evenWay(0.3)].map((shape) => TENTHS.map((way) => timeOfWay(shape, way)));
/** A free way is believed unless another fits better than this, share of the squared misfit (our judgement). */
const BETTER_SHARE = 0.7;
/**
 * Worse than this fits none of them, share of the time between the outer tenths: its speed changed on the way, and only
 * its ends speak for themselves.
 */
const WORST_FIT = 0.04;

/**
 * Linear on an even grid, then a centred mean. Null for fewer than two points, times that go back, or a gap that is too
 * long.
 */
function toEven(points: readonly TracePoint[]): Even | null {
  if (points.length < 2 || points.some((p, i) => i > 0 && p.tS <= points[i - 1]!.tS)) return null;
  const startS = points[0]!.tS;
  const n = Math.floor((points.at(-1)!.tS - startS) / STEP_S) + 1;
  const raw = new Float64Array(n);
  let k = 0;
  for (let i = 0; i < n; i++) {
    const t = startS + i * STEP_S;
    while (k < points.length - 2 && points[k + 1]!.tS <= t) k++;
    const [a, b] = [points[k]!, points[k + 1]!];
    const gap = b.tS - a.tS;
    if (gap > LONGEST_GAP_S) return null;
    raw[i] = a.xM + ((b.xM - a.xM) * (t - a.tS)) / gap;
  }
  // Twice the same centred mean: a triangle, which keeps the ends of a phase where they are.
  return { startS, x: smooth(smooth(raw)) };
}

function smooth(raw: Float64Array): Float64Array {
  const out = new Float64Array(raw.length);
  for (let i = 0; i < raw.length; i++) {
    const half = Math.min(HALF_WINDOW, i, raw.length - 1 - i);
    let sum = 0;
    for (let j = i - half; j <= i + half; j++) sum += raw[j]!;
    out[i] = sum / (2 * half + 1);
  }
  return out;
}

/** Turning points with hysteresis: indices, alternately low and high, the first one low. */
function findTurns(x: Float64Array, threshold: number): number[] {
  const turns: number[] = [];
  let low = 0;
  let high = 0;
  let seeking: 'high' | 'low' = 'high';
  for (let i = 1; i < x.length; i++) {
    if (seeking === 'high') {
      if (x[i]! < x[low]! && turns.length % 2 === 0) low = i;
      if (x[i]! - x[low]! > threshold) {
        turns.push(low);
        high = i;
        seeking = 'low';
      }
    } else {
      if (x[i]! > x[high]!) high = i;
      if (x[high]! - x[i]! > threshold) {
        turns.push(high);
        low = i;
        seeking = 'high';
      }
    }
  }
  turns.push(seeking === 'low' ? high : low);
  return turns;
}

/**
 * Straight line through points by least squares, and its mean squared misfit; nine crossings at nine different times
 * always give one.
 */
function fitLine(
  xs: readonly number[],
  ys: readonly number[],
): { readonly at: (x: number) => number; readonly misfit: number } {
  const n = xs.length;
  const mx = xs.reduce((a, x) => a + x, 0) / n;
  const my = ys.reduce((a, y) => a + y, 0) / n;
  const slope = xs.reduce((a, x, i) => a + (x - mx) * (ys[i]! - my), 0) / xs.reduce((a, x) => a + (x - mx) ** 2, 0);
  const at = (x: number): number => my + slope * (x - mx);
  return { at, misfit: xs.reduce((a, x, i) => a + (ys[i]! - at(x)) ** 2, 0) / n };
}

/** Time at which a level is crossed between two samples, going from `from` towards `to`. */
function crossing(e: Even, from: number, to: number, level: number): number {
  const step = Math.sign(to - from);
  const rising = e.x[to]! > e.x[from]!;
  for (let i = from; i !== to; i += step) {
    const [a, b] = [e.x[i]!, e.x[i + step]!];
    if (rising ? a <= level && b > level : a >= level && b < level)
      return e.startS + (i + (step * (level - a)) / (b - a)) * STEP_S;
  }
  return e.startS + to * STEP_S;
}

/** Mean of what lies about a turn: its furthest sample is as much noise as place. */
function levelAt(x: Float64Array, turn: number, near: number): number {
  let [i, j] = [turn, turn];
  while (i > 0 && Math.abs(x[i - 1]! - x[turn]!) < near) i--;
  while (j < x.length - 1 && Math.abs(x[j + 1]! - x[turn]!) < near) j++;
  let sum = 0;
  for (let k = i; k <= j; k++) sum += x[k]!;
  return sum / (j - i + 1);
}

/** Times at which a way between two turns crosses each of its tenths, seconds. */
function crossingsOf(e: Even, from: number, to: number): number[] {
  const near = LEVEL_SHARE * Math.abs(e.x[to]! - e.x[from]!);
  const [a, b] = [levelAt(e.x, from, near), levelAt(e.x, to, near)];
  // From the middle outwards: pauses at either end may wander about the level.
  let mid = from;
  const half = (a + b) / 2;
  while (mid < to && (b > a ? e.x[mid]! < half : e.x[mid]! > half)) mid++;
  return TENTHS.map((way) => crossing(e, mid, way <= 0.5 ? from : to, a + way * (b - a)));
}

const outerS = (seen: readonly number[]): number => seen[8]! - seen[0]!;

/** The shape that fits the ways of a whole trace: who follows a mark follows it in every rep. */
function shapeOf(ways: readonly (readonly number[])[]): readonly number[] {
  const misfits = SHAPES.map((times) =>
    ways.reduce((sum, seen) => sum + Math.min(1, fitLine(times, seen).misfit / outerS(seen) ** 2), 0),
  );
  const even = misfits[1]! < misfits[2]! ? 1 : 2;
  return SHAPES[misfits[even]! < BETTER_SHARE * misfits[0]! ? even : 0]!;
}

/** Start and end of one way, by the shape of its trace. */
function phaseOf(
  seen: readonly number[],
  shape: readonly number[],
): { readonly startS: number; readonly endS: number } {
  const fit = fitLine(shape, seen);
  if (Math.sqrt(fit.misfit) > WORST_FIT * outerS(seen))
    return { startS: 2 * seen[0]! - seen[1]!, endS: 2 * seen[8]! - seen[7]! };
  return { startS: fit.at(0), endS: fit.at(1) };
}

/**
 * Where the first way really begins, going back from its fastest moment towards `end`, and where the last one ends,
 * going on:
 * taking hold, stepping in and setting down stay out.
 */
function wherePausing(x: Float64Array, from: number, end: number): number {
  const [a, b] = [Math.min(from, end), Math.max(from, end)];
  const speed = (i: number): number => Math.abs(x[i + 1]! - x[i - 1]!);
  let fastest = a + 1;
  for (let i = a + 1; i < b; i++) if (speed(i) > speed(fastest)) fastest = i;
  const step = Math.sign(end - from);
  let i = fastest;
  while (i + step > a && i + step < b && speed(i) > STILL_SHARE * speed(fastest)) i += step;
  return i;
}

/** One way there and back between three turns, before it is known which of the two lifts. */
interface Cycle {
  readonly up: { readonly startS: number; readonly endS: number };
  readonly down: { readonly startS: number; readonly endS: number };
  readonly low: number;
  readonly high: number;
  readonly peakUp: number;
  readonly peakDown: number;
}

function findCycles(e: Even): Cycle[] | null {
  const sorted = Float64Array.from(e.x).sort();
  const span = sorted[Math.floor(0.98 * (sorted.length - 1))]! - sorted[Math.floor(0.02 * (sorted.length - 1))]!;
  if (span < LEAST_RANGE_M) return null;
  const turns = findTurns(e.x, TURN_SHARE * span);
  const last = turns.length - 1 - ((turns.length - 1) % 2);
  if (last >= 2) {
    turns[0] = wherePausing(e.x, turns[1]!, turns[0]!);
    turns[last] = wherePausing(e.x, turns[last - 1]!, turns[last]!);
  }
  const ways = turns.slice(1, last + 1).map((to, i) => crossingsOf(e, turns[i]!, to));
  const shape = shapeOf(ways);
  const cycles: Cycle[] = [];
  for (let k = 0; k + 2 < turns.length; k += 2) {
    const [low, high, next] = [turns[k]!, turns[k + 1]!, turns[k + 2]!];
    let [peakUp, peakDown] = [0, 0];
    for (let i = low + 1; i < next; i++) {
      const speed = (e.x[i + 1]! - e.x[i - 1]!) / (2 * STEP_S);
      if (i < high) peakUp = Math.max(peakUp, speed);
      else peakDown = Math.max(peakDown, -speed);
    }
    cycles.push({ up: phaseOf(ways[k]!, shape), down: phaseOf(ways[k + 1]!, shape), low, high, peakUp, peakDown });
  }
  return cycles.length > 0 ? cycles : null;
}

/** Greatest acceleration about a turn, m/s^2, away from it. */
function turnAt(x: Float64Array, turn: number): number {
  let most = 0;
  for (let i = Math.max(2, turn - 10); i <= turn + 10 && i + 2 < x.length; i++)
    most = Math.max(most, Math.abs(x[i + 2]! - 2 * x[i]! + x[i - 2]!) / (4 * STEP_S * STEP_S));
  return most;
}

/**
 * Reps of a trace that starts at rest where the movement does: smoothed without phase shift, cut at turning points with
 * hysteresis, phases timed by the shape that fits the crossings of every tenth of the way: free (minimum jerk) or at an
 * even speed. Null for a trace with gaps, with times that go back, or without one rep. On synthetic traces of free reps
 * with 3 mm of noise, drift and missing samples phases of half a second to five seconds come out within 0.1 s; of reps
 * at an even speed of 1.5 s and more within 0.2 s.
 */
export function segmentReps(points: readonly TracePoint[], startsWith: StartPhase = 'lifting'): TraceRep[] | null {
  // A movement that begins with the lowering is the same trace upside down, its two ways and its two pauses changed
  // over.
  const sign = startsWith === 'lifting' ? 1 : -1;
  const e = toEven(sign === 1 ? points : points.map((p) => ({ tS: p.tS, xM: -p.xM })));
  const cycles = e && findCycles(e);
  if (!e || !cycles) return null;
  const reps = cycles.map((c, k): Omit<TraceRep, 'rangeShare'> => {
    const after = cycles[k + 1];
    const between = Math.max(0, c.down.startS - c.up.endS);
    const next = after ? Math.max(0, after.up.startS - c.down.endS) : null;
    const [lift, lower] = sign === 1 ? [c.up, c.down] : [c.down, c.up];
    const rangeM = e.x[c.high]! - e.x[c.low]!;
    const liftingS = lift.endS - lift.startS;
    return {
      startS: c.up.startS,
      liftingS,
      loweringS: lower.endS - lower.startS,
      finishS: sign === 1 ? between : next,
      stretchS: sign === 1 ? next : between,
      rangeM,
      meanSpeedMs: rangeM / liftingS,
      peakSpeedMs: sign === 1 ? c.peakUp : c.peakDown,
      turnMs2: sign === -1 ? turnAt(e.x, c.high) : k === 0 ? 0 : turnAt(e.x, c.low),
      lowM: sign === 1 ? e.x[c.low]! : -e.x[c.high]!,
    };
  });
  // The reference is what the first reps did, before fatigue (our judgement: the longest of the first three).
  const reference = Math.max(...reps.slice(0, 3).map((r) => r.rangeM));
  return reps.map((r) => ({ ...r, rangeShare: r.rangeM / reference }));
}

/**
 * Less than this is no step between where the stack rests and where a set starts, metres (our judgement: three times a
 * good sensor's noise).
 */
const LEAST_LIFT_OFF_M = 0.015;
const STANDING_S = 0.5;

/**
 * Where the stack lies on its stop, metres of the same trace: it stood there before the client took hold. Null when the
 * trace begins later.
 */
export function findRest(points: readonly TracePoint[], first: TraceRep): number | null {
  const began = points.filter((p) => p.tS <= points[0]!.tS + STANDING_S);
  const rest = began.reduce((a, p) => a + p.xM, 0) / began.length;
  return first.lowM - rest >= LEAST_LIFT_OFF_M ? rest : null;
}
