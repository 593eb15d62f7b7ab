'use client';
import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { TogetherChoice } from '@/contract/views/together';
import { Link } from '@/features/shell/link';
import { useDeed } from '@/features/shell/use-deed';
import forms from '@/features/shell/forms.module.css';
import { TOGETHER as WORDS } from '@/messages/screens/together';
import styles from './plan.module.css';

interface Props {
  readonly sessionId: string;
  readonly choice: TogetherChoice;
  readonly share: (sessionId: string, clientId: unknown) => Promise<SaveResult>;
  readonly end: (sessionId: string) => Promise<SaveResult>;
}

/** Who shares the session: chosen, seen movement by movement, or ended. */
export function TrainTogether({ sessionId, choice, share, end }: Props) {
  const { busy, trouble, run } = useDeed();
  const { partner, clients } = choice;
  const [clientId, setClientId] = useState('');
  if (partner === null && clients.length === 0) return null;
  return (
    <details className={forms.fold} open={partner !== null}>
      <summary>{partner === null ? WORDS.title : WORDS.with(partner)}</summary>
      {partner === null ? (
        <>
          <p>{WORDS.intro}</p>
          <div className={styles.deeds}>
            <NativeSelect
              aria-label={WORDS.who}
              value={clientId}
              disabled={busy}
              data={[{ value: '', label: WORDS.who }, ...clients]}
              onChange={(e) => setClientId(e.currentTarget.value)}
            />
            <button
              type="button"
              className={styles.deed}
              disabled={busy || clientId === ''}
              onClick={() => run(() => share(sessionId, clientId))}
            >
              {WORDS.share}
            </button>
          </div>
        </>
      ) : (
        <div className={styles.standing}>
          <Link href={`/plan/together/${sessionId}`}>{WORDS.list}</Link>
          <button type="button" className={styles.deed} disabled={busy} onClick={() => run(() => end(sessionId))}>
            {WORDS.end}
          </button>
        </div>
      )}
      <p role="alert">{trouble}</p>
    </details>
  );
}
