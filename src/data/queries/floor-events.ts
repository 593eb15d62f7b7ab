import type { FloorEvent, FloorEventBase } from '@/core/fault/floor-event';
import type { Db } from '../open-db';

interface EventRow {
  id: string;
  device_id: string;
  seq: number;
  at_ms: number;
  client_id: string;
  item_id: string;
  movement: string;
  kind: string;
  body: string;
}

const toEvent = (r: EventRow): FloorEvent =>
  ({
    ...JSON.parse(r.body),
    id: r.id,
    deviceId: r.device_id,
    seq: r.seq,
    atMs: r.at_ms,
    clientId: r.client_id,
    itemId: r.item_id,
    movement: r.movement,
    kind: r.kind,
  }) as FloorEvent;

/**
 * Append events in one transaction; an id already there is left as it is. `unknown`: ids that name a client or item
 * that is not there.
 */
export function appendFloorEvents(
  db: Db,
  events: readonly FloorEvent[],
  receivedAtMs: number,
): { readonly kept: string[]; readonly unknown: string[] } {
  const insert = db.prepare(
    `INSERT INTO floor_event (id, device_id, seq, at_ms, received_at_ms, client_id, item_id, movement, kind, body)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  );
  return db.transaction(() => {
    const kept: string[] = [];
    const unknown: string[] = [];
    for (const e of events) {
      const { id, deviceId, seq, atMs, clientId, itemId, movement, kind, ...body } = e satisfies FloorEventBase;
      try {
        insert.run(id, deviceId, seq, atMs, receivedAtMs, clientId, itemId, movement, kind, JSON.stringify(body));
        kept.push(id);
      } catch (error) {
        if ((error as { code?: unknown }).code !== 'SQLITE_CONSTRAINT_FOREIGNKEY') throw error;
        unknown.push(id);
      }
    }
    return { kept, unknown };
  })();
}

/** Everything tapped for a client, in one movement or in all, in the order it was tapped. */
export function listFloorEvents(db: Db, clientId: string, movement: string | null): FloorEvent[] {
  const where = movement === null ? '' : 'AND movement = ?';
  const rows = db
    .prepare(`SELECT * FROM floor_event WHERE client_id = ? ${where} ORDER BY at_ms, device_id, seq`)
    .all(...(movement === null ? [clientId] : [clientId, movement]));
  return (rows as EventRow[]).map(toEvent);
}
