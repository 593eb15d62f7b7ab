'use client';
import { Button } from '@mantine/core';
import type { SaveResult } from '@/contract/save-result';
import type { StandInColumn, WantedView, WaysOut } from '@/contract/views/session-plan';
import { useState } from 'react';
import { useDeed } from '@/features/shell/use-deed';
import { WORDS } from '@/messages/screens/week';
import styles from './wanted-stations.module.css';

/** How a session gets round a station that somebody else wants. */
export interface WantedDeeds {
  readonly move: (id: string, typed: unknown) => Promise<SaveResult>;
  readonly reorder: (id: string, itemIds: unknown) => Promise<SaveResult>;
  readonly moveToStation: (itemIds: unknown, stationId: unknown) => Promise<SaveResult>;
  /** Columns that serve instead, where they are solved only when they are asked for. */
  readonly findStandIns?: (id: string) => Promise<SaveResult<readonly StandInColumn[]>>;
}

interface Props {
  readonly session: { readonly id: string; readonly day: string; readonly minutes: number };
  readonly wanted: WaysOut & Partial<Pick<WantedView, 'standIns'>>;
  readonly deeds: WantedDeeds;
}

/** Stations that somebody else wants at the same time, with the ways out in a tap. */
export function WantedStations({ session, wanted, deeds }: Props) {
  const { busy, trouble, run } = useDeed();
  const { id, day, minutes } = session;
  const { says, start, order } = wanted;
  const [found, setFound] = useState<readonly StandInColumn[] | null>(null);
  const standIns = wanted.standIns ?? found ?? [];
  const canFind = !wanted.standIns && !wanted.isBegun && deeds.findStandIns !== undefined;
  const find = async (): Promise<SaveResult> => {
    const done = await deeds.findStandIns!(id);
    if (!done.ok) return { ok: false, issues: done.issues };
    setFound(done.kept ?? []);
    return { ok: true, id };
  };
  const button = (label: string, does: () => Promise<SaveResult>) => (
    <Button key={label} variant="outline" disabled={busy} onClick={() => run(does)}>
      {label}
    </Button>
  );
  return (
    <div className={styles.wanted} role="group" aria-label={WORDS.wantedTwice}>
      {says.map((text) => (
        <p key={text}>{text}</p>
      ))}
      <div>
        {order && button(WORDS.otherOrder, () => deeds.reorder(id, order.itemIds))}
        {start !== null && button(WORDS.beginAt(start), () => deeds.move(id, { day, startsAt: start, minutes }))}
        {canFind && found === null && button(WORDS.otherColumn, find)}
        {standIns.map((s) => button(WORDS.instead(s.name), () => deeds.moveToStation(s.itemIds, s.stationId)))}
      </div>
      {order && <p>{WORDS.otherOrderIs(order.says)}</p>}
      {found?.length === 0 && <p>{WORDS.noOtherColumn}</p>}
      {trouble && <p role="alert">{trouble}</p>}
    </div>
  );
}
