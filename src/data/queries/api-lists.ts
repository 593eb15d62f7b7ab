import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** A set as programs read it. */
export interface ApiSetRow {
  readonly no: number;
  readonly itemId: string;
  readonly setId: string;
  readonly movement: string;
  readonly side: string;
  readonly setNo: number;
  readonly startedAtMs: number;
  readonly endedAtMs: number | null;
  readonly loadG: number;
  readonly reps: number;
  readonly targetReps: number;
  readonly tempo: string;
  readonly scheme: string;
  readonly isConfirmed: number;
  /** As JSON: rep, fault, side, severity. */
  readonly faults: string;
}

/** A client's sets after one, in the order they were folded; so many at most. */
export const setsAfter = (db: Db, clientId: string, after: number, most: number): readonly ApiSetRow[] =>
  prepared(
    db,
    `SELECT s.rowid AS no, s.item_id AS itemId, s.set_id AS setId, p.movement, i.side, s.set_no AS setNo,
       s.started_at_ms AS startedAtMs, s.ended_at_ms AS endedAtMs, s.load_g AS loadG, s.reps,
       s.target_reps AS targetReps, s.tempo, s.scheme, s.confirmed AS isConfirmed,
       (SELECT json_group_array(json_object('rep', f.rep, 'fault', f.fault, 'side', f.side, 'severity', f.severity))
        FROM fault_fold f WHERE f.item_id = s.item_id AND f.set_id = s.set_id) AS faults
     FROM item_fold p JOIN set_fold s ON s.item_id = p.item_id JOIN session_item i ON i.id = p.item_id
     WHERE p.client_id = ? AND s.rowid > ? ORDER BY s.rowid LIMIT ?`,
  ).all(clientId, after, most) as ApiSetRow[];

/** Something tapped, as programs read it. */
export interface ApiEventRow {
  readonly no: number;
  readonly id: string;
  readonly itemId: string;
  readonly movement: string;
  readonly kind: string;
  readonly atMs: number;
  readonly receivedAtMs: number;
  /** As JSON. */
  readonly body: string;
}

/** What was tapped for a client after a record, in the order it came; so many at most. */
export const eventsAfter = (db: Db, clientId: string, after: number, most: number): readonly ApiEventRow[] =>
  prepared(
    db,
    `SELECT rowid AS no, id, item_id AS itemId, movement, kind, at_ms AS atMs, received_at_ms AS receivedAtMs, body
     FROM floor_event WHERE client_id = ? AND rowid > ? ORDER BY rowid LIMIT ?`,
  ).all(clientId, after, most) as ApiEventRow[];
