import type { Gym } from '@/contract/views/kit';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

const GYM = 'SELECT id, name, screening_days AS screeningDays, said_in AS saidIn FROM gym';
/** Gyms that are not put away, oldest first: the first is the one opened with. */
export const listGyms = (db: Db): Gym[] =>
  prepared(db, `${GYM} WHERE put_away_at_ms IS NULL ORDER BY rowid`).all() as Gym[];
export const findGym = (db: Db, id: string): Gym | null =>
  (prepared(db, `${GYM} WHERE id = ?`).get(id) as Gym | undefined) ?? null;

/** Insert or replace a gym; `actorId`: who did. */
export function saveGym(db: Db, g: Gym, actorId: string): void {
  db.prepare(
    `INSERT INTO gym (id, name, screening_days, said_in, actor_id) VALUES (?, ?, ?, ?, ?)
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, screening_days = excluded.screening_days,
       said_in = excluded.said_in, actor_id = excluded.actor_id`,
  ).run(g.id, g.name, g.screeningDays, g.saidIn, actorId);
}
