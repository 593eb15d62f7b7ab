/** A field that two changes made different: its keys from the outside in, and both values. */
export interface Collision {
  readonly keys: readonly string[];
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** A sheet after two changes of it: what stands, and where both changed the same thing to something else. */
export interface MergedSheet<T> {
  readonly merged: T;
  /** Where the two changes differ; mine stands there. */
  readonly collisions: readonly Collision[];
  /** What mine was made from, with theirs at the collisions: saved again from there, mine wins knowingly. */
  readonly next: T;
}

/** A JSON object. */
export type Plain = Readonly<Record<string, unknown>>;

/** Whether a JSON value is an object with names. */
export const isPlain = (v: unknown): v is Plain => typeof v === 'object' && v !== null && !Array.isArray(v);

/** JSON with keys in order, so that equal things have equal texts. */
const textOf = (v: unknown): string =>
  JSON.stringify(v, (_, x: unknown) =>
    isPlain(x) ? Object.fromEntries(Object.entries(x).sort(([a], [b]) => (a < b ? -1 : 1))) : x,
  ) ?? '';
/** Whether two JSON values say the same, whatever the order of their names. */
export const same = (a: unknown, b: unknown): boolean => textOf(a) === textOf(b);

/** What an entry of a list is known by: a trial by its path, everything else by all that it says. */
const keyOf = (entry: unknown): string =>
  isPlain(entry) && 'belowDeg' in entry ? `${String(entry.belowDeg)}` : textOf(entry);
/** A list as an object: every entry under what it is known by. */
export const asMap = (list: readonly unknown[]): Plain =>
  Object.fromEntries(list.map((entry) => [keyOf(entry), entry]));

/** Every key of some objects, in the order of the first that has it. */
export const keysOf = (...all: readonly Plain[]): string[] => [...new Set(all.flatMap((one) => Object.keys(one)))];

function mergeAt(base: unknown, mine: unknown, theirs: unknown, keys: readonly string[]): MergedSheet<unknown> {
  if (same(mine, base) || same(mine, theirs)) return { merged: theirs, collisions: [], next: base };
  if (same(theirs, base)) return { merged: mine, collisions: [], next: base };
  const lists = [base, mine, theirs].map((v) => (Array.isArray(v) ? asMap(v) : v));
  if (!lists.every(isPlain)) return { merged: mine, collisions: [{ keys, mine, theirs }], next: theirs };
  const [b, m, t] = lists as [Plain, Plain, Plain];
  const parts = keysOf(t, m, b).map((key) => [key, mergeAt(b[key], m[key], t[key], [...keys, key])] as const);
  const build = (of: (part: MergedSheet<unknown>) => unknown): unknown => {
    const entries = parts.flatMap(([key, part]) => (of(part) === undefined ? [] : [[key, of(part)] as const]));
    return Array.isArray(theirs) ? entries.map(([, value]) => value) : Object.fromEntries(entries);
  };
  return {
    merged: build((p) => p.merged),
    collisions: parts.flatMap(([, p]) => p.collisions),
    next: build((p) => p.next),
  };
}

/**
 * Bring together two changes of one sheet, field by field: what only one of them changed stands as changed, entries of
 * lists are added and taken away by both, and what both changed differently is named. `base` is what mine was made
 * from, `theirs` what is kept by now. Plain JSON throughout.
 */
export const mergeSheet = <T>(base: T, mine: T, theirs: T): MergedSheet<T> =>
  mergeAt(base, mine, theirs, []) as MergedSheet<T>;
