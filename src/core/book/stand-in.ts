import { solveSetup, type SolvedSetup } from '@/core/setup/solve-setup';
import { isStraight } from '@/core/setup/tolerance';
import { findEntry } from './book';
import { sidesOf, worksOn, type BookEntry } from './book-entry';
import { usualOptions } from './entry-options';
import { poseQuestion } from './pose-question';
import type { PosedQuestion } from './posed-question';
import { askQuestion, lacksPulley, withChoices, type Question } from './question';

/** The nearest thing that works when a set-up is blocked: the same movement at another tilt, or another movement. */
export interface StandIn {
  readonly entry: BookEntry;
  /** Tilt of the sweep, degrees; null where the movement is no sweep. */
  readonly tiltDeg: number | null;
  readonly posed: PosedQuestion;
  /** Where it goes on the same column; null where it needs none. */
  readonly solution: SolvedSetup | null;
}

const TILT_STEP_DEG = 5;
const FLIES = ['cable-fly-high-to-low', 'cable-fly-level', 'cable-fly-low-to-high'] as const;

/**
 * The blocked question asked of another movement, or of the same one at another tilt; null where it cannot be asked.
 */
function askInstead(blocked: Question, other: BookEntry, tiltDeg: number | null): Question | null {
  const free = { fixed: {}, lastUsed: null };
  const onePulley = lacksPulley(blocked);
  if (other.load.kind !== 'cable')
    return onePulley
      ? askQuestion(other, {
          ...blocked,
          ...free,
          side: sidesOf(other).at(-1)!,
          options: usualOptions(other),
          column: null,
        })
      : null;
  // A column with one pulley serves one arm: what can be done with one stands in for what takes two.
  const side = onePulley && !other.load.shared ? 'right' : blocked.side;
  if (other.id === blocked.own.id && tiltDeg !== null)
    return { ...withChoices(blocked, { ...blocked.options, tiltDeg }, side), ...free };
  if (!worksOn(other, side)) return null;
  const own = usualOptions(other);
  const asked = askQuestion(other, { ...blocked, ...free, side, options: { ...own, tiltDeg: tiltDeg ?? own.tiltDeg } });
  return asked;
}

/**
 * Nearest working stand-in on the same column: a sweep's own tilts, closest first, then the other flies on their
 * defaults; then the movement's own stand-ins, first come first. Where the column has a pulley too few, a sweep is done
 * with one arm, and what needs no column stands in too. Null when there is none.
 */
export function findStandIn(blocked: Question): StandIn | null {
  const { own, options } = blocked;
  const candidates: (readonly [BookEntry, number | null])[] = [];
  if (own.path.kind === 'sweep') {
    const { min, max } = own.path.tiltDeg;
    const tilts: number[] = [];
    for (let t = min; t <= max; t += TILT_STEP_DEG) tilts.push(t);
    tilts.sort((a, b) => Math.abs(a - options.tiltDeg) - Math.abs(b - options.tiltDeg));
    candidates.push(...tilts.map((t) => [own, t] as const));
    for (const id of FLIES) {
      const fly = findEntry(id)!;
      if (id !== own.id && fly.path.kind === 'sweep') candidates.push([fly, fly.path.tiltDeg.default]);
    }
  }
  candidates.push(...own.standIns.map((id) => [findEntry(id)!, null] as const));
  for (const [other, tiltDeg] of candidates) {
    const asked = askInstead(blocked, other, tiltDeg);
    const posed = asked && poseQuestion(asked);
    const solution = posed?.search ? solveSetup(posed.search) : null;
    if (posed && other.load.kind !== 'cable') return { entry: other, tiltDeg, posed, solution: null };
    if (posed && solution?.feasible && (tiltDeg === null || isStraight(solution.best)))
      return { entry: other, tiltDeg, posed, solution };
  }
  return null;
}
