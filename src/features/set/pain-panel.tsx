'use client';
import { Textarea } from '@mantine/core';
import { useState } from 'react';
import type { PainMark } from '@/core/record/set-log';
import { Link } from '@/features/shell/link';
import { PAIN_ADVICE } from '@/messages/cautions';
import type { Counted } from '@/messages/live-set';
import type { Give } from './use-live-set';
import { WORDS } from '@/messages/screens/set';
import styles from './set.module.css';

/** A stop that was tapped by mistake is taken back in two steps, the second in words. */
function TakeBack({ pain, give }: { readonly pain: PainMark; readonly give: Give }) {
  const [asked, ask] = useState(false);
  return (
    <>
      {/* One button that opens and closes and keeps its place: a finger that comes down twice has done nothing. */}
      <div className={styles.row}>
        <button type="button" className={styles.plain} aria-expanded={asked} onClick={() => ask(!asked)}>
          {asked ? WORDS.keepTheStop : WORDS.tappedByMistake}
        </button>
      </div>
      {asked && (
        <>
          <p className={styles.takeBack}>{WORDS.noPainAtAll}</p>
          <div className={styles.row}>
            <button
              type="button"
              className={styles.plain}
              onClick={() => void give({ do: 'take-back-pain', painId: pain.id })}
            >
              {WORDS.takeTheStopBack}
            </button>
          </div>
        </>
      )}
    </>
  );
}

/** After a stop for pain: what to do, what the client said, and no more of this movement today. */
export function PainPanel({ pain, of, give }: { readonly pain: PainMark; readonly of: Counted; readonly give: Give }) {
  const [note, setNote] = useState(pain.note);
  const kept = note.trim() === pain.note && note.trim() !== '';
  return (
    <section className={styles.pain} role="alert" aria-label={WORDS.stoppedForPain}>
      <h2>{WORDS.stoppedThisMovementIsOver(pain.rep > 0 ? WORDS.at(of, pain.rep) : '')}</h2>
      <ul>
        {PAIN_ADVICE.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      <Textarea
        label={WORDS.whatTheClientSaysWhere}
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
          {kept ? WORDS.noteKept : WORDS.keepTheNote}
        </button>
        <Link className={styles.plain} href="/">
          {WORDS.toTheFloor}
        </Link>
      </div>
      <TakeBack pain={pain} give={give} />
    </section>
  );
}
