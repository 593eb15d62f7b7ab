import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { originOfPage } from '@/app/origin';
import { PaperSheet } from '@/features/paper/paper-sheet';
import { openUseCase } from '@/server/open-use-case';
import { loadHandOver } from '@/server/papers';
import { codeOf } from '@/server/print';
import { WORDS } from '@/messages/screens/pages';

type Params = Promise<{ clientId: string }>;

/** Told once for the page and what it is called. */
const paperOf = cache(async (id: string) => loadHandOver(await openUseCase(), id));

/** What the page is called. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: (await paperOf((await params).clientId))?.title ?? WORDS.nothingOnThisSheet };
}

export default async function HandOverPage({ params }: { readonly params: Params }) {
  const { clientId: id } = await params;
  const paper = await paperOf(id);
  if (!paper) notFound();
  const code = codeOf(`${await originOfPage()}/clients/${id}/hand-over`);
  return <PaperSheet paper={paper} code={code} pdf={`/api/v1/papers/hand-over/${id}`} />;
}
