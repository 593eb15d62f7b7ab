'use client';
import { Alert, Button } from '@mantine/core';
import type { SaveResult } from '@/contract/save-result';
import type { DeviceView } from '@/contract/views/account';
import { useDeed } from '@/features/shell/use-deed';
import { WORDS } from '@/messages/screens/account';
import styles from '@/features/shell/lists.module.css';

interface Props {
  readonly devices: readonly DeviceView[];
  readonly endDevice: (id: string) => Promise<SaveResult>;
}

/** Devices that are signed in, each with the way out. */
export function DeviceList({ devices, endDevice }: Props) {
  const { busy, trouble, run } = useDeed();
  return (
    <>
      {trouble && <Alert>{trouble}</Alert>}
      <ul className={styles.devices}>
        {devices.map((d) => (
          <li key={d.id}>
            <span>
              {d.device}
              {d.here ? `, ${WORDS.thisOne}` : ''}
              {d.hasPin ? `, ${WORDS.hasPin}` : ''}
              <small className={styles.quiet}>
                {' '}
                {WORDS.begun} {d.begun}, {WORDS.seen} {d.seen}
              </small>
            </span>
            {!d.here && (
              <Button variant="outline" disabled={busy} onClick={() => run(() => endDevice(d.id))}>
                {WORDS.signOutDevice}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  );
}
