/** Things by a name of theirs, each group in the order in which they came. */
export function groupBy<T>(list: readonly T[], keyOf: (x: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const x of list) {
    const key = keyOf(x);
    const own = groups.get(key);
    if (own) own.push(x);
    else groups.set(key, [x]);
  }
  return groups;
}
