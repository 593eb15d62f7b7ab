'use client';
import { Textarea } from '@mantine/core';
import Link from 'next/link';
import { useState } from 'react';
import type { PainMark } from '@/core/record/set-log';
import { PAIN_ADVICE } from '@/messages/cautions';
import type { Give } from './use-live-set';
import styles from './set.module.css';

/** After a stop for pain: what to do, what the client said, and no more of this movement today. */
export function PainPanel({ pain, give }: { readonly pain: PainMark; readonly give: Give }) {
  const [note, setNote] = useState(pain.note);
  const kept = note.trim() === pain.note && note.trim() !== '';
  return (
    <section className={styles.pain} role="alert" aria-label="Stopped for pain">
      <h2>Stopped{pain.rep > 0 ? ` at rep ${pain.rep}` : ''}. This movement is over for today.</h2>
      <ul>
        {PAIN_ADVICE.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Textarea
        label="What the client says, where and when in the rep"
        value={note}
        maxLength={1000}
        onChange={(e) => setNote(e.currentTarget.value)}
        onBlur={() => {
          if (note.trim() !== pain.note) void give({ do: 'pain-note', painId: pain.id, note: note.trim() });
        }}
      />
      <div className={styles.row}>
        <button
          type="button"
          className={styles.strong}
          disabled={kept || note.trim() === ''}
          onClick={() => void give({ do: 'pain-note', painId: pain.id, note: note.trim() })}
        >
          {kept ? 'Note kept' : 'Keep the note'}
        </button>
        <Link className={styles.plain} href="/">
          To the floor
        </Link>
      </div>
    </section>
  );
}
