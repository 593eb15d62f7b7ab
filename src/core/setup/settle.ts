import { turnDeg } from '@/core/units/turn';
import { totalCost } from './cost';
import type { Placement, Refined, SearchProblem } from './setup-problem';

/** What a person sets and finds again: a mark on the floor, and a turn of the feet. */
export const SETTABLE_M = 0.05;
/** A turn that a person can stand to, degrees. */
const SETTABLE_DEG = 15;
/**
 * A settable place may cost this much more than the best to the centimetre, degrees; it leaves room under the half
 * degree that the search as a whole answers for.
 */
const WORTH_DEG = 0.4;
/**
 * Where no settable place comes as near as that, the best of them is taken up to this much, degrees: a line three
 * degrees out is what is seen by eye (common practice), and a mark to the centimetre is not found again on a floor.
 */
const UNSEEN_DEG = 3;
/** How far off the best a settable place is looked for, in its own steps. */
const STEPS = [0, -1, 1, -2, 2] as const;
/** Turns off square, degrees. */
const TURNS = [-4, -3, -2, -1, 1, 2, 3, 4].map((k) => k * SETTABLE_DEG);
const whole = (value: number, step: number, from = 0): number =>
  Math.round((from + Math.round((value - from) / step) * step) * 1e6) / 1e6;

/** Values of a setting that are tried: what is held, or steps about the found one, counted from `base`. */
const around = (held: number | undefined, value: number, step: number, base: number): readonly number[] =>
  held !== undefined ? [held] : STEPS.map((k) => Math.round((whole(value, step, base) + k * step) * 1e6) / 1e6);

/** Marks, places sideways and turns that go together. */
interface Kind {
  readonly xs: readonly number[];
  readonly zs: readonly number[];
  readonly yaws: readonly number[];
}

/** What a person can set about a place, simplest first. */
function kindsOf({ input, bounds, symmetric }: SearchProblem, found: Placement): readonly Kind[] {
  const { fixed, room } = input;
  const inRoom = (x: number): boolean => x >= room.minDistanceM - 1e-9 && x <= room.maxDistanceM + 1e-9;
  const marks = around(fixed.standX, found.standX, SETTABLE_M, 0).filter(inRoom);
  // Midway, or with the working shoulder before its pulley: that is found by eye, and 5 cm off it as well.
  const middleZ = Math.round(bounds.standZ * 100) / 100;
  const middle = [fixed.standZ ?? (symmetric ? bounds.standZ : middleZ)];
  const sideways = symmetric
    ? middle
    : around(fixed.standZ, found.standZ, SETTABLE_M, middleZ).filter(
        (z) => Math.abs(z - bounds.standZ) <= bounds.sidewaysM + 1e-9,
      );
  const square = [fixed.yawDeg ?? bounds.yawDeg];
  const turned =
    symmetric || fixed.yawDeg !== undefined
      ? square
      : TURNS.filter((d) => Math.abs(d) <= bounds.turnDeg)
          .map((d) => bounds.yawDeg + d)
          .toSorted((a, b) => Math.abs(turnDeg(a, found.yawDeg)) - Math.abs(turnDeg(b, found.yawDeg)))
          .slice(0, 2);
  return [
    { xs: marks, zs: middle, yaws: square },
    { xs: marks, zs: sideways, yaws: square },
    { xs: marks, zs: sideways, yaws: turned },
  ];
}

/** The place of a kind that costs least, where one costs less than `most`. */
function leastOf(problem: SearchProblem, found: Placement, { xs, zs, yaws }: Kind, most: number): Refined | null {
  let best: Refined | null = null;
  for (const standX of xs)
    for (const standZ of zs)
      for (const yawDeg of yaws) {
        const placement = { ...found, standX, standZ, yawDeg };
        const cost = totalCost(problem, placement);
        if (cost < (best?.cost ?? most)) best = { placement, cost };
      }
  return best;
}

/**
 * The simplest settable place that is as good as a found one within `WORTH_DEG`: marks to 5 cm, the feet square or
 * turned by 15 degrees. Square in the middle comes first, then square 5 or 10 cm aside, then turned; of those of a kind
 * the best. Where none comes as near, the best of all within `UNSEEN_DEG`. What may not move stays as it is, and so
 * does a place that no settable one comes near.
 */
export function settle(problem: SearchProblem, { placement: found, cost }: Refined): Placement {
  let least: Refined | null = null;
  for (const kind of kindsOf(problem, found)) {
    const best = leastOf(problem, found, kind, least?.cost ?? cost + UNSEEN_DEG);
    if (best && best.cost < cost + WORTH_DEG) return best.placement;
    least = best ?? least;
  }
  return least?.placement ?? found;
}
