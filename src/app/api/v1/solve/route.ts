import { answerCase } from '@/solver/solve-case';

/** The solver over HTTP: a case, or an array of cases, in the open case format. */
export async function POST(request: Request): Promise<Response> {
  const input: unknown = await request.json().catch(() => null);
  const replies = (Array.isArray(input) ? input : [input]).map((one) => answerCase(one));
  const issues = replies.flatMap((r, i) =>
    r.ok ? [] : r.issues.map((p) => ({ ...p, path: Array.isArray(input) ? `${i}.${p.path}` : p.path })),
  );
  if (issues.length > 0) return Response.json({ issues }, { status: 400 });
  const answers = replies.flatMap((r) => (r.ok ? [r.answer] : []));
  return Response.json(Array.isArray(input) ? answers : answers[0]);
}
