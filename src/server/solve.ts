import 'server-only';
import { EXPECTED } from '@/messages/expected';
import { answerCase } from '@/solver/solve-case';

/** Cases that are answered in one call, and problems that are told of them. */
const MOST_CASES = 200;
const MOST_ISSUES = 20;

/**
 * Answer a case, or an array of cases, in the open case format; where any cannot be read, the first problems of all.
 */
export function solveCases(input: unknown): { readonly status: number; readonly body: object } {
  if (Array.isArray(input) && input.length > MOST_CASES)
    return { status: 400, body: { issues: [{ path: '', message: EXPECTED.atMost(MOST_CASES, 'cases') }] } };
  const replies = (Array.isArray(input) ? input : [input]).map((one) => answerCase(one));
  const issues = replies.flatMap((r, i) =>
    r.ok ? [] : r.issues.map((p) => ({ ...p, path: Array.isArray(input) ? `${i}.${p.path}` : p.path })),
  );
  if (issues.length > 0) return { status: 400, body: { issues: issues.slice(0, MOST_ISSUES) } };
  const answers = replies.flatMap((r) => (r.ok ? [r.answer] : []));
  return { status: 200, body: Array.isArray(input) ? answers : answers[0]! };
}
