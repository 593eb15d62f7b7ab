import { lately } from '@/core/record/lately';
import type { Db } from './open-db';

/**
 * What is read of a database once for every state that it is in: `key` names what is read and the stamp of the state it
 * was read in. What was read is given to many and must not be changed. At most so many are at hand for a database.
 */
export function readOnce<T>(most: number): (db: Db, key: string, read: () => T) => T {
  const known = new WeakMap<Db, ReturnType<typeof lately<T>>>();
  return (db, key, read) => {
    const own = known.get(db) ?? lately<T>(most);
    known.set(db, own);
    return own(key, read);
  };
}
