'use client';
import { MultiSelect } from '@mantine/core';
import type { UseFormReturnType } from '@mantine/form';
import { CLIENT_NOTES, type ClientNote } from '@/core/body/client-note';
import { REGIONS, type Region } from '@/core/body/region-line';
import { REGION_NAME } from '@/messages/movements';
import { NOTE_TEXT } from '@/messages/notes';
import type { ClientValues } from './client-form-values';
import { WORDS } from '@/messages/screens/client';
import styles from './client.module.css';

/** Observations that change defaults, each with what it changes. */
export function NotesForm({ form }: { readonly form: UseFormReturnType<ClientValues> }) {
  const { notes } = form.values;
  const toggle = (n: ClientNote): void =>
    form.setFieldValue('notes', (notes.includes(n) ? notes.filter((x) => x !== n) : [...notes, n]) as never);
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
          value={form.values.unfelt}
          onChange={(v) => form.setFieldValue('unfelt', v as Region[] as never)}
          size="md"
        />
      )}
    </>
  );
}
