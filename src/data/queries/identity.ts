import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Which database this is: made with it, and the same in every backup of it. */
export const readIdentity = (db: Db): string => (prepared(db, 'SELECT id FROM identity').get() as { id: string }).id;
