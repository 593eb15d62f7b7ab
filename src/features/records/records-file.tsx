'use client';
import { Button, FileButton } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useState } from 'react';
import { CSV_NAMES } from '@/contract/csv-names';
import styles from '@/features/shell/lists.module.css';
import { Looked, LookProgress, type Take } from './looked';
import { useLook } from './use-look';
import { CSV_TABLE_NAME, RECORDS_FILE as WORDS } from '@/messages/records-file';

const sendFile = (file: File, signal: AbortSignal): Promise<Response> =>
  fetch('/api/v1/records', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: file, signal });

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
            if (file) void look((signal) => sendFile(file, signal));
          }}
        >
          {(props) => (
            <Button {...props} variant="outline" disabled={!listening || share !== null}>
              {WORDS.in}
            </Button>
          )}
        </FileButton>
      </div>
      <LookProgress share={share} cancel={cancel} />
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
