import type { Metadata } from 'next';
import Link from 'next/link';
import { notFound } from 'next/navigation';
import { SessionPlan } from '@/features/plan/session-plan';
import forms from '@/features/shell/forms.module.css';
import { WORDS as PAGES } from '@/messages/screens/pages';
import { WORDS } from '@/messages/screens/plan';
import { openUseCase } from '@/server/open-use-case';
import { loadSessionPlan } from '@/server/session-plan';
import { orderSessionAction } from '../../actions';

type Params = Promise<{ sessionId: string }>;

/** What the page is called: whose session, and which place. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  const plan = loadSessionPlan(await openUseCase(), (await params).sessionId);
  return { title: plan ? PAGES.placeOf(plan.clientName, WORDS.place) : PAGES.nothingOnThisSheet };
}

export default async function PlanPage({ params }: { readonly params: Params }) {
  const plan = loadSessionPlan(await openUseCase(), (await params).sessionId);
  if (!plan) notFound();
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(plan.clientName, plan.when)}</h1>
        <Link href="/">{WORDS.floor}</Link>
      </div>
      <SessionPlan
        key={plan.blocks
          .map((b) => `${b.id} ${b.isBegun}`)
          .toSorted()
          .join()}
        plan={plan}
        keep={orderSessionAction}
      />
    </div>
  );
}
