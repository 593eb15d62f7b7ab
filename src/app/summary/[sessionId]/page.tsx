import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { originOfPage } from '@/app/origin';
import { PaperSheet } from '@/features/paper/paper-sheet';
import { openUseCase } from '@/server/open-use-case';
import { loadSummary } from '@/server/papers';
import { codeOf } from '@/server/print';
import { WORDS } from '@/messages/screens/pages';

type Params = Promise<{ sessionId: string }>;

/** What the page is called. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: loadSummary(await openUseCase(), (await params).sessionId)?.title ?? WORDS.nothingOnThisSheet };
}

export default async function SummaryPage({ params }: { readonly params: Params }) {
  const { sessionId: id } = await params;
  const paper = loadSummary(await openUseCase(), id);
  if (!paper) notFound();
  const code = codeOf(`${await originOfPage()}/summary/${id}`);
  return <PaperSheet paper={paper} code={code} pdf={`/api/v1/papers/summary/${id}`} />;
}
