'use client';
import type { SaveResult } from '@/contract/save-result';
import type { Gym } from '@/contract/views/kit';
import { NativeSelect, NumberInput, TextInput } from '@mantine/core';
import { SAID_IN } from '@/core/units/as-spoken';
import { SAID_IN_NAME } from '@/messages/numbers';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { WORDS } from '@/messages/screens/kit';
import forms from '@/features/shell/forms.module.css';

interface Props {
  readonly gym: Gym | null;
  readonly open?: boolean;
  /** What else can be done with it. */
  readonly children?: ReactNode;
  readonly save: (id: string | null, typed: unknown, opened: Gym | null, key: string) => Promise<SaveResult<Gym>>;
}

const toValues = ({ name, screeningDays, saidIn }: Gym) => ({
  name,
  screeningDays: screeningDays as number | '',
  saidIn,
});

/** A gym's name and how long a screening stands there. */
export function GymForm({ gym, save, open = false, children }: Props) {
  const router = useRouter();
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    toValues(gym ?? { id: '', name: '', screeningDays: 365, saidIn: 'metric' }),
    () => [],
    (v, opened, key) => save(gym?.id ?? null, v, opened, key),
    (id, reset) => {
      setSaved(true);
      if (gym) router.refresh();
      else {
        reset();
        router.push(`/kit?gym=${id}`);
      }
    },
    null,
    gym && { opened: gym, toValues },
  );
  return (
    <details className={forms.fold} id={open ? 'gym' : undefined} open={open || undefined}>
      <summary>{gym ? WORDS.thisGym : open ? WORDS.theGym : WORDS.anotherGym}</summary>
      <SheetForm onSubmit={onSubmit} className={forms.grid} onChange={() => setSaved(false)}>
        <TextInput label={WORDS.gym} {...form.getInputProps('name')} />
        <NumberInput label={WORDS.screeningIsAskedAgainAfter} suffix=" days" {...form.getInputProps('screeningDays')} />
        <NativeSelect
          label={WORDS.saidIn}
          data={SAID_IN.map((s) => ({ value: s, label: SAID_IN_NAME[s] }))}
          {...form.getInputProps('saidIn')}
        />
        <SaveRow
          outlined
          label={gym ? WORDS.saveGym : WORDS.addGym}
          busy={busy}
          said={saved ? WORDS.saved : null}
          trouble={trouble}
        />
      </SheetForm>
      {children}
    </details>
  );
}
