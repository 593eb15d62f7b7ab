import type { FloorEvent, FloorEventBase } from '@/core/record/floor-event';
import { FLOOR_EVENT_VERSION, readFloorEvent } from '@/contract/records/floor-event-record';
import { parseJson, readRows, type ReadRows } from '@/contract/records/record';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

interface EventRow {
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

/**
 * Append events in one transaction; an id already there is left as it is. `kept`: ids that are on record now; `added`:
 * those of them that were not before; `unknown`: ids that name a client or item that is not there.
 */
export function appendFloorEvents(
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
  return db.transaction(() => {
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
  })();
}

/** Everything tapped for a client, in one movement or in all, in the order it was tapped. */
export function listFloorEvents(db: Db, clientId: string, movement: string | null): ReadRows<FloorEvent> {
  const where = movement === null ? '' : 'AND movement = ?';
  const rows = db
    .prepare(`SELECT * FROM floor_event WHERE client_id = ? ${where} ORDER BY at_ms, device_id, seq`)
    .all(...(movement === null ? [clientId] : [clientId, movement])) as EventRow[];
  return readRows(rows, readRow, (r) => ({
    table: 'floor_event',
    id: r.id,
    name: `${r.kind} of ${r.movement}`,
  }));
}
