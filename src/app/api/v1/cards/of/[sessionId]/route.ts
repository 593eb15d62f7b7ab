import { originOf } from '@/app/origin';
import { openUseCase } from '@/server/open-use-case';
import { printSessionCards } from '@/server/card';
import { asPdf } from '../../as-pdf';

/** The station cards of a session in one PDF. */
export async function GET(request: Request, { params }: { readonly params: Promise<{ sessionId: string }> }) {
  const { sessionId } = await params;
  return asPdf(await printSessionCards(await openUseCase(), sessionId, originOf(request)), 'station-cards');
}
