'use client';
import { useState } from 'react';
import { entryOf, type MovementId } from '@/core/book/book';
import { paceOfPart } from '@/core/tempo/pace';
import { segmentReps } from '@/core/trace/segment-reps';
import { parseTraceCsv } from '@/contract/trace-csv';
import type { LedgerSet } from '@/contract/views/ledger';
import { TraceLine, type Trace } from '@/features/set/trace-line';
import { WORDS } from '@/messages/screens/ledger';
import styles from './ledger.module.css';

interface Props {
  readonly movement: MovementId;
  readonly set: LedgerSet;
}

/** The kept trace of a set over what its tempo asked for; fetched when it is opened, and a file to take along. */
export function KeptTrace({ movement, set }: Props) {
  const [trace, setTrace] = useState<Trace | null>(null);
  const [said, setSaid] = useState('');
  const { startsWith } = entryOf(movement);
  const address = `/api/v1/traces/${set.itemId}/${set.setId}`;
  const pace = paceOfPart({ tempo: set.tempo, from: 0, to: 1 }, startsWith, null);
  const show = async (): Promise<void> => {
    setSaid(WORDS.fetchingTrace);
    const text = await fetch(address).then(
      (r) => (r.ok ? r.text() : ''),
      () => '',
    );
    const read = parseTraceCsv(text);
    const reps = read.ok ? segmentReps(read.points, pace?.startsWith ?? startsWith) : null;
    setTrace(read.ok ? { points: read.points, reps: reps ?? [] } : null);
    setSaid(read.ok ? '' : WORDS.traceNeedsNetwork);
  };
  return (
    <details className={styles.keptTrace} onToggle={(e) => e.currentTarget.open && !trace && void show()}>
      <summary>{WORDS.trace}</summary>
      {trace && <TraceLine {...trace} paces={pace ? trace.reps.map(() => pace) : []} />}
      {trace && (
        <a href={address} download>
          {WORDS.takeTrace}
        </a>
      )}
      <p role="status">{said}</p>
    </details>
  );
}
