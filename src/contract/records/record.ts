import type { z } from 'zod';
import { toFieldIssues, type FieldIssue } from '../field';
import { EXPECTED } from '@/messages/expected';

/** A kept value as plain JSON, before anything is known of it. */
export type Json = Readonly<Record<string, unknown>>;

/** Makes the next version of an older record. */
export type Upcast = (older: Json) => Json;

/** A record that was read, or why it could not be. */
export type ReadRecord<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly issues: readonly FieldIssue[] };

/** A kept row that this program cannot read: named where its table is shown, left out everywhere else. */
export interface UnreadableRow {
  readonly table: 'floor_event' | 'kit_piece' | 'movement_variant' | 'plan_template' | 'session_item';
  readonly id: string;
  /** What a person knows it by. */
  readonly name: string;
  readonly issues: readonly FieldIssue[];
}

/** The rows of a table that could be read, and those that could not. */
export interface ReadRows<T> {
  readonly rows: readonly T[];
  readonly unreadable: readonly UnreadableRow[];
}

const isObject = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Read a kept record of some version: older ones are brought up to the newest first. `upcasts[0]` makes version 2 of
 * version 1, and so on; a version beyond the newest was written by a newer program.
 */
export function readRecord<T>(
  schema: z.ZodType<T>,
  upcasts: readonly Upcast[],
  version: number,
  value: unknown,
): ReadRecord<T> {
  const newest = upcasts.length + 1;
  if (!Number.isInteger(version) || version < 1 || version > newest)
    return { ok: false, issues: [{ path: 'version', message: EXPECTED.wholeBetween(1, newest) }] };
  if (!isObject(value)) return { ok: false, issues: [{ path: '', message: EXPECTED.anObject }] };
  let current: Json = value;
  for (const upcast of upcasts.slice(version - 1)) current = upcast(current);
  const parsed = schema.safeParse(current);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, issues: toFieldIssues(parsed.error) };
}

/** JSON text as a value; null where it is no JSON. */
export function parseJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Part the rows of a table into those that can be read and those that cannot. */
export function readRows<Row, T>(
  rows: readonly Row[],
  read: (row: Row) => ReadRecord<T>,
  nameOf: (row: Row) => Omit<UnreadableRow, 'issues'>,
): ReadRows<T> {
  const good: T[] = [];
  const unreadable: UnreadableRow[] = [];
  for (const row of rows) {
    const one = read(row);
    if (one.ok) good.push(one.value);
    else unreadable.push({ ...nameOf(row), issues: one.issues });
  }
  return { rows: good, unreadable };
}
