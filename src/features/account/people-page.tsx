'use client';
import { Alert, Button, PasswordInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PersonView } from '@/contract/views/account';
import { SaveRow } from '@/features/shell/save-row';
import { SheetForm } from '@/features/shell/sheet-form';
import { useDeed } from '@/features/shell/use-deed';
import { useSavedForm } from '@/features/shell/use-saved-form';
import { WORDS } from '@/messages/screens/account';
import forms from '@/features/shell/forms.module.css';
import { DeviceList } from './device-list';
import { PassphraseForm } from './passphrase-form';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly people: readonly PersonView[];
  readonly addTrainer: (typed: unknown) => Promise<SaveResult>;
  readonly endAccount: (id: string, end: boolean) => Promise<SaveResult>;
  readonly setPassphrase: (id: string, typed: unknown) => Promise<SaveResult>;
  readonly endDevice: (id: string) => Promise<SaveResult>;
}

function Person({
  person,
  endAccount,
  setPassphrase,
  endDevice,
}: Omit<Props, 'people' | 'addTrainer'> & { person: PersonView }) {
  const { id, name, role, ended, clients, devices } = person;
  const { busy, trouble, run } = useDeed();
  return (
    <li>
      <div className={styles.line}>
        <h2>{name}</h2>
        <span className={styles.quiet}>
          {WORDS[role]}, {WORDS.clients(clients)}
          {ended ? `, ${WORDS.ended}` : ''}
        </span>
        {role === 'trainer' && (
          <Button variant="outline" disabled={busy} onClick={() => run(() => endAccount(id, !ended))}>
            {ended ? WORDS.letIn : WORDS.end}
          </Button>
        )}
      </div>
      {trouble && <Alert>{trouble}</Alert>}
      {devices.length === 0 ? (
        <p className={styles.quiet}>{WORDS.noDevices}</p>
      ) : (
        <DeviceList devices={devices} endDevice={endDevice} />
      )}
      {role === 'trainer' && !ended && (
        <details className={forms.fold}>
          <summary>{WORDS.passphraseOf(name)}</summary>
          <PassphraseForm
            own={false}
            label={WORDS.newPassphrase}
            button={WORDS.setPassphrase}
            save={(typed) => setPassphrase(id, typed)}
          />
        </details>
      )}
    </li>
  );
}

function AddTrainer({ addTrainer }: Pick<Props, 'addTrainer'>) {
  const [saved, setSaved] = useState(false);
  const { form, onSubmit, busy, trouble } = useSavedForm(
    { name: '', passphrase: '' },
    () => [],
    addTrainer,
    (_, reset) => {
      setSaved(true);
      reset();
    },
  );
  return (
    <SheetForm className={styles.narrow} onSubmit={onSubmit} onChange={() => setSaved(false)}>
      <TextInput label={WORDS.theirName} autoComplete="off" {...form.getInputProps('name')} />
      <PasswordInput
        label={WORDS.firstPassphrase}
        description={WORDS.passphraseHint}
        autoComplete="new-password"
        {...form.getInputProps('passphrase')}
      />
      <SaveRow label={WORDS.letThemIn} busy={busy} said={saved ? WORDS.saved : null} trouble={trouble} />
    </SheetForm>
  );
}

/** Who may sign in: for the owner. */
export function PeoplePage({ people, addTrainer, ...does }: Props) {
  return (
    <>
      <p>{WORDS.peopleText}</p>
      <ul className={styles.people}>
        {people.map((p) => (
          <Person key={p.id} person={p} {...does} />
        ))}
      </ul>
      <section className={styles.section} aria-label={WORDS.addTrainer}>
        <h2>{WORDS.addTrainer}</h2>
        <AddTrainer addTrainer={addTrainer} />
      </section>
    </>
  );
}
