import type { PlannedItems } from '@/core/record/set-log';
import { groupBy } from '@/core/record/group-by';
import { readRows } from '@/contract/records/record';
import { readSessionItem, type SessionItemRow } from '@/contract/records/session-item-record';
import type { NewItem, NewSession, Session, SessionItem } from '@/contract/views/plan';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { inTransaction } from '../in-transaction';

const ITEM =
  'SELECT i.id, i.session_id AS sessionId, i.position, i.movement, i.variant_id AS variantId, ' +
  'i.side, i.station_id AS stationId, i.attachment_id AS attachmentId, i.band_id AS bandId, i.sets, i.reps, i.tempo, ' +
  'i.load_g AS loadG, i.pair_id AS pairId, i.pinned AS isPinned, ' +
  'i.aims, i.skipped FROM session_item i';
const SESSION =
  'SELECT s.id, s.gym_id AS gymId, s.client_id AS clientId, s.starts_at_ms AS startsAtMs, s.minutes, ' +
  's.finished_at_ms AS finishedAtMs, s.called_off_at_ms AS calledOffAtMs, s.together_id AS togetherId FROM session s';

type SessionRow = Omit<Session, 'items' | 'unreadable'>;

/** Sessions with what is planned in them, read at once for all of them. */
function withItems(db: Db, sessions: readonly SessionRow[]): Session[] {
  const rows = prepared(
    db,
    `${ITEM} WHERE i.session_id IN (SELECT value FROM json_each(?)) AND i.taken_out_at_ms IS NULL
     ORDER BY i.position`,
  ).all(JSON.stringify(sessions.map((s) => s.id))) as SessionItemRow[];
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

/** Sessions that start in [fromMs, toMs), earliest first: of everybody, or of some clients. */
export function listSessions(db: Db, fromMs: number, toMs: number, isOf?: (clientId: string) => boolean): Session[] {
  const rows = prepared(
    db,
    `${SESSION} WHERE s.starts_at_ms >= ? AND s.starts_at_ms < ? AND s.called_off_at_ms IS NULL
     ORDER BY s.starts_at_ms`,
  ).all(fromMs, toMs) as SessionRow[];
  return withItems(db, isOf ? rows.filter((s) => isOf(s.clientId)) : rows);
}

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
  const s = prepared(db, `${SESSION} WHERE s.id = ?`).get(id) as SessionRow | undefined;
  return s ? withItems(db, [s])[0]! : null;
}

/** The other session of two that are trained together; null where there is none, or it is called off. */
export function findTogether(db: Db, { id, togetherId }: Pick<Session, 'id' | 'togetherId'>): Session | null {
  if (togetherId === null) return null;
  const s = prepared(db, `${SESSION} WHERE s.together_id = ? AND s.id <> ? AND s.called_off_at_ms IS NULL`).get(
    togetherId,
    id,
  ) as SessionRow | undefined;
  return s ? withItems(db, [s])[0]! : null;
}

/** Let two sessions be trained together, or each alone again (null). */
export function setTogether(db: Db, ids: readonly string[], togetherId: string | null): void {
  const set = prepared(db, 'UPDATE session SET together_id = ? WHERE id = ?');
  for (const id of ids) set.run(togetherId, id);
}

/** A client's newest sessions that begin until a time, with what was planned for them, newest first. */
export const listSessionsOf = (db: Db, clientId: string, most: number, untilMs: number): Session[] =>
  withItems(
    db,
    prepared(
      db,
      `${SESSION} WHERE s.client_id = ? AND s.starts_at_ms <= ? AND s.called_off_at_ms IS NULL
       ORDER BY s.starts_at_ms DESC LIMIT ?`,
    ).all(clientId, untilMs, most) as SessionRow[],
  );

/** A client's sessions in which some movements were planned, newest first. */
export const listSessionsWith = (db: Db, clientId: string, itemIds: readonly string[]): Session[] =>
  withItems(
    db,
    prepared(
      db,
      `${SESSION} WHERE s.client_id = ? AND s.id IN
         (SELECT session_id FROM session_item WHERE id IN (SELECT value FROM json_each(?)))
       ORDER BY s.starts_at_ms DESC`,
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

/** The lowest position of a session's movements, below nought where some were taken out. */
const lowest = (db: Db, sessionId: string): number =>
  (
    prepared(db, 'SELECT min(0, coalesce(min(position), 0)) AS low FROM session_item WHERE session_id = ?').get(
      sessionId,
    ) as { low: number }
  ).low;

/** The position after the last of a session's movements. */
export const nextPosition = (db: Db, sessionId: string): number =>
  (
    prepared(db, 'SELECT max(-1, coalesce(max(position), -1)) + 1 AS next FROM session_item WHERE session_id = ?').get(
      sessionId,
    ) as { next: number }
  ).next;

/** Change when a session is. */
export function setTime(db: Db, id: string, startsAtMs: number, minutes: number): void {
  prepared(db, 'UPDATE session SET starts_at_ms = ?, minutes = ? WHERE id = ?').run(startsAtMs, minutes, id);
}

/** Finish a session by hand, or go on with it (null). */
export function setFinished(db: Db, id: string, atMs: number | null): void {
  prepared(db, 'UPDATE session SET finished_at_ms = ? WHERE id = ?').run(atMs, id);
}

/** Call a session off, or have it again (null). */
export function setCalledOff(db: Db, id: string, atMs: number | null): void {
  prepared(db, 'UPDATE session SET called_off_at_ms = ? WHERE id = ?').run(atMs, id);
}

/** What may be changed of a planned movement. */
export type ItemChange = Pick<SessionItem, 'sets' | 'reps' | 'tempo' | 'loadG' | 'aims'>;

const aimsText = (aims: SessionItem['aims'] | undefined): string | null => (aims ? JSON.stringify(aims) : null);

/** Change how often and how heavy a planned movement is. */
export function setItem(db: Db, id: string, { sets, reps, tempo, loadG, aims }: ItemChange): void {
  prepared(db, 'UPDATE session_item SET sets = ?, reps = ?, tempo = ?, load_g = ?, aims = ? WHERE id = ?').run(
    ...[sets, reps, tempo, loadG, aimsText(aims), id],
  );
}

/** Plan a movement on another column, with what is lifted there. */
export function setStation(db: Db, id: string, stationId: string, loadG: number, aims: SessionItem['aims']): void {
  prepared(db, 'UPDATE session_item SET station_id = ?, load_g = ?, aims = ? WHERE id = ?').run(
    ...[stationId, loadG, aimsText(aims), id],
  );
}

/** Let the sets of planned movements take turns, or no longer (null). */
export function setPair(db: Db, itemIds: readonly string[], pairId: string | null): void {
  const set = prepared(db, 'UPDATE session_item SET pair_id = ? WHERE id = ?');
  for (const id of itemIds) set.run(pairId, id);
}

/** Keep a planned movement in its place when an order is computed, or no longer. */
export function setPinned(db: Db, id: string, isPinned: boolean): void {
  prepared(db, 'UPDATE session_item SET pinned = ? WHERE id = ?').run(isPinned ? 1 : 0, id);
}

/** Skip a planned movement for a reason, or have it again (null). */
export function setSkipped(db: Db, id: string, reason: string | null): void {
  prepared(db, 'UPDATE session_item SET skipped = ? WHERE id = ?').run(reason, id);
}

/** Take a planned movement out of its session; what is recorded of it stays. */
export function takeOut(db: Db, { id, sessionId }: Pick<SessionItem, 'id' | 'sessionId'>, atMs: number): void {
  prepared(db, 'UPDATE session_item SET taken_out_at_ms = ?, position = ? WHERE id = ?').run(
    ...[atMs, lowest(db, sessionId) - 1, id],
  );
}

/** Put what was taken out back into its session, as its last. */
export function putBack(db: Db, { id, sessionId }: Pick<SessionItem, 'id' | 'sessionId'>): void {
  prepared(db, 'UPDATE session_item SET taken_out_at_ms = NULL, position = ? WHERE id = ?').run(
    ...[nextPosition(db, sessionId), id],
  );
}

/** Put a session's planned movements in another order; `itemIds`: all of them. */
export function reorderItems(db: Db, sessionId: string, itemIds: readonly string[]): void {
  const move = prepared(db, 'UPDATE session_item SET position = ? WHERE id = ? AND session_id = ?');
  inTransaction(db, () => {
    // No two may stand at one position at any time: first out of the way, below what was taken out.
    const low = lowest(db, sessionId);
    itemIds.forEach((id, k) => move.run(low - 1 - k, id, sessionId));
    itemIds.forEach((id, k) => move.run(k, id, sessionId));
  });
}

/** Add one planned movement to a session; `actorId`: who planned it. */
export function addItem(db: Db, i: NewItem, actorId: string): void {
  prepared(
    db,
    `INSERT INTO session_item (id, session_id, position, movement, variant_id, side, station_id, attachment_id, band_id,
       sets, reps, tempo, load_g, pair_id, pinned, aims, actor_id)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    ...[i.id, i.sessionId, i.position, i.movement, i.variantId, i.side, i.stationId, i.attachmentId, i.bandId],
    ...[i.sets, i.reps, i.tempo, i.loadG, i.pairId ?? null, i.isPinned ? 1 : 0, aimsText(i.aims), actorId],
  );
}

/** Add a session with its items; a session already there stays as it is. `actorId`: who planned it. */
export function addSession(db: Db, s: NewSession, actorId: string): void {
  inTransaction(db, () => {
    const added = prepared(
      db,
      `INSERT OR IGNORE INTO session (id, gym_id, client_id, starts_at_ms, minutes, actor_id)
       VALUES (?, ?, ?, ?, ?, ?)`,
    ).run(s.id, s.gymId, s.clientId, s.startsAtMs, s.minutes, actorId);
    if (added.changes > 0) for (const i of s.items) addItem(db, i, actorId);
  });
}

/** A planned movement that is out of its plan, or whose whole session is called off; null for any other. */
export const findOut = (db: Db, itemId: string): Pick<SessionItem, 'id' | 'sessionId'> | null =>
  (prepared(
    db,
    `SELECT i.id, i.session_id AS sessionId FROM session_item i JOIN session s ON s.id = i.session_id
     WHERE i.id = ? AND (i.taken_out_at_ms IS NOT NULL OR s.called_off_at_ms IS NOT NULL)`,
  ).get(itemId) as Pick<SessionItem, 'id' | 'sessionId'> | undefined) ?? null;
