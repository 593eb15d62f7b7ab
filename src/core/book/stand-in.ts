import type { BookEntry } from './book-entry';
import { isStraight } from '@/core/setup/tolerance';
import { solveSetup, type SolvedSetup } from '@/core/setup/solve-setup';
import { findEntry } from './book';
import { findProblem, type SetupInput } from './build-problem';
import { usualOptions } from './entry-options';

/** The nearest thing that works when a set-up is blocked: the same movement at another tilt, or another movement. */
export interface StandIn {
  readonly entry: BookEntry;
  /** Tilt of the sweep, degrees; null where the movement is no sweep. */
  readonly tiltDeg: number | null;
  readonly input: SetupInput;
  readonly solution: SolvedSetup;
}

const TILT_STEP_DEG = 5;
const FLIES = ['cable-fly-high-to-low', 'cable-fly-level', 'cable-fly-low-to-high'] as const;

/**
 * Nearest working stand-in on the same column: a sweep's own tilts, closest first, then the other flies on their
 * defaults;
 * then the movement's own stand-ins, first come first. Null when this column serves none of them.
 */
export function findStandIn(blocked: SetupInput): StandIn | null {
  const { entry, options } = blocked;
  const attempt = (other: BookEntry, tiltDeg: number | null): StandIn | null => {
    if (
      other.load.kind !== 'cable' ||
      ((other.hands === 'two') !== (blocked.side === 'both') && other.path.kind !== 'sweep')
    )
      return null;
    const chosen = other.id === entry.id ? options : usualOptions(other);
    const input = {
      ...blocked,
      entry: other,
      options: { ...chosen, tiltDeg: tiltDeg ?? chosen.tiltDeg },
      fixed: {},
      lastUsed: null,
    };
    const problem = findProblem(input);
    if (!problem) return null;
    const solution = solveSetup(problem);
    return solution.feasible && (tiltDeg === null || isStraight(solution.best))
      ? { entry: other, tiltDeg, input, solution }
      : null;
  };
  const candidates: (readonly [BookEntry, number | null])[] = [];
  if (entry.path.kind === 'sweep') {
    const { min, max } = entry.path.tiltDeg;
    const tilts: number[] = [];
    for (let t = min; t <= max; t += TILT_STEP_DEG) tilts.push(t);
    tilts.sort((a, b) => Math.abs(a - options.tiltDeg) - Math.abs(b - options.tiltDeg));
    candidates.push(...tilts.map((t) => [entry, t] as const));
    for (const id of FLIES) {
      const fly = findEntry(id)!;
      if (id !== entry.id && fly.path.kind === 'sweep') candidates.push([fly, fly.path.tiltDeg.default]);
    }
  }
  candidates.push(...entry.standIns.map((id) => [findEntry(id)!, null] as const));
  for (const [other, tilt] of candidates) {
    const found = attempt(other, tilt);
    if (found) return found;
  }
  return null;
}
