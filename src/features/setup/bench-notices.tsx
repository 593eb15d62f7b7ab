import { Alert } from '@mantine/core';
import { memo } from 'react';
import type { ClientNote } from '@/core/body/client-note';
import type { BookEntry } from '@/core/book/book-entry';
import { cautionsOf } from '@/core/book/entry-cautions';
import { CAUTION, type CautionPlace } from '@/messages/cautions';
import { loadText } from '@/messages/loads';
import { NOTE_TEXT } from '@/messages/notes';
import { replacedText } from '@/messages/replaced';
import { UnreadableNote } from '@/features/shell/unreadable-note';
import { LimitNotes } from './limit-notes';
import { ScreeningWarning } from '@/features/shell/screening-warning';
import type { SetupBenchView } from '@/contract/views/setup';
import { WORDS } from '@/messages/screens/setup';
import styles from './setup.module.css';

/** Cautions that concern what is set on steel. */
const AT_PLATES: readonly CautionPlace[] = ['hole', 'handle', 'mark', 'bench', 'load'];

/** What has to be known beside the plates: screening, what was replaced or converted, limits and cautions. */
export const BenchNotices = memo(function BenchNotices({
  context,
  entry,
}: {
  readonly context: SetupBenchView;
  readonly entry: BookEntry;
}) {
  const { client, item, converted, replaced, unit } = context;
  return (
    <>
      <ScreeningWarning screening={context.screening} clientId={client.id} />
      {replaced.map((r) => (
        <Alert key={r.planned} className={styles.blocked} role="note">
          {replacedText(r)}
        </Alert>
      ))}
      {converted && (
        <p className={styles.atPlates} data-testid="converted">
          <b>{WORDS.loadHere(loadText(item.loadG, unit))}</b>{' '}
          {WORDS.forThePlannedOnThe(loadText(converted.plannedG, converted.plannedUnit), converted.plannedOn)}
        </p>
      )}
      <LimitNotes limits={context.limits} unit={unit} />
      <UnreadableNote rows={context.unreadable} />
      <p className={styles.atPlates}>
        {cautionsOf(entry)
          .filter((c) => AT_PLATES.includes(CAUTION[c].at))
          .map((c) => CAUTION[c].text)
          .join(' ')}
      </p>
    </>
  );
});

/** What is noted of this client, with what it changes. */
export const ClientNotes = memo(function ClientNotes({ notes }: { readonly notes: readonly ClientNote[] }) {
  if (notes.length === 0) return null;
  return (
    <ul className={styles.notes} aria-label={WORDS.notesOnThisClient}>
      {notes.map((n) => (
        <li key={n}>
          <b>{NOTE_TEXT[n].name}:</b> {NOTE_TEXT[n].does}
        </li>
      ))}
    </ul>
  );
});
