'use client';
import type { ScreeningView } from '@/contract/views/client';
import type { SaveResult } from '@/contract/save-result';
import { TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Screening } from '@/core/body/screening';
import { screeningFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { dayText } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

interface Props {
  readonly clientId: string;
  readonly view: ScreeningView & { readonly screening: Screening | null };
  readonly today: string;
  readonly save: (typed: unknown, key: string) => Promise<SaveResult>;
}

/** That the facility's own screening was done: by whom, when, how. Records are added, never changed. */
export function ScreeningForm({ clientId, view, today, save }: Props) {
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { day: today, doneBy: '', procedure: '' },
    (v) => {
      const parsed = screeningFormSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v, _, key) => save(v, key),
    (_, reset) => {
      setSaved(true);
      reset();
    },
    `screening-${clientId}`,
  );
  const { screening, state } = view;
  return (
    <SheetForm id="screening" onSubmit={onSubmit} className={styles.screening} onChange={() => setSaved(false)}>
      <h2>{WORDS.screening}</h2>
      <ScreeningWarning screening={view} clientId={clientId} />
      {screening && (
        <p className={styles.hint}>
          {WORDS.lastDoneBy(dayText(screening.day), screening.doneBy, screening.procedure)}
          {state.state === 'done' && WORDS.askedAgainAfter(dayText(state.dueDay))}
        </p>
      )}
      <div className={forms.grid}>
        <TextInput type="date" label={WORDS.doneOn} {...form.getInputProps('day')} />
        <TextInput label={WORDS.doneBy} {...form.getInputProps('doneBy')} />
        <TextInput label={WORDS.byWhichProcedure} {...form.getInputProps('procedure')} />
        <SaveRow
          outlined
          label={WORDS.addToTheRecord}
          busy={busy}
          said={saved ? WORDS.added : null}
          trouble={trouble}
        />
      </div>
    </SheetForm>
  );
}
