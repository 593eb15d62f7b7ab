import { isDeepStrictEqual } from 'node:util';
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

/** Marks of sets by the key of their set, each as `mark` tells its row. */
const bySet = <R, T>(rows: readonly In<R>[], mark: (row: R) => T): ReadonlyMap<string, readonly T[]> =>
  new Map([...groupBy(rows, (r) => r.key)].map(([key, own]) => [key, own.map(mark)]));

// Written out, as rows of sets are below: leaving columns out of a copy takes longer than reading them.
const toFault = ({ id, rep, fault, side, severity }: FaultMark): FaultMark => ({ id, rep, fault, side, severity });
const toCorrection = (row: CorrectionMark): CorrectionMark => {
  const { id, fault, correction, cause, outcome, outcomeId, outcomeSetId } = row;
  return { id, fault, correction, cause, outcome, outcomeId, outcomeSetId };
};

type SetRow = Of<Omit<SetRecord, 'choices' | 'parts' | 'confirmed' | 'setup' | 'faults' | 'corrections'>> & {
  readonly choices: string;
  readonly parts: string;
  readonly confirmed: number;
  readonly setupId: string | null;
};

/** What rows of sets are told with. */
interface OfSets {
  readonly setupById: ReadonlyMap<string, UsedSetup>;
  readonly faults: ReadonlyMap<string, readonly FaultMark[]>;
  readonly corrections: ReadonlyMap<string, readonly CorrectionMark[]>;
  readonly parsed: (json: string) => unknown;
}

function toSet(r: SetRow, { setupById, faults, corrections, parsed }: OfSets): SetRecord {
  const key = `${r.itemId} ${r.setId}`;
  return {
    sessionId: r.sessionId,
    side: r.side,
    itemId: r.itemId,
    setId: r.setId,
    setNo: r.setNo,
    startedAtMs: r.startedAtMs,
    endedAtMs: r.endedAtMs,
    loadG: r.loadG,
    bandId: r.bandId,
    reps: r.reps,
    targetReps: r.targetReps,
    tempo: r.tempo,
    scheme: r.scheme,
    choices: parsed(r.choices) as SetRecord['choices'],
    parts: parsed(r.parts) as SetRecord['parts'],
    cleanTo: r.cleanTo,
    note: r.note,
    confirmed: r.confirmed === 1,
    setup: r.setupId === null ? null : (setupById.get(r.setupId) ?? null),
    faults: faults.get(key) ?? [],
    corrections: corrections.get(key) ?? [],
  };
}

/** Reads JSON, once for rows that say the same. */
function parsedOnce(): (json: string) => unknown {
  const known = new Map<string, unknown>();
  return (json) => {
    if (!known.has(json)) known.set(json, JSON.parse(json));
    return known.get(json);
  };
}

/** Sets as the fold told them, each with its marks and the set-up that stood. */
function readSets(read: Read, setups: readonly { readonly used: UsedSetup }[]): Of<{ readonly set: SetRecord }>[] {
  const setupById = new Map(setups.map(({ used }) => [used.id, used]));
  const parsed = parsedOnce();
  const marks = (table: string) =>
    [`JOIN ${table} x ON x.item_id = p.item_id`, 'x.item_id, x.set_id, x.position'] as const;
  const faults = bySet(
    read<In<FaultMark>>(
      "x.item_id || ' ' || x.set_id AS key, x.id, x.rep, x.fault, x.side, x.severity",
      ...marks('fault_fold'),
    ),
    toFault,
  );
  const corrections = bySet(
    read<In<CorrectionMark>>(
      "x.item_id || ' ' || x.set_id AS key, x.id, x.fault, x.correction, x.cause, x.outcome, " +
        'x.outcome_id AS outcomeId, x.outcome_set_id AS outcomeSetId',
      ...marks('correction_fold'),
    ),
    toCorrection,
  );
  return read<SetRow>(
    'p.movement, i.session_id AS sessionId, i.side, x.item_id AS itemId, x.set_id AS setId, x.set_no AS setNo, ' +
      'x.started_at_ms AS startedAtMs, x.ended_at_ms AS endedAtMs, x.load_g AS loadG, x.band_id AS bandId, x.reps, ' +
      'x.target_reps AS targetReps, x.tempo, x.scheme, x.choices, x.parts, x.clean_to AS cleanTo, x.note, ' +
      'x.confirmed, x.setup_id AS setupId',
    'JOIN set_fold x ON x.item_id = p.item_id JOIN session_item i ON i.id = p.item_id',
    'x.started_at_ms, x.item_id, x.set_no, x.set_id',
  ).map((r) => ({ movement: r.movement, set: toSet(r, { setupById, faults, corrections, parsed }) }));
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

/** What the records of a client tell, by movement, oldest first. */
export function readFolds(db: Db, which: Which): ReadonlyMap<string, FoldedLog> {
  ensureFolded(db, which.clientId);
  return foldsAsKept(db, which);
}

/**
 * The same for who has seen to it that they are folded: whoever reads movement by movement would fold what came
 * meanwhile at each of them, and keep taps waiting for the right to write.
 */
export function foldsAsKept(db: Db, which: Which): ReadonlyMap<string, FoldedLog> {
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

/** How far a planned movement is: its sets begun, open and ended, and whether pain stopped it. */
export interface ItemProgress {
  readonly isBegun: boolean;
  readonly isOpen: boolean;
  /** When a set of it was begun or ended last; null where none was. */
  readonly lastSetMs: number | null;
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
       EXISTS (SELECT 1 FROM set_fold s WHERE s.item_id = p.item_id AND s.ended_at_ms IS NULL) AS open,
       (SELECT max(coalesce(s.ended_at_ms, s.started_at_ms)) FROM set_fold s WHERE s.item_id = p.item_id) AS lastSetMs,
       EXISTS (SELECT 1 FROM pain_fold h WHERE h.item_id = p.item_id) AS stopped
     FROM item_fold p WHERE p.item_id IN (SELECT value FROM json_each(?))`,
  ).all(JSON.stringify(itemIds)) as {
    id: string;
    sets: number;
    open: number;
    lastSetMs: number | null;
    stopped: number;
  }[];
  return new Map(
    rows.map(({ id, sets, lastSetMs, ...is }) => [
      id,
      { sets, lastSetMs, isBegun: lastSetMs !== null, isOpen: is.open === 1, isStopped: is.stopped === 1 },
    ]),
  );
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
