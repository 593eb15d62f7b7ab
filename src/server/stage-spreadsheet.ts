import 'server-only';
import Database from 'better-sqlite3';
import type { Looked, RejectedRow, TableCount } from '@/core/record/records-file';
import { findClientNamed } from '@/data/queries/clients';
import { hasOtherSets } from '@/data/queries/spreadsheets';
import { MOST_TOLD, StagedRecords } from '@/data/records-in';
import { PastSets, type Into, type SheetPlan } from './past-sets';
import { SheetClients } from './spreadsheet-clients';
import { isBlank, OpenQuote, sheetRows } from './spreadsheet-reader';

/** What is counted of a sheet: what a person calls it, and the rows that stand for it. */
const COUNTED = {
  sets: [
    ['sets', 'floor_event', "kind = 'set-started'"],
    ['sessions', 'session', '1'],
  ],
  clients: [['clients', 'client', '1']],
} as const;

interface Files {
  readonly file: string;
  readonly staged: string;
  readonly records: string;
}

/** Reads a spreadsheet into staged rows; nothing that is on record is changed by it. */
export async function stageSheet(plan: SheetPlan, files: Files, onRead: (bytes: number) => void): Promise<Looked> {
  const stage = new StagedRecords(files.staged);
  const db = new Database(files.records, { readonly: true });
  const rejected: RejectedRow[] = [];
  let refused = 0;
  const { kind } = plan.reading;
  const into: Into = (table, columns) => stage.into(table, columns);
  const rows =
    kind === 'sets'
      ? new PastSets(plan, into, (of) => hasOtherSets(db, of))
      : new SheetClients(plan, into, (name) => findClientNamed(db, name));
  try {
    let no = 0;
    for await (const cells of sheetRows(files.file, onRead)) {
      no += 1;
      const fault = no === 1 || isBlank(cells) ? null : rows.take(cells, no);
      if (!fault) continue;
      refused += 1;
      if (rejected.length >= MOST_TOLD) continue;
      const at = plan.reading.columns[fault.field];
      const said = at === undefined ? '' : (cells[at] ?? '').slice(0, 60);
      const column = at === undefined ? null : plan.headers[at]!;
      rejected.push({ table: kind, row: no, column, why: { kind: 'cell', trouble: fault.trouble, said } });
    }
    rows.end();
    const all = COUNTED[kind].map(([, table, where]) => stage.count(table, where));
    stage.leaveKnown(files.records);
    const odd = stage.refusals;
    const counts = COUNTED[kind].map(([name, table, where], k): TableCount => {
      const fresh = stage.count(table, where);
      return { table: name, fresh, changed: 0, same: all[k]! - fresh, rejected: k === 0 ? refused + odd : 0 };
    });
    return { ok: true, counts, rejected: [...rejected, ...stage.rejected] };
  } catch (error) {
    if (error instanceof OpenQuote) return { ok: false, trouble: { why: 'quotes' } };
    throw error;
  } finally {
    db.close();
    stage.close();
  }
}
