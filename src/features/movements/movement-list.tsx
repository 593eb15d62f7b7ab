'use client';
import { Alert, NativeSelect } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { findEntry } from '@/core/book/book';
import { REGIONS, type Region } from '@/core/body/region-line';
import type { ChoosingView } from '@/contract/views/choosing';
import { ChoiceRow } from '@/features/shell/choice-row';
import { Link } from '@/features/shell/link';
import { movementName } from '@/messages/book';
import { choiceText, nothingText, NOT_WORKED_OUT, objectionText, WITH_TEXT } from '@/messages/choosing';
import { REGION_NAME } from '@/messages/movements';
import type { ChoiceData } from '@/workers/choose-protocol';
import { useChoose } from '@/workers/use-choose';
import { choosingQuery, spottingQuery } from './choosing-query';
import { SHOWN_KG } from './movement-answer';
import { WORDS } from '@/messages/screens/movements';
import { WORDS as SPOTTING } from '@/messages/screens/spotting';
import styles from './movements.module.css';

const WITH = Object.entries(WITH_TEXT).map(([value, label]) => ({ value, label }));

/** A row of movements by name, each a link. */
function Names({ says, names }: { readonly says: string; readonly names: readonly { href: string; name: string }[] }) {
  if (names.length === 0) return null;
  return (
    <span className={styles.standIns}>
      {says}:{' '}
      {names.map((n) => (
        <Link key={n.href} href={n.href}>
          {n.name}
        </Link>
      ))}
    </span>
  );
}

interface LineProps {
  readonly choice: ChoiceData;
  readonly query: string;
  readonly data: ChoosingView;
}

function Line({ choice, query, data }: LineProps) {
  const { id, objection } = choice;
  const column = data.gym.columns.find((c) => c.id === choice.columnId);
  const own = data.variants.filter((v) => v.movement === id);
  return (
    <li className={objection ? styles.greyed : styles.line} data-entry={id}>
      <Link href={`/movements/${id}${query}`}>
        <b>{movementName(id)}</b>
        <span>
          {objection ? objectionText(objection) : choiceText(choice)}
          {column ? `. ${column.name}` : ''}
        </span>
      </Link>
      {!objection && (
        <span className={styles.share} aria-hidden>
          <span style={{ width: `${Math.round(choice.score * 100)}%` }} />
        </span>
      )}
      <Names
        says={WORDS.yourOwn}
        names={own.map((v) => ({ href: `/movements/${id}${query}&variant=${v.id}`, name: v.name }))}
      />
      {objection && (
        <Names
          says={WORDS.instead}
          names={choice.standIns.map((s) => ({ href: `/movements/${s}${query}`, name: movementName(s) }))}
        />
      )}
    </li>
  );
}

interface AskedProps {
  readonly data: ChoosingView;
  readonly using: string;
  readonly onUsing: (using: string) => void;
  readonly region: Region;
  readonly onRegion: (region: Region) => void;
}

/** For whom, where, with what, and for which region. */
function Asked({ data, using, onUsing, region, onRegion }: AskedProps) {
  const router = useRouter();
  const listening = useMounted();
  const go = (client: string, gym: string): void => router.push(`/movements?${new URLSearchParams({ client, gym })}`);
  return (
    <fieldset disabled={!listening} className={styles.side}>
      <NativeSelect
        label={WORDS.for}
        data={[
          { value: '', label: WORDS.anybodyOfMiddleHeight },
          ...data.clients.map((c) => ({ value: c.id, label: c.name })),
        ]}
        value={data.clientId ?? ''}
        onChange={(e) => go(e.currentTarget.value, data.gymId ?? '')}
      />
      <NativeSelect
        label={WORDS.at}
        data={data.gyms.map((g) => ({ value: g.id, label: g.name }))}
        value={data.gymId ?? ''}
        onChange={(e) => go(data.clientId ?? '', e.currentTarget.value)}
      />
      <NativeSelect label={WORDS.with} data={WITH} value={using} onChange={(e) => onUsing(e.currentTarget.value)} />
      <Link className={styles.spot} href={spottingQuery(data, null)}>
        {SPOTTING.spotFaults}
      </Link>
      <ChoiceRow
        label={WORDS.region}
        className={styles.regions}
        value={region}
        options={REGIONS.map((r) => ({ value: r, label: REGION_NAME[r] }))}
        onChange={onRegion}
      />
    </fieldset>
  );
}

/**
 * Pick a region: the movements that this gym, this client and today's notes allow, best first, with one reason each.
 */
export function MovementList({ data }: { readonly data: ChoosingView }) {
  const [region, setRegion] = useState<Region>('chest-mid');
  const [using, setUsing] = useState('');
  const input = useMemo(
    () => ({ body: data.body, range: data.range, notes: data.notes, kit: data.kit, gym: data.gym, loadKg: SHOWN_KG }),
    [data],
  );
  const { choices, progress, failed } = useChoose(region, input);
  const shown = choices?.filter((c) => using === '' || findEntry(c.id)?.load.kind === using) ?? null;
  const query = choosingQuery(data);
  return (
    <div className={styles.choosing}>
      <Asked data={data} using={using} onUsing={setUsing} region={region} onRegion={setRegion} />
      <section aria-label={WORDS.movementsForThe(REGION_NAME[region])} aria-busy={progress !== null}>
        <h2 className={styles.heading}>
          {WORDS.whatLoadsThe(REGION_NAME[region])}
          <span role="status">{progress === null ? '' : WORDS.solving(Math.round(progress * 100))}</span>
        </h2>
        {failed && <Alert className={styles.blocked}>{NOT_WORKED_OUT}</Alert>}
        {shown?.length === 0 && <p className={styles.quiet}>{nothingText(choices!.length)}</p>}
        <ul className={styles.list} data-testid="choices">
          {shown?.map((c) => (
            <Line key={c.id} choice={c} query={query} data={data} />
          ))}
        </ul>
      </section>
    </div>
  );
}
