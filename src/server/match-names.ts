import 'server-only';
import MiniSearch from 'minisearch';

/** Something that a name may stand for. */
export interface Named {
  readonly id: string;
  readonly name: string;
  /** Words that tell it apart beside its name. */
  readonly more?: string;
}

const MOST_SUGGESTED = 3;
/** Words that stand in every other name and tell nothing. */
const SMALL: ReadonlySet<string> = new Set('a an and at by for from in of on or the to with'.split(' '));
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * Finds what names stand for: `exact` where a name is the same but for case and signs and stands for one thing alone,
 * and what is likest, best first.
 */
export function matcherOf(things: readonly Named[]) {
  const search = new MiniSearch<Named>({
    fields: ['name', 'more'],
    processTerm: (term) => (SMALL.has(term.toLowerCase()) ? null : term.toLowerCase()),
    searchOptions: { boost: { name: 3 }, fuzzy: 0.25, prefix: true },
  });
  search.addAll(things);
  const exact = new Map<string, string | null>();
  for (const { id, name } of things) exact.set(plain(name), exact.has(plain(name)) ? null : id);
  return (said: string): { readonly exact: string | null; readonly likest: readonly string[] } => ({
    exact: exact.get(plain(said)) ?? null,
    likest: search
      .search(said)
      .slice(0, MOST_SUGGESTED)
      .map((r) => String(r.id)),
  });
}
