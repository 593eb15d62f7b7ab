import 'server-only';
import { createReadStream, existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import Database from 'better-sqlite3';
import { schemaOf } from '@/data/records-out';
import type { Looked, TableCount } from '@/core/record/records-file';
import { StagedRecords, takeStaged } from '@/data/records-in';
import type { SheetPlan } from './past-sets';
import { readRecords } from './records-reader';
import { stageSheet } from './stage-spreadsheet';

/** A file of records, or a spreadsheet by a plan, to be looked at; or what was looked at to be taken. */
export interface RecordsOrder {
  readonly does: 'look' | 'take';
  /** How a spreadsheet is read; none where the file is one of records. */
  readonly sheet?: SheetPlan;
  /** The file that came; the database that its rows are staged in; that of the records. */
  readonly file: string;
  readonly staged: string;
  readonly records: string;
}

/** What a thread tells while it works, and at its end. */
export type RecordsReply =
  { readonly kind: 'progress'; readonly share: number } | { readonly kind: 'done'; readonly looked: Looked };

const PATIENCE_MS = 5000;
const PROGRESS_EACH = 0.01;

/** Tells how much of a file was read, given the bytes as they are read; not more often than a hundred times. */
function throttled(file: string, onShare: (share: number) => void): (bytes: number) => void {
  const { size } = statSync(file);
  let [read, told] = [0, 0];
  return (bytes) => {
    read += bytes;
    if (read / size - told >= PROGRESS_EACH) onShare((told = read / size));
  };
}

async function* bitsOf(file: string, onShare: (share: number) => void): AsyncGenerator<Uint8Array> {
  const onRead = throttled(file, onShare);
  for await (const bit of createReadStream(file) as AsyncIterable<Buffer>) {
    onRead(bit.length);
    yield bit;
  }
}

function writing<T>(file: string, does: (db: Database.Database) => T): T {
  const db = new Database(file);
  try {
    db.pragma('foreign_keys = ON');
    db.pragma(`busy_timeout = ${PATIENCE_MS}`);
    return does(db);
  } finally {
    db.close();
  }
}

/** Brings what is staged into the records, or tries to. */
function take({ staged, records }: RecordsOrder, isTrial: boolean): Extract<Looked, { ok: false }> | null {
  try {
    writing(records, (db) => takeStaged(db, staged, isTrial));
    return null;
  } catch (error) {
    return { ok: false, trouble: { why: 'collides', says: (error as Error).message } };
  }
}

async function look(order: RecordsOrder, onShare: (share: number) => void): Promise<Looked> {
  const { file, staged, records, sheet } = order;
  if (sheet) {
    // Its rows are new and made here: that they stand beside what is there is not tried first.
    return stageSheet(sheet, { file, staged, records }, throttled(file, onShare));
  }
  const schema = writing(records, schemaOf);
  const stage = new StagedRecords(staged);
  let counts: readonly TableCount[];
  try {
    const trouble = await readRecords(bitsOf(file, onShare), schema, (table, row) => stage.add(table, row));
    if (trouble) return { ok: false, trouble: { why: trouble } };
    counts = [...stage.judge(records), ...stage.unknown];
  } finally {
    stage.close();
  }
  return take(order, true) ?? { ok: true, counts, rejected: stage.rejected };
}

/** Does what is asked on this thread, telling how far it is. */
export async function doRecords(order: RecordsOrder, tell: (reply: RecordsReply) => void): Promise<void> {
  const looked: Looked =
    order.does === 'look'
      ? await look(order, (share) => tell({ kind: 'progress', share }))
      : (take(order, false) ?? { ok: true, counts: [], rejected: [] });
  tell({ kind: 'done', looked });
}

const onThread = (script: string, order: RecordsOrder): Worker => new Worker(script, { workerData: order });

/** The same on a thread of its own, where one was built: a large file takes half a minute. Ended by `signal`. */
export async function recordsApart(
  order: RecordsOrder,
  onShare: (share: number) => void,
  signal?: AbortSignal,
): Promise<Looked> {
  const script = join(process.cwd(), '.next/records-worker.mjs');
  return new Promise((resolve, reject) => {
    const on = (reply: RecordsReply): void => (reply.kind === 'done' ? resolve(reply.looked) : onShare(reply.share));
    if (!existsSync(script)) return void doRecords(order, on).catch(reject);
    const worker = onThread(script, order);
    signal?.addEventListener('abort', () => void worker.terminate());
    worker.on('message', on);
    worker.once('error', reject);
    worker.once('exit', () => reject(new Error('The file was not read to its end.')));
  });
}
