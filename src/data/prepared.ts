import type { Statement } from 'better-sqlite3';
import type { Db } from './open-db';

const kept = new WeakMap<Db, Map<string, Statement>>();

/** What was asked of a database so far, in SQL. */
export const askedOf = (db: Db): readonly string[] => [...(kept.get(db)?.keys() ?? [])];

/**
 * A statement that is compiled once for a database and kept: for what every tap asks. It always gives rows as objects;
 * nobody may ask it for another shape.
 */
export function prepared(db: Db, sql: string): Statement {
  const own = kept.get(db) ?? new Map<string, Statement>();
  kept.set(db, own);
  const known = own.get(sql);
  if (known) return known;
  const made = db.prepare(sql);
  own.set(sql, made);
  return made;
}
