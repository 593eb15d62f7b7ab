import { originOf } from '@/app/origin';
import { openUseCase } from '@/server/open-use-case';
import { printDayCards } from '@/server/card';
import { asPdf } from '../../as-pdf';

/** The station cards of a day's sessions in one PDF. */
export async function GET(request: Request, { params }: { readonly params: Promise<{ day: string }> }) {
  const { day } = await params;
  return asPdf(await printDayCards(await openUseCase(), day, originOf(request)), `station-cards-${day}`);
}
