'use client';
import type { SaveResult } from '@/contract/save-result';
import type { SessionPlanView } from '@/contract/views/session-plan';
import { useDeed } from '@/features/shell/use-deed';
import { WORDS } from '@/messages/screens/week';
import styles from './plan.module.css';

interface Props {
  readonly plan: SessionPlanView;
  readonly move: (id: string, typed: unknown) => Promise<SaveResult>;
  readonly moveToStation: (itemIds: unknown, stationId: unknown) => Promise<SaveResult>;
}

/** Stations that somebody else wants at the same time, each with its ways out in a tap. */
export function WantedStations({ plan, move, moveToStation }: Props) {
  const { busy, trouble, run } = useDeed();
  const { sessionId, day, minutes } = plan;
  if (plan.wanted.length === 0) return null;
  const button = (label: string, does: () => Promise<SaveResult>) => (
    <button key={label} type="button" className={styles.deed} disabled={busy} onClick={() => run(does)}>
      {label}
    </button>
  );
  return (
    <ul className={styles.wanted} aria-label={WORDS.wantedTwice}>
      {plan.wanted.map(({ stationId, says, start, standIns }) => (
        <li key={`${stationId} ${says}`}>
          <span>{says}</span>
          {start !== null && button(WORDS.beginAt(start), () => move(sessionId, { day, startsAt: start, minutes }))}
          {standIns.map((s) => button(WORDS.instead(s.name), () => moveToStation(s.itemIds, s.stationId)))}
        </li>
      ))}
      {trouble && <li role="alert">{trouble}</li>}
    </ul>
  );
}
