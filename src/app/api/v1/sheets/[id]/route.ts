import { openUseCase } from '@/server/open-use-case';
import { lookAtSheet } from '@/server/spreadsheets';

/** A spreadsheet is looked at as it is to be read: a line of JSON for how far it is, the last for what it would do. */
export async function POST(request: Request, { params }: { readonly params: Promise<{ id: string }> }) {
  const uc = await openUseCase();
  const asked = (await request.json().catch(() => null)) as unknown;
  const looked = await lookAtSheet(uc, (await params).id, asked, request.signal);
  if ('ok' in looked) return Response.json(looked, { status: 422 });
  return new Response(looked, { headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' } });
}
