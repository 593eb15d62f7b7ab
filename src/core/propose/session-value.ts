import type { Region } from '@/core/body/region-line';
import { muscleOf, type Muscle, type WeekRule } from '@/core/week/muscle';
import type { Span } from '@/core/week/range-coverage';
import type { RegionNeed } from './session-need';

/** A movement that could be planned: what it loads, how well, and how long its sets take. */
export interface Candidate {
  readonly id: string;
  readonly target: Region;
  readonly secondary: readonly Region[];
  /** How much it makes its target do, share of the best one here. */
  readonly worth: number;
  /** The parts of its target's range that it loads. */
  readonly spans: readonly Span[];
  /** Seconds of so many sets of it, all its sides, with their rests and with getting to it. */
  readonly seconds: (sets: number) => number;
}

/** How many sets of which movement, by its id. */
export type Chosen = ReadonlyMap<string, number>;

/** What a session is put together by. */
export interface Wanted {
  readonly candidates: readonly Candidate[];
  readonly needs: readonly RegionNeed[];
  readonly rules: Readonly<Record<Muscle, WeekRule>>;
  /** Sets of each muscle that the week may still have before it is over its band. */
  readonly roomOf: Readonly<Record<Muscle, number>>;
  /** What the week loads of each region already. */
  readonly loaded: Readonly<Partial<Record<Region, readonly Span[]>>>;
  readonly mostS: number;
}

/** Sets of a movement in one session (common practice: two to four). */
export const SETS = { fewest: 2, most: 4 } as const;
/** Sets beyond the wanted ones count so much, and those beyond a muscle's band so much against (both ours). */
const BEYOND = 0.3;
const OVER = 0.5;
/** Loading what the week has not loaded of a region's range is worth so many sets for all of it (ours). */
const WHOLE_RANGE = 3;
/** One more movement to set up and to learn has to be worth so much of a set (ours). */
const ONE_MORE = 0.75;

/** Parts that a region's range is counted in, a bit each. */
const PARTS = 30;

/** Spans as a set of the parts whose middle they hold. */
const bitsOf = (spans: readonly Span[]): number =>
  Array.from({ length: PARTS }, (_, k) => (k + 0.5) / PARTS).reduce(
    (bits, at, k) => (spans.some((s) => s.from <= at && at <= s.to) ? bits | (1 << k) : bits),
    0,
  );

function countBits(bits: number): number {
  let n = 0;
  for (let b = bits; b !== 0; b &= b - 1) n += 1;
  return n;
}

/** What the sets of a region are worth: whole until they are enough, little until they are many, then a loss. */
function worthOf(sets: number, { want, room, weight }: RegionNeed): number {
  const [enough, more] = [Math.min(sets, want), Math.min(Math.max(0, sets - want), room)];
  return weight * (enough + BEYOND * more - OVER * Math.max(0, sets - want - room));
}

/** A session while one is looked for: sets of each candidate, and what they come to; `value` in sets. */
export interface Draft {
  readonly sets: number[];
  readonly perGoal: Float64Array;
  readonly bits: Int32Array;
  readonly perMuscle: Float64Array;
  seconds: number;
  value: number;
}

/** What is asked again and again while a session is looked for. */
export interface SessionValue {
  readonly draft: (sets: readonly number[]) => Draft;
  readonly copy: (draft: Draft) => Draft;
  /** What the next set of a candidate, or its first ones, is worth, and its seconds; null where it has its most. */
  readonly next: (draft: Draft, k: number) => { readonly gain: number; readonly seconds: number } | null;
  /** Adds them to a draft. */
  readonly add: (draft: Draft, k: number) => void;
}

const stepOf = (sets: number): number => (sets === 0 ? SETS.fewest : 1);

/** What a candidate's set counts for: each region that is trained for, and each muscle's band. */
function creditsOf(c: Candidate, { needs, rules }: Wanted, muscles: readonly Muscle[]) {
  const credit = (target: boolean, beside: boolean, m: Muscle): number => (target ? 1 : beside ? rules[m].indirect : 0);
  const goals = needs.map(({ region: r }, g) => ({
    g,
    credit: c.worth * credit(c.target === r, c.secondary.includes(r), muscleOf(r)),
    bits: c.target === r ? bitsOf(c.spans) : 0,
  }));
  const bands = muscles.map((muscle, m) => {
    const isBeside = c.secondary.some((r) => muscleOf(r) === muscle);
    return { m, credit: credit(muscleOf(c.target) === muscle, isBeside, muscle) };
  });
  return { goals: goals.filter((x) => x.credit > 0), bands: bands.filter((x) => x.credit > 0) };
}

/**
 * The worth of sessions, laid out once: of each region what it needs and what is newly loaded of its range, less what a
 * muscle's band has no room for, and less something for each movement.
 */
export function layOut(w: Wanted): SessionValue {
  const { candidates, needs } = w;
  const muscles = [...new Set(candidates.flatMap((c) => [c.target, ...c.secondary].map(muscleOf)))];
  const credits = candidates.map((c) => creditsOf(c, w, muscles));
  const week = needs.map(({ region }) => bitsOf(w.loaded[region] ?? []));
  const perBit = needs.map(({ region, weight }, g) => {
    const all = candidates.reduce((bits, c) => (c.target === region ? bits | bitsOf(c.spans) : bits), week[g]!);
    return all === 0 ? 0 : (weight * WHOLE_RANGE) / countBits(all);
  });
  const rooms = muscles.map((m) => Math.max(0, w.roomOf[m]));
  const over = (sets: number, m: number): number => OVER * Math.max(0, sets - rooms[m]!);
  const next: SessionValue['next'] = (d, k) => {
    const sets = d.sets[k]!;
    if (sets >= SETS.most) return null;
    const more = stepOf(sets);
    let gain = sets === 0 ? -ONE_MORE : 0;
    for (const { g, credit, bits } of credits[k]!.goals) {
      const was = d.perGoal[g]!;
      gain += worthOf(was + more * credit, needs[g]!) - worthOf(was, needs[g]!);
      if ((d.bits[g]! | bits) !== d.bits[g])
        gain += perBit[g]! * (countBits(d.bits[g]! | bits) - countBits(d.bits[g]!));
    }
    for (const { m, credit } of credits[k]!.bands)
      gain -= over(d.perMuscle[m]! + more * credit, m) - over(d.perMuscle[m]!, m);
    const { seconds } = candidates[k]!;
    return { gain, seconds: seconds(sets + more) - (sets === 0 ? 0 : seconds(sets)) };
  };
  const add: SessionValue['add'] = (d, k) => {
    const { gain, seconds } = next(d, k)!;
    const more = stepOf(d.sets[k]!);
    for (const { g, credit, bits } of credits[k]!.goals) {
      d.perGoal[g]! += more * credit;
      d.bits[g]! |= bits;
    }
    for (const { m, credit } of credits[k]!.bands) d.perMuscle[m]! += more * credit;
    d.sets[k]! += more;
    d.value += gain;
    d.seconds += seconds;
  };
  const copy = (d: Draft): Draft => ({
    ...{ sets: [...d.sets], perGoal: d.perGoal.slice(), bits: d.bits.slice(), perMuscle: d.perMuscle.slice() },
    ...{ seconds: d.seconds, value: d.value },
  });
  const draft = (sets: readonly number[]): Draft => {
    const d: Draft = {
      ...{ sets: candidates.map(() => 0), perGoal: new Float64Array(needs.length), bits: Int32Array.from(week) },
      ...{ perMuscle: new Float64Array(muscles.length), seconds: 0, value: 0 },
    };
    sets.forEach((n, k) => {
      while (d.sets[k]! < n) add(d, k);
    });
    return d;
  };
  return { draft, copy, next, add };
}
