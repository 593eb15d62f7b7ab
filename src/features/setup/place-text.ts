import type { BookEntry } from '@/core/book/book-entry';
import { SETTABLE_M } from '@/core/setup/settle';
import type { Placement, SetupProblem } from '@/core/setup/setup-problem';
import type { Tolerance } from '@/core/setup/tolerance';
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

const MARK_CM = toCm(SETTABLE_M);

/** Marks that will do about a solved one: those on 5 cm, or to the centimetre where the solved one is alone on them. */
export function markSpanText(solvedM: number, tolerance: Tolerance): string {
  const [lo, hi] = tolerance.standXM.map((by) => toCm(solvedM + by)) as [number, number];
  const [near, far] = [Math.ceil(lo / MARK_CM) * MARK_CM, Math.floor(hi / MARK_CM) * MARK_CM];
  const [from, to] = near < far ? [near, far] : [lo, hi];
  if (from < 0 && to > 0) return WORDS.behindToInFrontWillDo(-from, to);
  return WORDS.toCmWillDo(...([Math.abs(from), Math.abs(to)].toSorted((a, b) => a - b) as [number, number]));
}

/** The solved mark beside one that was moved; on the other side of the pulleys it says on which. */
export function solvedMarkText(solvedM: number, atM: number): string {
  const cm = Math.abs(toCm(solvedM));
  const isAcross = cm > 0 && solvedM < 0 !== atM < 0;
  return isAcross ? WORDS.solvedAcross(cm, solvedM < 0) : WORDS.solvedAt(cm);
}

/** Which way a client faces, and how far turned from square. */
export function facingNote(entry: BookEntry, problem: SetupProblem, placement: Placement): string {
  const turn = ((((placement.yawDeg - problem.bounds.yawDeg + 180) % 360) + 360) % 360) - 180;
  const facing = entry.load.kind === 'cable' ? facingText(entry.load.facing) : '';
  return turn === 0
    ? `square, ${facing}`
    : WORDS.turned(facing, Math.abs(Math.round(turn)), turn > 0 ? WORDS.left : WORDS.right);
}
