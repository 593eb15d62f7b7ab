import type { WorkingSide } from '@/core/setup/setup-problem';
import type { Db } from '../open-db';

export interface SessionItem {
  readonly id: string;
  readonly sessionId: string;
  readonly position: number;
  readonly movement: string;
  /** A trainer's own way of doing it; null: as the book has it. */
  readonly variantId: string | null;
  readonly side: WorkingSide;
  /** Column and what hangs on it; null for a movement without a cable. */
  readonly stationId: string | null;
  readonly attachmentId: string | null;
  readonly sets: number;
  readonly reps: number;
  readonly tempo: string;
  readonly loadG: number;
}

export interface Session {
  readonly id: string;
  readonly gymId: string;
  readonly clientId: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly items: readonly SessionItem[];
}

const ITEM =
  'SELECT i.id, i.session_id AS sessionId, i.position, i.movement, i.variant_id AS variantId, ' +
  'i.side, i.station_id AS stationId, i.attachment_id AS attachmentId, i.sets, i.reps, i.tempo, ' +
  'i.load_g AS loadG FROM session_item i';
const SESSION = 'SELECT id, gym_id AS gymId, client_id AS clientId, starts_at_ms AS startsAtMs, minutes FROM session';

const withItems = (db: Db, s: Omit<Session, 'items'>): Session => ({
  ...s,
  items: db.prepare(`${ITEM} WHERE i.session_id = ? ORDER BY i.position`).all(s.id) as SessionItem[],
});

/** Sessions that start in [fromMs, toMs), earliest first. */
export const listSessions = (db: Db, fromMs: number, toMs: number): Session[] =>
  (
    db
      .prepare(`${SESSION} WHERE starts_at_ms >= ? AND starts_at_ms < ? ORDER BY starts_at_ms`)
      .all(fromMs, toMs) as Omit<Session, 'items'>[]
  ).map((s) => withItems(db, s));

export const findItem = (db: Db, id: string): SessionItem | null =>
  (db.prepare(`${ITEM} WHERE i.id = ?`).get(id) as SessionItem | undefined) ?? null;

export function findSession(db: Db, id: string): Session | null {
  const s = db.prepare(`${SESSION} WHERE id = ?`).get(id) as Omit<Session, 'items'> | undefined;
  return s ? withItems(db, s) : null;
}

/** Start times of the sessions that items belong to, by item id, for a client. */
export function sessionStartsOf(db: Db, clientId: string): Map<string, number> {
  const rows = db
    .prepare(
      'SELECT i.id, s.starts_at_ms AS at FROM session_item i JOIN session s ON s.id = i.session_id ' +
        'WHERE s.client_id = ?',
    )
    .all(clientId) as { id: string; at: number }[];
  return new Map(rows.map((r) => [r.id, r.at]));
}

/** A client's planned movements, newest session first. */
export const listItemsOf = (db: Db, clientId: string): SessionItem[] =>
  db
    .prepare(
      `${ITEM} JOIN session s ON s.id = i.session_id WHERE s.client_id = ? ORDER BY s.starts_at_ms DESC, i.position`,
    )
    .all(clientId) as SessionItem[];

/** Add one planned movement to a session. */
export function addItem(db: Db, i: SessionItem): void {
  db.prepare(
    'INSERT INTO session_item (id, session_id, position, movement, variant_id, side, station_id, ' +
      'attachment_id, sets, reps, tempo, load_g) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
  ).run(
    i.id,
    i.sessionId,
    i.position,
    i.movement,
    i.variantId,
    i.side,
    i.stationId,
    i.attachmentId,
    i.sets,
    i.reps,
    i.tempo,
    i.loadG,
  );
}

/** Add a session with its items; a session already there stays as it is. */
export function addSession(db: Db, s: Session): void {
  db.transaction(() => {
    const added = db
      .prepare('INSERT OR IGNORE INTO session (id, gym_id, client_id, starts_at_ms, minutes) VALUES (?, ?, ?, ?, ?)')
      .run(s.id, s.gymId, s.clientId, s.startsAtMs, s.minutes);
    if (added.changes > 0) for (const i of s.items) addItem(db, i);
  })();
}
