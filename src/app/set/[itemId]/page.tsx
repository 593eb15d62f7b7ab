import { notFound } from 'next/navigation';
import { SetScreen } from '@/features/set/set-screen';
import { loadSet } from '@/server/set';
import { openUseCase } from '@/server/open-use-case';

export default async function SetRoute({ params }: { readonly params: Promise<{ itemId: string }> }) {
  const { itemId } = await params;
  const plan = loadSet(await openUseCase(), itemId);
  if (!plan) notFound();
  return <SetScreen key={plan.item.id} plan={plan} />;
}
