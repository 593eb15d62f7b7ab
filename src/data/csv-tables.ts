import type { CsvName } from '@/contract/csv-names';
import { unpackTrace, type PackedTrace } from '@/core/trace/pack-trace';
import type { Db } from './open-db';

/** A table for a spreadsheet: one SELECT whose columns are headers, with their units. */
interface CsvTable {
  /** Columns by their headers, in order. */
  readonly columns: Readonly<Record<string, string>>;
  readonly from: string;
  readonly where?: string;
  /** What its rows are read on by, a slice at a time. */
  readonly rowid: string;
  /** Rows of which one row of the SELECT tells, with further columns; none for one that is a row itself. */
  readonly spread?: { readonly columns: readonly string[]; readonly rows: (last: unknown) => readonly unknown[][] };
}

const utc = (ms: string): string => `strftime('%Y-%m-%dT%H:%M:%SZ', ${ms} / 1000, 'unixepoch')`;
const ITEM = 'JOIN session_item i ON i.id = s.item_id JOIN session n ON n.id = i.session_id';
const WHOSE = { client: 'c.name', 'client id': 'c.id', movement: 'i.movement', side: 'i.side' };

/** The readings of a kept trace, a row each. */
function readingsOf(body: unknown): readonly unknown[][] {
  const { hz, data } = JSON.parse(String(body)) as PackedTrace;
  return (unpackTrace({ hz, data }) ?? []).map(({ tS, xM }) => [tS.toFixed(3), xM.toFixed(4)]);
}

/** Tables that records leave as (RFC 4180): clients, kit, set-ups, sets, faults, traces. Times are UTC. */
export const CSV_TABLES = {
  clients: {
    columns: {
      id: 'c.id',
      name: 'c.name',
      'stature, m': 'c.stature_m',
      'mass, kg': 'c.mass_kg',
      'mass is estimated': "iif(c.mass_estimated = 1, 'yes', 'no')",
      trainer: '(SELECT a.name FROM account a WHERE a.id = c.trainer_id)',
      note: 'c.note',
      'put away': utc('c.put_away_at_ms'),
    },
    from: 'client c',
    rowid: 'c.rowid',
  },
  kit: {
    columns: {
      id: 'k.id',
      gym: 'g.name',
      kind: 'k.kind',
      name: 'k.name',
      'out of order': "iif(k.out_of_order = 1, 'yes', 'no')",
      'sizes are usual ones': "iif(k.as_usual = 1, 'yes', 'no')",
      'measured, JSON': 'k.spec',
      'put away': utc('k.put_away_at_ms'),
    },
    from: 'kit_piece k JOIN gym g ON g.id = k.gym_id',
    rowid: 'k.rowid',
  },
  setups: {
    columns: {
      ...WHOSE,
      'kept at, UTC': utc('s.at_ms'),
      column: '(SELECT k.name FROM kit_piece k WHERE k.id = s.station_id)',
      'hole right': "json_extract(s.body, '$.placement.hole')",
      'hole left': "json_extract(s.body, '$.placement.hole') + ifnull(json_extract(s.body, '$.placement.leftBy'), 0)",
      'mark from the columns, m': "json_extract(s.body, '$.placement.standX')",
      'mark to the side, m': "json_extract(s.body, '$.placement.standZ')",
      'facing, degrees': "json_extract(s.body, '$.placement.yawDeg')",
    },
    from: `setup_fold s ${ITEM} JOIN client c ON c.id = n.client_id`,
    rowid: 's.rowid',
  },
  sets: {
    columns: {
      ...WHOSE,
      'session, UTC': utc('n.starts_at_ms'),
      set: 's.set_no',
      'started, UTC': utc('s.started_at_ms'),
      'took, s': 'nullif(s.ended_at_ms - s.started_at_ms, 0) / 1000.0',
      'load, kg': 's.load_g / 1000.0',
      reps: 's.reps',
      'reps asked for': 's.target_reps',
      'clean reps': 's.clean_to',
      tempo: 's.tempo',
      scheme: 's.scheme',
      confirmed: "iif(s.confirmed = 1, 'yes', 'no')",
      note: 's.note',
    },
    from: `set_fold s ${ITEM} JOIN client c ON c.id = n.client_id`,
    rowid: 's.rowid',
  },
  faults: {
    columns: {
      ...WHOSE,
      'set started, UTC': utc('t.started_at_ms'),
      set: 't.set_no',
      rep: 's.rep',
      fault: 's.fault',
      'side of the fault': 's.side',
      'severity, 1 to 3': 's.severity',
    },
    from: `fault_fold s JOIN set_fold t ON t.item_id = s.item_id AND t.set_id = s.set_id ${ITEM}
      JOIN client c ON c.id = n.client_id`,
    rowid: 's.rowid',
  },
  traces: {
    columns: {
      ...WHOSE,
      'set started, UTC': utc('t.started_at_ms'),
      set: 't.set_no',
      body: 's.body',
    },
    from: `floor_event s JOIN set_fold t ON t.item_id = s.item_id AND t.set_id = json_extract(s.body, '$.setId')
      ${ITEM} JOIN client c ON c.id = n.client_id`,
    where: "s.kind = 'trace'",
    rowid: 's.rowid',
    spread: { columns: ['time, s', 'height, m'], rows: readingsOf },
  },
} as const satisfies Readonly<Record<CsvName, CsvTable>>;

const SLICE = 1000;

/** The headers of a table, with their units. */
export function csvHeaders(name: CsvName): readonly string[] {
  const { columns, spread }: CsvTable = CSV_TABLES[name];
  return spread ? [...Object.keys(columns).slice(0, -1), ...spread.columns] : Object.keys(columns);
}

/** The rows of a table, a slice at a time. */
export function* csvRows(db: Db, name: CsvName): Generator<readonly (readonly unknown[])[]> {
  const { columns, from, rowid, where = '1', spread }: CsvTable = CSV_TABLES[name];
  const read = db
    .prepare(
      `SELECT ${rowid}, ${Object.values(columns).join(', ')} FROM ${from}
       WHERE ${rowid} > ? AND ${where} ORDER BY ${rowid} LIMIT ${SLICE}`,
    )
    .raw();
  for (let after = 0; ;) {
    const rows = read.all(after) as unknown[][];
    if (rows.length === 0) return;
    after = rows.at(-1)![0] as number;
    // What is spread is read one by one: a minute of a set is three thousand rows.
    if (spread)
      for (const [, ...row] of rows) yield spread.rows(row.at(-1)).map((more) => [...row.slice(0, -1), ...more]);
    else yield rows.map(([, ...row]) => row);
  }
}
