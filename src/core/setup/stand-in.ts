import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { defaultOptions, type MovementId } from '@/core/movement/movement';
import { buildProblem, type SetupProblem } from './setup-problem';
import { isInLine } from './tolerance';
import { solveSetup, type SolvedSetup } from './solve-setup';

/** The nearest thing that works when a set-up is blocked: the same movement at another tilt, or another movement. */
export interface StandIn {
  readonly movement: MovementId;
  readonly tiltDeg: number;
  readonly solution: SolvedSetup;
}

const TILT_STEP_DEG = 5;

/**
 * Nearest working stand-in on the same column: the movement's own tilts, closest first, then the other movements of
 * the book on their defaults. Null when this column serves none of them.
 */
export function findStandIn(blocked: SetupProblem): StandIn | null {
  const { movement, options } = blocked.input;
  const attempt = (id: MovementId, tiltDeg: number): StandIn | null => {
    const other = MOVEMENT_BOOK[id];
    const chosen = { ...(id === movement.id ? options : defaultOptions(other)), tiltDeg };
    const solution = solveSetup(buildProblem({ ...blocked.input, movement: other, options: chosen, fixed: {}, lastUsed: null }));
    return solution.feasible && isInLine(solution.best) ? { movement: id, tiltDeg, solution } : null;
  };
  const { min, max } = movement.path.tiltDeg;
  const tilts: number[] = [];
  for (let t = min; t <= max; t += TILT_STEP_DEG) tilts.push(t);
  tilts.sort((a, b) => Math.abs(a - options.tiltDeg) - Math.abs(b - options.tiltDeg));
  for (const tilt of tilts) {
    const found = attempt(movement.id, tilt);
    if (found) return found;
  }
  for (const id of Object.keys(MOVEMENT_BOOK) as MovementId[]) {
    if (id === movement.id) continue;
    const found = attempt(id, MOVEMENT_BOOK[id].path.tiltDeg.default);
    if (found) return found;
  }
  return null;
}
