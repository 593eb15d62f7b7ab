import { originOf } from '@/app/origin';
import { PAPER } from '@/messages/papers';
import { openUseCase } from '@/server/open-use-case';
import { loadHandOver } from '@/server/papers';
import { paperReply } from '@/server/print';

/** The page as a PDF; 404 where there is nothing of that id in the care of who asks. */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ clientId: string }> },
): Promise<Response> {
  const { clientId: id } = await params;
  const paper = loadHandOver(await openUseCase(), id);
  if (!paper) return Response.json({ issues: [{ path: 'clientId', message: PAPER.nothing }] }, { status: 404 });
  return paperReply(paper, `${originOf(request)}/clients/${id}/hand-over`, `hand-over-${id}`);
}
