import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { originOfPage } from '@/app/origin';
import { PaperSheet } from '@/features/paper/paper-sheet';
import { openUseCase } from '@/server/open-use-case';
import { loadHandOver } from '@/server/papers';
import { codeOf } from '@/server/print';
import { WORDS } from '@/messages/screens/pages';

type Params = Promise<{ clientId: string }>;

/** What the page is called. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: loadHandOver(await openUseCase(), (await params).clientId)?.title ?? WORDS.nothingOnThisSheet };
}

export default async function HandOverPage({ params }: { readonly params: Params }) {
  const { clientId: id } = await params;
  const paper = loadHandOver(await openUseCase(), id);
  if (!paper) notFound();
  const code = codeOf(`${await originOfPage()}/clients/${id}/hand-over`);
  return <PaperSheet paper={paper} code={code} pdf={`/api/v1/papers/hand-over/${id}`} />;
}
