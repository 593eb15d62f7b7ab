import 'server-only';
import { foldSetLog, type PainMark, type SetRecord } from '@/core/fault/set-log';
import { rankFaults, type WatchEntry } from '@/core/fault/watch-list';
import { MOVEMENT_IDS, type MovementId } from '@/core/movement/movement';
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
  readonly movement: MovementId;
  readonly faults: readonly WatchEntry[];
  readonly sessions: readonly LedgerSession[];
}

/** What keeps coming back and what worked, per movement; movements never done are left out. */
export function loadLedger(db: Db, clientId: string): MovementLedger[] {
  const events = listFloorEvents(db, clientId, null);
  const starts = sessionStartsOf(db, clientId);
  return MOVEMENT_IDS.flatMap((movement) => {
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
