import { EXPECTED } from '@/messages/expected';
import { answerCase } from './solve-case';

/** Cases that are answered in one call, and problems that are told of them. */
const MOST_CASES = 200;
const MOST_ISSUES = 20;

/** What a call of the solver over HTTP is answered with: a status of HTTP, and JSON. */
interface SolveReply {
  readonly status: number;
  readonly body: object;
}

/**
 * Answer a case, or an array of cases, in the open case format; where any cannot be read, the first problems of all.
 */
function solveCases(input: unknown): SolveReply {
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

/** The same from the text of a body to the text of an answer. */
export function solveText(text: string): { readonly status: number; readonly text: string } {
  let input: unknown = null;
  try {
    input = JSON.parse(text);
  } catch {
    // What is no JSON is no case either, and is told as such.
  }
  const { status, body } = solveCases(input);
  return { status, text: JSON.stringify(body) };
}
