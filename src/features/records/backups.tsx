'use client';
import { Alert, Button, Table } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { BackupView } from '@/contract/views/records';
import { forgetPages } from '@/offline/who-is-here';
import { WORDS } from '@/messages/screens/records';
import { useDeed } from '../shell/use-deed';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly backups: readonly BackupView[];
  readonly backUpNow: () => Promise<SaveResult>;
  readonly restore: (name: string) => Promise<SaveResult>;
}

interface SureProps {
  readonly asked: BackupView;
  readonly busy: boolean;
  readonly onYes: () => void;
  readonly onNo: () => void;
}

/** Asked once more before what is there is replaced. */
function Sure({ asked, busy, onYes, onNo }: SureProps) {
  return (
    <Alert role="alertdialog" aria-label={WORDS.restore} className={styles.asked}>
      <p>{WORDS.restoreSure(asked.when)}</p>
      <div className={styles.line}>
        <Button loading={busy} onClick={onYes}>
          {WORDS.restoreYes}
        </Button>
        <Button variant="outline" disabled={busy} onClick={onNo}>
          {WORDS.notNow}
        </Button>
      </div>
    </Alert>
  );
}

/** Copies of the records: one more now, or one of them back. */
export function Backups({ backups, backUpNow, restore }: Props) {
  const { busy, trouble, run } = useDeed();
  const [asked, setAsked] = useState<BackupView | null>(null);
  const notNow = (): void => setAsked(null);
  // Pages of the records before are no longer true.
  const begin = (): void => void forgetPages().then(() => location.assign('/sign-in'));
  return (
    <>
      <p>{WORDS.backupsText}</p>
      {trouble && <Alert>{trouble}</Alert>}
      <div className={styles.line}>
        <Button disabled={busy} onClick={() => run(backUpNow)}>
          {WORDS.backUpNow}
        </Button>
      </div>
      {asked && <Sure asked={asked} busy={busy} onYes={() => run(() => restore(asked.name), begin)} onNo={notNow} />}
      <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.backups}>
        <Table>
          <Table.Tbody>
            {backups.map((b) => (
              <Table.Tr key={b.name}>
                <Table.Td>{b.when}</Table.Td>
                <Table.Td>
                  {b.megabytes} {WORDS.size}
                </Table.Td>
                <Table.Td>{b.holds}</Table.Td>
                <Table.Td>
                  <Button variant="outline" disabled={busy} onClick={() => setAsked(b)}>
                    {WORDS.restore}
                  </Button>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
    </>
  );
}
