'use client';
import { NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { REGIONS, type Region } from '@/core/body/region-line';
import { BOOK } from '@/core/book/book';
import type { BookEntry } from '@/core/book/book-entry';
import type { Objection } from '@/core/book/choose';
import type { KitKind } from '@/core/kit/kit-kind';
import { KIT_KINDS } from '@/core/kit/kit-kind';
import type { MachineKind } from '@/core/kit/machine';
import { BOOK_TEXT } from '@/messages/book';
import { KIT_NAME, MACHINE_NAME } from '@/messages/kit';
import { REGION_NAME } from '@/messages/movements';
import { NOTE_TEXT } from '@/messages/notes';
import type { ChoiceData } from '@/workers/choose-protocol';
import { useChoose } from '@/workers/use-choose';
import type { ChoosingData } from '@/contract/choosing-data';
import { choosingQuery } from './choosing-query';
import styles from './movements.module.css';

const BLOCKED_TEXT: Readonly<Record<Extract<Objection, { kind: 'solver' }>['reason'], string>> = {
  range: 'too little of its range is left to this client',
  'no-column': 'no column here',
  'one-pulley': 'needs two pulleys',
  sides: 'not on this side',
  limits: 'no column here serves this body',
};

function objectionText(o: Objection): string {
  switch (o.kind) {
    case 'kit': {
      const isKit = KIT_KINDS.includes(o.missing as KitKind);
      const name = isKit ? KIT_NAME[o.missing as KitKind].one : MACHINE_NAME[o.missing as MachineKind];
      return `no ${name} in working order here`;
    }
    case 'note':
      return `${NOTE_TEXT[o.note].name.toLowerCase()} noted`;
    case 'solver':
      return BLOCKED_TEXT[o.reason];
  }
}

const reasonText = (c: ChoiceData): string =>
  `loaded over ${Math.round(c.loadedShare * 100)} % ` +
  `of ${Math.round(c.rangeDeg)}°${c.direct ? '' : ', beside its own target'}`;

/** What a movement hangs on or is held by. */
const WITH = [
  { value: '', label: 'whatever is here' },
  { value: 'cable', label: 'a cable' },
  { value: 'weight', label: 'dumbbells, plates or a bar' },
  { value: 'machine', label: 'a machine' },
  { value: 'landmine', label: 'a landmine' },
  { value: 'body', label: 'the body itself' },
] as const;

function Line({
  entry,
  choice,
  query,
  data,
}: {
  readonly entry: BookEntry;
  readonly choice: ChoiceData;
  readonly query: string;
  readonly data: ChoosingData;
}) {
  const column = data.gym.columns.find((c) => c.id === choice.columnId);
  const own = data.variants.filter((v) => v.movement === entry.id);
  return (
    <li className={choice.objection ? styles.greyed : styles.line} data-entry={entry.id}>
      <Link href={`/movements/${entry.id}${query}`}>
        <b>{BOOK_TEXT[entry.id]!.name}</b>
        <span>
          {choice.objection ? objectionText(choice.objection) : reasonText(choice)}
          {column ? `, ${column.name}` : ''}
        </span>
      </Link>
      {!choice.objection && (
        <span className={styles.share} aria-hidden>
          <span style={{ width: `${Math.round(choice.loadedShare * 100)}%` }} />
        </span>
      )}
      {own.length > 0 && (
        <span className={styles.standIns}>
          your own:{' '}
          {own.map((v) => (
            <Link key={v.id} href={`/movements/${entry.id}${query}&variant=${v.id}`}>
              {v.name}
            </Link>
          ))}
        </span>
      )}
      {choice.objection && choice.standIns.length > 0 && (
        <span className={styles.standIns}>
          instead:{' '}
          {choice.standIns.map((s) => (
            <Link key={s} href={`/movements/${s}${query}`}>
              {BOOK_TEXT[s]!.name}
            </Link>
          ))}
        </span>
      )}
    </li>
  );
}

/**
 * Pick a region: the movements that this gym, this client and today's notes allow, best first, with one reason each.
 */
export function MovementList({ data }: { readonly data: ChoosingData }) {
  const router = useRouter();
  const listening = useMounted();
  const [region, setRegion] = useState<Region>('chest-mid');
  const [using, setUsing] = useState('');
  const input = useMemo(
    () => ({ body: data.body, range: data.range, notes: data.notes, kit: data.kit, gym: data.gym, loadKg: 15 }),
    [data],
  );
  const { choices, progress } = useChoose(region, input);
  const shown = choices?.filter((c) => using === '' || BOOK.find((e) => e.id === c.id)!.load.kind === using) ?? null;
  const query = choosingQuery(data);
  const go = (client: string, gym: string): void => router.push(`/movements?${new URLSearchParams({ client, gym })}`);
  return (
    <div className={styles.choosing}>
      <fieldset disabled={!listening} className={styles.side}>
        <NativeSelect
          label="For"
          data={[
            { value: '', label: 'anybody of middle height' },
            ...data.clients.map((c) => ({ value: c.id, label: c.name })),
          ]}
          value={data.clientId ?? ''}
          onChange={(e) => go(e.currentTarget.value, data.gymId ?? '')}
        />
        <NativeSelect
          label="At"
          data={data.gyms.map((g) => ({ value: g.id, label: g.name }))}
          value={data.gymId ?? ''}
          onChange={(e) => go(data.clientId ?? '', e.currentTarget.value)}
        />
        <NativeSelect label="With" data={WITH} value={using} onChange={(e) => setUsing(e.currentTarget.value)} />
        <div role="radiogroup" aria-label="Region" className={styles.regions}>
          {REGIONS.map((r) => (
            <button key={r} type="button" role="radio" aria-checked={r === region} onClick={() => setRegion(r)}>
              {REGION_NAME[r]}
            </button>
          ))}
        </div>
      </fieldset>
      <section aria-label={`Movements for the ${REGION_NAME[region]}`} aria-busy={progress !== null}>
        <h2 className={styles.heading}>
          What loads the {REGION_NAME[region]}
          <span role="status">{progress === null ? '' : `solving, ${Math.round(progress * 100)} %`}</span>
        </h2>
        {shown?.length === 0 && (
          <p className={styles.quiet}>
            {choices?.length === 0
              ? 'Nothing in the book is made for it.'
              : 'Nothing with this kit. Choose other kit above.'}
          </p>
        )}
        <ul className={styles.list} data-testid="choices">
          {shown?.map((c) => (
            <Line key={c.id} entry={BOOK.find((e) => e.id === c.id)!} choice={c} query={query} data={data} />
          ))}
        </ul>
      </section>
    </div>
  );
}
