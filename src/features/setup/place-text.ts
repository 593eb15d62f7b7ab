import type { BookEntry } from '@/core/book/book-entry';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import { facingText } from '@/messages/book';
import { toCm } from '@/messages/numbers';

/** Both hands pull a cable of their own. */
export const twoCables = (problem: SetupProblem): boolean => problem.sides.length === 2 && !problem.shared;

/** Closer to a pulley than this the place is told from it, else from midway; metres. */
const OWN_PULLEY_M = 0.3;

/** Where a client stands sideways: from midway between the columns, or from the pulley that is used. */
export function sidewaysText(problem: SetupProblem, placement: Placement): string {
  const at = problem.pulley(placement, problem.sides[0]!)[2];
  const off = Math.abs(problem.bounds.standZ) > OWN_PULLEY_M;
  const by = toCm(placement.standZ - (off ? at : 0));
  const from = off ? `before the ${at > 0 ? 'right' : 'left'} pulley` : 'midway';
  return by === 0
    ? from
    : `${Math.abs(by)} cm to the ${by > 0 ? 'right' : 'left'} ` +
        `of ${off ? `the ${at > 0 ? 'right' : 'left'} pulley` : 'midway'}`;
}

/** Which way a client faces, and how far turned from square. */
export function facingNote(entry: BookEntry, problem: SetupProblem, placement: Placement): string {
  const turn = ((((placement.yawDeg - problem.bounds.yawDeg + 180) % 360) + 360) % 360) - 180;
  const facing = entry.load.kind === 'cable' ? facingText(entry.load.facing) : '';
  return turn === 0
    ? `square, ${facing}`
    : `${facing}, turned ${Math.abs(Math.round(turn))}° ${turn > 0 ? 'left' : 'right'}`;
}
