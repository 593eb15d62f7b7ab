import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { originOfPage } from '@/app/origin';
import { PaperSheet } from '@/features/paper/paper-sheet';
import { openUseCase } from '@/server/open-use-case';
import { loadSummary } from '@/server/papers';
import { codeOf } from '@/server/print';
import { WORDS } from '@/messages/screens/pages';

type Params = Promise<{ sessionId: string }>;

/** Told once for the page and what it is called. */
const paperOf = cache(async (id: string) => loadSummary(await openUseCase(), id));

/** What the page is called. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: (await paperOf((await params).sessionId))?.title ?? WORDS.nothingOnThisSheet };
}

export default async function SummaryPage({ params }: { readonly params: Params }) {
  const { sessionId: id } = await params;
  const paper = await paperOf(id);
  if (!paper) notFound();
  const code = codeOf(`${await originOfPage()}/summary/${id}`);
  return <PaperSheet paper={paper} code={code} pdf={`/api/v1/papers/summary/${id}`} />;
}
