import { notFound } from 'next/navigation';
import { readMovement } from '@/contract/case';
import { MovementPage } from '@/features/movements/movement-page';
import { loadChoosing } from '@/server/choosing';
import { openUseCase } from '@/server/use-case';
import { keepVariantAction } from '../../actions';

export default async function MovementRoute({
  params,
  searchParams,
}: {
  readonly params: Promise<{ entryId: string }>;
  readonly searchParams: Promise<{ client?: string; gym?: string; variant?: string }>;
}) {
  const entryId = readMovement((await params).entryId);
  if (!entryId) notFound();
  const { variant, ...asked } = await searchParams;
  return (
    <MovementPage
      key={entryId}
      entryId={entryId}
      data={loadChoosing(openUseCase(), asked)}
      keep={keepVariantAction}
      asked={variant ?? null}
    />
  );
}
