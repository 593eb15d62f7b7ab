import type { FloorEvent, FloorEventBase } from '@/core/record/floor-event';
import { readFloorEvent } from '@/contract/records/floor-event-record';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import { parseJson, readRows, type ReadRows } from '@/contract/records/record';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { readOnce } from '../read-once';
import { inTransaction } from '../in-transaction';

/** A record as its table has it. */
export interface EventRow {
  id: string;
  actor_id: string;
  device_id: string;
  seq: number;
  at_ms: number;
  client_id: string;
  item_id: string;
  movement: string;
  kind: string;
  body: string;
  body_version: number;
}

const readRow = (r: EventRow) => {
  const body = parseJson(r.body);
  return readFloorEvent({
    ...(typeof body === 'object' && body !== null ? body : { body }),
    id: r.id,
    actorId: r.actor_id,
    deviceId: r.device_id,
    seq: r.seq,
    atMs: r.at_ms,
    clientId: r.client_id,
    itemId: r.item_id,
    movement: r.movement,
    kind: r.kind,
    version: r.body_version,
  });
};

/** Records at hand: they never change, and are read again with every fold of their movement. */
const readLately = readOnce<ReturnType<typeof readRow>>(12_000);

/** Records of the table, read; those that cannot be are named. */
export const readEventRows = (db: Db, rows: readonly EventRow[]): ReadRows<FloorEvent> =>
  readRows(
    rows,
    (r) => readLately(db, r.id, () => readRow(r)),
    (r) => ({ table: 'floor_event', id: r.id, name: `${r.kind} of ${r.movement}` }),
  );

/**
 * Insert events in one transaction; an id already there is left as it is. `kept`: ids that are on record now; `added`:
 * those of them that were not before; `unknown`: ids that name a client or item that is not there.
 */
export function insertFloorEvents(
  db: Db,
  events: readonly FloorEvent[],
  receivedAtMs: number,
): { readonly kept: string[]; readonly added: string[]; readonly unknown: string[] } {
  const insert = prepared(
    db,
    `INSERT INTO floor_event (id, actor_id, device_id, seq, at_ms, received_at_ms, client_id, item_id, movement, kind,
       body, body_version)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  );
  return inTransaction(db, () => {
    const kept: string[] = [];
    const added: string[] = [];
    const unknown: string[] = [];
    for (const e of events) {
      const { id, actorId, deviceId, seq, atMs, clientId, itemId, movement, kind, ...body } =
        e satisfies FloorEventBase;
      const row = [id, actorId, deviceId, seq, atMs, receivedAtMs, clientId, itemId, movement, kind] as const;
      try {
        if (insert.run(...row, JSON.stringify(body), FLOOR_EVENT_VERSION).changes > 0) added.push(id);
        kept.push(id);
      } catch (error) {
        if ((error as { code?: unknown }).code !== 'SQLITE_CONSTRAINT_FOREIGNKEY') throw error;
        unknown.push(id);
      }
    }
    return { kept, added, unknown };
  });
}

/** Everything tapped for a client in a movement since a moment, in the order it was tapped. */
export const listFloorEvents = (db: Db, clientId: string, movement: string, sinceMs = 0): ReadRows<FloorEvent> =>
  readEventRows(
    db,
    prepared(
      db,
      'SELECT * FROM floor_event WHERE client_id = ? AND movement = ? AND at_ms > ? ORDER BY at_ms, device_id, seq',
    ).all(clientId, movement, sinceMs) as EventRow[],
  );

/**
 * Everything tapped for some planned movements, in the order it was tapped; traces only of those that are named: they
 * are long.
 */
export const listEventsOf = (
  db: Db,
  itemIds: readonly string[],
  tracesOf: readonly string[] = [],
): ReadRows<FloorEvent> =>
  readEventRows(
    db,
    prepared(
      db,
      `SELECT * FROM floor_event WHERE item_id IN (SELECT value FROM json_each(?))
         AND (kind <> 'trace' OR item_id IN (SELECT value FROM json_each(?)))
       ORDER BY at_ms, device_id, seq`,
    ).all(JSON.stringify(itemIds), JSON.stringify(tracesOf)) as EventRow[],
  );
