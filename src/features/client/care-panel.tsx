'use client';
import { Alert, Button, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { CareView } from '@/contract/views/account';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { WORDS } from '@/messages/screens/records';
import forms from '@/features/shell/forms.module.css';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly care: CareView;
  readonly give: (typed: unknown) => Promise<SaveResult>;
  readonly callOff: (coverId: string) => Promise<SaveResult>;
}

/** In whose care a client is, who stands in, and giving them to another trainer. */
export function CarePanel({ care, give, callOff }: Props) {
  const [saved, setSaved] = useState(false);
  const off = useDeed();
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { accountId: care.others[0]?.id ?? '', how: 'while', until: care.inAWeek },
    () => [],
    ({ accountId, how, until }) => give({ accountId, until: how === 'good' ? null : until }),
    (id, reset) => {
      // Given away: this sheet is somebody else's now.
      if (id === '') return location.assign('/clients');
      setSaved(true);
      reset();
    },
  );
  const forGood = form.values.how === 'good';
  return (
    <section className={styles.section} aria-label={WORDS.care} id="care">
      <h2>{WORDS.care}</h2>
      <p>{WORDS.trainerIs(care.trainer)}</p>
      {off.trouble && <Alert>{off.trouble}</Alert>}
      {care.covers.map((c) => (
        <div key={c.id} className={styles.line}>
          <span>{WORDS.standsIn(c.name, c.until)}</span>
          {care.may && (
            <Button variant="outline" disabled={off.busy} onClick={() => off.run(() => callOff(c.id))}>
              {WORDS.callOff}
            </Button>
          )}
        </div>
      ))}
      {care.may && care.others.length > 0 && (
        <SheetForm className={forms.grid} onSubmit={onSubmit} onChange={() => setSaved(false)}>
          <NativeSelect
            label={WORDS.giveTo}
            data={care.others.map((o) => ({ value: o.id, label: o.name }))}
            {...form.getInputProps('accountId')}
          />
          <NativeSelect
            label={WORDS.how}
            data={[
              { value: 'while', label: WORDS.forAWhile },
              { value: 'good', label: WORDS.forGood },
            ]}
            {...form.getInputProps('how')}
          />
          {!forGood && <TextInput type="date" label={WORDS.untilDay} {...form.getInputProps('until')} />}
          <SaveRow
            outlined
            label={forGood ? WORDS.give.good : WORDS.give.while}
            busy={busy}
            said={saved ? WORDS.saved : null}
            trouble={trouble}
          />
        </SheetForm>
      )}
    </section>
  );
}
