import type { Side } from '@/core/body/active-range';
import type { ClientNote } from '@/core/body/client-note';
import { findProblem } from '@/core/book/build-problem';
import { schoolsOf, type SchoolChoice, type SchoolQuestion } from '@/core/book/school';
import type { LineMetrics } from '@/core/mechanics/line-profile';
import type { ChainPath } from '@/core/movement/chain-path';
import { evaluatePlacement } from '@/core/setup/evaluate';
import { limbOf, type Placement } from '@/core/setup/setup-problem';
import { solveSetup } from '@/core/setup/solve-setup';
import { SCHOOL_TEXT } from '@/messages/schools';
import { withChoices, type Question } from '@/solver/to-question';
import type { SetupState } from './setup-machine';
import type { SetupView } from './use-setup';

/** Something to lay beside the set-up that is shown: where it stood last, another solution, another school. */
export interface Rival {
  readonly key: string;
  readonly label: string;
}

/** A rival with its curve, its numbers and its ghost. */
export interface ShownRival {
  readonly name: string;
  readonly placement: Placement;
  readonly metrics: LineMetrics;
  readonly resistanceNm: ArrayLike<number>;
  readonly path: ChainPath;
}

const markText = (p: Placement): string => `hole ${p.hole}, ${Math.round(p.standX * 100)} cm`;

/** What can be laid beside a set-up. */
export function rivalsOf(
  question: Question,
  solution: SetupView['solution'],
  chosen: SchoolChoice,
  notes: readonly ClientNote[],
  finishShare: number,
): Rival[] {
  const last = question.setup?.lastUsed;
  const schools = schoolsOf(question.own, notes, finishShare).flatMap((s) =>
    s.options
      .filter((o) => o !== (chosen[s.question] ?? s.preset))
      .map((o) => ({
        key: `school/${s.question}/${o}`,
        label: `${SCHOOL_TEXT[s.question].asks.toLowerCase()}: ${SCHOOL_TEXT[s.question].options[o]}`,
      })),
  );
  return [
    ...(last ? [{ key: 'last', label: `last used: ${markText(last)}` }] : []),
    ...(solution.feasible
      ? [
          { key: 'solved', label: `solved: ${markText(solution.best.placement)}` },
          ...solution.alternatives.map((a, i) => ({
            key: `alternative/${i}`,
            label: `also solved: ${markText(a.placement)}`,
          })),
        ]
      : []),
    ...schools,
  ];
}

/** Solve or evaluate a rival of a solved question; null when it is gone or has no set-up here. */
export function findRival(
  key: string,
  label: string,
  question: Question,
  { problem, solution }: Pick<SetupView, 'problem' | 'solution'>,
  state: Pick<SetupState, 'options' | 'side'>,
  worse: Side,
): ShownRival | null {
  const of = (p: typeof problem, placement: Placement): ShownRival => {
    const e = evaluatePlacement(p, placement);
    const side = p.sides.includes(worse) ? worse : p.sides[0]!;
    const profile = e.bySide[side]!;
    return {
      name: label,
      placement,
      metrics: profile.metrics,
      resistanceNm: profile.samples.resistanceNm,
      path: limbOf(p, side).path,
    };
  };
  if (key === 'last') return question.setup?.lastUsed ? of(problem, question.setup.lastUsed) : null;
  if (!solution.feasible) return null;
  if (key === 'solved') return of(problem, solution.best.placement);
  const [kind, a, b] = key.split('/');
  if (kind === 'alternative') {
    const other = solution.alternatives[Number(a)];
    return other ? of(problem, other.placement) : null;
  }
  if (kind !== 'school' || b === undefined) return null;
  const asked = withChoices(
    question,
    { ...state.options, schools: { ...state.options.schools, [a as SchoolQuestion]: b } },
    state.side,
  );
  const taught = asked.setup && findProblem(asked.setup);
  const solved = taught && solveSetup(taught);
  return taught && solved?.feasible ? of(taught, solved.best.placement) : null;
}
