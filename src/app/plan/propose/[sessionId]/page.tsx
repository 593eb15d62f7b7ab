import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ProposeSession } from '@/features/plan/propose-session';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { WORDS as PLAN } from '@/messages/screens/plan';
import { PROPOSE as WORDS } from '@/messages/screens/propose';
import { openUseCase } from '@/server/open-use-case';
import { loadProposing } from '@/server/propose';
import { sessionTitle } from '@/server/titles';
import { putProposedAction } from '../../../plan-actions';

type Params = Promise<{ sessionId: string }>;

/** What the page is called: for whose session movements are proposed. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: sessionTitle(await openUseCase(), (await params).sessionId, WORDS.place) };
}

export default async function ProposePage({ params }: { readonly params: Params }) {
  const view = loadProposing(await openUseCase(), (await params).sessionId);
  if (!view) notFound();
  const { clientName, when, sessionId } = view.plan;
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(clientName, when)}</h1>
        <Link href={`/plan/${sessionId}`}>{PLAN.place}</Link>
      </div>
      <ProposeSession view={view} put={putProposedAction} />
    </div>
  );
}
