import type { PlannedItems } from '@/core/record/set-log';
import { groupBy } from '@/core/record/group-by';
import { readRows } from '@/contract/records/record';
import { readSessionItem, type SessionItemRow } from '@/contract/records/session-item-record';
import type { Session, SessionItem } from '@/contract/views/plan';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { inTransaction } from '../in-transaction';

const ITEM =
  'SELECT i.id, i.session_id AS sessionId, i.position, i.movement, i.variant_id AS variantId, ' +
  'i.side, i.station_id AS stationId, i.attachment_id AS attachmentId, i.band_id AS bandId, i.sets, i.reps, i.tempo, ' +
  'i.load_g AS loadG FROM session_item i';
const SESSION = 'SELECT id, gym_id AS gymId, client_id AS clientId, starts_at_ms AS startsAtMs, minutes FROM session';

type SessionRow = Omit<Session, 'items' | 'unreadable'>;

/** Sessions with what is planned in them, read at once for all of them. */
function withItems(db: Db, sessions: readonly SessionRow[]): Session[] {
  const rows = prepared(db, `${ITEM} WHERE i.session_id IN (SELECT value FROM json_each(?)) ORDER BY i.position`).all(
    JSON.stringify(sessions.map((s) => s.id)),
  ) as SessionItemRow[];
  const own = groupBy(rows, (r) => r.sessionId);
  return sessions.map((s) => {
    const { rows: items, unreadable } = readRows(own.get(s.id) ?? [], readSessionItem, (r) => ({
      table: 'session_item',
      id: r.id,
      name: r.movement,
    }));
    return { ...s, items, unreadable };
  });
}

/** Sessions that start in [fromMs, toMs), earliest first. */
export const listSessions = (db: Db, fromMs: number, toMs: number): Session[] =>
  withItems(
    db,
    prepared(db, `${SESSION} WHERE starts_at_ms >= ? AND starts_at_ms < ? ORDER BY starts_at_ms`).all(
      fromMs,
      toMs,
    ) as SessionRow[],
  );

/** A planned movement; null where there is none of that id, or none that can be read. */
export function findItem(db: Db, id: string): SessionItem | null {
  const row = prepared(db, `${ITEM} WHERE i.id = ?`).get(id) as SessionItemRow | undefined;
  const read = row && readSessionItem(row);
  return read?.ok ? read.value : null;
}

/** Whose planned movement it is; null where there is none of that id. */
export const clientOfItem = (db: Db, itemId: string): string | null =>
  (
    prepared(
      db,
      'SELECT s.client_id AS id FROM session_item i JOIN session s ON s.id = i.session_id WHERE i.id = ?',
    ).get(itemId) as { id: string } | undefined
  )?.id ?? null;

export function findSession(db: Db, id: string): Session | null {
  const s = prepared(db, `${SESSION} WHERE id = ?`).get(id) as SessionRow | undefined;
  return s ? withItems(db, [s])[0]! : null;
}

/** A client's newest sessions with what was planned for them, newest first. */
export const listSessionsOf = (db: Db, clientId: string, most: number): Session[] =>
  withItems(
    db,
    prepared(db, `${SESSION} WHERE client_id = ? ORDER BY starts_at_ms DESC LIMIT ?`).all(
      clientId,
      most,
    ) as SessionRow[],
  );

/** A client's sessions in which some movements were planned, newest first. */
export const listSessionsWith = (db: Db, clientId: string, itemIds: readonly string[]): Session[] =>
  withItems(
    db,
    prepared(
      db,
      `${SESSION} WHERE client_id = ? AND id IN
         (SELECT session_id FROM session_item WHERE id IN (SELECT value FROM json_each(?)))
       ORDER BY starts_at_ms DESC`,
    ).all(clientId, JSON.stringify(itemIds)) as SessionRow[],
  );

/** What is planned of the movements that a client's records belong to, by item. */
export function plannedItemsOf(db: Db, clientId: string): PlannedItems {
  const rows = db
    .prepare(
      `SELECT i.id, i.session_id AS sessionId, i.side FROM session_item i JOIN session s ON s.id = i.session_id
       WHERE s.client_id = ?`,
    )
    .all(clientId) as (PlannedItems[string] & { readonly id: string })[];
  return Object.fromEntries(rows.map(({ id, sessionId, side }) => [id, { sessionId, side }]));
}

/** What is planned of some movements, by item; those that are not there are left out. */
export function plannedItems(db: Db, ids: readonly string[]): PlannedItems {
  const rows = prepared(
    db,
    `SELECT id, session_id AS sessionId, side FROM session_item WHERE id IN (SELECT value FROM json_each(?))`,
  ).all(JSON.stringify(ids)) as (PlannedItems[string] & { readonly id: string })[];
  return Object.fromEntries(rows.map(({ id, sessionId, side }) => [id, { sessionId, side }]));
}

/** Put a session's planned movements in another order; `itemIds`: all of them. */
export function reorderItems(db: Db, sessionId: string, itemIds: readonly string[]): void {
  const move = prepared(db, 'UPDATE session_item SET position = ? WHERE id = ? AND session_id = ?');
  inTransaction(db, () => {
    // No two may stand at one position at any time: first out of the way.
    itemIds.forEach((id, k) => move.run(-1 - k, id, sessionId));
    itemIds.forEach((id, k) => move.run(k, id, sessionId));
  });
}

/** Add one planned movement to a session; `actorId`: who planned it. */
export function addItem(db: Db, i: SessionItem, actorId: string): void {
  prepared(
    db,
    `INSERT INTO session_item (id, session_id, position, movement, variant_id, side, station_id, attachment_id, band_id,
       sets, reps, tempo, load_g, actor_id)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    ...[i.id, i.sessionId, i.position, i.movement, i.variantId, i.side, i.stationId, i.attachmentId, i.bandId],
    ...[i.sets, i.reps, i.tempo, i.loadG, actorId],
  );
}

/** Add a session with its items; a session already there stays as it is. `actorId`: who planned it. */
export function addSession(db: Db, s: Omit<Session, 'unreadable'>, actorId: string): void {
  inTransaction(db, () => {
    const added = prepared(
      db,
      `INSERT OR IGNORE INTO session (id, gym_id, client_id, starts_at_ms, minutes, actor_id)
       VALUES (?, ?, ?, ?, ?, ?)`,
    ).run(s.id, s.gymId, s.clientId, s.startsAtMs, s.minutes, actorId);
    if (added.changes > 0) for (const i of s.items) addItem(db, i, actorId);
  });
}
