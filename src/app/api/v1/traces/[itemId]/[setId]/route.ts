import { openUseCase } from '@/server/open-use-case';
import { writeTrace } from '@/server/traces';
import { notHere } from '../../../records/as-file';

/** The kept trace of a set as CSV: seconds and metres. */
export async function GET(_: Request, { params }: { readonly params: Promise<{ itemId: string; setId: string }> }) {
  const { itemId, setId } = await params;
  const csv = writeTrace(await openUseCase(), itemId, setId);
  if (csv === null) return notHere();
  return new Response(csv, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="trace.csv"',
      'Cache-Control': 'no-store',
    },
  });
}
