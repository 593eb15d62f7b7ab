import { isDeepStrictEqual } from 'node:util';
import { rankFaults, WINDOW_SESSIONS, type WatchedSet, type WatchEntry } from '@/core/fault/watch-list';
import type { CorrectionCount } from '@/core/fault/gym-effects';
import type { FaultCode } from '@/core/movement/fault-code';
import type { SavedSetup } from '@/core/record/floor-event';
import { groupBy } from '@/core/record/group-by';
import type { CorrectionMark, FaultMark, PainMark, SetRecord, UsedSetup } from '@/core/record/set-log';
import type { UnreadableRow } from '@/contract/records/record';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { readOnce } from '../read-once';
import { ensureFolded, foldItem, foldNews, type FoldedLog } from './folds';

/** Planned movements that judgement looks at: both sides of the newest sessions, one more for what comes next. */
const RECENT_ITEMS = 2 * (WINDOW_SESSIONS + 1);
/** Planned movements that are asked where they last stood on each column. */
const STOOD_ITEMS = 8 * RECENT_ITEMS;

/**
 * The planned movements of a client and movement that its next set is judged by: the newest with records, and those
 * that last stood on each column.
 */
export function recentItems(db: Db, clientId: string, movement: string): readonly string[] {
  ensureFolded(db, clientId);
  const newest = prepared(
    db,
    'SELECT item_id AS id FROM item_fold WHERE client_id = ? AND movement = ? ORDER BY at_ms DESC LIMIT ?',
  ).all(clientId, movement, RECENT_ITEMS) as { id: string }[];
  // Of a group the row with the greatest time is the one that is told.
  const stood = prepared(
    db,
    `SELECT u.item_id AS id, max(u.at_ms)
     FROM (SELECT item_id FROM item_fold WHERE client_id = ? AND movement = ? ORDER BY at_ms DESC LIMIT ?) recent
     JOIN setup_fold u ON u.item_id = recent.item_id GROUP BY u.station_id`,
  ).all(clientId, movement, STOOD_ITEMS) as { id: string }[];
  return [...new Set([...newest, ...stood].map((r) => r.id))];
}

/** Newest planned movements with records of each movement of a client, by movement. */
function newestByMovement(db: Db, clientId: string, most: number): ReadonlyMap<string, readonly string[]> {
  const movements = prepared(db, 'SELECT DISTINCT movement FROM item_fold WHERE client_id = ?').all(clientId) as {
    movement: string;
  }[];
  // Each is found in the index from its newest end, however many there are.
  const newest = prepared(
    db,
    'SELECT item_id AS id FROM item_fold WHERE client_id = ? AND movement = ? ORDER BY at_ms DESC LIMIT ?',
  );
  return new Map(
    movements.map(({ movement }) => [
      movement,
      (newest.all(clientId, movement, most) as { id: string }[]).map((r) => r.id),
    ]),
  );
}

/** The newest planned movements of a client with records, of every movement; of one of them all. */
export function newestItems(db: Db, clientId: string, whole: string | null): readonly string[] {
  ensureFolded(db, clientId);
  const recent = [...newestByMovement(db, clientId, RECENT_ITEMS)].filter(([movement]) => movement !== whole);
  const all =
    whole === null
      ? []
      : (prepared(db, 'SELECT item_id AS id FROM item_fold WHERE client_id = ? AND movement = ?').all(
          clientId,
          whole,
        ) as { id: string }[]);
  return [...recent.flatMap(([, ids]) => ids), ...all.map((r) => r.id)];
}

/** In how many sessions something was done of a movement, and every fault that was ever seen. */
interface EverDone {
  readonly sessions: number;
  readonly faults: readonly FaultCode[];
}

/** Clients whose whole history was counted. */
const everOnce = readOnce<ReadonlyMap<string, EverDone>>(200);

/** It goes up whenever anything on record of a client changes. */
export function foldStamp(db: Db, clientId: string): number {
  ensureFolded(db, clientId);
  const sum = 'SELECT coalesce(sum(n), 0) AS n FROM fold_stamp WHERE client_id = ?';
  return (prepared(db, sum).get(clientId) as { n: number }).n;
}

/** What a client ever did, by movement. */
export const everDone = (db: Db, clientId: string): ReadonlyMap<string, EverDone> =>
  everOnce(db, `${clientId} ${foldStamp(db, clientId)}`, () => countEver(db, clientId));

function countEver(db: Db, clientId: string): ReadonlyMap<string, EverDone> {
  const faults = prepared(
    db,
    `SELECT DISTINCT p.movement, x.fault FROM item_fold p JOIN fault_fold x ON x.item_id = p.item_id
     WHERE p.client_id = ?`,
  ).all(clientId) as { movement: string; fault: FaultCode }[];
  const sessions = prepared(
    db,
    `SELECT p.movement, count(DISTINCT i.session_id) AS sessions
     FROM item_fold p JOIN session_item i ON i.id = p.item_id
     WHERE p.client_id = ? AND (p.sets > 0 OR EXISTS (SELECT 1 FROM pain_fold h WHERE h.item_id = p.item_id))
     GROUP BY p.movement`,
  ).all(clientId) as { movement: string; sessions: number }[];
  const seen = groupBy(faults, (f) => f.movement);
  return new Map(
    sessions.map((r) => [
      r.movement,
      { sessions: r.sessions, faults: (seen.get(r.movement) ?? []).map((f) => f.fault) },
    ]),
  );
}

/** What is on record of a client in a line: how many sets, and what weighs most over all movements. */
interface InShort {
  readonly sets: number;
  readonly top: WatchEntry | null;
}

const inShortOnce = readOnce<InShort>(500);

/** A client's records in a line. */
export const inShort = (db: Db, clientId: string): InShort =>
  inShortOnce(db, `${clientId} ${foldStamp(db, clientId)}`, () => {
    const count = prepared(db, 'SELECT coalesce(sum(sets), 0) AS sets FROM item_fold WHERE client_id = ?');
    const open = [...watchedSets(db, clientId).values()].flatMap((sets) => rankFaults(sets)).filter((f) => !f.cleared);
    const [top = null] = open.sort((a, b) => b.weight - a.weight);
    return { sets: (count.get(clientId) as { sets: number }).sets, top };
  });

/** The sets of a client that judgement looks at, by movement, oldest first: only which faults they saw. */
export function watchedSets(db: Db, clientId: string): ReadonlyMap<string, readonly WatchedSet[]> {
  const rows = prepared(
    db,
    `SELECT p.movement, i.session_id AS sessionId, s.item_id || ' ' || s.set_id AS key, f.fault
     FROM item_fold p JOIN session_item i ON i.id = p.item_id JOIN set_fold s ON s.item_id = p.item_id
     LEFT JOIN fault_fold f ON f.item_id = s.item_id AND f.set_id = s.set_id
     WHERE p.item_id IN (SELECT value FROM json_each(?)) ORDER BY s.started_at_ms, s.item_id, s.set_no, s.set_id`,
  ).all(JSON.stringify(newestItems(db, clientId, null))) as {
    movement: string;
    sessionId: string;
    key: string;
    fault: FaultCode | null;
  }[];
  const sets = [...groupBy(rows, (r) => r.key).values()].map((own) => ({
    movement: own[0]!.movement,
    sessionId: own[0]!.sessionId,
    faults: own.flatMap(({ fault }) => (fault === null ? [] : [{ fault }])),
  }));
  return groupBy(sets, (s) => s.movement);
}

/** Which planned movements are read: a client's, of one movement, or some. */
interface Which {
  readonly clientId: string;
  readonly movement?: string;
  readonly items?: readonly string[];
}

/** Reads columns of a table of folds beside the planned movements that are asked for. */
type Read = <T>(columns: string, joined: string, order: string) => T[];

function reader(db: Db, { clientId, movement, items }: Which): Read {
  // Some are found by themselves, whoever they are of: the client's index would read all of that client's.
  const where = items
    ? 'p.item_id IN (SELECT value FROM json_each(@items))'
    : `p.client_id = @clientId${movement === undefined ? '' : ' AND p.movement = @movement'}`;
  const given = { clientId, movement: movement ?? null, items: JSON.stringify(items ?? []) };
  return <T>(columns: string, joined: string, order: string) =>
    prepared(db, `SELECT ${columns} FROM item_fold p ${joined} WHERE ${where} ORDER BY ${order}`).all(given) as T[];
}

/** What is kept of a movement, with the movement's name. */
type Of<T> = T & { readonly movement: string };
/** What is kept of a set, with the set's key. */
type In<T> = T & { readonly key: string };

const readSetups = (read: Read): Of<{ readonly used: UsedSetup }>[] =>
  read<Of<{ id: string; itemId: string; atMs: number; body: string }>>(
    'p.movement, u.id, u.item_id AS itemId, u.at_ms AS atMs, u.body',
    'JOIN setup_fold u ON u.item_id = p.item_id',
    'u.at_ms, u.item_id, u.id',
  ).map(({ movement, body, ...r }) => ({ movement, used: { ...r, ...(JSON.parse(body) as SavedSetup) } }));

/** Marks of sets by the key of their set, without it. */
function bySet<T extends object>(rows: readonly In<T>[]): ReadonlyMap<string, readonly T[]> {
  const bare = (row: In<T>): T => {
    const mark: Partial<In<T>> = { ...row };
    Reflect.deleteProperty(mark, 'key');
    return mark as T;
  };
  return new Map([...groupBy(rows, (r) => r.key)].map(([key, own]) => [key, own.map(bare)]));
}

type SetRow = Of<Omit<SetRecord, 'choices' | 'parts' | 'confirmed' | 'setup' | 'faults' | 'corrections'>> & {
  readonly choices: string;
  readonly parts: string;
  readonly confirmed: number;
  readonly setupId: string | null;
};

/** Sets as the fold told them, each with its marks and the set-up that stood. */
function readSets(read: Read, setups: readonly { readonly used: UsedSetup }[]): Of<{ readonly set: SetRecord }>[] {
  const setupById = new Map(setups.map(({ used }) => [used.id, used]));
  const marks = (table: string) =>
    [`JOIN ${table} x ON x.item_id = p.item_id`, 'x.item_id, x.set_id, x.position'] as const;
  const faults = bySet(
    read<In<FaultMark>>(
      "x.item_id || ' ' || x.set_id AS key, x.id, x.rep, x.fault, x.side, x.severity",
      ...marks('fault_fold'),
    ),
  );
  const corrections = bySet(
    read<In<CorrectionMark>>(
      "x.item_id || ' ' || x.set_id AS key, x.id, x.fault, x.correction, x.cause, x.outcome, " +
        'x.outcome_id AS outcomeId, x.outcome_set_id AS outcomeSetId',
      ...marks('correction_fold'),
    ),
  );
  return read<SetRow>(
    'p.movement, i.session_id AS sessionId, i.side, x.item_id AS itemId, x.set_id AS setId, x.set_no AS setNo, ' +
      'x.started_at_ms AS startedAtMs, x.ended_at_ms AS endedAtMs, x.load_g AS loadG, x.band_id AS bandId, x.reps, ' +
      'x.target_reps AS targetReps, x.tempo, x.scheme, x.choices, x.parts, x.clean_to AS cleanTo, x.note, ' +
      'x.confirmed, x.setup_id AS setupId',
    'JOIN set_fold x ON x.item_id = p.item_id JOIN session_item i ON i.id = p.item_id',
    'x.started_at_ms, x.item_id, x.set_no, x.set_id',
  ).map(({ movement, choices, parts, confirmed, setupId, ...r }) => ({
    movement,
    set: {
      ...r,
      choices: JSON.parse(choices) as SetRecord['choices'],
      parts: JSON.parse(parts) as SetRecord['parts'],
      confirmed: confirmed === 1,
      setup: setupId === null ? null : (setupById.get(setupId) ?? null),
      faults: faults.get(`${r.itemId} ${r.setId}`) ?? [],
      corrections: corrections.get(`${r.itemId} ${r.setId}`) ?? [],
    },
  }));
}

const readPains = (read: Read): Of<{ readonly pain: PainMark }>[] =>
  read<Of<PainMark>>(
    'p.movement, x.id, x.set_id AS setId, x.item_id AS itemId, x.at_ms AS atMs, x.rep, x.note',
    'JOIN pain_fold x ON x.item_id = p.item_id',
    'x.at_ms, x.item_id, x.id',
  ).map(({ movement, ...pain }) => ({ movement, pain }));

/** However many there are. */
const ALL = -1;

/** A set that was begun and not ended. */
export interface OpenSet {
  readonly itemId: string;
  readonly clientId: string;
  readonly movement: string;
  readonly setNo: number;
  readonly startedAtMs: number;
}

/** Sets that were begun before a time and not ended, newest first. */
export function openSets(db: Db, beforeMs: number, most: number): readonly OpenSet[] {
  foldNews(db, ALL);
  return prepared(
    db,
    `SELECT x.item_id AS itemId, p.client_id AS clientId, p.movement, x.set_no AS setNo, x.started_at_ms AS startedAtMs
     FROM set_fold x JOIN item_fold p ON p.item_id = x.item_id
     WHERE x.ended_at_ms IS NULL AND x.started_at_ms < ? ORDER BY x.started_at_ms DESC LIMIT ?`,
  ).all(beforeMs, most) as OpenSet[];
}

/** The set-ups that a client used in the newest sessions, by movement, oldest first. */
export function usedSetups(db: Db, clientId: string): ReadonlyMap<string, readonly UsedSetup[]> {
  const items = newestItems(db, clientId, null);
  const setups = groupBy(readSetups(reader(db, { clientId, items })), (s) => s.movement);
  return new Map([...setups].map(([movement, own]) => [movement, own.map((s) => s.used)]));
}

/** How corrections fared that were given in a gym since a time and looked at, over all clients. */
export function countCorrections(db: Db, gymId: string, sinceMs: number): readonly CorrectionCount[] {
  foldNews(db, ALL);
  return prepared(
    db,
    `SELECT x.fault, x.correction, sum(x.outcome = 'held') AS held, sum(x.outcome = 'partly') AS partly,
       sum(x.outcome = 'not') AS "not"
     FROM session s JOIN session_item i ON i.session_id = s.id JOIN correction_fold x ON x.item_id = i.id
     WHERE s.starts_at_ms >= ? AND s.gym_id = ? AND x.outcome IN ('held', 'partly', 'not')
     GROUP BY x.fault, x.correction`,
  ).all(sinceMs, gymId) as CorrectionCount[];
}

/** A client's records that cannot be read. */
export function unreadableOf(db: Db, clientId: string): readonly UnreadableRow[] {
  ensureFolded(db, clientId);
  const rows = prepared(
    db,
    "SELECT unreadable FROM item_fold WHERE client_id = ? AND unreadable <> '[]' ORDER BY at_ms",
  ).all(clientId) as { unreadable: string }[];
  return rows.flatMap((r) => JSON.parse(r.unreadable) as UnreadableRow[]);
}

/** Movements of clients whose newest records are at hand. */
const recentOnce = readOnce<FoldedLog>(400);
const NOTHING: FoldedLog = { setups: [], sets: [], pains: [] };

/** What the next set of a client and movement is judged by, and what stands beside it in its session (`here`). */
export function readRecent(db: Db, clientId: string, movement: string, here: readonly string[]): FoldedLog {
  ensureFolded(db, clientId);
  const stamp = prepared(db, 'SELECT n FROM fold_stamp WHERE client_id = ? AND movement = ?').get(
    clientId,
    movement,
  ) as { n: number } | undefined;
  if (!stamp) return NOTHING;
  const key = JSON.stringify([clientId, movement, stamp.n, here]);
  return recentOnce(db, key, () => {
    const items = [...recentItems(db, clientId, movement), ...here];
    return readFolds(db, { clientId, items }).get(movement) ?? NOTHING;
  });
}

/** What the records of a client tell, by movement, oldest first. */
export function readFolds(db: Db, which: Which): ReadonlyMap<string, FoldedLog> {
  ensureFolded(db, which.clientId);
  const read = reader(db, which);
  const setups = readSetups(read);
  const sets = readSets(read, setups);
  const pains = readPains(read);
  const of = <T extends { readonly movement: string }>(list: readonly T[]) => groupBy(list, (x) => x.movement);
  const [u, t, p] = [of(setups), of(sets), of(pains)];
  const movements = [...new Set([...u.keys(), ...t.keys(), ...p.keys()])];
  return new Map(
    movements.map((m) => [
      m,
      {
        setups: (u.get(m) ?? []).map((x) => x.used),
        sets: (t.get(m) ?? []).map((x) => x.set),
        pains: (p.get(m) ?? []).map((x) => x.pain),
      },
    ]),
  );
}

const bySetId = (sets: FoldedLog['sets']): FoldedLog['sets'] => sets.toSorted((a, b) => (a.setId < b.setId ? -1 : 1));
const byId = <T extends { readonly id: string }>(list: readonly T[]): readonly T[] =>
  list.toSorted((a, b) => (a.id < b.id ? -1 : 1));

/** Whether a sample of the folds, taken by chance, tells what the records of its planned movements tell. */
export function foldsHold(db: Db, sample: number): boolean {
  foldNews(db, ALL);
  const { most } = db.prepare('SELECT coalesce(max(rowid), 0) AS most FROM item_fold').get() as { most: number };
  const at = db.prepare('SELECT item_id AS id, client_id AS clientId FROM item_fold WHERE rowid >= ? ORDER BY rowid');
  const picked = Array.from({ length: most === 0 ? 0 : sample }, () => at.get(1 + Math.floor(Math.random() * most)));
  return (picked as { id: string; clientId: string }[]).every(({ id, clientId }) => {
    const [kept = { sets: [], pains: [], setups: [] }] = readFolds(db, { clientId, items: [id] }).values();
    const told = foldItem(db, id)?.log ?? { sets: [], pains: [], setups: [] };
    return isDeepStrictEqual(
      [bySetId(kept.sets), byId(kept.pains), byId(kept.setups)],
      [bySetId(told.sets), byId(told.pains), byId(told.setups)],
    );
  });
}

/** How far a planned movement is: whether a set was begun, how many are ended, and whether pain stopped it. */
export interface ItemProgress {
  readonly isBegun: boolean;
  readonly sets: number;
  readonly isStopped: boolean;
}

/** How far some clients' planned movements are; those without records are left out. */
export function progressOf(
  db: Db,
  clientIds: readonly string[],
  itemIds: readonly string[],
): ReadonlyMap<string, ItemProgress> {
  for (const id of new Set(clientIds)) ensureFolded(db, id);
  const rows = prepared(
    db,
    `SELECT p.item_id AS id,
       (SELECT count(*) FROM set_fold s WHERE s.item_id = p.item_id AND s.ended_at_ms IS NOT NULL) AS sets,
       EXISTS (SELECT 1 FROM set_fold s WHERE s.item_id = p.item_id) AS begun,
       EXISTS (SELECT 1 FROM pain_fold h WHERE h.item_id = p.item_id) AS stopped
     FROM item_fold p WHERE p.item_id IN (SELECT value FROM json_each(?))`,
  ).all(JSON.stringify(itemIds)) as { id: string; sets: number; begun: number; stopped: number }[];
  return new Map(rows.map((r) => [r.id, { sets: r.sets, isBegun: r.begun === 1, isStopped: r.stopped === 1 }]));
}

/** Planned movements of a session that a set was begun of. */
export function begunItems(db: Db, clientId: string, sessionId: string): ReadonlySet<string> {
  ensureFolded(db, clientId);
  const ids = prepared(
    db,
    `SELECT i.id FROM session_item i
     WHERE i.session_id = ? AND EXISTS (SELECT 1 FROM set_fold s WHERE s.item_id = i.id)`,
  )
    .pluck()
    .all(sessionId) as string[];
  return new Set(ids);
}
