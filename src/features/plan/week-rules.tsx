'use client';
import { NumberInput } from '@mantine/core';
import { useState } from 'react';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { ClientWeekView } from '@/contract/views/client-week';
import { weekRulesSchema } from '@/contract/week-rules-form';
import { MUSCLES } from '@/core/week/muscle';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { CLIENT_WEEK as WORDS } from '@/messages/screens/week';
import { MUSCLE_NAME } from '@/messages/week';
import styles from './client-week.module.css';

/** What a set counts beside its target, and how many a week should have: for everybody here. */
export function WeekRules(props: {
  readonly rules: ClientWeekView['rules'];
  readonly save: (typed: unknown) => Promise<SaveResult>;
}) {
  const [kept, setKept] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm<Record<string, unknown>>(
    { ...props.rules },
    (v) => {
      const parsed = weekRulesSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => props.save(v),
    () => setKept(true),
  );
  const field = (muscle: string, key: 'indirect' | 'least' | 'most', label: string, step: number) => (
    <NumberInput
      aria-label={WORDS.of(label, MUSCLE_NAME[muscle as keyof typeof MUSCLE_NAME])}
      step={step}
      {...form.getInputProps(`${muscle}.${key}`)}
    />
  );
  return (
    <details className={forms.fold}>
      <summary>{WORDS.rules}</summary>
      <p>{WORDS.rulesIntro}</p>
      <SheetForm onSubmit={onSubmit} className={styles.rules} onChange={() => setKept(false)}>
        <span />
        <span>{WORDS.indirect}</span>
        <span>{WORDS.least}</span>
        <span>{WORDS.most}</span>
        {MUSCLES.map((m) => (
          <div key={m} className={styles.rule}>
            <b>{MUSCLE_NAME[m]}</b>
            {field(m, 'indirect', WORDS.indirect, 0.25)}
            {field(m, 'least', WORDS.least, 1)}
            {field(m, 'most', WORDS.most, 1)}
          </div>
        ))}
        <div className={forms.wide}>
          <SaveRow label={WORDS.keep} busy={busy} said={kept ? WORDS.kept : null} trouble={trouble} />
        </div>
      </SheetForm>
    </details>
  );
}
