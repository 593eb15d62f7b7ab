'use client';
import { Textarea } from '@mantine/core';
import { useState } from 'react';
import type { LimitNote } from '@/core/body/client-note';
import { Link } from '@/features/shell/link';
import { NOTE_TEXT } from '@/messages/notes';
import type { Give } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

interface Props {
  readonly missing: readonly LimitNote[];
  readonly clientId: string;
  readonly give: Give;
}

/** Shortest reason that says anything. */
const SHORTEST = 3;

/** A note asks for a clinician's limit that is not there: enter one, or say why it goes ahead. */
export function LimitPanel({ missing, clientId, give }: Props) {
  const [why, setWhy] = useState('');
  const names = missing.map((n) => NOTE_TEXT[n].name.toLowerCase()).join(' and ');
  return (
    <section className={styles.pain} role="alert" aria-label={WORDS.cliniciansLimitMissing}>
      <h2>{WORDS.noCliniciansLimitCoversThis}</h2>
      <p>{WORDS.notedItIsDoneOnly(names.charAt(0).toUpperCase(), names.slice(1))}</p>
      <Textarea
        label={WORDS.whyItGoesAheadToday}
        value={why}
        maxLength={400}
        onChange={(e) => setWhy(e.currentTarget.value)}
      />
      <div className={styles.row}>
        <button
          type="button"
          className={styles.strong}
          disabled={why.trim().length < SHORTEST}
          onClick={() => void give({ do: 'go-ahead', why: why.trim() })}
        >
          {WORDS.recordAndGoAhead}
        </button>
        <Link className={styles.plain} href={`/clients/${clientId}#limits`}>
          {WORDS.enterALimit}
        </Link>
      </div>
    </section>
  );
}
