import { cardPdf } from '@/card/card-pdf';
import { buildCard } from '@/card/card-model';
import { sharedDb } from '@/data/open-db';
import { loadCard } from '@/server/card';

/** Where the device that asked reaches this app: the code on the card must open there again. */
function originOf(request: Request): string {
  const url = new URL(request.url);
  return `${url.protocol}//${request.headers.get('host') ?? url.host}`;
}

/**
 * The station card of a planned movement as a PDF; 404 for a movement nobody planned, 409 with the reason for one that
 * cannot be set up.
 */
export async function GET(
  request: Request,
  { params }: { readonly params: Promise<{ itemId: string }> },
): Promise<Response> {
  const { itemId } = await params;
  const loaded = loadCard(sharedDb(), itemId);
  if (loaded === null)
    return Response.json(
      { issues: [{ path: 'itemId', message: 'expected a movement that is planned' }] },
      { status: 404 },
    );
  if (!loaded.ok) return Response.json({ issues: [{ path: 'itemId', message: loaded.says }] }, { status: 409 });
  const pdf = await cardPdf(buildCard(loaded.card, `${originOf(request)}/setup/${itemId}`));
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="station-card-${itemId}.pdf"`,
      'Cache-Control': 'no-store',
    },
  });
}
