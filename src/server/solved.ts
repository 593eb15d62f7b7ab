import 'server-only';
import { createHash } from 'node:crypto';
import { answerPosed } from '@/core/book/answer-question';
import type { FitSetting } from '@/core/book/fit-entry';
import { poseQuestion } from '@/core/book/pose-question';
import type { Practice } from '@/core/book/practice';
import type { PosedQuestion } from '@/core/book/posed-question';
import { settingsOf } from '@/core/book/question-settings';
import { lately } from '@/core/record/lately';
import type { Placement } from '@/core/setup/setup-problem';
import type { Violation } from '@/core/setup/violation';
import { caseSchema, type CaseInput } from '@/contract/case';
import { toFieldIssues, type FieldIssue } from '@/contract/field';
import { findKeptSolve, keepSolve } from '@/data/queries/kept-solves';
import { practicesOfCase, toQuestion } from '@/solver/to-question';
import { toLocalDay } from './clock';
import type { UseCase } from './use-case';

/** What a case is answered with: where to stand, or what stands in the way. */
type Answered =
  | { readonly ok: true; readonly placement: Placement | null }
  | { readonly ok: false; readonly violations: readonly Violation[] };

/** What is told of a case, plain data: it outlives a restart. */
export interface SolvedCase {
  /** What does not fit in the case; then there is no more. */
  readonly issues: readonly FieldIssue[];
  /** What is set by rule; null where the client's range leaves too little of the movement. */
  readonly rules: readonly FitSetting[] | null;
  /** Null until it was asked for: a place that was saved needs none. */
  readonly answer: Answered | null;
}

/** Cases at hand without asking the records. */
const AT_HAND = 400;
/** Posed questions at hand: each is a hundred times as big as what is told of it. */
const POSED_AT_HAND = 100;
/** What was solved is kept so long, days. */
const KEPT_DAYS = 30;

const posedLately = lately<PosedQuestion | null>(POSED_AT_HAND);

/** A case with its limbs posed, once for whoever opens it again; null where it has none. */
export const poseCase = (setupCase: CaseInput): PosedQuestion | null =>
  posedLately(JSON.stringify(setupCase), () => {
    const parsed = caseSchema.safeParse(setupCase);
    return parsed.success ? poseQuestion(toQuestion(parsed.data)) : null;
  });

function solve(setupCase: CaseInput, needsPlace: boolean): SolvedCase {
  const parsed = caseSchema.safeParse(setupCase);
  if (!parsed.success) return { issues: toFieldIssues(parsed.error), rules: null, answer: null };
  const posed = poseCase(setupCase);
  if (!posed) return { issues: [], rules: null, answer: null };
  // Standing upright is nothing to set.
  const rules = settingsOf(posed).filter((s) => s.kind !== 'lean' || s.leanDeg > 0);
  if (!needsPlace) return { issues: [], rules, answer: null };
  const answer = answerPosed(posed);
  return {
    issues: [],
    rules,
    answer: answer.ok ? { ok: true, placement: answer.placement } : { ok: false, violations: answer.violations },
  };
}

/** The code that solves, as the build names it; where nothing was built solves are kept in memory alone. */
const solverCode = (): string => process.env.JORVIX_SOLVER ?? '';

/** What was kept under a hash is at hand from then on, as it was found or null. */
const keptLately = lately<{ told: unknown }>(AT_HAND);

/**
 * What a case was answered with, by the same code, whoever asks and when; made where nothing was kept or what was kept
 * does not tell enough. `of` tells answers of different kinds to one case apart.
 */
function answerOnce<T>(
  { db, nowMs }: UseCase,
  { of, setupCase }: { readonly of: string; readonly setupCase: CaseInput },
  tellsEnough: (told: T) => boolean,
  make: () => T,
): T {
  const code = solverCode();
  const hash = createHash('sha256')
    .update(`${code}\n${of}${JSON.stringify(setupCase)}`)
    .digest('base64url');
  const atHand = keptLately(hash, () => {
    const kept = code === '' ? null : findKeptSolve(db, hash);
    return { told: kept === null ? null : JSON.parse(kept) };
  }) as { told: T | null };
  if (atHand.told !== null && tellsEnough(atHand.told)) return atHand.told;
  const made = make();
  atHand.told = made;
  const today = toLocalDay(nowMs);
  if (code !== '') keepSolve(db, hash, JSON.stringify(made), today, today - KEPT_DAYS);
  return made;
}

/** What is told of a case, with its place where that is needed. */
export const solveOnce = (uc: UseCase, setupCase: CaseInput, needsPlace: boolean): SolvedCase =>
  answerOnce(
    uc,
    { of: '', setupCase },
    ({ rules, answer }: SolvedCase) => rules === null || !needsPlace || answer !== null,
    () => solve(setupCase, needsPlace),
  );

/** Questions of practice that a case raises, with our side of each; none where the case does not hold. */
export const practicesOnce = (uc: UseCase, setupCase: CaseInput): readonly Practice[] =>
  answerOnce<readonly Practice[]>(
    uc,
    { of: 'practices ', setupCase },
    () => true,
    () => {
      const parsed = caseSchema.safeParse(setupCase);
      return parsed.success ? practicesOfCase(parsed.data) : [];
    },
  );
