import type { Side } from '@/core/body/side';
import { poseQuestion } from '@/core/book/pose-question';
import type { Practice, PracticeChoice, PracticeQuestion } from '@/core/book/practice';
import { takenSide } from '@/core/book/practice-effect';
import { withChoices, type Question } from '@/core/book/question';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { ChainPath } from '@/core/movement/chain-path';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { type Placement, type SetupProblem } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { PRACTICE_TEXT } from '@/messages/practices';
import type { SetupState } from './setup-machine';
import type { BenchSetup } from './use-setup';
import { WORDS } from '@/messages/screens/setup';

/** What can be laid beside the set-up that is shown. */
type Compared =
  | { readonly kind: 'last' }
  | { readonly kind: 'solved' }
  | { readonly kind: 'alternative'; readonly placement: Placement }
  | { readonly kind: 'practice'; readonly question: PracticeQuestion; readonly side: string };

/** Something to lay beside the set-up that is shown, by what it is called. */
export interface Comparison {
  readonly key: string;
  readonly label: string;
  readonly of: Compared;
}

/** A comparison with its curve, its numbers and its ghost. */
export interface ShownComparison {
  readonly name: string;
  readonly placement: Placement;
  readonly metrics: LineMetrics;
  readonly resistanceNm: ArrayLike<number>;
  readonly path: ChainPath;
}

const placeText = (p: Placement): string => `hole ${p.hole}, ${Math.round(p.standX * 100)} cm`;

/** What can be laid beside a set-up: where it stood last, other solutions, other practices. */
export function comparisonsOf(
  question: Question,
  solution: BenchSetup['solution'],
  chosen: PracticeChoice,
  raised: readonly Practice[],
): Comparison[] {
  const { lastUsed } = question;
  const solved: Omit<Comparison, 'key'>[] = solution.feasible
    ? [
        { label: WORDS.solved(placeText(solution.best.placement)), of: { kind: 'solved' } },
        ...solution.alternatives.map(({ placement }) => ({
          label: WORDS.alsoSolved(placeText(placement)),
          of: { kind: 'alternative' as const, placement },
        })),
      ]
    : [];
  const practices = raised.flatMap(({ question: asks, options }) => {
    const text = PRACTICE_TEXT[asks];
    return options
      .filter((side) => side !== takenSide(asks, chosen))
      .map((side) => ({
        label: `${text.asks.toLowerCase()}: ${text.options[side]}`,
        of: { kind: 'practice' as const, question: asks, side },
      }));
  });
  const last: Omit<Comparison, 'key'>[] = lastUsed
    ? [{ label: WORDS.lastUsed(placeText(lastUsed)), of: { kind: 'last' } }]
    : [];
  return [...last, ...solved, ...practices].map((c) => ({ ...c, key: c.label }));
}

/** Solve or evaluate a comparison of a solved question; null when it is gone or has no set-up here. */
export function findComparison(
  { label, of }: Comparison,
  question: Question,
  { problem, solution }: Pick<BenchSetup, 'problem' | 'solution'>,
  state: Pick<SetupState, 'options' | 'side'>,
  worse: Side,
): ShownComparison | null {
  const at = (search: SetupProblem, placement: Placement): ShownComparison => {
    const e = evaluatePlacement(search, placement);
    const side = search.sides.includes(worse) ? worse : search.sides[0]!;
    const { metrics, samples } = e.bySide[side]!;
    const { path } = search.limbAt(side, placement);
    return { name: label, placement, metrics, resistanceNm: samples.resistanceNm, path };
  };
  switch (of.kind) {
    case 'last':
      return question.lastUsed ? at(problem, question.lastUsed) : null;
    case 'solved':
      return solution.feasible ? at(problem, solution.best.placement) : null;
    case 'alternative':
      return at(problem, of.placement);
    case 'practice': {
      const practices = { ...state.options.practices, [of.question]: of.side };
      const search = poseQuestion(withChoices(question, { ...state.options, practices }, state.side))?.search;
      const solved = search && solveSetup(search);
      return search && solved?.feasible ? at(search, solved.best.placement) : null;
    }
  }
}
