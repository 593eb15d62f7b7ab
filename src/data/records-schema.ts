import type { Db } from './open-db';
import { columnsOf, RECORD_TABLES, type RecordTable } from './record-tables';
import { RECORDS_FORMAT, schemaOf } from './records-out';

const JSON_TYPE: Readonly<Record<string, string>> = { TEXT: 'string', INTEGER: 'integer', REAL: 'number' };

interface Column {
  readonly name: string;
  readonly type: string;
  readonly notnull: number;
  readonly dflt_value: string | null;
  readonly pk: number;
}

function rowSchema(db: Db, table: RecordTable): object {
  const leave = columnsOf(db, table);
  const columns = (db.pragma(`table_info(${table.name})`) as Column[]).filter((c) => leave.includes(c.name));
  const isNeeded = (c: Column): boolean => c.notnull === 1 || c.pk > 0;
  return {
    type: 'array',
    description: table.holds,
    items: {
      type: 'object',
      additionalProperties: false,
      required: columns.filter((c) => isNeeded(c) && c.dflt_value === null).map((c) => c.name),
      properties: Object.fromEntries(
        columns.map((c) => {
          const type = JSON_TYPE[c.type]!;
          return [c.name, { type: isNeeded(c) ? type : [type, 'null'] }];
        }),
      ),
    },
  };
}

/** The JSON Schema (2020-12) of a file of records, as the tables of a database make it. */
export const recordsSchema = (db: Db): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'Jorvix records',
  type: 'object',
  required: ['format', 'version', 'schema', 'tables'],
  properties: {
    format: { const: RECORDS_FORMAT.format },
    version: { const: RECORDS_FORMAT.version },
    schema: { type: 'integer', maximum: schemaOf(db) },
    madeAt: { type: 'string' },
    client: { type: ['string', 'null'] },
    tables: {
      type: 'object',
      additionalProperties: false,
      properties: Object.fromEntries(RECORD_TABLES.map((t) => [t.name, rowSchema(db, t)])),
    },
  },
});
