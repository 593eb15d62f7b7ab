import { SIDES, workingSides, type Side, type WorkingSide } from '@/core/body/side';
import type { Region } from '@/core/body/region-line';
import { MUSCLE_REGIONS, muscleOf, MUSCLES, type Muscle, type WeekRule } from './muscle';

/** Sets of one movement in a week: done, and planned besides. */
export interface MovementSets {
  readonly target: Region;
  readonly secondary: readonly Region[];
  readonly side: WorkingSide;
  readonly done: number;
  readonly planned: number;
}

/** Sets of a muscle in a week, of the side that has fewer where they differ. */
export interface MuscleSets {
  readonly muscle: Muscle;
  /** Sets whose own target it is, and what the others count for it. */
  readonly direct: number;
  readonly indirect: number;
  /** Both, done so far and with what is planned. */
  readonly done: number;
  readonly all: number;
  /** By how much the other side has more, with what is planned; nought where both have the same. */
  readonly otherSideMore: number;
  /** Direct sets by region, with what is planned: heads that have none are named. */
  readonly byRegion: Readonly<Partial<Record<Region, number>>>;
  readonly stands: 'below' | 'within' | 'over';
}

/** What a set counts for a muscle: whole where its target is part of it, a part where it works beside. */
function counts(m: MovementSets, muscle: Muscle, { indirect }: WeekRule): number {
  if (muscleOf(m.target) === muscle) return 1;
  return m.secondary.some((r) => muscleOf(r) === muscle) ? indirect : 0;
}

const setsIn = (m: MovementSets): number => m.done + m.planned;
const sumOf = <T>(all: readonly T[], of: (one: T) => number): number => all.reduce((sum, one) => sum + of(one), 0);

/** Sets of a week on one side. */
function ofSide(movements: readonly MovementSets[], muscle: Muscle, rule: WeekRule, side: Side) {
  const own = movements.filter((m) => workingSides(m.side).includes(side));
  const direct = own.filter((m) => muscleOf(m.target) === muscle);
  return {
    direct,
    all: sumOf(own, (m) => setsIn(m) * counts(m, muscle, rule)),
    done: sumOf(own, (m) => m.done * counts(m, muscle, rule)),
  };
}

/**
 * Sets per muscle of a week: one whose target is part of the muscle counts 1, one that works it beside counts by the
 * muscle's rule; of left and right the side with fewer stands.
 */
export const weekSets = (
  movements: readonly MovementSets[],
  rules: Readonly<Record<Muscle, WeekRule>>,
): readonly MuscleSets[] =>
  MUSCLES.map((muscle) => {
    const rule = rules[muscle];
    const sides = SIDES.map((side) => ofSide(movements, muscle, rule, side));
    const [fewer, more] = sides.toSorted((a, b) => a.all - b.all) as [(typeof sides)[0], (typeof sides)[0]];
    const direct = sumOf(fewer.direct, setsIn);
    return {
      muscle,
      direct,
      indirect: fewer.all - direct,
      done: fewer.done,
      all: fewer.all,
      otherSideMore: more.all - fewer.all,
      byRegion: Object.fromEntries(
        MUSCLE_REGIONS[muscle].map((r) => [
          r,
          sumOf(
            fewer.direct.filter((m) => m.target === r),
            setsIn,
          ),
        ]),
      ),
      stands: fewer.all < rule.least ? 'below' : fewer.all > rule.most ? 'over' : 'within',
    };
  });

/** Part of the deltoid's sets, own and beside, that are the side head's; null where it has none. */
export function sideDeltoidShare(sets: readonly MuscleSets[]): number | null {
  const of = (m: Muscle): number => sets.find((s) => s.muscle === m)?.all ?? 0;
  const all = of('deltoid-front') + of('deltoid-side') + of('deltoid-rear');
  return all > 0 ? of('deltoid-side') / all : null;
}

/** The part of the deltoid's sets that its side head should have, by the practice taken, and from where to where. */
export const SIDE_SHARE = {
  'half-side': { aim: 0.5, least: 0.4, most: 0.6 },
  'mostly-side': { aim: 0.8, least: 0.7, most: 0.9 },
  'spread-evenly': { aim: 1 / 3, least: 0.25, most: 0.42 },
} as const;

/** How the deltoid's sets are shared between its heads. */
export type DeltoidShare = keyof typeof SIDE_SHARE;

/**
 * Sets of the side deltoid that make its part of the deltoid's sets what it should be beside what the front and the
 * rear head have anyway: s / (s + others) = aim.
 */
export function sideSetsFor(share: DeltoidShare, sets: readonly MuscleSets[]): number {
  const of = (m: Muscle): number => sets.find((s) => s.muscle === m)?.all ?? 0;
  const { aim } = SIDE_SHARE[share];
  return (aim / (1 - aim)) * (of('deltoid-front') + of('deltoid-rear'));
}
