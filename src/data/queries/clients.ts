import type { ActiveRangeDeg, RangeName, Side } from '@/core/body/active-range';
import type { BodyInput, MeasuredM } from '@/core/body/body-model';
import type { Db } from '../open-db';

export interface Client extends BodyInput {
  readonly id: string;
  readonly name: string;
  readonly note: string;
  readonly range: ActiveRangeDeg;
}

interface ClientRow {
  id: string; name: string; stature_m: number; mass_kg: number; note: string;
}

function toClient(db: Db, row: ClientRow): Client {
  const measures = db.prepare('SELECT measure, value_m FROM client_measure WHERE client_id = ?').all(row.id) as { measure: string; value_m: number }[];
  const ranges = db.prepare('SELECT side, motion, value_deg FROM client_range WHERE client_id = ?').all(row.id) as { side: Side; motion: RangeName; value_deg: number }[];
  const range: Record<Side, Partial<Record<RangeName, number>>> = { left: {}, right: {} };
  for (const r of ranges) range[r.side][r.motion] = r.value_deg;
  return {
    id: row.id, name: row.name, note: row.note, statureM: row.stature_m, massKg: row.mass_kg, range,
    measuredM: Object.fromEntries(measures.map((m) => [m.measure, m.value_m])) as MeasuredM,
  };
}

export const listClients = (db: Db): Client[] => (db.prepare('SELECT * FROM client ORDER BY name').all() as ClientRow[]).map((r) => toClient(db, r));

export function findClient(db: Db, id: string): Client | null {
  const row = db.prepare('SELECT * FROM client WHERE id = ?').get(id) as ClientRow | undefined;
  return row ? toClient(db, row) : null;
}

/** Insert or replace a client with everything measured. */
export function saveClient(db: Db, c: Client): void {
  db.transaction(() => {
    db.prepare(
      `INSERT INTO client (id, name, stature_m, mass_kg, note) VALUES (?, ?, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, stature_m = excluded.stature_m, mass_kg = excluded.mass_kg, note = excluded.note`,
    ).run(c.id, c.name, c.statureM, c.massKg, c.note);
    db.prepare('DELETE FROM client_measure WHERE client_id = ?').run(c.id);
    db.prepare('DELETE FROM client_range WHERE client_id = ?').run(c.id);
    const measure = db.prepare('INSERT INTO client_measure (client_id, measure, value_m) VALUES (?, ?, ?)');
    for (const [name, m] of Object.entries(c.measuredM)) if (m !== undefined) measure.run(c.id, name, m);
    const range = db.prepare('INSERT INTO client_range (client_id, side, motion, value_deg) VALUES (?, ?, ?, ?)');
    for (const side of ['left', 'right'] as const) {
      for (const [motion, deg] of Object.entries(c.range[side] ?? {})) if (deg !== undefined) range.run(c.id, side, motion, deg);
    }
  })();
}
