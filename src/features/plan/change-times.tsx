'use client';
import { NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { ChangeTimesView } from '@/contract/views/session-plan';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import { CHANGE_TEXT } from '@/messages/plan';
import { CHANGE_TIMES as WORDS } from '@/messages/screens/week';

type Save = (gymId: string, typed: unknown) => Promise<SaveResult>;

function OfGym({ gym, save }: { readonly gym: ChangeTimesView; readonly save: Save }) {
  const [kept, setKept] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm<Record<string, number | ''>>(
    Object.fromEntries(gym.changes.map((c) => [c.change, c.entered ?? ''])),
    () => [],
    (v) => save(gym.gymId, v),
    () => setKept(true),
  );
  return (
    <section aria-label={gym.gymName}>
      <h3>{gym.gymName}</h3>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setKept(false)}>
        {gym.changes.map(({ change, learned, ours }) => (
          <NumberInput
            key={change}
            label={CHANGE_TEXT[change]}
            description={
              learned
                ? WORDS.learned(learned.seconds, learned.from, learned.to, learned.observations)
                : WORDS.ours(ours)
            }
            {...form.getInputProps(change)}
          />
        ))}
        <SaveRow label={WORDS.keep} busy={busy} said={kept ? WORDS.kept : null} trouble={trouble} />
      </SheetForm>
    </section>
  );
}

/** Seconds between movements, by gym: entered, else learned from what sessions took, else ours. */
export function ChangeTimes({ gyms, save }: { readonly gyms: readonly ChangeTimesView[]; readonly save: Save }) {
  return (
    <details className={forms.fold}>
      <summary>{WORDS.title}</summary>
      <p>{WORDS.intro}</p>
      {gyms.map((gym) => (
        <OfGym key={gym.gymId} gym={gym} save={save} />
      ))}
    </details>
  );
}
