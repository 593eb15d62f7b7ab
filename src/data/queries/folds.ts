import type { FloorEvent, SavedSetup } from '@/core/record/floor-event';
import { foldSetLog, type SetLog, type SetRecord, type UsedSetup } from '@/core/record/set-log';
import { FLOOR_EVENT_VERSION } from '@/contract/records/floor-event-version';
import type { UnreadableRow } from '@/contract/records/record';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { insertFloorEvents, readEventRows, type EventRow } from './floor-events';
import { plannedItems } from './sessions';
import { inTransaction } from '../in-transaction';

/** Raised with every change of the fold or of its rows. */
const OWN_VERSION = 2;
/**
 * What was folded in another version is folded again when it is read: also where records have a new version, because
 * what could not be read then may be now. Records had the second one when folds began.
 */
const FOLD_VERSION = OWN_VERSION + 100 * (FLOOR_EVENT_VERSION - 2);

/** The parts of a log that are kept as rows. */
export type FoldedLog = Pick<SetLog, 'sets' | 'pains' | 'setups'>;

/** What takes records back, in any planned movement. */
const undosOf = (db: Db, rows: readonly EventRow[]): EventRow[] =>
  prepared(
    db,
    `SELECT * FROM floor_event WHERE kind = 'undo'
     AND json_extract(body, '$.eventId') IN (SELECT value FROM json_each(?))`,
  ).all(JSON.stringify(rows.map((r) => r.id))) as EventRow[];

/** A planned movement's own records, and with them what others say of its corrections and take back of it. */
function eventRowsOf(db: Db, itemId: string): { readonly own: readonly EventRow[]; readonly all: readonly EventRow[] } {
  const own = prepared(db, 'SELECT * FROM floor_event WHERE item_id = ?').all(itemId) as EventRow[];
  const outcomes = prepared(
    db,
    "SELECT * FROM floor_event WHERE kind = 'outcome' AND json_extract(body, '$.correctionId') = ?",
  );
  const said = own.flatMap((r) => (r.kind === 'correction' ? (outcomes.all(r.id) as EventRow[]) : []));
  const told = [...own, ...said];
  return { own, all: [...new Map([...told, ...undosOf(db, told)].map((r) => [r.id, r])).values()] };
}

/** Planned movements whose fold an event changes: its own, and those of what it judges or takes back. */
function itemsTouched(db: Db, events: readonly FloorEvent[]): ReadonlySet<string> {
  const items = new Set(events.map((e) => e.itemId));
  const find = prepared(db, 'SELECT * FROM floor_event WHERE id = ?');
  const reach = (id: string): void => {
    const row = find.get(id) as EventRow | undefined;
    if (!row) return;
    items.add(row.item_id);
    const [read] = readEventRows(db, [row]).rows;
    if (read?.kind === 'outcome') reach(read.correctionId);
  };
  for (const e of events) {
    if (e.kind === 'outcome') reach(e.correctionId);
    if (e.kind === 'undo') reach(e.eventId);
  }
  return items;
}

/** What a planned movement's records tell, since when, with the rows among them that cannot be read. */
interface Folded {
  readonly atMs: number;
  readonly log: FoldedLog;
  readonly unreadable: readonly UnreadableRow[];
}

/** What a planned movement's records tell; null without records. */
export function foldItem(db: Db, itemId: string): Folded | null {
  const { own, all } = eventRowsOf(db, itemId);
  if (own.length === 0) return null;
  const ids = new Set(own.map((r) => r.id));
  const { rows, unreadable } = readEventRows(db, all);
  const log = foldSetLog(rows, plannedItems(db, [itemId]));
  const mine = <T extends { readonly itemId: string }>(list: readonly T[]): T[] =>
    list.filter((x) => x.itemId === itemId);
  return {
    atMs: Math.min(...own.map((r) => r.at_ms)),
    log: { sets: mine(log.sets), pains: mine(log.pains), setups: mine(log.setups) },
    unreadable: unreadable.filter((u) => ids.has(u.id)),
  };
}

function keepSet(db: Db, itemId: string, s: SetRecord): void {
  prepared(
    db,
    `INSERT INTO set_fold (item_id, set_id, set_no, started_at_ms, ended_at_ms, load_g, band_id, reps, target_reps,
       tempo, scheme, choices, parts, clean_to, note, confirmed, setup_id)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  ).run(
    ...[itemId, s.setId, s.setNo, s.startedAtMs, s.endedAtMs, s.loadG, s.bandId, s.reps, s.targetReps, s.tempo],
    ...[s.scheme, JSON.stringify(s.choices), JSON.stringify(s.parts), s.cleanTo, s.note, s.confirmed ? 1 : 0],
    (s.setup as UsedSetup | null)?.id ?? null,
  );
  const fault = prepared(
    db,
    `INSERT INTO fault_fold (item_id, set_id, position, id, rep, fault, side, severity)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  s.faults.forEach((f, k) => fault.run(itemId, s.setId, k, f.id, f.rep, f.fault, f.side, f.severity));
  const correction = prepared(
    db,
    `INSERT INTO correction_fold (item_id, set_id, position, id, fault, correction, cause, outcome, outcome_id,
       outcome_set_id) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  s.corrections.forEach((c, k) =>
    correction.run(
      ...[itemId, s.setId, k, c.id, c.fault, c.correction, c.cause, c.outcome, c.outcomeId, c.outcomeSetId],
    ),
  );
}

/** Whose planned movement it is, and of what. */
interface Whose {
  readonly clientId: string;
  readonly movement: string;
}

/** A planned movement to fold; `n`: how often something came since; null where it is folded for another reason. */
interface Stale {
  readonly id: string;
  readonly n: number | null;
}

/**
 * Fold planned movements and put their rows in place of those that were there. They are read and folded before the
 * right to write is taken, so that a tap waits for writing alone; one of which something came meanwhile is left for
 * whoever reads next. `atOnce`: how many are written together.
 */
function refold(db: Db, stale: readonly Stale[], atOnce = 1): void {
  const whose = prepared(
    db,
    `SELECT s.client_id AS clientId, i.movement FROM session_item i JOIN session s ON s.id = i.session_id
     WHERE i.id = ?`,
  );
  const now = prepared(db, 'SELECT n FROM stale_fold WHERE item_id = ?');
  for (let k = 0; k < stale.length; k += atOnce) {
    const folded = stale
      .slice(k, k + atOnce)
      .map(({ id, n }) => ({ id, n, of: whose.get(id) as Whose | undefined, told: foldItem(db, id) }));
    inTransaction(db, () => {
      for (const { id, n, of, told } of folded) {
        if (((now.get(id) as { n: number } | undefined)?.n ?? null) !== n) continue;
        prepared(db, 'DELETE FROM stale_fold WHERE item_id = ?').run(id);
        prepared(db, 'DELETE FROM item_fold WHERE item_id = ?').run(id);
        if (of && told) writeFold(db, id, of, told);
      }
    });
  }
}

/** Write the rows of a planned movement that has none yet, as it was folded. */
export function writeFold(db: Db, itemId: string, whose: Whose, { log, atMs, unreadable }: Folded): void {
  prepared(
    db,
    `INSERT INTO item_fold (item_id, client_id, movement, at_ms, version, unreadable, sets)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(itemId, whose.clientId, whose.movement, atMs, FOLD_VERSION, JSON.stringify(unreadable), log.sets.length);
  const setup = prepared(db, 'INSERT INTO setup_fold (item_id, id, at_ms, station_id, body) VALUES (?, ?, ?, ?, ?)');
  for (const s of log.setups) {
    const { placement, solved, off, stationId, attachmentId, side, options } = s;
    const body = { placement, solved, off, stationId, attachmentId, side, options } satisfies SavedSetup;
    setup.run(itemId, s.id, s.atMs, stationId, JSON.stringify(body));
  }
  for (const s of log.sets) keepSet(db, itemId, s);
  const pain = prepared(db, 'INSERT INTO pain_fold (item_id, id, set_id, at_ms, rep, note) VALUES (?, ?, ?, ?, ?, ?)');
  for (const p of log.pains) pain.run(itemId, p.id, p.setId, p.atMs, p.rep, p.note);
}

/** Append records and name the folds that they change, in one transaction; replies as `insertFloorEvents` does. */
export function appendFloorEvents(
  db: Db,
  events: readonly FloorEvent[],
  receivedAtMs: number,
): ReturnType<typeof insertFloorEvents> {
  const mark = prepared(
    db,
    `INSERT INTO stale_fold (item_id, client_id, n)
     SELECT i.id, s.client_id, 1 FROM session_item i JOIN session s ON s.id = i.session_id WHERE i.id = ?
     ON CONFLICT (item_id) DO UPDATE SET n = n + 1`,
  );
  return inTransaction(db, () => {
    const reply = insertFloorEvents(db, events, receivedAtMs);
    const added = new Set(reply.added);
    const news = events.filter((e) => added.has(e.id));
    for (const itemId of itemsTouched(db, news)) mark.run(itemId);
    return reply;
  });
}

const complete = new WeakSet<Db>();

/** Whether everything on record was folded in this version; else it is told for one client, and the rest follows. */
function isComplete(db: Db): boolean {
  if (complete.has(db)) return true;
  const state = prepared(db, 'SELECT version FROM fold_state').get() as { version: number } | undefined;
  if (state?.version === FOLD_VERSION) complete.add(db);
  return complete.has(db);
}

const OLDER = `SELECT i.id, NULL AS n FROM session s JOIN session_item i ON i.session_id = s.id
  LEFT JOIN item_fold f ON f.item_id = i.id
  WHERE (f.version IS NULL OR f.version <> ?) AND NOT EXISTS (SELECT 1 FROM stale_fold n WHERE n.item_id = i.id)
    AND EXISTS (SELECT 1 FROM floor_event e WHERE e.item_id = i.id)`;

/**
 * Fold what is not yet, of a client: what was tapped since, and records that were kept before there were folds or were
 * folded by an older version.
 */
export function ensureFolded(db: Db, clientId: string): void {
  refold(db, prepared(db, 'SELECT item_id AS id, n FROM stale_fold WHERE client_id = ?').all(clientId) as Stale[]);
  if (!isComplete(db)) refold(db, prepared(db, `${OLDER} AND s.client_id = ?`).all(FOLD_VERSION, clientId) as Stale[]);
}

/** Fold what was tapped since, up to `most` planned movements; how many were. */
export function foldNews(db: Db, most: number): number {
  const news = prepared(db, 'SELECT item_id AS id, n FROM stale_fold LIMIT ?').all(most) as Stale[];
  refold(db, news);
  return news.length;
}

/** Fold up to `most` planned movements that are not yet; how many were. At none everything is, and that is noted. */
export function foldSome(db: Db, most: number): number {
  const news = foldNews(db, most);
  if (news > 0 || isComplete(db)) return news;
  const rows = db.prepare(`${OLDER} LIMIT ?`).all(FOLD_VERSION, most) as Stale[];
  refold(db, rows, most);
  if (rows.length === 0)
    db.prepare(
      `INSERT INTO fold_state (only_row, version) VALUES (1, ?)
       ON CONFLICT (only_row) DO UPDATE SET version = excluded.version`,
    ).run(FOLD_VERSION);
  return rows.length;
}

/** Forget every fold, so that all are made anew. */
export function forgetFolds(db: Db): void {
  complete.delete(db);
  inTransaction(db, () => {
    db.exec('DELETE FROM item_fold; DELETE FROM fold_state');
  });
}
