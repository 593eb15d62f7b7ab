import type { Db } from './open-db';

/** A table that leaves with the records, and comes back with them. */
export interface RecordTable {
  readonly name: string;
  /** What it holds, for who reads the file. */
  readonly holds: string;
  /** Columns that never leave. */
  readonly stays?: readonly string[];
  /** What a row is known by. */
  readonly key: readonly string[];
  /** Written once and never changed. */
  readonly isLog?: true;
  /** Which of its rows are one client's, or are needed by them; of one that is missing none. `?` is the client. */
  readonly ofClient?: string;
}

const OWN = 'client_id = ?';
const OF_SESSIONS = 'SELECT id FROM session WHERE client_id = ?';

/**
 * Every table of records, those that others refer to first. Devices, tries to sign in, passphrases and what is worked
 * out from records (folds, kept solves) are none.
 */
export const RECORD_TABLES: readonly RecordTable[] = [
  { name: 'account', holds: 'Who signs in, without passphrases.', key: ['id'], stays: ['passphrase_hash'] },
  {
    name: 'gym',
    holds: 'Gyms.',
    key: ['id'],
    ofClient: `id IN (SELECT gym_id FROM session WHERE ${OWN})`,
  },
  {
    name: 'kit_piece',
    holds: 'Kit; its spec is what was measured, as JSON.',
    key: ['id'],
    ofClient: `gym_id IN (SELECT gym_id FROM session WHERE ${OWN})`,
  },
  { name: 'change_time', holds: 'Seconds between movements, as entered.', key: ['gym_id', 'change'] },
  { name: 'week_rule', holds: 'How a week’s sets are counted and judged.', key: ['muscle'] },
  {
    name: 'movement_variant',
    holds: 'Movements done otherwise; options as JSON.',
    key: ['id'],
    ofClient: `id IN (SELECT variant_id FROM session_item WHERE session_id IN (${OF_SESSIONS}))`,
  },
  { name: 'plan_template', holds: 'Sessions kept as templates; movements as JSON.', key: ['id'] },
  { name: 'spotting_answer', holds: 'Answers in the practice of seeing faults.', key: ['id'], isLog: true },
  { name: 'client', holds: 'Clients.', key: ['id'], ofClient: 'id = ?' },
  { name: 'client_measure', holds: 'Measures, metres.', key: ['client_id', 'measure'], ofClient: OWN },
  { name: 'client_range', holds: 'Active ranges, degrees.', key: ['client_id', 'side', 'motion'], ofClient: OWN },
  { name: 'client_note', holds: 'Observations.', key: ['client_id', 'note', 'detail'], ofClient: OWN },
  { name: 'client_limit', holds: 'Clinicians’ limits.', key: ['client_id', 'position'], ofClient: OWN },
  {
    name: 'client_arm_path',
    holds: 'Rear deltoid paths, degrees and metres.',
    key: ['client_id', 'side', 'below_deg'],
    ofClient: OWN,
  },
  { name: 'client_goal', holds: 'Regions that are trained for.', key: ['client_id', 'region'], ofClient: OWN },
  {
    name: 'practice_choice',
    holds: 'Sides taken where practitioners differ.',
    key: ['client_id', 'account_id', 'question'],
    ofClient: OWN,
  },
  { name: 'screening', holds: 'Screenings.', key: ['id'], isLog: true, ofClient: OWN },
  { name: 'sheet_reading', holds: 'How spreadsheets were read, by their headers; as JSON.', key: ['headers'] },
  { name: 'sheet_name', holds: 'What names in spreadsheets stand for.', key: ['said', 'movement', 'client_id'] },
  { name: 'client_cover', holds: 'Who stands in for whom.', key: ['id'] },
  { name: 'session', holds: 'Sessions; times in milliseconds since 1970, UTC.', key: ['id'], ofClient: OWN },
  {
    name: 'session_item',
    holds: 'Planned movements; loads in grams, aims as JSON.',
    key: ['id'],
    ofClient: `session_id IN (${OF_SESSIONS})`,
  },
  { name: 'floor_event', holds: 'What was tapped; its body as JSON.', key: ['id'], isLog: true, ofClient: OWN },
  {
    name: 'change',
    holds: 'Who changed what, from what to what, as JSON.',
    key: ['at_ms', 'actor_id', 'subject', 'subject_id', 'client_id', 'path', 'before', 'after'],
    // Its number is the database's own.
    stays: ['id'],
    isLog: true,
    ofClient: OWN,
  },
];

/** Columns of a table that leave, in their order. */
export const columnsOf = (db: Db, { name, stays = [] }: RecordTable): string[] =>
  (db.pragma(`table_info(${name})`) as { name: string }[]).map((c) => c.name).filter((c) => !stays.includes(c));

/** Rows that are read at once. */
const SLICE = 1000;

/** Rows of a table as they were written, a slice at a time; those of one client where one is named. */
export function* rowsOf(db: Db, table: RecordTable, clientId: string | null): Generator<readonly object[]> {
  if (clientId !== null && !table.ofClient) return;
  const where = clientId === null ? '' : `AND (${table.ofClient})`;
  const read = db.prepare(
    `SELECT rowid AS "row no", ${columnsOf(db, table).join(', ')} FROM ${table.name}
     WHERE rowid > ? ${where} ORDER BY rowid LIMIT ${SLICE}`,
  );
  const asked = clientId === null ? [] : [clientId];
  for (let after = -1; ;) {
    const rows = read.all(after, ...asked) as { 'row no'?: number }[];
    if (rows.length === 0) return;
    after = rows.at(-1)!['row no']!;
    for (const row of rows) delete row['row no'];
    yield rows;
  }
}
