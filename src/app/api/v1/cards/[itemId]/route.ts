import { originOf } from '@/app/origin';
import { CARD_REFUSAL } from '@/messages/card';
import { printCard } from '@/server/card';
import { openUseCase } from '@/server/open-use-case';
import { asPdf } from '../as-pdf';

const refuse = (message: string, status: number): Response =>
  Response.json({ issues: [{ path: 'itemId', message }] }, { status });

/**
 * The station card of a planned movement as a PDF; 404 for a movement nobody planned, 409 with the reason for one that
 * cannot be set up.
 */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ itemId: string }> },
): Promise<Response> {
  const { itemId } = await params;
  const reply = await printCard(await openUseCase(), itemId, originOf(request));
  if (!reply.ok)
    return reply.reason === 'blocked'
      ? refuse(reply.says, 409)
      : refuse(CARD_REFUSAL[reply.reason], reply.reason === 'not-planned' ? 404 : 409);
  return asPdf(reply.pdf, `station-card-${itemId}`);
}
