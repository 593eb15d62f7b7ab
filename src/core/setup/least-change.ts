import { turnDeg } from '@/core/units/turn';
import { BROKEN, totalCost } from './cost';
import { evaluatePlacement, type Evaluation } from './evaluate';
import { PLACEMENT_KEYS, withFixed, type Placement, type SearchProblem } from './setup-problem';
import { solveSetup } from './solve-setup';
import { isInLine } from './tolerance';

/** The fewest settings to move from a set-up as found, and what comes of it. */
export interface LeastChange {
  /** Settings to change, in the order a trainer walks: steel first. Empty when nothing needs changing. */
  readonly changes: readonly { readonly setting: keyof Placement; readonly from: number; readonly to: number }[];
  readonly result: Evaluation;
}

/** A carriage move is a walk to the column; a step is a word to the client. Effort in steps of 10 cm. */
const EFFORT_PER_CARRIAGE = 1;
const EFFORT_PER_HOLE = 0.15;
const EFFORT_PER_M = 10;
const EFFORT_PER_DEG = 0.1;
/** A change is right when it also comes within this of the best cost, degrees: in line but useless is not right. */
const NEAR_BEST_DEG = 3;

function effort(from: Placement, to: Placement): number {
  const holes = Math.abs(to.hole - from.hole) + Math.abs((to.leftBy ?? 0) - (from.leftBy ?? 0));
  return (
    (holes > 0 ? EFFORT_PER_CARRIAGE + EFFORT_PER_HOLE * holes : 0) +
    EFFORT_PER_M * Math.hypot(to.standX - from.standX, to.standZ - from.standZ) +
    EFFORT_PER_DEG * Math.abs(turnDeg(from.yawDeg, to.yawDeg))
  );
}

const CHANGED = ['hole', 'leftBy', 'standX', 'standZ', 'yawDeg'] as const satisfies readonly (keyof Placement)[];

/** Which settings may move together, fewest first. */
const FREEDOMS: readonly (readonly (typeof PLACEMENT_KEYS)[number][])[] = [
  [],
  ['hole'],
  ['standX'],
  ['standZ'],
  ['yawDeg'],
  ['standX', 'standZ'],
  ['hole', 'standX'],
  ['standX', 'standZ', 'yawDeg'],
  ['hole', 'standX', 'standZ', 'yawDeg'],
];

/**
 * Least change, in a trainer's effort, that brings a set-up as found into line, close to the best, and inside the hard
 * limits. Settings in `input.fixed` may not move (a hole that is stuck). Null when nothing does.
 */
export function findLeastChange(problem: SearchProblem, found: Placement, best: Evaluation): LeastChange | null {
  const { fixed: held } = problem.input;
  const right = (e: Evaluation): boolean => isInLine(e, best) && e.cost <= best.cost + NEAR_BEST_DEG;
  const asFound = evaluatePlacement(problem, found);
  if (right(asFound)) return { changes: [], result: asFound };
  let least: { readonly result: Evaluation; readonly effort: number } | null = null;
  for (const free of FREEDOMS) {
    if (free.some((k) => held[k] !== undefined)) continue;
    // Carriages apart are brought level first, unless they are stuck so.
    const fixed = {
      ...Object.fromEntries(PLACEMENT_KEYS.filter((k) => !free.includes(k)).map((k) => [k, found[k]])),
      ...(held.leftBy === undefined ? {} : { leftBy: held.leftBy }),
    };
    const freed = withFixed(problem, fixed);
    const solution = solveSetup(freed);
    if (!solution.feasible || !right(solution.best)) continue;
    const to = walkBack(freed, found, solution.best.placement, right);
    const e = effort(found, to);
    if (!least || e < least.effort - 1e-9) least = { result: evaluatePlacement(freed, to), effort: e };
  }
  if (!least) return null;
  const to = least.result.placement;
  return {
    changes: CHANGED.filter((k) => (to[k] ?? 0) !== (found[k] ?? 0)).map((setting) => ({
      setting,
      from: found[setting] ?? 0,
      to: to[setting] ?? 0,
    })),
    result: least.result,
  };
}

/** From an answer that is right, back towards the set-up as found for as long as it stays right. */
function walkBack(
  problem: SearchProblem,
  found: Placement,
  solved: Placement,
  right: (e: Evaluation) => boolean,
): Placement {
  let at = solved;
  const step = { hole: 1, standX: 0.01, standZ: 0.01, yawDeg: 1 };
  for (let moved = true; moved;) {
    moved = false;
    for (const key of PLACEMENT_KEYS) {
      const gap = key === 'yawDeg' ? turnDeg(at.yawDeg, found.yawDeg) : found[key] - at[key];
      if (Math.abs(gap) < step[key] / 2) continue;
      const next = {
        ...at,
        [key]: Math.round((at[key] + Math.sign(gap) * Math.min(step[key], Math.abs(gap))) * 1e6) / 1e6,
      };
      if (totalCost(problem, next) < BROKEN && right(evaluatePlacement(problem, next))) {
        at = next;
        moved = true;
      }
    }
  }
  return at;
}
