import { notFound } from 'next/navigation';
import { SetScreen } from '@/features/set/set-screen';
import { loadSet } from '@/server/set';
import { openUseCase } from '@/server/use-case';

export default async function SetRoute({ params }: { readonly params: Promise<{ itemId: string }> }) {
  const { itemId } = await params;
  const plan = loadSet(openUseCase(), itemId);
  if (!plan) notFound();
  return <SetScreen key={plan.item.id} plan={plan} />;
}
