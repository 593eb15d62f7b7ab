import type { Db } from '../open-db';

export interface Gym {
  readonly id: string;
  readonly name: string;
  /** How long a screening stands here, days. */
  readonly screeningDays: number;
}

/** Oldest first: the first gym is the one opened with. */
const GYM = 'SELECT id, name, screening_days AS screeningDays FROM gym';
export const listGyms = (db: Db): Gym[] => db.prepare(`${GYM} ORDER BY rowid`).all() as Gym[];
export const findGym = (db: Db, id: string): Gym | null =>
  (db.prepare(`${GYM} WHERE id = ?`).get(id) as Gym | undefined) ?? null;

export function saveGym(db: Db, g: Gym): void {
  db.prepare(
    'INSERT INTO gym (id, name, screening_days) VALUES (?, ?, ?) ON CONFLICT (id) DO UPDATE SET name ' +
      '= excluded.name, screening_days = excluded.screening_days',
  ).run(g.id, g.name, g.screeningDays);
}
