'use client';
import { FileButton, Table } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { CalendarView } from '@/contract/views/session-plan';
import { useDeed } from '@/features/shell/use-deed';
import forms from '@/features/shell/forms.module.css';
import { CALENDAR as WORDS } from '@/messages/calendar';
import styles from './week.module.css';

/** Most that is sent, bytes. */
const MOST_BYTES = 900_000;

type Deed = (text: string) => Promise<SaveResult<CalendarView>>;

function Lines({ lines }: CalendarView) {
  return (
    <Table.ScrollContainer minWidth={520}>
      <Table>
        <Table.Thead>
          <Table.Tr>
            {[WORDS.when, WORDS.minutes, WORDS.who, WORDS.what].map((w) => (
              <Table.Th key={w}>{w}</Table.Th>
            ))}
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {lines.map((l, k) => (
            <Table.Tr key={k}>
              <Table.Td>{l.when}</Table.Td>
              <Table.Td>{l.minutes}</Table.Td>
              <Table.Td>{l.summary}</Table.Td>
              <Table.Td>{[WORDS.state[l.state], l.why].filter(Boolean).join(': ')}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  );
}

/** Sessions out as a calendar file, and in from one: looked at first, kept with a press. */
export function CalendarPanel({ look, take }: { readonly look: Deed; readonly take: Deed }) {
  const { busy, trouble, run } = useDeed();
  const [text, setText] = useState('');
  const [view, setView] = useState<CalendarView | null>(null);
  const [said, setSaid] = useState('');
  const ask = (deed: Deed, of: string, says: string): void =>
    run(async () => {
      const done = await deed(of);
      setView(done.ok ? (done.kept ?? null) : null);
      setSaid(done.ok ? says : '');
      return done.ok
        ? { ok: true, id: '' }
        : { ok: false, issues: done.issues, ...(done.trouble ? { trouble: done.trouble } : {}) };
    });
  const open = async (file: File | null): Promise<void> => {
    if (!file) return;
    setView(null);
    if (file.size > MOST_BYTES) return setSaid(WORDS.tooBig);
    const read = await file.text().catch(() => null);
    if (read === null) return setSaid(WORDS.unread);
    setText(read);
    ask(look, read, '');
  };
  const taken = view?.lines.filter((l) => l.state === 'new' || l.state === 'moved').length ?? 0;
  return (
    <details className={forms.fold}>
      <summary>{WORDS.title}</summary>
      <p>
        <a href="/api/v1/calendar" className={styles.here} download>
          {WORDS.write}
        </a>
      </p>
      <p>{WORDS.intro}</p>
      <FileButton accept="text/calendar,.ics" onChange={(file) => void open(file)}>
        {(props) => (
          <button type="button" {...props} className={styles.drop} disabled={busy}>
            {WORDS.read}
          </button>
        )}
      </FileButton>
      {view && (view.lines.length === 0 ? <p>{WORDS.nothing}</p> : <Lines lines={view.lines} />)}
      {view && taken > 0 && (
        <button type="button" className={styles.drop} disabled={busy} onClick={() => ask(take, text, WORDS.taken)}>
          {WORDS.take(taken)}
        </button>
      )}
      <p role="status">{said}</p>
      <p role="alert">{trouble}</p>
    </details>
  );
}
