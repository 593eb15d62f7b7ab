export { seeded } from '../../tracker/seeded';
import { buildBody, type BodyInput } from '@/core/body/body-model';
import type { HoleColumn, Room } from '@/core/kit/column';
import { findEntry } from '@/core/book/book';
import { buildProblem, type SetupInput } from '@/core/book/build-problem';
import { NO_FIT } from '@/core/book/client-fit';
import { usualOptions } from '@/core/book/entry-options';
import { USUAL_KIT } from '@/core/book/station-kit';
import type { SetupProblem } from '@/core/setup/setup-problem';
import { solveSetup, type SolvedSetup } from '@/core/setup/solve-setup';

/** A common twin column: 20 holes from 25 to 215 cm, pulleys 2.4 m apart. */
export const COLUMN: HoleColumn = {
  kind: 'twin',
  leftRuler: null,
  firstHoleM: 0.25,
  pitchM: 0.1,
  holes: 20,
  numberedFrom: 'bottom',
  twinSpacingM: 2.4,
  pulleyRatio: 1,
  clearanceM: 0.05,
  travelM: 3,
};
/** The movements that are sweeps of the whole arm. */
export const FLIES = ['cable-fly-high-to-low', 'cable-fly-level', 'cable-fly-low-to-high'] as const;
export const ROOM: Room = { minDistanceM: -0.3, maxDistanceM: 2 };

export const bodyOf = (statureM: number, more: Partial<BodyInput> = {}) =>
  buildBody({ statureM, massKg: 24 * statureM ** 2, measuredM: {}, ...more });

/** A set-up input with everything usual, and what a test changes. */
export function inputOf(movement: string, statureM = 1.75, change: Partial<SetupInput> = {}): SetupInput {
  const entry = findEntry(movement)!;
  return {
    body: bodyOf(statureM),
    range: {},
    limits: {},
    stopLevel: false,
    fit: NO_FIT,
    mostLoadKg: null,
    entry,
    options: usualOptions(entry),
    side: 'both',
    kit: USUAL_KIT,
    column: COLUMN,
    room: ROOM,
    attachmentM: 0.14,
    loadKg: 15,
    fixed: {},
    lastUsed: null,
    ...change,
  };
}

export const problemOf = (...args: Parameters<typeof inputOf>): SetupProblem => buildProblem(inputOf(...args));

/** Solve and insist that there is an answer. */
export function solved(problem: SetupProblem): SolvedSetup {
  const s = solveSetup(problem);
  if (!s.feasible) throw new Error(`blocked: ${JSON.stringify(s.nearest.violations)}`);
  return s;
}
