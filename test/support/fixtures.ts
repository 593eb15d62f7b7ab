import { buildBody, type BodyInput } from '@/core/body/body-model';
import type { HoleColumn, Room } from '@/core/kit/column';
import { defaultOptions, type MovementId } from '@/core/movement/movement';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { buildProblem, type SetupInput, type SetupProblem } from '@/core/setup/setup-problem';
import { solveSetup, type SolvedSetup } from '@/core/setup/solve-setup';

/** A common twin column: 20 holes from 25 to 215 cm, pulleys 2.4 m apart. */
export const COLUMN: HoleColumn = {
  kind: 'twin', leftRuler: null, firstHoleM: 0.25, pitchM: 0.1, holes: 20, numberedFrom: 'bottom', twinSpacingM: 2.4, pulleyRatio: 1, clearanceM: 0.05, travelM: 3,
};
export const ROOM: Room = { minDistanceM: -0.3, maxDistanceM: 2 };

export const bodyOf = (statureM: number, more: Partial<BodyInput> = {}) => buildBody({ statureM, massKg: 24 * statureM ** 2, measuredM: {}, ...more });

/** A set-up input with everything usual, and what a test changes. */
export function inputOf(movement: MovementId, statureM = 1.75, change: Partial<SetupInput> = {}): SetupInput {
  return {
    body: bodyOf(statureM), range: {}, limits: {}, stopLevel: false, mostLoadKg: null, movement: MOVEMENT_BOOK[movement], options: defaultOptions(MOVEMENT_BOOK[movement]), side: 'both',
    column: COLUMN, room: ROOM, attachmentM: 0.14, loadKg: 15, fixed: {}, lastUsed: null, ...change,
  };
}

export const problemOf = (...args: Parameters<typeof inputOf>): SetupProblem => buildProblem(inputOf(...args));

/** Solve and insist that there is an answer. */
export function solved(problem: SetupProblem): SolvedSetup {
  const s = solveSetup(problem);
  if (!s.feasible) throw new Error(`blocked: ${JSON.stringify(s.nearest.violations)}`);
  return s;
}

/** Small seeded generator for properties outside fast-check (mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed;
  return () => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}
