'use client';
import { Alert } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { SaveResult } from '@/contract/save-result';
import type { PutAwayKind, PutAwayThing } from '@/contract/views/put-away';
import { WORDS } from '@/messages/screens/shell';
import forms from './forms.module.css';

/** Puts something away, or takes it back. */
export type PutAway = (kind: PutAwayKind, id: string, away: boolean) => Promise<SaveResult>;

/** One press after the other; what went wrong is said. */
function usePutAway(act: PutAway, then: (thing: PutAwayThing) => void) {
  const [busy, start] = useTransition();
  const [trouble, setTrouble] = useState<string | null>(null);
  const press = (thing: PutAwayThing, away: boolean): void =>
    start(async () => {
      try {
        const result = await act(thing.kind, thing.id, away);
        setTrouble(result.ok ? null : (result.issues[0]?.message ?? WORDS.couldNotBeKept));
        if (result.ok) then(thing);
      } catch {
        setTrouble(WORDS.couldNotBeKept);
      }
    });
  return { busy, trouble, press };
}

/** At the end of a sheet: out of every list, with what was recorded kept. The list it leads to offers the way back. */
export function PutAwayButton(props: { readonly thing: PutAwayThing; readonly act: PutAway; readonly list: string }) {
  const { thing, act, list } = props;
  const router = useRouter();
  const { busy, trouble, press } = usePutAway(act, ({ id }) =>
    router.push(`${list}${list.includes('?') ? '&' : '?'}away=${encodeURIComponent(id)}`),
  );
  return (
    <section className={forms.away} aria-label={WORDS.putAway}>
      <p>{WORDS.putAwayText[thing.kind]}</p>
      <button type="button" disabled={busy} onClick={() => press(thing, true)}>
        {WORDS.putAway}
      </button>
      {trouble && <Alert>{trouble}</Alert>}
    </section>
  );
}

interface ListProps {
  readonly things: readonly PutAwayThing[];
  readonly act: PutAway;
}

/** What was put away just now, with its undo; nothing else. */
export function PutAwayUndo({ things, justNow, act }: ListProps & { readonly justNow: string | undefined }) {
  const router = useRouter();
  const { busy, trouble, press } = usePutAway(act, () => router.refresh());
  const last = things.find((t) => t.id === justNow);
  if (!last) return null;
  return (
    <div className={forms.undo} role="status">
      <span>{trouble ?? WORDS.wasPutAway(last.name)}</span>
      <button type="button" disabled={busy} onClick={() => press(last, false)}>
        {WORDS.undo}
      </button>
    </div>
  );
}

/** What is put away, each to be taken back. */
export function PutAwayList({ things, act }: ListProps) {
  const router = useRouter();
  const { busy, trouble, press } = usePutAway(act, () => router.refresh());
  if (things.length === 0) return null;
  return (
    <details className={forms.fold}>
      <summary>{WORDS.putAwayCount(things.length)}</summary>
      <ul className={forms.awayList}>
        {things.map((t) => (
          <li key={t.id}>
            <span>{t.name}</span>
            <button
              type="button"
              disabled={busy}
              aria-label={WORDS.takeBackNamed(t.name)}
              onClick={() => press(t, false)}
            >
              {WORDS.takeBack}
            </button>
          </li>
        ))}
      </ul>
      {trouble && <Alert>{trouble}</Alert>}
    </details>
  );
}
