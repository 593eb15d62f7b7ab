import { calibrateColumn, type HoleReading } from '@/core/kit/calibrate-column';
import type { Column, Room } from '@/core/kit/column';
import type { Db } from '../open-db';

export interface Station {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
  readonly column: Column;
  readonly room: Room;
  readonly readings: readonly HoleReading[];
  readonly stackG: readonly number[];
}

export interface Attachment {
  readonly id: string;
  readonly gymId: string;
  readonly name: string;
  readonly lengthM: number;
}

/** What is stored of a station; hole heights follow from its readings. */
export interface StationRecord extends Omit<Station, 'column'> {
  readonly column: Omit<Column, 'firstHoleM' | 'pitchM'>;
}

interface StationRow {
  id: string; gym_id: string; name: string; holes: number; numbered_from: 'bottom' | 'top'; twin_spacing_m: number;
  pulley_ratio: number; clearance_m: number; travel_m: number; min_distance_m: number; max_distance_m: number;
}

function toStation(db: Db, row: StationRow): Station {
  const readings = db.prepare('SELECT hole, height_m AS heightM FROM station_reading WHERE station_id = ? ORDER BY hole').all(row.id) as HoleReading[];
  const steps = db.prepare('SELECT load_g AS g FROM stack_step WHERE station_id = ? ORDER BY load_g').all(row.id) as { g: number }[];
  const fit = calibrateColumn(readings, row.holes, row.numbered_from);
  if (!fit.ok) throw new Error(`station ${row.id}: stored readings do not fit a column (${fit.reason})`);
  return {
    id: row.id,
    gymId: row.gym_id,
    name: row.name,
    column: {
      firstHoleM: fit.firstHoleM, pitchM: fit.pitchM, holes: row.holes, numberedFrom: row.numbered_from, twinSpacingM: row.twin_spacing_m,
      pulleyRatio: row.pulley_ratio, clearanceM: row.clearance_m, travelM: row.travel_m,
    },
    room: { minDistanceM: row.min_distance_m, maxDistanceM: row.max_distance_m },
    readings,
    stackG: steps.map((s) => s.g),
  };
}

export const listStations = (db: Db): Station[] => (db.prepare('SELECT * FROM station ORDER BY position, name').all() as StationRow[]).map((r) => toStation(db, r));

export function findStation(db: Db, id: string): Station | null {
  const row = db.prepare('SELECT * FROM station WHERE id = ?').get(id) as StationRow | undefined;
  return row ? toStation(db, row) : null;
}

/** Insert or replace a station with its readings and stack. */
export function saveStation(db: Db, s: StationRecord): void {
  db.transaction(() => {
    db.prepare(
      `INSERT INTO station (id, gym_id, name, holes, numbered_from, twin_spacing_m, pulley_ratio, clearance_m, travel_m, min_distance_m, max_distance_m, position)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, (SELECT count(*) FROM station))
       ON CONFLICT (id) DO UPDATE SET name = excluded.name, holes = excluded.holes, numbered_from = excluded.numbered_from,
         twin_spacing_m = excluded.twin_spacing_m, pulley_ratio = excluded.pulley_ratio, clearance_m = excluded.clearance_m,
         travel_m = excluded.travel_m, min_distance_m = excluded.min_distance_m, max_distance_m = excluded.max_distance_m`,
    ).run(s.id, s.gymId, s.name, s.column.holes, s.column.numberedFrom, s.column.twinSpacingM, s.column.pulleyRatio, s.column.clearanceM, s.column.travelM, s.room.minDistanceM, s.room.maxDistanceM);
    db.prepare('DELETE FROM station_reading WHERE station_id = ?').run(s.id);
    db.prepare('DELETE FROM stack_step WHERE station_id = ?').run(s.id);
    const reading = db.prepare('INSERT INTO station_reading (station_id, hole, height_m) VALUES (?, ?, ?)');
    for (const r of s.readings) reading.run(s.id, r.hole, r.heightM);
    const step = db.prepare('INSERT INTO stack_step (station_id, load_g) VALUES (?, ?)');
    for (const g of new Set(s.stackG)) step.run(s.id, g);
  })();
}

const ATTACHMENT = 'SELECT id, gym_id AS gymId, name, length_m AS lengthM FROM attachment';
export const listAttachments = (db: Db): Attachment[] => db.prepare(`${ATTACHMENT} ORDER BY position, name`).all() as Attachment[];
export const findAttachment = (db: Db, id: string): Attachment | null => (db.prepare(`${ATTACHMENT} WHERE id = ?`).get(id) as Attachment | undefined) ?? null;

export function saveAttachment(db: Db, a: Attachment): void {
  db.prepare(
    `INSERT INTO attachment (id, gym_id, name, length_m, position) VALUES (?, ?, ?, ?, (SELECT count(*) FROM attachment))
     ON CONFLICT (id) DO UPDATE SET name = excluded.name, length_m = excluded.length_m`,
  ).run(a.id, a.gymId, a.name, a.lengthM);
}

export interface Gym {
  readonly id: string;
  readonly name: string;
}
export const listGyms = (db: Db): Gym[] => db.prepare('SELECT id, name FROM gym ORDER BY name').all() as Gym[];
export const saveGym = (db: Db, g: Gym): void => void db.prepare('INSERT INTO gym (id, name) VALUES (?, ?) ON CONFLICT (id) DO UPDATE SET name = excluded.name').run(g.id, g.name);
