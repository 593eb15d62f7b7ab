'use client';
import { Button, FileButton, Table } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';
import { sharedOutbox, type RefusedTap } from '@/offline/outbox';
import { useOutboxState } from '@/offline/use-outbox';
import { movementName } from '@/messages/book';
import { clock, day } from '@/messages/day';
import { tapText } from '@/messages/taps';
import { WORDS } from '@/messages/screens/taps';
import styles from './taps.module.css';

/** Taps as a file that the server's own delivery door takes. */
function saveAsFile(taps: readonly RefusedTap[]): void {
  const text = JSON.stringify({ events: taps.map((t) => t.event) }, null, 1);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  link.download = `jorvix-taps-${new Date().toISOString().slice(0, 10)}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Taps of a file that another tablet saved: for the database that they were made for. */
function TakeIn() {
  const [says, setSays] = useState<string | null>(null);
  const take = async (file: File | null): Promise<void> => {
    if (!file) return;
    try {
      const { kept, refused } = await sharedOutbox().sendFile(await file.text());
      setSays(WORDS.taken(kept, refused));
    } catch {
      setSays(WORDS.notTaken);
    }
  };
  return (
    <section aria-label={WORDS.takeIn} className={styles.takeIn}>
      <h2>{WORDS.takeIn}</h2>
      <p>{WORDS.takeInWhy}</p>
      <FileButton accept="application/json,.json" onChange={(file) => void take(file)}>
        {(props) => (
          <Button variant="outline" {...props}>
            {WORDS.chooseFile}
          </Button>
        )}
      </FileButton>
      <p role="status">{says}</p>
    </section>
  );
}

/** What the server would not take, why, and what can be done with it. */
export function RefusedTaps() {
  const { refused } = useOutboxState();
  const [taps, setTaps] = useState<readonly RefusedTap[]>([]);
  const read = useCallback(() => sharedOutbox().refusedTaps().then(setTaps), []);
  useEffect(() => void read(), [read, refused]);
  const fromFile = <TakeIn />;
  if (taps.length === 0)
    return (
      <>
        <p>{WORDS.none}</p>
        {fromFile}
      </>
    );
  return (
    <>
      <p>{WORDS.why}</p>
      <div className={styles.actions}>
        <Button onClick={() => void sharedOutbox().retryRefused().then(read)}>{WORDS.tryAgain}</Button>
        <Button variant="outline" onClick={() => saveAsFile(taps)}>
          {WORDS.save}
        </Button>
      </div>
      <div className={styles.scroll} tabIndex={0} role="region" aria-label={WORDS.title}>
        <Table>
          <Table.Thead>
            <Table.Tr>
              {[WORDS.tapped, WORDS.what, WORDS.whose, WORDS.says].map((name) => (
                <Table.Th key={name} scope="col">
                  {name}
                </Table.Th>
              ))}
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {taps.map(({ event, says }) => (
              <Table.Tr key={event.id}>
                <Table.Td>
                  {day(event.atMs)}, {clock(event.atMs)}
                </Table.Td>
                <Table.Td>{tapText(event)}</Table.Td>
                <Table.Td>
                  {event.clientId}, {movementName(event.movement)}
                </Table.Td>
                <Table.Td>{says}</Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
      {fromFile}
    </>
  );
}
