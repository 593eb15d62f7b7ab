'use client';
import { Checkbox, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import { sessionTimeSchema, templateFormSchema } from '@/contract/session-form';
import type { SessionPlanView } from '@/contract/views/session-plan';
import { Link } from '@/features/shell/link';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { CARDS } from '@/messages/card';
import { WORDS } from '@/messages/screens/week';
import styles from './plan.module.css';

/** What is done with a session as a whole. */
export interface SessionDeeds {
  readonly move: (id: string, typed: unknown) => Promise<SaveResult>;
  readonly finish: (id: string, finished: boolean) => Promise<SaveResult>;
  readonly callOff: (id: string, off: boolean) => Promise<SaveResult>;
  readonly keepTemplate: (id: string, typed: unknown) => Promise<SaveResult>;
}
interface Props {
  readonly plan: SessionPlanView;
  readonly deeds: SessionDeeds;
}

/** When it is: its day, its start and the time there is. */
function TimeForm({ plan, deeds }: Props) {
  const [kept, setKept] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { day: plan.day, startsAt: plan.startsAt, minutes: plan.minutes as number | '' },
    (v) => {
      const parsed = sessionTimeSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => deeds.move(plan.sessionId, v),
    () => setKept(true),
  );
  return (
    <details className={forms.fold}>
      <summary>{WORDS.time}</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setKept(false)}>
        <TextInput type="date" label={WORDS.day} {...form.getInputProps('day')} />
        <TextInput label={WORDS.starts} {...form.getInputProps('startsAt')} />
        <NumberInput label={WORDS.minutes} {...form.getInputProps('minutes')} />
        <SaveRow label={WORDS.keepTime} busy={busy} said={kept ? WORDS.kept : null} trouble={trouble} />
      </SheetForm>
    </details>
  );
}

/** What is planned here, kept for other clients and days. */
function TemplateForm({ plan, deeds }: Props) {
  const [kept, setKept] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { name: '', forAll: false },
    (v) => {
      const parsed = templateFormSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => deeds.keepTemplate(plan.sessionId, v),
    (_, reset) => {
      reset();
      setKept(true);
    },
  );
  return (
    <details className={forms.fold}>
      <summary>{WORDS.asTemplate}</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setKept(false)}>
        <TextInput label={WORDS.name} {...form.getInputProps('name')} />
        <Checkbox size="lg" label={WORDS.forAll} {...form.getInputProps('forAll', { type: 'checkbox' })} />
        <SaveRow label={WORDS.keepTemplate} busy={busy} said={kept ? WORDS.kept : null} trouble={trouble} />
      </SheetForm>
    </details>
  );
}

/** Finished, called off, or neither: what can be done about it. */
function Standing({ plan, deeds }: Props) {
  const { busy, trouble, run } = useDeed();
  const { sessionId, isFinished, isCalledOff } = plan;
  const isBegun = plan.blocks.some((b) => b.isBegun);
  const button = (label: string, does: () => Promise<SaveResult>) => (
    <button type="button" className={styles.deed} disabled={busy} onClick={() => run(does)}>
      {label}
    </button>
  );
  return (
    <div className={styles.standing}>
      {isCalledOff && <p role="status">{WORDS.isCalledOff}</p>}
      {isFinished && <p role="status">{WORDS.isFinished}</p>}
      {isCalledOff && button(WORDS.haveAgain, () => deeds.callOff(sessionId, false))}
      {isFinished && button(WORDS.goOn, () => deeds.finish(sessionId, false))}
      {!isCalledOff && !isFinished && isBegun && button(WORDS.finish, () => deeds.finish(sessionId, true))}
      {!isCalledOff && !isBegun && button(WORDS.callOff, () => deeds.callOff(sessionId, true))}
      <Link href={`/plan?from=${sessionId}#new`}>{WORDS.again}</Link>
      {plan.blocks.length > 0 && (
        <a href={`/api/v1/cards/of/${sessionId}`} target="_blank" rel="noreferrer">
          {CARDS.ofSession}
        </a>
      )}
      <button type="button" className={styles.deed} disabled={busy} onClick={() => window.print()}>
        {WORDS.print}
      </button>
      <p role="alert">{trouble}</p>
    </div>
  );
}

/** A session as a thing: when it is, that it is over or off, again on another day, and as a template. */
export function SessionSheet(props: Props) {
  return (
    <>
      <TimeForm {...props} />
      {props.plan.blocks.length > 0 && <TemplateForm {...props} />}
      <Standing {...props} />
    </>
  );
}
