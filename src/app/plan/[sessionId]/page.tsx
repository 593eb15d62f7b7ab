import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlanFold } from '@/features/floor/plan-fold';
import { AllAims } from '@/features/plan/all-aims';
import { TrainTogether } from '@/features/plan/train-together';
import { SessionPlan } from '@/features/plan/session-plan';
import { WantedStations } from '@/features/plan/wanted-stations';
import { SessionSheet } from '@/features/plan/session-sheet';
import forms from '@/features/shell/forms.module.css';
import { Link } from '@/features/shell/link';
import { WORDS } from '@/messages/screens/plan';
import { PROPOSE } from '@/messages/screens/propose';
import { CLIENT_WEEK } from '@/messages/screens/week';
import { openUseCase } from '@/server/open-use-case';
import { loadSessionPlan } from '@/server/session-plan';
import { sessionTitle } from '@/server/titles';
import { togetherChoice } from '@/server/together';
import { findPlanChoicesAction, orderSessionAction, planTodayAction } from '../../actions';
import {
  callOffSessionAction,
  changeItemAction,
  endTurnsAction,
  finishSessionAction,
  keepTemplateAction,
  moveSessionAction,
  moveToStationAction,
  endSharingAction,
  pinItemAction,
  shareSessionAction,
  skipItemAction,
  takeItemOutAction,
  takeTurnsAction,
} from '../../plan-actions';

type Params = Promise<{ sessionId: string }>;

/** What the page is called: whose session, and which place. */
export async function generateMetadata({ params }: { readonly params: Params }): Promise<Metadata> {
  return { title: sessionTitle(await openUseCase(), (await params).sessionId, WORDS.place) };
}

const OF_A_MOVEMENT = {
  change: changeItemAction,
  skip: skipItemAction,
  takeOut: takeItemOutAction,
  pin: pinItemAction,
  takeTurns: takeTurnsAction,
  endTurns: endTurnsAction,
};
const OF_WANTED = { move: moveSessionAction, reorder: orderSessionAction, moveToStation: moveToStationAction };
const OF_ALL = {
  move: moveSessionAction,
  finish: finishSessionAction,
  callOff: callOffSessionAction,
  keepTemplate: keepTemplateAction,
};

export default async function SessionPage({ params }: { readonly params: Params }) {
  const uc = await openUseCase();
  const plan = loadSessionPlan(uc, (await params).sessionId);
  if (!plan) notFound();
  const { sessionId, clientId } = plan;
  const together = togetherChoice(uc, sessionId);
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{WORDS.titled(plan.clientName, plan.when)}</h1>
        <Link href={`/plan/propose/${sessionId}`}>{PROPOSE.link}</Link>
        <Link href={`/plan/of/${clientId}?week=${plan.day}`}>{CLIENT_WEEK.setsOf}</Link>
        <Link href={`/plan?week=${plan.day}`}>{WORDS.week}</Link>
        <Link href="/">{WORDS.floor}</Link>
      </div>
      {plan.wanted && <WantedStations session={{ ...plan, id: sessionId }} wanted={plan.wanted} deeds={OF_WANTED} />}
      <SessionPlan plan={plan} keep={orderSessionAction} deeds={OF_A_MOVEMENT} />
      <PlanFold
        find={findPlanChoicesAction}
        action={planTodayAction}
        nextClientId={null}
        asked={null}
        into={{ sessionId, clientId }}
      />
      <AllAims blocks={plan.blocks} change={changeItemAction} />
      {together && (
        <TrainTogether sessionId={sessionId} choice={together} share={shareSessionAction} end={endSharingAction} />
      )}
      <SessionSheet plan={plan} deeds={OF_ALL} />
    </div>
  );
}
