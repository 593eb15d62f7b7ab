'use client';
import { Button, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import forms from '@/features/shell/forms.module.css';
import { useDeed } from '@/features/shell/use-deed';
import { forgetPages } from '@/offline/who-is-here';
import { ERASE as WORDS } from '@/messages/screens/erase';
import styles from './client.module.css';

/** For the owner: everything of a client out of the records, once their name is typed. */
export function EraseClient(props: {
  readonly client: { readonly id: string; readonly name: string };
  readonly erase: (name: string) => Promise<SaveResult>;
}) {
  const { client, erase } = props;
  const router = useRouter();
  const { busy, trouble, run } = useDeed();
  const [name, setName] = useState('');
  // Pages that this device keeps of them go as well.
  const leave = (): void => void forgetPages().then(() => router.push('/clients'));
  return (
    <details className={forms.fold}>
      <summary>{WORDS.title}</summary>
      <p>{WORDS.text(client.name)}</p>
      <p>{WORDS.backups}</p>
      <div className={styles.erase}>
        <TextInput
          label={WORDS.typeName}
          value={name}
          autoComplete="off"
          error={trouble}
          onChange={(e) => setName(e.currentTarget.value)}
        />
        <Button
          variant="outline"
          className={styles.eraseIt}
          disabled={busy}
          onClick={() => run(() => erase(name), leave)}
        >
          {WORDS.erase}
        </Button>
      </div>
    </details>
  );
}
