import { turnDeg } from '@/core/units/turn';
import { holeHeightM, nearestHole } from '@/core/kit/column';
import { settle } from './settle';
import { BROKEN, totalCost } from './cost';
import { evaluatePlacement, type Evaluation } from './evaluate';
import type { Placement, Refined, SearchProblem } from './setup-problem';

/** What a trainer can mark and keep: whole centimetres and whole degrees. */
export const MARK_M = 0.01;
const COARSE_M = 0.1;
/** Refinement strides in marks (centimetres and degrees), coarse to fine; what is found is brought to 5 cm after. */
const STRIDES = [6, 2] as const;
/** Of a pair that stands midway: distance alone is left, and hole against distance is a flat valley. */
const DISTANCE_STRIDES = [6, 3, 1] as const;
/** Holes whose coarse cost is within this of the best are refined, degrees. */
const WORTH_REFINING_DEG = 3;
const REFINED_HOLES = 8;
/** Holes that are settled: the best with two others, and one more where any of them breaks a limit. */
const SETTLED_HOLES = 3;

/** A set-up that was found, with the next best at other holes. */
export interface SolvedSetup {
  readonly feasible: true;
  readonly best: Evaluation;
  /** Next best at other holes, at most two. */
  readonly alternatives: readonly Evaluation[];
}

/** No set-up keeps every limit; the one that breaks them least. */
export interface BlockedSetup {
  readonly feasible: false;
  /** The placement that breaks the limits least, with its violations. */
  readonly nearest: Evaluation;
}

/** What a search finds. */
export type SetupSolution = SolvedSetup | BlockedSetup;

const round = (value: number): number => Math.round(value * 100) / 100;

/** Candidate values of a setting: the fixed one, or a grid. */
function grid(fixed: number | undefined, min: number, max: number, step: number): number[] {
  if (fixed !== undefined) return [fixed];
  const values: number[] = [];
  for (let v = Math.ceil(min / step - 1e-9) * step; v <= max + 1e-9; v += step) values.push(round(v));
  return values.length ? values : [round(min)];
}

/** Carriages that are held apart stay so; else both stand alike. */
const apartOf = (problem: SearchProblem): { readonly leftBy?: number } =>
  problem.input.fixed.leftBy ? { leftBy: problem.input.fixed.leftBy } : {};

/**
 * Where a descent by every fourth sample ends, which costs less than a tenth of a degree more than one by all of them:
 * the place is brought to 5 cm and 15 degrees afterwards, on them all. What every fourth sample does not look at, a
 * cable through the body, is left by all of them; a pull is posed anew for every place, and stays.
 */
function refine(problem: SearchProblem, start: Placement): Refined {
  const placement = descend(problem, start, true);
  const cost = totalCost(problem, placement);
  if (problem.pulls || cost < BROKEN) return { placement, cost };
  const left = descend(problem, placement, false);
  return { placement: left, cost: totalCost(problem, left) };
}

/** Steepest descent over neighbouring marks, diagonals included, at each stride in turn. */
function descend(problem: SearchProblem, start: Placement, thin: boolean): Placement {
  const { fixed, room } = problem.input;
  const { bounds } = problem;
  const midway = problem.symmetric;
  const apart = apartOf(problem);
  const movesX = fixed.standX === undefined ? [-1, 0, 1] : [0];
  const movesZ = fixed.standZ === undefined && !midway ? [-1, 0, 1] : [0];
  const movesYaw = fixed.yawDeg === undefined && !midway ? [-1, 0, 1] : [0];
  // Neighbourhoods overlap: a place is costed once. Keys are whole marks and degrees.
  const seen = new Map<number, number>();
  const costOf = (p: Placement): number => {
    const key = (Math.round(p.standX * 100) * 1000 + Math.round(p.standZ * 100)) * 1000 + Math.round(p.yawDeg);
    const known = seen.get(key);
    if (known !== undefined) return known;
    const c = totalCost(problem, p, thin);
    seen.set(key, c);
    return c;
  };
  let at = start;
  let cost = costOf(at);
  for (const stride of midway && !problem.pulls ? DISTANCE_STRIDES : STRIDES) {
    for (;;) {
      let better: Placement | null = null;
      for (const dx of movesX) {
        for (const dz of movesZ) {
          for (const dyaw of movesYaw) {
            if (dx === 0 && dz === 0 && dyaw === 0) continue;
            const next = {
              hole: at.hole,
              ...apart,
              standX: round(at.standX + dx * stride * MARK_M),
              standZ: round(at.standZ + dz * stride * MARK_M),
              yawDeg: at.yawDeg + dyaw * stride,
            };
            if (dx !== 0 && (next.standX < room.minDistanceM || next.standX > room.maxDistanceM)) continue;
            if (dz !== 0 && Math.abs(next.standZ - bounds.standZ) > bounds.sidewaysM + 1e-9) continue;
            if (dyaw !== 0 && Math.abs(turnDeg(bounds.yawDeg, next.yawDeg)) > bounds.turnDeg) continue;
            const c = costOf(next);
            if (c < cost - 1e-9) {
              cost = c;
              better = next;
            }
          }
        }
      }
      if (!better) break;
      at = better;
    }
  }
  return at;
}

/** A place of a coarse grid with its cost, degrees. */
interface CoarsePlace {
  readonly placement: Placement;
  readonly cost: number;
}

const byCost = (places: readonly CoarsePlace[]): readonly CoarsePlace[] => places.toSorted((a, b) => a.cost - b.cost);

/** The best place of a coarse grid for every hole that is wanted, best first; costs are of every fourth sample. */
function coarsePlaces(problem: SearchProblem): readonly CoarsePlace[] {
  const known = again.get(problem);
  return known ?? byCost(wantedHoles(problem).map((hole) => lookAt(problem, hole)));
}

/** The same for every second hole and those beside the best of them: about where it will be set. */
export function roughPlaces(problem: SearchProblem): readonly CoarsePlace[] {
  const wanted = wantedHoles(problem);
  const places = wanted.filter((_, i) => i % 2 === 0).map((hole) => lookAt(problem, hole));
  const { hole } = byCost(places)[0]!.placement;
  const beside = [hole - 1, hole + 1].filter((h) => wanted.includes(h));
  return byCost([...places, ...beside.map((h) => lookAt(problem, h))]);
}

/** A hole of a problem is looked at coarsely once: to stand its load, and to solve it. */
const looked = new WeakMap<SearchProblem, Map<number, CoarsePlace>>();

function lookAt(problem: SearchProblem, hole: number): CoarsePlace {
  const known = looked.get(problem) ?? new Map<number, CoarsePlace>();
  looked.set(problem, known);
  const { fixed, room } = problem.input;
  const place =
    known.get(hole) ?? bestOfHole(problem, hole, grid(fixed.standX, room.minDistanceM, room.maxDistanceM, COARSE_M));
  known.set(hole, place);
  return place;
}

/** Problems that are looked at only about where another one was found. */
const again = new WeakMap<SearchProblem, readonly CoarsePlace[]>();
/** Holes of that other one whose neighbours are looked at with them, and how far from where it stood, metres. */
const HOLES_AGAIN = 4;
const AROUND_M = 0.3;

/**
 * Look coarsely at a problem only about the places of one that is nearly the same, best first: a body that leans for
 * its load, as it stood upright. The solver goes on from there.
 */
export function lookAround(problem: SearchProblem, places: readonly Placement[]): void {
  const { fixed, room } = problem.input;
  const wanted = new Set(wantedHoles(problem));
  const standXs = new Map<number, number>();
  for (const { hole, standX } of places.slice(0, HOLES_AGAIN))
    for (const h of [hole, hole - 1, hole + 1]) if (wanted.has(h) && !standXs.has(h)) standXs.set(h, standX);
  const found = [...standXs].map(([hole, standX]) => {
    const least = Math.max(room.minDistanceM, standX - AROUND_M);
    const most = Math.min(room.maxDistanceM, standX + AROUND_M);
    return bestOfHole(problem, hole, grid(fixed.standX, least, Math.max(least, most), COARSE_M));
  });
  // Whose heights are others is looked at everywhere.
  if (found.length > 0) again.set(problem, byCost(found));
}

/** The best of a coarse grid with the carriages at one hole; `xs`: distances to look at. */
function bestOfHole(problem: SearchProblem, hole: number, xs: readonly number[]): CoarsePlace {
  const { fixed } = problem.input;
  const { bounds } = problem;
  const apart = apartOf(problem);
  // Free to stand anywhere, a client stands near midway and square; a held setting may force a turn or a side step.
  const held = Object.keys(fixed).some((k) => k !== 'hole' && k !== 'leftBy');
  const zs =
    fixed.standZ !== undefined
      ? [fixed.standZ]
      : (problem.symmetric ? [0] : held ? [-0.2, 0, 0.2] : bounds.startsZ).map((z) => round(bounds.standZ + z));
  const yaws =
    fixed.yawDeg !== undefined
      ? [fixed.yawDeg]
      : (held && !problem.symmetric ? [-20, 0, 20] : [0]).map((y) => bounds.yawDeg + y);
  let best: Placement = { hole, ...apart, standX: xs[0]!, standZ: zs[0]!, yawDeg: yaws[0]! };
  let cost = Infinity;
  const lookAt = (standX: number): void => {
    for (const standZ of zs) {
      for (const yawDeg of yaws) {
        const candidate = { hole, ...apart, standX, standZ, yawDeg };
        const c = totalCost(problem, candidate, true);
        if (c < cost) {
          cost = c;
          best = candidate;
        }
      }
    }
  };
  // Every second distance, then those beside the best of them.
  for (let i = 0; i < xs.length; i += 2) lookAt(xs[i]!);
  const at = xs.indexOf(best.standX);
  for (const i of [at - 1, at + 1]) if (xs[i] !== undefined) lookAt(xs[i]);
  return { placement: best, cost };
}

/** Holes that are looked at. */
function wantedHoles(problem: SearchProblem): readonly number[] {
  const { fixed, column } = problem.input;
  const { bounds } = problem;
  const all = Array.from({ length: column.holes }, (_, i) => i + 1);
  const reachable = all.filter(
    (h) => holeHeightM(column, h) >= bounds.heightM[0] && holeHeightM(column, h) <= bounds.heightM[1],
  );
  // A column that has none of the wanted heights is still asked for its nearest.
  if (fixed.hole !== undefined) return [fixed.hole];
  return reachable.length > 0
    ? reachable
    : [nearestHole(column, (bounds.heightM[0] + Math.min(bounds.heightM[1], 3)) / 2)];
}

/**
 * Best hole, distance, sideways place and facing, with the next best at other holes.
 * Holes are enumerated; each is searched coarsely over place and facing and the promising ones refined to whole
 * centimetres and degrees, then brought to what a person can set where that costs next to nothing. Settings in
 * `input.fixed` stay. Never throws for a column that cannot serve: says which
 * limits block it.
 */
export function solveSetup(problem: SearchProblem): SetupSolution {
  const places = coarsePlaces(problem);
  const refined = places
    .filter((c, i) => i < 3 || (i < REFINED_HOLES && c.cost < places[0]!.cost + WORTH_REFINING_DEG))
    .map((c) => refine(problem, c.placement))
    .sort((a, b) => a.cost - b.cost);
  const whole = refined.slice(0, SETTLED_HOLES).every((r) => r.cost < BROKEN);
  const [best, ...others] = refined
    .slice(0, SETTLED_HOLES + (whole ? 0 : 1))
    .map((r) => evaluatePlacement(problem, settle(problem, r)))
    // What keeps every limit comes first: a broken one is in no term of the cost.
    .sort((a, b) => Number(a.violations.length > 0) - Number(b.violations.length > 0) || a.cost - b.cost);
  if (!best) throw new Error('solveSetup: a column has at least one hole');
  if (best.violations.length > 0) return { feasible: false, nearest: best };
  const alternatives = others.filter((e) => e.violations.length === 0).slice(0, 2);
  return { feasible: true, best, alternatives };
}
