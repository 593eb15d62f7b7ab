import Database from 'better-sqlite3';
import type { RejectedRow, TableCount } from '@/core/record/records-file';
import { readMigrations, migrate } from './migrate';
import { migrationsFolder, type Db } from './open-db';
import { columnsOf, RECORD_TABLES, type RecordTable } from './record-tables';

/** Memory for the rows of a file while they are laid out, kB. */
const STAGE_KB = 32_000;
/** Rows that are told one by one; of more only how many there are. */
export const MOST_TOLD = 200;
/** Indexes that are made for reading: those that keep keys apart have no text of their own. */
const INDEXES = "SELECT name FROM sqlite_master WHERE type = 'index' AND sql NOT LIKE 'CREATE UNIQUE%'";
const same = (a: string, b: string, columns: readonly string[]): string =>
  columns.map((c) => `${a}.${c} IS ${b}.${c}`).join(' AND ');

/** What SQLite says of a row that it does not take, as a column and a reason. */
function reasonOf(said: string, columns: readonly string[]): Pick<RejectedRow, 'column' | 'why'> {
  const [, named = null] = /(?:constraint failed|column) ?:? ?\w+\.(\w+)/.exec(said) ?? [];
  if (said.startsWith('NOT NULL')) return { column: named, why: { kind: 'missing' } };
  if (said.startsWith('UNIQUE')) return { column: named, why: { kind: 'twice' } };
  if (said.startsWith('cannot store')) return { column: named, why: { kind: 'other-type' } };
  const rule = said.replace(/^CHECK constraint failed: /, '');
  return { column: columns.find((c) => new RegExp(`\\b${c}\\b`).test(rule)) ?? null, why: { kind: 'rule', rule } };
}

/**
 * A file's rows beside the records, in a database of their own: every row is looked at there before any is taken.
 * `main` is that of the records; rows are added table by table in any order, then judged.
 */
export class StagedRecords {
  private readonly db: Db;
  private readonly counts = new Map<string, { row: number; rejected: number }>();
  readonly rejected: RejectedRow[] = [];

  constructor(file: string) {
    this.db = new Database(file);
    this.db.pragma('journal_mode = OFF');
    this.db.pragma('synchronous = OFF');
    this.db.pragma(`cache_size = -${STAGE_KB}`);
    migrate(this.db, readMigrations(migrationsFolder()), Date.now());
    // Nothing is looked up here but by keys.
    for (const index of this.db.prepare(INDEXES).pluck().all()) this.db.exec(`DROP INDEX ${String(index)}`);
    // Rows come in any order: what they refer to is looked for when all are there.
    this.db.pragma('foreign_keys = OFF');
    this.db.exec('CREATE TABLE row_no (name TEXT, at INTEGER, no INTEGER, PRIMARY KEY (name, at)) WITHOUT ROWID');
    this.db.exec('BEGIN');
  }

  private refuse(table: string, row: number, why: Pick<RejectedRow, 'column' | 'why'>): void {
    const count = this.counts.get(table)!;
    count.rejected += 1;
    if (this.rejected.length < MOST_TOLD) this.rejected.push({ table, row, ...why });
  }

  private readonly statements = new Map<string, Database.Statement>();
  private prepared(sql: string): Database.Statement {
    const known = this.statements.get(sql) ?? this.db.prepare(sql);
    this.statements.set(sql, known);
    return known;
  }

  private readonly columns = new Map<string, readonly string[]>();
  private columnsOf(table: RecordTable): readonly string[] {
    const known = this.columns.get(table.name) ?? columnsOf(this.db, table);
    this.columns.set(table.name, known);
    return known;
  }

  /** What speaks against a row before it is tried; null where nothing does. */
  private oddIn(table: RecordTable, row: unknown): Pick<RejectedRow, 'column' | 'why'> | null {
    if (typeof row !== 'object' || row === null || Array.isArray(row))
      return { column: null, why: { kind: 'no-object' } };
    const known = this.columnsOf(table);
    const strange = Object.keys(row).find((c) => !known.includes(c));
    if (strange !== undefined) return { column: strange, why: { kind: 'unknown-column' } };
    const odd = Object.entries(row).find(([, v]) => v !== null && !['string', 'number'].includes(typeof v));
    if (odd) return { column: odd[0], why: { kind: 'other-type' } };
    return Object.keys(row).length === 0 ? { column: table.key[0]!, why: { kind: 'missing' } } : null;
  }

  /** Adds a row of a table as it stands in the file; one that cannot be is told. */
  add(name: string, row: unknown): void {
    const count = this.counts.get(name) ?? { row: 0, rejected: 0 };
    this.counts.set(name, count);
    count.row += 1;
    const table = RECORD_TABLES.find((t) => t.name === name);
    if (!table) return this.refuse(name, count.row, { column: null, why: { kind: 'unknown-table' } });
    const odd = this.oddIn(table, row);
    if (odd) return this.refuse(name, count.row, odd);
    const given = Object.keys(row as object);
    const values = Object.values(row as object);
    try {
      const marks = given.map(() => '?').join(', ');
      const { lastInsertRowid } = this.prepared(`INSERT INTO ${name} (${given.join(', ')}) VALUES (${marks})`).run(
        ...values,
      );
      this.prepared('INSERT INTO row_no VALUES (?, ?, ?)').run(name, lastInsertRowid, count.row);
    } catch (error) {
      this.refuse(name, count.row, reasonOf((error as Error).message, this.columnsOf(table)));
    }
  }

  /**
   * Adds rows that were made here to a table, their values in the order of its columns: they are read by nobody before,
   * and judged by none after. What is given back takes a row, with the number that it is told by where it cannot be.
   */
  into(name: string, columns: readonly string[]): (values: readonly (string | number | null)[], no: number) => void {
    const insert = this.db.prepare(
      `INSERT INTO ${name} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    );
    this.counts.set(name, { row: 0, rejected: 0 });
    return (values, no) => {
      try {
        insert.run(values);
      } catch (error) {
        this.refuse(name, no, reasonOf((error as Error).message, columns));
      }
    };
  }

  /** Takes rows out that fit a condition, each told with its reason. */
  private takeOut(table: string, where: string, why: Pick<RejectedRow, 'column' | 'why'>): void {
    const rows = this.db
      .prepare(
        `SELECT rowid AS at, (SELECT no FROM row_no WHERE name = ? AND at = s.rowid) AS no
         FROM ${table} s WHERE ${where}`,
      )
      .all(table) as { at: number; no: number }[];
    const drop = this.db.prepare(`DELETE FROM ${table} WHERE rowid = ?`);
    for (const { at, no } of rows) {
      drop.run(at);
      this.refuse(table, no, why);
    }
  }

  /** How many rows were not taken in all. */
  get refusals(): number {
    return [...this.counts.values()].reduce((sum, { rejected }) => sum + rejected, 0);
  }

  /** Rows that are left of those that were added. */
  count(table: string, where = '1'): number {
    return this.db.prepare(`SELECT count(*) FROM main.${table} WHERE ${where}`).pluck().get() as number;
  }

  /**
   * Leaves out what is on record by its key, whatever it says there: nothing on record is changed. Movements that are
   * new in a session that is on record stand after its own.
   */
  leaveKnown(recordsFile: string): void {
    this.db.exec('COMMIT');
    this.dropKeepers();
    this.db.prepare('ATTACH ? AS records').run(recordsFile);
    for (const { name, key } of RECORD_TABLES)
      this.db.exec(
        `DELETE FROM main.${name} AS s WHERE EXISTS (SELECT 1 FROM records.${name} t WHERE ${same('t', 's', key)})`,
      );
    const last = '(SELECT max(position) FROM records.session_item r WHERE r.session_id = s.session_id)';
    this.db.exec(`UPDATE main.session_item AS s SET position = -2 - position - ${last} WHERE ${last} IS NOT NULL`);
    this.db.exec('UPDATE main.session_item SET position = -1 - position WHERE position < 0');
    this.db.exec('DETACH records');
    this.db.exec('BEGIN');
  }

  /** Log rows may not be taken out of a database of records; here they are only looked at. */
  private dropKeepers(): void {
    for (const trigger of this.db.prepare("SELECT name FROM sqlite_master WHERE type = 'trigger'").pluck().all())
      this.db.exec(`DROP TRIGGER ${String(trigger)}`);
  }

  /** Judges what was added against the records: what refers to nothing, or is on record otherwise, is taken out. */
  judge(recordsFile: string): readonly TableCount[] {
    this.db.exec('COMMIT');
    this.dropKeepers();
    this.db.prepare('ATTACH ? AS records').run(recordsFile);
    this.db.exec('BEGIN');
    const counts = RECORD_TABLES.map((table) => this.judgeTable(table));
    this.db.exec('COMMIT');
    this.db.exec('DETACH records');
    return counts;
  }

  private judgeTable(table: RecordTable): TableCount {
    const { name, key, isLog } = table;
    const refers = this.db.pragma(`foreign_key_list(${name})`) as { table: string; from: string; to: string | null }[];
    for (const { table: other, from, to } of refers) {
      const there = (where: string): string => `SELECT 1 FROM ${where}.${other} o WHERE o.${to ?? 'id'} = s.${from}`;
      this.takeOut(
        name,
        `s.${from} IS NOT NULL AND NOT EXISTS (${there('main')}) AND NOT EXISTS (${there('records')})`,
        { column: from, why: { kind: 'no-such', table: other } },
      );
    }
    const columns = columnsOf(this.db, table);
    const others = columns.filter((c) => !key.includes(c));
    const known = `SELECT 1 FROM records.${name} t WHERE ${same('t', 's', key)}`;
    const differs = others.length === 0 ? '0' : `NOT (${same('t', 's', others)})`;
    if (isLog && others.length > 0)
      this.takeOut(name, `EXISTS (${known} AND ${differs})`, { column: null, why: { kind: 'on-record-otherwise' } });
    const count = (where: string): number =>
      this.db.prepare(`SELECT count(*) FROM main.${name} s WHERE ${where}`).pluck().get() as number;
    const [fresh, changed] = [count(`NOT EXISTS (${known})`), count(`EXISTS (${known} AND ${differs})`)];
    const { rejected = 0 } = this.counts.get(name) ?? {};
    return { table: name, fresh, changed, same: count('1') - fresh - changed, rejected };
  }

  /** Rows of tables that there are none of here. */
  get unknown(): readonly TableCount[] {
    const names = new Set(RECORD_TABLES.map((t) => t.name));
    return [...this.counts].flatMap(([table, { rejected }]) =>
      names.has(table) ? [] : [{ table, fresh: 0, changed: 0, same: 0, rejected }],
    );
  }

  close(): void {
    if (this.db.inTransaction) this.db.exec('COMMIT');
    this.db.close();
  }
}

/** Thrown to undo what was only tried. */
class Tried extends Error {}

/**
 * Brings staged rows into the records, all in one transaction of the caller's connection, or none; only tried, it is
 * undone. Throws what SQLite says where they cannot stand beside what is there.
 */
export function takeStaged(db: Db, stagedFile: string, isTrial = false): void {
  db.prepare('ATTACH ? AS staged').run(stagedFile);
  try {
    db.transaction(() => {
      for (const table of RECORD_TABLES) takeTable(db, table);
      db.exec(`INSERT INTO stale_fold (item_id, client_id, n)
        SELECT DISTINCT item_id, client_id, 1 FROM staged.floor_event WHERE true
        ON CONFLICT (item_id) DO UPDATE SET n = n + 1`);
      if (isTrial) throw new Tried();
    }).immediate();
  } catch (error) {
    if (!(error instanceof Tried)) throw error;
  } finally {
    db.exec('DETACH staged');
  }
}

function takeTable(db: Db, table: RecordTable): void {
  const { name, key, isLog } = table;
  const columns = columnsOf(db, table);
  const others = columns.filter((c) => !key.includes(c));
  const differs = `${same('t', 's', key)} AND NOT (${same('t', 's', others)})`;
  if (!isLog && others.length > 0) {
    // Two that change places are never in one place at a time.
    if (name === 'session_item')
      db.exec(
        `UPDATE main.session_item AS t SET position = -1 - t.position FROM staged.session_item s WHERE ${differs}`,
      );
    const set = others.map((c) => `${c} = s.${c}`).join(', ');
    db.exec(`UPDATE main.${name} AS t SET ${set} FROM staged.${name} s WHERE ${differs}`);
  }
  const list = columns.join(', ');
  db.exec(`INSERT INTO main.${name} (${list}) SELECT ${list} FROM staged.${name} s
    WHERE NOT EXISTS (SELECT 1 FROM main.${name} t WHERE ${same('t', 's', key)}) ORDER BY s.rowid`);
}
