import { originOf } from '@/app/origin';
import { PAPER } from '@/messages/papers';
import { openUseCase } from '@/server/open-use-case';
import { loadSummary } from '@/server/papers';
import { paperReply } from '@/server/print';

/** The page as a PDF; 404 where there is nothing of that id in the care of who asks. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ sessionId: string }> },
): Promise<Response> {
  const { sessionId: id } = await params;
  const paper = loadSummary(await openUseCase(), id);
  if (!paper) return Response.json({ issues: [{ path: 'sessionId', message: PAPER.nothing }] }, { status: 404 });
  return paperReply(paper, `${originOf(request)}/summary/${id}`, `summary-${id}`);
}
