'use client';
import { Alert, Button, FileButton, Progress, Table } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRef, useState } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { LookedView, LookLine } from '@/contract/views/records';
import { CSV_NAMES } from '@/contract/csv-names';
import { useDeed } from '@/features/shell/use-deed';
import styles from '@/features/shell/lists.module.css';
import { TableHead } from '@/features/shell/table-head';
import { CSV_TABLE_NAME, RECORDS_FILE as WORDS } from '@/messages/records-file';

type Take = (id: string) => Promise<SaveResult>;

/** Lines of a body as they come; a piece of one waits for its end. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<LookLine> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) yield JSON.parse(line) as LookLine;
  }
}

/** A file that is looked at at the server: how far it is, and what it would do. */
function useLook() {
  const stop = useRef<AbortController | null>(null);
  const [share, setShare] = useState<number | null>(null);
  const [looked, setLooked] = useState<LookedView | null>(null);
  const [said, setSaid] = useState('');
  const look = async (file: File | null): Promise<void> => {
    if (!file) return;
    const asked = new AbortController();
    stop.current = asked;
    setLooked(null);
    setSaid('');
    setShare(0);
    try {
      const headers = { 'Content-Type': 'application/json' };
      const response = await fetch('/api/v1/records', { method: 'POST', headers, body: file, signal: asked.signal });
      if (!response.ok || !response.body) throw new Error(String(response.status));
      let isOver = false;
      for await (const line of linesOf(response.body)) {
        if ('share' in line) setShare(line.share);
        else if ('trouble' in line) setSaid(line.trouble);
        else setLooked(line.looked);
        isOver ||= !('share' in line);
      }
      if (!isOver) throw new Error('cut off');
    } catch {
      setSaid(asked.signal.aborted ? WORDS.stopped : WORDS.unsent);
    }
    setShare(null);
  };
  return { share, looked, said, look, cancel: () => stop.current?.abort(), done: () => setLooked(null) };
}

function Counts({ looked }: { readonly looked: LookedView }) {
  return (
    <Table.ScrollContainer minWidth={560}>
      <Table>
        <TableHead words={[WORDS.table, WORDS.fresh, WORDS.changed, WORDS.same, WORDS.rejected]} />
        <Table.Tbody>
          {looked.tables.map((t) => (
            <Table.Tr key={t.table} data-table={t.table}>
              <Table.Td>
                {t.table}
                <span className={styles.quiet}> {t.holds}</span>
              </Table.Td>
              <Table.Td>{t.fresh}</Table.Td>
              <Table.Td>{t.changed}</Table.Td>
              <Table.Td>{t.same}</Table.Td>
              <Table.Td>{t.rejected}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Table.ScrollContainer>
  );
}

function Rejected({ looked }: { readonly looked: LookedView }) {
  const all = looked.tables.reduce((sum, t) => sum + t.rejected, 0);
  if (all === 0) return null;
  return (
    <Table.ScrollContainer minWidth={560}>
      <Table>
        <TableHead words={[WORDS.table, WORDS.row, WORDS.column, WORDS.why]} />
        <Table.Tbody>
          {looked.rejected.map((r, k) => (
            <Table.Tr key={k}>
              <Table.Td>{r.table}</Table.Td>
              <Table.Td>{r.row}</Table.Td>
              <Table.Td>{r.column || WORDS.whole}</Table.Td>
              <Table.Td>{r.why}</Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
      {all > looked.rejected.length && <p>{WORDS.more(all - looked.rejected.length)}</p>}
    </Table.ScrollContainer>
  );
}

/** What a file would do, and the press that does it. */
function Looked({
  looked,
  take,
  onTaken,
}: {
  readonly looked: LookedView;
  readonly take: Take;
  readonly onTaken: () => void;
}) {
  const { busy, trouble, run } = useDeed();
  const rows = looked.tables.reduce((sum, t) => sum + t.fresh + t.changed, 0);
  return (
    <>
      <Counts looked={looked} />
      <Rejected looked={looked} />
      {trouble && <Alert>{trouble}</Alert>}
      {rows === 0 ? (
        <p>{WORDS.nothing}</p>
      ) : (
        <div className={styles.line}>
          <Button disabled={busy} onClick={() => run(() => take(looked.id), onTaken)}>
            {WORDS.take(rows)}
          </Button>
        </div>
      )}
    </>
  );
}

/** Records out as a file or as tables, and in from a file: looked at first, taken with a press. */
export function RecordsFile({ take }: { readonly take: Take }) {
  const listening = useMounted();
  const { share, looked, said, look, cancel, done } = useLook();
  const [taken, setTaken] = useState(false);
  return (
    <>
      <p>{WORDS.outText}</p>
      <p>
        <a className={styles.link} href="/api/v1/records" download>
          {WORDS.out}
        </a>
      </p>
      <p>
        {WORDS.tables}{' '}
        {CSV_NAMES.map((name) => (
          <a key={name} className={styles.link} href={`/api/v1/tables/${name}`} download>
            {CSV_TABLE_NAME[name]}
          </a>
        ))}
      </p>
      <p>{WORDS.inText}</p>
      <div className={styles.line}>
        <FileButton
          accept="application/json,.json"
          onChange={(file) => {
            setTaken(false);
            void look(file);
          }}
        >
          {(props) => (
            <Button {...props} variant="outline" disabled={!listening || share !== null}>
              {WORDS.in}
            </Button>
          )}
        </FileButton>
        {share !== null && (
          <>
            <Button variant="outline" onClick={cancel}>
              {WORDS.stop}
            </Button>
            <span role="status">{WORDS.sending(share)}</span>
          </>
        )}
      </div>
      {share !== null && <Progress value={100 * share} aria-label={WORDS.sending(share)} />}
      {looked && (
        <Looked
          looked={looked}
          take={take}
          onTaken={() => {
            setTaken(true);
            done();
          }}
        />
      )}
      <p role="status">{taken ? WORDS.taken : said}</p>
    </>
  );
}
