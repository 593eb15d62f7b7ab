import type { Violation } from '@/core/setup/violation';
import { workingSides } from '@/core/body/side';
import type { Vec3 } from '@/core/geometry/vector';
import type { LineMetrics, ProfileSamples } from '@/core/mechanics/line-profile';
import type { Placement } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { worksOn } from './book-entry';
import { poseEntry, WHOLE_RANGE, workingShare, type PosedEntry } from './pose-entry';
import { closedAt, poseQuestion } from './pose-question';
import { searchOf, shownLimb, type PosedQuestion } from './posed-question';
import { profileOf } from './profile-limb';
import { lacksPulley, type Question } from './question';
import { rangeDegOf } from './range-deg';

/** A movement placed at a column where it hangs on a cable, and profiled either way. */
export interface GoodAnswer {
  readonly ok: true;
  /** Null for a movement that needs no place at a column. */
  readonly placement: Placement | null;
  readonly metrics: LineMetrics;
  readonly samples: ProfileSamples;
  readonly pulley: Vec3 | null;
  readonly from: PosedQuestion;
}

/** Why a question has no answer here. */
export interface NoAnswer {
  readonly ok: false;
  readonly reason: 'range' | 'no-column' | 'one-pulley' | 'sides' | 'limits';
  readonly violations: readonly Violation[];
}

/** The posed limb that an answer is shown by. */
export const posedOf = (answer: GoodAnswer): PosedEntry => shownLimb(answer.from).posed;

/** What a question is answered with. */
export type QuestionAnswer = GoodAnswer | NoAnswer;

const no = (reason: NoAnswer['reason'], violations: readonly Violation[] = []): NoAnswer => ({
  ok: false,
  reason,
  violations,
});

/**
 * How far the target joint turns over the whole of a movement and over what a client's range leaves of it, degrees; the
 * tighter side.
 */
export function wholeRangeDeg({ entry, body, range, kit, side }: Question): {
  readonly wholeDeg: number;
  readonly leftDeg: number;
} {
  const own = workingSides(side).map((working) => {
    const whole = poseEntry(entry, body, working, { ...WHOLE_RANGE, fit: range.fit }, kit)!;
    const share = workingShare(entry, body, working, range, kit);
    const wholeDeg = rangeDegOf(whole.path, whole.target.joint);
    return { wholeDeg, leftDeg: wholeDeg * share };
  });
  return own.reduce((a, b) => (b.leftDeg < a.leftDeg ? b : a));
}

/** Why a column that is there cannot serve a question, whatever the body; null when it can. */
function kitRefusal(question: Question): NoAnswer | null {
  const { entry, side, column } = question;
  if (!worksOn(entry, side)) return no('sides');
  if (entry.load.kind !== 'cable') return null;
  if (!column) return no('no-column');
  return lacksPulley(question) ? no('one-pulley') : null;
}

/** Answer a question: place the movement at its column where it hangs on a cable, and profile it either way. */
export function answerQuestion(question: Question): QuestionAnswer {
  const refusal = kitRefusal(question);
  if (refusal) return refusal;
  const from = poseQuestion(question);
  return from ? answerPosed(from) : no('range');
}

/** The same for a question whose limbs are posed and whose kit is known to serve. */
export function answerPosed(from: PosedQuestion): QuestionAnswer {
  const { shown: side } = from;
  const common = { ok: true as const, from };
  if (!from.search) return { ...common, placement: null, ...profileOf(shownLimb(from)), pulley: null };
  const search = searchOf(from);
  const solution = solveSetup(search);
  if (!solution.feasible) return no('limits', solution.nearest.violations);
  const { placement, bySide } = solution.best;
  const pulley = search.pulley(placement, side);
  return { ...common, from: closedAt(from, placement), placement, ...bySide[side]!, pulley };
}
