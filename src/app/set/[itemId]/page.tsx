import type { Metadata } from 'next';
import { WORDS } from '@/messages/screens/pages';
import { itemTitle } from '@/server/titles';
import { notFound } from 'next/navigation';
import { SetScreen } from '@/features/set/set-screen';
import { loadSet } from '@/server/set';
import { openUseCase } from '@/server/open-use-case';

/** What the page is called: whose, and which place. */
export async function generateMetadata({
  params,
}: {
  readonly params: Promise<{ itemId: string }>;
}): Promise<Metadata> {
  return { title: itemTitle(await openUseCase(), (await params).itemId, WORDS.set) };
}

export default async function SetRoute({ params }: { readonly params: Promise<{ itemId: string }> }) {
  const { itemId } = await params;
  const plan = loadSet(await openUseCase(), itemId);
  if (!plan) notFound();
  return <SetScreen key={plan.item.id} plan={plan} />;
}
