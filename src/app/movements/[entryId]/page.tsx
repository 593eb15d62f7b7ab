import type { Metadata } from 'next';
import { movementName } from '@/messages/book';
import { notFound } from 'next/navigation';
import { readMovement } from '@/contract/case';
import { MovementPage } from '@/features/movements/movement-page';
import { loadChoosing } from '@/server/choosing';
import { openUseCase } from '@/server/open-use-case';
import { keepVariantAction } from '../../actions';
import { readAsked, type Asked } from '../../asked';

/** What the page is called: the movement. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ entryId: string }>;
}): Promise<Metadata> {
  const id = readMovement((await params).entryId);
  return id ? { title: movementName(id) } : {};
}

export default async function MovementRoute({
  params,
  searchParams,
}: {
  readonly params: Promise<{ entryId: string }>;
  readonly searchParams: Asked;
}) {
  const entryId = readMovement((await params).entryId);
  if (!entryId) notFound();
  const { variant, ...asked } = await readAsked(searchParams);
  return (
    <MovementPage
      key={entryId}
      entryId={entryId}
      data={loadChoosing(await openUseCase(), asked)}
      keep={keepVariantAction}
      asked={variant ?? null}
    />
  );
}
