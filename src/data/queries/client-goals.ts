import type { Region } from '@/core/body/region-line';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Regions that a client trains for. */
export const listGoals = (db: Db, clientId: string): readonly Region[] =>
  prepared(db, 'SELECT region FROM client_goal WHERE client_id = ? ORDER BY region').pluck().all(clientId) as Region[];

/** Keep what a client trains for, instead of what was kept before. */
export function saveGoals(db: Db, clientId: string, regions: readonly Region[]): void {
  prepared(db, 'DELETE FROM client_goal WHERE client_id = ?').run(clientId);
  const add = prepared(db, 'INSERT OR IGNORE INTO client_goal (client_id, region) VALUES (?, ?)');
  for (const region of regions) add.run(clientId, region);
}
