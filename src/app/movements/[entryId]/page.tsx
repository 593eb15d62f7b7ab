import { notFound } from 'next/navigation';
import { findEntry } from '@/core/book/book';
import { sharedDb } from '@/data/open-db';
import { MovementPage } from '@/features/movements/movement-page';
import { loadChoosing } from '@/server/choosing';
import { readClock } from '@/server/clock';
import { keepVariantAction } from '../../actions';

export default async function MovementRoute({
  params,
  searchParams,
}: {
  readonly params: Promise<{ entryId: string }>;
  readonly searchParams: Promise<{ client?: string; gym?: string; variant?: string }>;
}) {
  const { entryId } = await params;
  if (!findEntry(entryId)) notFound();
  const { client, gym, variant } = await searchParams;
  return (
    <MovementPage
      key={entryId}
      entryId={entryId}
      data={loadChoosing(sharedDb(), client, gym, readClock())}
      keep={keepVariantAction}
      asked={variant ?? null}
    />
  );
}
