import { asMap, isPlain, keysOf, same, type Plain } from './merge-sheet';

/** What changed at one place of a sheet: keys from the outside in; undefined where there was or is nothing. */
export interface SheetChange {
  readonly keys: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

function changesAt(before: unknown, after: unknown, keys: readonly string[]): SheetChange[] {
  if (same(before, after)) return [];
  const parts = [before, after].map((v) => (Array.isArray(v) ? asMap(v) : v));
  if (!parts.every(isPlain)) return [{ keys, before, after }];
  const [b, a] = parts as [Plain, Plain];
  return keysOf(b, a).flatMap((key) => changesAt(b[key], a[key], [...keys, key]));
}

/**
 * What changed between two states of a sheet, place by place: an entry of a list that went is a change from it to
 * nothing. A sheet that is new is one change of the whole. Plain JSON throughout.
 */
export const diffSheet = (before: unknown, after: unknown): SheetChange[] => changesAt(before, after, []);
