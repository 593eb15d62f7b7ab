import type { Db } from '../open-db';

/** Which database this is: made with it, and the same in every backup of it. */
export const readIdentity = (db: Db): string => db.prepare('SELECT id FROM identity').pluck().get() as string;
