import 'server-only';
import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import Database from 'better-sqlite3';
import Papa from 'papaparse';
import type { Looked } from '@/core/record/records-file';
import { refused, type SaveResult } from '@/contract/save-result';
import type { LookedView, LookLine } from '@/contract/views/records';
import type { Db } from '@/data/open-db';
import type { CsvName } from '@/contract/csv-names';
import { CSV_TABLES, csvHeaders, csvRows } from '@/data/csv-tables';
import { ensureFolded } from '@/data/queries/folds';
import { RECORD_TABLES } from '@/data/record-tables';
import { recordsOut } from '@/data/records-out';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { fileTroubleText, rejectedText } from '@/messages/records-file';
import { keepChanges } from './changes';
import { reachClient, reachClients } from './reach';
import { recordsApart, type RecordsOrder } from './records-apart';
import type { UseCase } from './use-case';

/** Files that were looked at and not taken are let go after a day. */
const LET_GO_MS = 86_400_000;
const ID = /^[\da-f-]{36}$/;

/** Bits of a generator as a stream that is asked for as it is sent; `end` when it is over or left. */
function streamOf(bits: Generator<string>, end: () => void): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    pull(to) {
      const { value, done } = bits.next();
      if (!done) return to.enqueue(encoder.encode(value));
      end();
      to.close();
    },
    cancel: end,
  });
}

/** A connection of its own on the records as they stand now, whatever is written meanwhile. */
function snapshotOf(of: Db): { readonly db: Db; readonly end: () => void } {
  if (of.memory) return { db: of, end: () => {} };
  const db = new Database(of.name, { readonly: true });
  db.exec('BEGIN');
  return { db, end: () => void (db.open && db.close()) };
}

/**
 * The records as a file, bit by bit: all of them for the owner, those of one client for who cares for them. Null for
 * who may not. That they left is kept.
 */
export function writeRecords(uc: UseCase, clientId: string | null): ReadableStream<Uint8Array> | null {
  const may = clientId === null ? uc.actor.role === 'owner' : reachClient(uc, clientId) !== null;
  if (!may) return null;
  const thing = { subject: 'records', subjectId: 'records', ...(clientId === null ? {} : { clientId }) } as const;
  keepChanges(uc, thing, {}, { sentOut: uc.nowMs });
  const { db, end } = snapshotOf(uc.db);
  return streamOf(recordsOut(db, clientId, uc.nowMs), end);
}

function* csvBits(db: Db, name: CsvName): Generator<string> {
  const lines = (rows: readonly (readonly unknown[])[]): string => `${Papa.unparse(rows as unknown[][])}\r\n`;
  yield lines([csvHeaders(name)]);
  for (const rows of csvRows(db, name)) yield lines(rows);
}

/** A table of the records for a spreadsheet, bit by bit; null for who is not the owner, or where there is none. */
export function writeTable(uc: UseCase, name: string): ReadableStream<Uint8Array> | null {
  if (uc.actor.role !== 'owner' || !Object.hasOwn(CSV_TABLES, name)) return null;
  // What was tapped is folded first: sets and faults are read from what it tells.
  for (const { id } of reachClients(uc)) ensureFolded(uc.db, id);
  keepChanges(uc, { subject: 'records', subjectId: 'records' }, {}, { sentOut: uc.nowMs });
  const { db, end } = snapshotOf(uc.db);
  return streamOf(csvBits(db, name as CsvName), end);
}

/** A file of records, a spreadsheet, and what was staged of either. */
const KINDS = ['json', 'csv', 'staged'] as const;
const folderOf = (db: Db): string => join(dirname(db.name), 'imports');
/** Files that came in lie here until they are taken or let go, beside the records. */
export const fileIn = (db: Db, id: string, kind: (typeof KINDS)[number]): string => join(folderOf(db), `${id}.${kind}`);

/** Whether it is the name of a file that came in. */
export const isFileId = (id: unknown): id is string => typeof id === 'string' && ID.test(id);

/** Lets go a file that came in. */
export function letGo(db: Db, id: string): void {
  for (const kind of KINDS) rmSync(fileIn(db, id, kind), { force: true });
}

/** Lets go what was left lying. */
export function tidy(db: Db, nowMs: number): void {
  const folder = folderOf(db);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  for (const name of readdirSync(folder))
    if (nowMs - statSync(join(folder, name)).mtimeMs > LET_GO_MS) rmSync(join(folder, name), { force: true });
}

function toView(id: string, looked: Looked): LookedView | string {
  if (!looked.ok) return fileTroubleText(looked.trouble);
  const { counts, rejected } = looked;
  const holds = new Map(RECORD_TABLES.map((t) => [t.name, t.holds]));
  return {
    id,
    tables: counts
      .filter((c) => c.fresh + c.changed + c.same + c.rejected > 0)
      .map((c) => ({ ...c, holds: holds.get(c.table) ?? '' })),
    rejected: rejected.map((r) => ({ table: r.table, row: r.row, column: r.column ?? '', why: rejectedText(r.why) })),
  };
}

/**
 * Look at a file of records that comes in, without taking any of it: told line by line how far it is, then what it
 * would do. Null for who is not the owner. Left before its end, nothing of it stays.
 */
export function lookAtRecords(
  uc: UseCase,
  body: ReadableStream<Uint8Array>,
  signal: AbortSignal,
): ReadableStream<Uint8Array> | null {
  if (uc.actor.role !== 'owner') return null;
  const { db } = uc;
  tidy(db, uc.nowMs);
  const id = randomUUID();
  const [file, staged] = [fileIn(db, id, 'json'), fileIn(db, id, 'staged')];
  const arrives = (of: AbortSignal): Promise<void> =>
    pipeline(Readable.fromWeb(body as WebStream), createWriteStream(file, { mode: 0o600 }), { signal: of });
  return tellLooked(db, { does: 'look', file, staged, records: db.name }, id, signal, arrives);
}

/**
 * A file is looked at, told line by line as JSON. `arrives`: what is waited for first. Left before its end nothing of a
 * file of records stays, and of a spreadsheet what came, which may be read otherwise.
 */
export function tellLooked(
  db: Db,
  order: RecordsOrder,
  id: string,
  signal: AbortSignal,
  arrives: (signal: AbortSignal) => Promise<void> = async () => {},
): ReadableStream<Uint8Array> {
  const end = (): void => {
    if (!order.sheet) return letGo(db, id);
    rmSync(order.staged, { force: true });
  };
  rmSync(order.staged, { force: true });
  const left = new AbortController();
  const stop = (): void => left.abort();
  signal.addEventListener('abort', stop);
  const encoder = new TextEncoder();
  return new ReadableStream<Uint8Array>({
    async start(to) {
      const line = (of: LookLine): void => {
        if (!left.signal.aborted) to.enqueue(encoder.encode(`${JSON.stringify(of)}\n`));
      };
      try {
        await arrives(left.signal);
        const looked = await recordsApart(order, (share) => line({ share }), left.signal);
        const view = toView(id, looked);
        if (typeof view === 'string') end();
        else if (!order.sheet) rmSync(order.file, { force: true });
        line(typeof view === 'string' ? { trouble: view } : { looked: view });
      } catch (error) {
        end();
        if (!left.signal.aborted) throw error;
      } finally {
        if (!left.signal.aborted) to.close();
      }
    },
    cancel: stop,
  });
}

/** Take what was looked at: all that is not rejected, in one go; what it did is kept with the changes. */
export async function takeRecords(uc: UseCase, id: unknown): Promise<SaveResult> {
  if (uc.actor.role !== 'owner') return refused('', ACCOUNT_REFUSAL.notYours);
  const { db } = uc;
  if (!isFileId(id) || !existsSync(fileIn(db, id, 'staged'))) return refused('file', fileTroubleText({ why: 'gone' }));
  const order = { does: 'take', file: '', staged: fileIn(db, id, 'staged'), records: db.name } as const;
  const looked = await recordsApart(order, () => {});
  if (!looked.ok) return refused('file', fileTroubleText(looked.trouble));
  letGo(db, id);
  keepChanges(uc, { subject: 'records', subjectId: 'records' }, {}, { takenIn: uc.nowMs });
  return { ok: true, id };
}
