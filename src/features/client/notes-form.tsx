'use client';
import { MultiSelect } from '@mantine/core';
import { memo } from 'react';
import { CLIENT_NOTES, type ClientNote } from '@/core/body/client-note';
import { REGIONS } from '@/core/body/region-line';
import { REGION_NAME } from '@/messages/movements';
import { NOTE_TEXT } from '@/messages/notes';
import type { ClientValues, SetValue } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

interface Props {
  readonly notes: ClientValues['notes'];
  readonly unfelt: ClientValues['unfelt'];
  readonly set: SetValue;
}

/** Observations that change defaults, each with what it changes. */
export const NotesForm = memo(function NotesForm({ notes, unfelt, set }: Props) {
  const toggle = (n: ClientNote): void =>
    set('notes', notes.includes(n) ? notes.filter((x) => x !== n) : [...notes, n]);
  return (
    <>
      <div className={styles.notes}>
        {CLIENT_NOTES.map((n) => (
          <button key={n} type="button" role="switch" aria-checked={notes.includes(n)} onClick={() => toggle(n)}>
            <b>{NOTE_TEXT[n].name}</b>
            <span>{NOTE_TEXT[n].does}</span>
          </button>
        ))}
      </div>
      {notes.includes('does-not-feel') && (
        <MultiSelect
          label={WORDS.regionsNotFeltYet}
          data={REGIONS.map((r) => ({ value: r, label: REGION_NAME[r] }))}
          value={unfelt}
          onChange={(v) => set('unfelt', v)}
          size="md"
        />
      )}
    </>
  );
});
