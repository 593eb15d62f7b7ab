import 'server-only';
import { BOOK } from '@/core/book/book';
import { foldSetLog, type PainMark, type SetRecord } from '@/core/fault/set-log';
import { rankFaults, type WatchEntry } from '@/core/fault/watch-list';
import type { Db } from '@/data/open-db';
import { listFloorEvents } from '@/data/queries/floor-events';
import { sessionStartsOf } from '@/data/queries/sessions';

/** One session's sets of a movement. */
export interface LedgerSession {
  readonly itemId: string;
  readonly startsAtMs: number;
  readonly sets: readonly SetRecord[];
  readonly pains: readonly PainMark[];
}

export interface MovementLedger {
  readonly movement: string;
  readonly faults: readonly WatchEntry[];
  readonly sessions: readonly LedgerSession[];
}

const inBookOrder = (a: string, b: string): number =>
  BOOK.findIndex((e) => e.id === a) - BOOK.findIndex((e) => e.id === b);

/** What keeps coming back and what worked, per movement; movements never done are left out. */
export function loadLedger(db: Db, clientId: string): MovementLedger[] {
  const events = listFloorEvents(db, clientId, null);
  const starts = sessionStartsOf(db, clientId);
  return [...new Set(events.map((e) => e.movement))].sort(inBookOrder).flatMap((movement) => {
    const log = foldSetLog(events.filter((e) => e.movement === movement));
    if (log.sets.length === 0 && log.pains.length === 0) return [];
    const itemIds = [...new Set([...log.sets, ...log.pains].map((s) => s.itemId))];
    const sessions = itemIds
      .map((itemId) => ({
        itemId,
        startsAtMs: starts.get(itemId) ?? 0,
        sets: log.sets.filter((s) => s.itemId === itemId),
        pains: log.pains.filter((p) => p.itemId === itemId),
      }))
      .sort((a, b) => a.startsAtMs - b.startsAtMs);
    return [{ movement, faults: rankFaults(log.sets), sessions }];
  });
}
