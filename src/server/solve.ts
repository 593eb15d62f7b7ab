import 'server-only';
import { answerCase } from '@/solver/solve-case';

/** Answer a case, or an array of cases, in the open case format; the issues of all where any cannot be read. */
export function solveCases(input: unknown): { readonly status: number; readonly body: object } {
  const replies = (Array.isArray(input) ? input : [input]).map((one) => answerCase(one));
  const issues = replies.flatMap((r, i) =>
    r.ok ? [] : r.issues.map((p) => ({ ...p, path: Array.isArray(input) ? `${i}.${p.path}` : p.path })),
  );
  if (issues.length > 0) return { status: 400, body: { issues } };
  const answers = replies.flatMap((r) => (r.ok ? [r.answer] : []));
  return { status: 200, body: Array.isArray(input) ? answers : answers[0]! };
}
