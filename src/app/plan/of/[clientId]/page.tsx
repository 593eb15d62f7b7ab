import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ClientWeek } from '@/features/plan/client-week';
import { WeekRules } from '@/features/plan/week-rules';
import { WeekTurn } from '@/features/plan/week-strip';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { WORDS as PAGES } from '@/messages/screens/pages';
import { CLIENT_WEEK as WORDS } from '@/messages/screens/week';
import { loadClientWeek } from '@/server/client-week';
import { openUseCase } from '@/server/open-use-case';
import { clientTitle } from '@/server/titles';
import { readAsked, type Asked } from '../../../asked';
import { saveWeekRulesAction } from '../../../plan-actions';

type Params = Promise<{ clientId: string }>;

/** What the page is called: whose week. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: clientTitle(await openUseCase(), (await params).clientId, WORDS.place) };
}

export default async function ClientWeekPage(props: { readonly params: Params; readonly searchParams: Asked }) {
  const { clientId } = await props.params;
  const week = loadClientWeek(await openUseCase(), clientId, (await readAsked(props.searchParams)).week);
  if (!week) notFound();
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(week.clientName, week.titled)}</h1>
        <Link href={`/plan?week=${week.monday}`}>{WORDS.allWeek}</Link>
        <Link href={`/ledger/${clientId}`}>{PAGES.ledger}</Link>
      </div>
      <WeekTurn week={week} path={`/plan/of/${clientId}`} />
      <ClientWeek key={week.monday} week={week} />
      <WeekRules rules={week.rules} save={saveWeekRulesAction} />
    </div>
  );
}
