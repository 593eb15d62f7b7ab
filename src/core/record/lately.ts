/** Remembers what was made lately by what it follows from, at most so many things; the one unused longest goes. */
export function lately<T>(most: number): (key: string, make: () => T) => T {
  const known = new Map<string, T>();
  return (key, make) => {
    const own = known.has(key) ? known.get(key)! : make();
    // The newest stand last.
    known.delete(key);
    known.set(key, own);
    if (known.size > most) known.delete(known.keys().next().value!);
    return own;
  };
}
