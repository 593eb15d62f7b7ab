import type { Db } from './open-db';
import { RECORD_TABLES, rowsOf } from './record-tables';

/** What a file of records calls itself, and the version of what is around its rows. */
export const RECORDS_FORMAT = { format: 'jorvix-records', version: 1 } as const;

/** The newest migration of a database: which columns its rows have. */
export const schemaOf = (db: Db): number => db.prepare('SELECT max(version) FROM migration').pluck().get() as number;

/**
 * The records as one JSON document, bit by bit, a row a line; those of one client where one is named. Nothing is held
 * beside a slice of rows.
 */
export function* recordsOut(db: Db, clientId: string | null, nowMs: number): Generator<string> {
  const head = { ...RECORDS_FORMAT, schema: schemaOf(db), madeAt: new Date(nowMs).toISOString(), client: clientId };
  yield `${JSON.stringify(head).slice(0, -1)},"tables":{`;
  let isFirst = true;
  for (const table of RECORD_TABLES) {
    if (clientId !== null && !table.ofClient) continue;
    yield `${isFirst ? '' : ','}\n"${table.name}":[`;
    isFirst = false;
    let before = '\n';
    for (const rows of rowsOf(db, table, clientId)) {
      yield before + rows.map((r) => JSON.stringify(r)).join(',\n');
      before = ',\n';
    }
    yield '\n]';
  }
  yield '\n}}\n';
}
