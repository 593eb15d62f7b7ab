import { rankFaults, WINDOW_SESSIONS, type WatchedSet, type WatchEntry } from '@/core/fault/watch-list';
import type { FaultCode } from '@/core/movement/fault-code';
import { groupBy } from '@/core/record/group-by';
import type { UsedSetup } from '@/core/record/set-log';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { readOnce } from '../read-once';
import { ensureFolded, type FoldedLog } from './folds';
import { foldsAsKept, foldStamp } from './read-folds';

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

/** The newest planned movements of a client with records, of every movement. */
function newestItems(db: Db, clientId: string): readonly string[] {
  ensureFolded(db, clientId);
  return [...newestByMovement(db, clientId, RECENT_ITEMS).values()].flat();
}

const itemsOf = (db: Db, clientId: string, movement: string): readonly string[] =>
  (
    prepared(db, 'SELECT item_id AS id FROM item_fold WHERE client_id = ? AND movement = ?').all(
      clientId,
      movement,
    ) as { id: string }[]
  ).map((r) => r.id);

/** Movements of clients whose newest records are at hand. */
const recentOnce = readOnce<FoldedLog>(400);
const NOTHING: FoldedLog = { setups: [], sets: [], pains: [] };
const toLog = (logs: ReadonlyMap<string, FoldedLog>, movement: string): FoldedLog => logs.get(movement) ?? NOTHING;

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
    return toLog(foldsAsKept(db, { clientId, items }), movement);
  });
}

/** What the newest records of a client tell, and which planned movements they belong to. */
export interface NewestRecords {
  readonly items: readonly string[];
  readonly byMovement: ReadonlyMap<string, FoldedLog>;
}

/** Movements of clients that a ledger has at hand: a client does some thirty. */
const newestOnce = readOnce<FoldedLog>(600);

/**
 * What the newest records of a client tell, by movement, oldest first; of one movement (`whole`) all of them. A
 * movement is read again once something on record of it has changed.
 */
export function readNewest(db: Db, clientId: string, whole: string | null): NewestRecords {
  ensureFolded(db, clientId);
  const stamps = prepared(db, 'SELECT movement, n FROM fold_stamp WHERE client_id = ?').all(clientId) as {
    movement: string;
    n: number;
  }[];
  const stampOf = new Map(stamps.map((r) => [r.movement, r.n]));
  const newest = [...newestByMovement(db, clientId, RECENT_ITEMS)].filter(([movement]) => movement !== whole);
  const readOf = (movement: string, items: readonly string[]): FoldedLog =>
    newestOnce(db, JSON.stringify([clientId, movement, stampOf.get(movement)]), () =>
      toLog(foldsAsKept(db, { clientId, items }), movement),
    );
  const logs = newest.map(([movement, items]) => [movement, readOf(movement, items)] as const);
  if (whole === null) return { items: newest.flatMap(([, items]) => items), byMovement: new Map(logs) };
  const all = itemsOf(db, clientId, whole);
  const log = toLog(foldsAsKept(db, { clientId, items: all }), whole);
  return {
    items: [...newest.flatMap(([, items]) => items), ...all],
    byMovement: new Map([...logs, [whole, log]]),
  };
}

/** The set-ups that a client used in the newest sessions, by movement, oldest first. */
export const usedSetups = (db: Db, clientId: string): ReadonlyMap<string, readonly UsedSetup[]> =>
  new Map(
    [...readNewest(db, clientId, null).byMovement].flatMap(([movement, { setups }]) =>
      setups.length > 0 ? [[movement, setups] as const] : [],
    ),
  );

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
  ).all(JSON.stringify(newestItems(db, clientId))) as {
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
