import { answerCall } from '@/server/answer-call';
import { openUseCase } from '@/server/open-use-case';
import { solveApart } from '@/server/solve-apart';

/**
 * The solver over HTTP: a case, or an array of cases, in the open case format; where no door of its own takes them
 * (`scripts/serve-app.mjs`).
 */
export async function POST(request: Request): Promise<Response> {
  if (request.headers.has('authorization')) return answerCall(request);
  await openUseCase();
  const { status, bytes } = await solveApart(await request.text());
  return new Response(bytes, { status, headers: { 'content-type': 'application/json' } });
}
