import { findEntry } from '@/core/book/book';
import { parseJson, readRows, type ReadRecord, type ReadRows } from '@/contract/records/record';
import { readVariantOptions, VARIANT_OPTIONS_VERSION } from '@/contract/records/variant-record';
import type { Variant } from '@/contract/views/plan';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

interface VariantRow {
  id: string;
  movement: string;
  name: string;
  cue: string;
  options: string;
  options_version: number;
  kept_at_ms: number;
}

function readRow(r: VariantRow): ReadRecord<Variant> {
  const read = readVariantOptions(r.options_version, parseJson(r.options));
  if (!read.ok) return read;
  const movement = findEntry(r.movement)?.id;
  if (!movement) return { ok: false, issues: [{ path: 'movement', message: 'expected a movement of the book' }] };
  const { id, name, cue } = r;
  return { ok: true, value: { id, movement, name, cue, options: read.value, keptAtMs: r.kept_at_ms } };
}

/** Variants of one movement, or of all, in the order they were kept. */
export function listVariants(db: Db, movement: string | null = null): ReadRows<Variant> {
  const where = movement === null ? '' : 'WHERE movement = ?';
  const rows = prepared(db, `SELECT * FROM movement_variant ${where} ORDER BY movement, kept_at_ms, name`).all(
    ...(movement === null ? [] : [movement]),
  ) as VariantRow[];
  return readRows(rows, readRow, (r) => ({ table: 'movement_variant', id: r.id, name: r.name }));
}

/** A variant; null where there is none of that id, or none that can be read. */
export function findVariant(db: Db, id: string): Variant | null {
  const row = prepared(db, 'SELECT * FROM movement_variant WHERE id = ?').get(id) as VariantRow | undefined;
  const read = row && readRow(row);
  return read?.ok ? read.value : null;
}

/** Insert, or replace what a variant of that id says; `actorId`: who did. */
export function saveVariant(db: Db, v: Variant, actorId: string): void {
  db.prepare(
    `INSERT INTO movement_variant (id, movement, name, cue, options, options_version, kept_at_ms, actor_id)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, cue = excluded.cue, options = excluded.options,
       options_version = excluded.options_version, actor_id = excluded.actor_id`,
  ).run(v.id, v.movement, v.name, v.cue, JSON.stringify(v.options), VARIANT_OPTIONS_VERSION, v.keptAtMs, actorId);
}
