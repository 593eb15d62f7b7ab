'use client';
import { Alert, Button, FileButton } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useState } from 'react';
import type { FieldIssue } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { SheetNames, SheetReading } from '@/contract/spreadsheet-form';
import type { SheetChoices, SheetNamesView, SheetView } from '@/contract/views/records';
import { useDeed } from '@/features/shell/use-deed';
import lists from '@/features/shell/lists.module.css';
import { RECORDS_FILE } from '@/messages/records-file';
import { SHEETS as WORDS, takenText } from '@/messages/spreadsheet';
import { Looked, LookProgress, type Take } from './looked';
import { SheetColumns } from './spreadsheet-columns';
import { SheetNameLists } from './spreadsheet-names';
import styles from './spreadsheet.module.css';
import { useLook } from './use-look';

type Match = (id: string, reading: SheetReading) => Promise<SaveResult<SheetNamesView>>;

const openSheet = async (file: File): Promise<SheetView | { readonly trouble: string }> => {
  const headers = { 'Content-Type': 'text/csv' };
  const response = await fetch('/api/v1/sheets', { method: 'POST', headers, body: file });
  if (!response.ok) return { trouble: WORDS.unsent };
  return (await response.json()) as SheetView | { readonly trouble: string };
};

const lookAt = (id: string, reading: SheetReading, names: SheetNames, signal: AbortSignal): Promise<Response> =>
  fetch(`/api/v1/sheets/${id}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ reading, names }),
    signal,
  });

const meaningsOf = (names: readonly { readonly said: string; readonly means: string }[]): Record<string, string> =>
  Object.fromEntries(names.map(({ said, means }) => [said, means]));

interface ChosenProps {
  readonly sheet: SheetView;
  readonly choices: SheetChoices;
  readonly match: Match;
  readonly take: Take;
  readonly onTaken: () => void;
}

/** How a chosen spreadsheet is read, and what its names stand for once they were asked for. */
function useReading({ sheet, match }: Pick<ChosenProps, 'sheet' | 'match'>) {
  const [reading, setReading] = useState(sheet.readings[sheet.known ?? 'sets']);
  const [names, setNames] = useState<SheetNamesView | null>(null);
  const [meanings, setMeanings] = useState<SheetNames>({ movements: {}, clients: {} });
  const [issues, setIssues] = useState<readonly FieldIssue[]>([]);
  const deed = useDeed();
  const change = (to: SheetReading): void => {
    setReading(to);
    setNames(null);
    setIssues([]);
  };
  const goOn = (): void =>
    deed.run(async () => {
      const matched = await match(sheet.id, reading);
      setIssues(matched.ok ? [] : matched.issues);
      if (!matched.ok)
        return { ok: false, issues: matched.issues, ...(matched.trouble && { trouble: matched.trouble }) };
      const found = matched.kept!;
      setNames(found);
      setMeanings({ movements: meaningsOf(found.movements), clients: meaningsOf(found.clients) });
      return { ok: true, id: matched.id };
    });
  return { reading, change, names, meanings, setMeanings, issues, goOn, busy: deed.busy, trouble: deed.trouble };
}

/** A spreadsheet that was chosen: how it is read, whom and what it names, and what it would do. */
function Chosen({ sheet, choices, match, take, onTaken }: ChosenProps) {
  const { reading, change, names, meanings, setMeanings, issues, goOn, busy, trouble } = useReading({ sheet, match });
  const { share, looked, said, done, look, cancel } = useLook();
  const start = (): void => void look((signal) => lookAt(sheet.id, reading, meanings, signal));
  const anew =
    <T,>(set: (to: T) => void) =>
    (to: T): void => {
      set(to);
      done();
    };
  return (
    <>
      {sheet.known && <p>{WORDS.known}</p>}
      <SheetColumns {...{ sheet, reading, choices, issues }} onChange={anew(change)} />
      {trouble && <Alert>{trouble}</Alert>}
      {!names && (
        <div className={`${lists.line} ${styles.under}`}>
          <Button disabled={busy} onClick={goOn}>
            {WORDS.next}
          </Button>
        </div>
      )}
      {names && <SheetNameLists {...{ names, meanings }} clients={choices.clients} onChange={anew(setMeanings)} />}
      {names && !looked && (
        <div className={`${lists.line} ${styles.under}`}>
          <Button disabled={share !== null} onClick={start}>
            {WORDS.look}
          </Button>
        </div>
      )}
      <LookProgress share={share} cancel={cancel} />
      {looked && (
        <Looked {...{ looked, take, onTaken }} byTable={false} takeText={() => WORDS.take(takenText(looked.tables))} />
      )}
      {said && <Alert>{said}</Alert>}
    </>
  );
}

/** Past sets or clients from a spreadsheet: columns matched by hand, what it would do shown, taken with a press. */
export function SheetIn({
  choices,
  match,
  take,
}: {
  readonly choices: SheetChoices;
  readonly match: Match;
  readonly take: Take;
}) {
  const listening = useMounted();
  const [sheet, setSheet] = useState<SheetView | null>(null);
  const [status, setStatus] = useState('');
  const choose = async (file: File | null): Promise<void> => {
    if (!file) return;
    setSheet(null);
    setStatus(WORDS.sending);
    const opened = await openSheet(file).catch(() => ({ trouble: WORDS.unsent }));
    setStatus('trouble' in opened ? opened.trouble : '');
    if (!('trouble' in opened)) setSheet(opened);
  };
  return (
    <>
      <p>{WORDS.text}</p>
      <div className={lists.line}>
        <FileButton accept="text/csv,.csv,.txt,.tsv" onChange={(file) => void choose(file)}>
          {(props) => (
            <Button {...props} variant="outline" disabled={!listening || status === WORDS.sending}>
              {sheet ? WORDS.again : WORDS.choose}
            </Button>
          )}
        </FileButton>
      </div>
      {sheet && (
        <Chosen
          key={sheet.id}
          {...{ sheet, choices, match, take }}
          onTaken={() => {
            setSheet(null);
            setStatus(RECORDS_FILE.taken);
          }}
        />
      )}
      <p role="status">{status}</p>
    </>
  );
}
