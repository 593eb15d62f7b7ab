import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Together } from '@/features/plan/together';
import { WORDS as PAGES } from '@/messages/screens/pages';
import { TOGETHER as WORDS } from '@/messages/screens/together';
import { openUseCase } from '@/server/open-use-case';
import { loadTogether, togetherChoice } from '@/server/together';

type Params = Promise<{ sessionId: string }>;

/** What the page is called: with whom it is shared, and which place. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  const choice = togetherChoice(await openUseCase(), (await params).sessionId);
  return { title: choice?.partner ? PAGES.placeOf(choice.partner, WORDS.place) : PAGES.nothingOnThisSheet };
}

export default async function TogetherPage({ params }: { readonly params: Params }) {
  const view = loadTogether(await openUseCase(), (await params).sessionId);
  if (!view) notFound();
  return <Together view={view} />;
}
