import type { Metadata } from 'next';
import { connection } from 'next/server';
import { CalendarPanel } from '@/features/plan/calendar-panel';
import { ChangeTimes } from '@/features/plan/change-times';
import { SessionForm } from '@/features/plan/session-form';
import { TemplateList } from '@/features/plan/template-list';
import { WeekStrip } from '@/features/plan/week-strip';
import forms from '@/features/shell/forms.module.css';
import { WORDS } from '@/messages/screens/week';
import { openUseCase } from '@/server/open-use-case';
import { askedSession } from '@/server/session-plan';
import { loadWeek } from '@/server/week';
import {
  dropTemplateAction,
  makeSessionAction,
  previewCalendarAction,
  saveChangeTimesAction,
  takeCalendarAction,
} from '../plan-actions';
import { readAsked, type Asked } from '../asked';

export const metadata: Metadata = { title: WORDS.place };

export default async function PlanPage({ searchParams }: { readonly searchParams: Asked }) {
  await connection();
  const { week: day, day: onDay, from } = await readAsked(searchParams);
  const uc = await openUseCase();
  const week = loadWeek(uc, day ?? onDay);
  const asked = askedSession(uc, { day: onDay, from });
  return (
    <div className="page">
      <div className={forms.head}>
        <h1>{week.titled}</h1>
      </div>
      <WeekStrip week={week} />
      <SessionForm
        key={`${asked.isAsked} ${asked.day} ${asked.fromId}`}
        week={week}
        asked={asked}
        make={makeSessionAction}
      />
      <CalendarPanel look={previewCalendarAction} take={takeCalendarAction} />
      <ChangeTimes gyms={week.changeTimes} save={saveChangeTimesAction} />
      <TemplateList week={week} drop={dropTemplateAction} />
    </div>
  );
}
