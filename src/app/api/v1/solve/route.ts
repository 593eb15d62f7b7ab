import { solveCases } from '@/server/solve';

/** The solver over HTTP: a case, or an array of cases, in the open case format. */
export async function POST(request: Request): Promise<Response> {
  const { status, body } = solveCases(await request.json().catch(() => null));
  return Response.json(body, { status });
}
