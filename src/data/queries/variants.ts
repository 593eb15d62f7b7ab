import type { EntryOptions } from '@/core/book/entry-options';
import type { Db } from '../open-db';

/** A trainer's own way of doing a movement of the book. */
export interface Variant {
  readonly id: string;
  readonly movement: string;
  readonly name: string;
  /** For the client, one breath; empty: the movement's own. */
  readonly cue: string;
  readonly options: Partial<EntryOptions>;
  readonly keptAtMs: number;
}

interface VariantRow {
  id: string;
  movement: string;
  name: string;
  cue: string;
  options: string;
  kept_at_ms: number;
}
const toVariant = (r: VariantRow): Variant => ({
  id: r.id,
  movement: r.movement,
  name: r.name,
  cue: r.cue,
  options: JSON.parse(r.options) as Variant['options'],
  keptAtMs: r.kept_at_ms,
});

export const listVariants = (db: Db, movement: string | null = null): Variant[] =>
  (
    db
      .prepare(
        `SELECT * FROM movement_variant ${movement === null ? '' : 'WHERE movement = ?'} ORDER BY ` +
          'movement, kept_at_ms, name',
      )
      .all(...(movement === null ? [] : [movement])) as VariantRow[]
  ).map(toVariant);

export function findVariant(db: Db, id: string): Variant | null {
  const row = db.prepare('SELECT * FROM movement_variant WHERE id = ?').get(id) as VariantRow | undefined;
  return row ? toVariant(row) : null;
}

/** Insert, or replace what a variant of that id says. */
export function saveVariant(db: Db, v: Variant): void {
  db.prepare(
    `INSERT INTO movement_variant (id, movement, name, cue, options, kept_at_ms) VALUES (?, ?, ?, ?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, cue = excluded.cue, options = excluded.options`,
  ).run(v.id, v.movement, v.name, v.cue, JSON.stringify(v.options), v.keptAtMs);
}
