'use client';
import { PasswordInput } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { WORDS } from '@/messages/screens/account';
import styles from '@/features/shell/lists.module.css';

interface Props {
  /** One's own asks for the one before. */
  readonly own: boolean;
  readonly label: string;
  readonly button: string;
  readonly save: (typed: unknown) => Promise<SaveResult>;
}

/** A passphrase in place of the one before. */
export function PassphraseForm({ own, label, button, save }: Props) {
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { current: '', passphrase: '' },
    () => [],
    save,
    (_, reset) => {
      setSaved(true);
      reset();
    },
  );
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => setSaved(false)}>
      {own && (
        <PasswordInput
          label={WORDS.currentPassphrase}
          autoComplete="current-password"
          {...form.getInputProps('current')}
        />
      )}
      <PasswordInput
        label={label}
        description={WORDS.passphraseHint}
        autoComplete="new-password"
        {...form.getInputProps('passphrase')}
      />
      <SaveRow outlined label={button} busy={busy} said={saved ? WORDS.saved : null} trouble={trouble} />
    </SheetForm>
  );
}
