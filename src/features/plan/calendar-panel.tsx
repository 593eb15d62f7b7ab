'use client';
import { Checkbox, FileButton, Table } from '@mantine/core';
import { useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { CalendarView } from '@/contract/views/session-plan';
import { useDeed } from '@/features/shell/use-deed';
import forms from '@/features/shell/forms.module.css';
import { CALENDAR as WORDS } from '@/messages/calendar';
import { TableHead } from '@/features/shell/table-head';
import styles from './week.module.css';

/** Most that is sent, bytes. */
const MOST_BYTES = 900_000;

type Told = Promise<SaveResult<CalendarView>>;

const canBeTaken = ({ state }: CalendarView['lines'][number]): boolean => state === 'new' || state === 'moved';

/** A file line by line; what would be kept is ticked, and is left out where it is not. */
function Lines(props: CalendarView & { readonly out: ReadonlySet<string>; readonly onOut: (id: string) => void }) {
  const { lines, out, onOut } = props;
  return (
    <Table.ScrollContainer minWidth={520}>
      <Table>
        <TableHead words={[WORDS.keep, WORDS.when, WORDS.minutes, WORDS.who, WORDS.what]} />
        <Table.Tbody>
          {lines.map((l, k) => (
            <Table.Tr key={k}>
              <Table.Td>
                {canBeTaken(l) && (
                  <Checkbox
                    size="lg"
                    aria-label={WORDS.takeLine(l.summary, l.when)}
                    checked={!out.has(l.id)}
                    onChange={() => onOut(l.id)}
                  />
                )}
              </Table.Td>
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

interface Props {
  readonly look: (text: string) => Told;
  readonly take: (text: string, ids: readonly string[]) => Told;
}

/** A file that is looked at: its lines, which of them are left out, and what is done with it. */
function useCalendarFile({ look, take }: Props) {
  const { busy, trouble, run } = useDeed();
  const [text, setText] = useState('');
  const [view, setView] = useState<CalendarView | null>(null);
  const [said, setSaid] = useState('');
  const [out, setOut] = useState<ReadonlySet<string>>(new Set());
  const ask = (deed: () => Told, says: string): void =>
    run(async () => {
      const done = await deed();
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
    setOut(new Set());
    ask(() => look(read), '');
  };
  const taken = view?.lines.filter((l) => canBeTaken(l) && !out.has(l.id)).map((l) => l.id) ?? [];
  const toggle = (id: string): void =>
    setOut(out.has(id) ? new Set([...out].filter((o) => o !== id)) : new Set([...out, id]));
  return { busy, trouble, said, view, out, toggle, open, taken, keep: () => ask(() => take(text, taken), WORDS.taken) };
}

/** Sessions out as a calendar file, and in from one: looked at first, kept line by line with a press. */
export function CalendarPanel(props: Props) {
  const { busy, trouble, said, view, out, toggle, open, taken, keep } = useCalendarFile(props);
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
      {view &&
        (view.lines.length === 0 ? <p>{WORDS.nothing}</p> : <Lines lines={view.lines} out={out} onOut={toggle} />)}
      {taken.length > 0 && (
        <button type="button" className={styles.drop} disabled={busy} onClick={keep}>
          {WORDS.take(taken.length)}
        </button>
      )}
      <p role="status">{said}</p>
      <p role="alert">{trouble}</p>
    </details>
  );
}
