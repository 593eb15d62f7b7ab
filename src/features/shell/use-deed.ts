'use client';
import { useMounted } from '@mantine/hooks';
import { useState, useTransition } from 'react';
import type { SaveResult } from '@/contract/save-result';
import { SAVE_TROUBLE } from '@/messages/saving';
import { saveTroubleOf, wholeTrouble } from './save-trouble';

/**
 * What a button does at the server: one at a time, and what it refuses, or does not answer, is told.
 * `then` is given what was done. Before the page listens it is busy: a press would be lost unseen.
 */
export function useDeed() {
  const [busy, start] = useTransition();
  const listening = useMounted();
  const [trouble, setTrouble] = useState<string | null>(null);
  const run = (does: () => Promise<SaveResult>, then?: (id: string) => void): void =>
    start(async () => {
      try {
        const done = await does();
        setTrouble(done.ok ? null : (wholeTrouble(done) ?? done.issues.map((i) => i.message).join(' ')));
        if (done.ok) then?.(done.id);
      } catch (error) {
        setTrouble(SAVE_TROUBLE[saveTroubleOf(error)]);
      }
    });
  return { busy: busy || !listening, trouble, run };
}
