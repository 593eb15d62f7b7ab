'use client';
import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { toFieldIssues } from '@/contract/field';
import { attachmentFormSchema } from '@/contract/station-form';
import { useSavedForm, type SaveOutcome } from '@/features/shell/use-saved-form';
import forms from '@/features/shell/forms.module.css';
import styles from './kit.module.css';

interface Props {
  readonly attachment: { readonly id: string; readonly name: string; readonly lengthM: number } | null;
  readonly save: (id: string | null, typed: unknown) => Promise<SaveOutcome>;
}

/** A handle: its length from the cable's end to the middle of the grip is cable the column need not pay out. */
export function AttachmentRow({ attachment, save }: Props) {
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { name: attachment?.name ?? '', lengthCm: (attachment ? Math.round(attachment.lengthM * 1000) / 10 : '') as number | '' },
    (v) => {
      const parsed = attachmentFormSchema.safeParse(v);
      return parsed.success ? [] : toFieldIssues(parsed.error);
    },
    (v) => save(attachment?.id ?? null, v),
    (_, reset) => {
      setSaved(true);
      if (!attachment) reset();
    },
  );
  return (
    <form onSubmit={onSubmit} noValidate className={styles.attachment} onChange={() => setSaved(false)}>
      <TextInput label={attachment ? 'Handle' : 'Another handle'} {...form.getInputProps('name')} />
      <NumberInput label="Cable end to grip" suffix=" cm" decimalScale={1} {...form.getInputProps('lengthCm')} />
      <Button type="submit" variant="outline" loading={busy} className={forms.save}>
        {attachment ? 'Save' : 'Add'}
      </Button>
      <span role="status">{saved ? 'Saved' : ''}</span>
      {trouble && (
        <p className={forms.trouble} role="alert">
          {trouble}
        </p>
      )}
    </form>
  );
}
