import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PracticeSheet } from '@/features/practice/practice-sheet';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { WORDS as PAGES } from '@/messages/screens/pages';
import { PRACTICE as WORDS } from '@/messages/screens/practice';
import { openUseCase } from '@/server/open-use-case';
import { loadClientPractice } from '@/server/practice';
import { clientTitle } from '@/server/titles';
import { keepClientPracticeAction } from '../../../actions';

type Params = Promise<{ clientId: string }>;

/** What the page is called: whose practice. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: clientTitle(await openUseCase(), (await params).clientId, WORDS.place) };
}

export default async function ClientPracticePage({ params }: { readonly params: Params }) {
  const { clientId } = await params;
  const view = loadClientPractice(await openUseCase(), clientId);
  if (!view) notFound();
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(view.clients[0]!.label)}</h1>
        <Link href={`/clients/${clientId}`}>{PAGES.sheet}</Link>
      </div>
      <PracticeSheet view={view} keep={keepClientPracticeAction.bind(null, clientId)} />
    </div>
  );
}
