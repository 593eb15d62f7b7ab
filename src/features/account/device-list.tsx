'use client';
import { Button } from '@mantine/core';
import { useTransition } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { DeviceView } from '@/contract/views/account';
import { WORDS } from '@/messages/screens/account';
import styles from './account.module.css';

interface Props {
  readonly devices: readonly DeviceView[];
  readonly endDevice: (id: string) => Promise<SaveResult>;
}

/** Devices that are signed in, each with the way out. */
export function DeviceList({ devices, endDevice }: Props) {
  const [busy, start] = useTransition();
  return (
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
            <Button
              variant="outline"
              disabled={busy}
              onClick={() => start(async () => void (await endDevice(d.id).catch(() => null)))}
            >
              {WORDS.signOutDevice}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
