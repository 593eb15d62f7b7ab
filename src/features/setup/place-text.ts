import type { BookEntry } from '@/core/book/book-entry';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import { facingText } from '@/messages/book';
import { toCm } from '@/messages/numbers';
import { WORDS } from '@/messages/screens/setup';

/** Both hands pull a cable of their own. */
export const twoCables = (problem: SetupProblem): boolean =>
  problem.sides.length === 2 && !problem.shared && problem.input.column.kind !== 'single';

/** Closer to a pulley than this the place is told from it, else from midway; metres. */
const OWN_PULLEY_M = 0.3;

/** Where a client stands sideways: from midway between the columns, or from the pulley that is used. */
export function sidewaysText(problem: SetupProblem, placement: Placement): string {
  const at = problem.pulley(placement, problem.sides[0]!)[2];
  const middle = problem.bounds.standZ;
  const off = Math.abs(middle) > OWN_PULLEY_M;
  // One arm that faces the column, or away from it, stands with its shoulder before the pulley.
  const shoulder = off && Math.abs(middle - at) > 0.05;
  const by = toCm(placement.standZ - middle);
  const pulley = at > 0 ? WORDS.right : WORDS.left;
  const from = off ? (shoulder ? WORDS.shoulderBeforeThePulley(pulley) : WORDS.beforeThePulley(pulley)) : WORDS.midway;
  return by === 0 ? from : WORDS.cmToTheOf(Math.abs(by), by > 0 ? WORDS.right : WORDS.left, from);
}

/** Which way a client faces, and how far turned from square. */
export function facingNote(entry: BookEntry, problem: SetupProblem, placement: Placement): string {
  const turn = ((((placement.yawDeg - problem.bounds.yawDeg + 180) % 360) + 360) % 360) - 180;
  const facing = entry.load.kind === 'cable' ? facingText(entry.load.facing) : '';
  return turn === 0
    ? `square, ${facing}`
    : WORDS.turned(facing, Math.abs(Math.round(turn)), turn > 0 ? WORDS.left : WORDS.right);
}
