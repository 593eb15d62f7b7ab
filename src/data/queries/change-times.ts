import type { PastSet } from '@/core/plan/change-times';
import type { Change, Placed } from '@/core/plan/session-time';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Seconds that were entered for a gym's changes. */
export function enteredTimes(db: Db, gymId: string): Readonly<Partial<Record<Change, number>>> {
  const rows = prepared(db, 'SELECT change, seconds FROM change_time WHERE gym_id = ?').all(gymId) as {
    change: Change;
    seconds: number;
  }[];
  return Object.fromEntries(rows.map((r) => [r.change, r.seconds]));
}

/** Keep seconds for a gym's change, or none (null). */
export function setChangeTime(db: Db, gymId: string, change: Change, seconds: number | null): void {
  if (seconds === null) {
    prepared(db, 'DELETE FROM change_time WHERE gym_id = ? AND change = ?').run(gymId, change);
    return;
  }
  prepared(
    db,
    `INSERT INTO change_time (gym_id, change, seconds) VALUES (?, ?, ?)
     ON CONFLICT (gym_id, change) DO UPDATE SET seconds = excluded.seconds`,
  ).run(gymId, change, seconds);
}

/** A set of a past session, with where it was planned. */
export type PlacedSet = PastSet & Placed;

/** Ended sets with times of their own of a gym's newest sessions that began before a time. */
export const pastSets = (db: Db, gymId: string, beforeMs: number, mostSessions: number): readonly PlacedSet[] =>
  prepared(
    db,
    `SELECT i.session_id AS sessionId, i.id AS itemId, i.movement, i.station_id AS stationId,
       i.attachment_id AS attachmentId, f.started_at_ms AS startedAtMs, f.ended_at_ms AS endedAtMs
     FROM (SELECT id FROM session WHERE starts_at_ms < ? AND gym_id = ? ORDER BY starts_at_ms DESC LIMIT ?) recent
     JOIN session_item i ON i.session_id = recent.id JOIN set_fold f ON f.item_id = i.id
     -- Sets of a spreadsheet took no time: theirs is not known.
     WHERE f.ended_at_ms > f.started_at_ms`,
  ).all(beforeMs, gymId, mostSessions) as PlacedSet[];
