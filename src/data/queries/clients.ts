import type { SaidIn } from '@/core/units/as-spoken';
import type { Side } from '@/core/body/side';
import type { RangeName } from '@/core/body/active-range';
import type { ArmPathTrial } from '@/core/body/arm-path-test';
import type { MeasuredM } from '@/core/body/body-model';
import type { ClientNote } from '@/core/body/client-note';
import type { ClinicianLimit } from '@/core/body/clinician-limit';
import type { Region } from '@/core/body/region-line';
import type { Screening } from '@/core/body/screening';
import { groupBy } from '@/core/record/group-by';
import type { Client } from '@/contract/views/client';
import type { Db } from '../open-db';
import { prepared } from '../prepared';
import { inTransaction } from '../in-transaction';

interface ClientRow {
  id: string;
  name: string;
  stature_m: number;
  mass_kg: number;
  mass_estimated: number;
  note: string;
  chest_line_deg: number | null;
  said_in: SaidIn | null;
}

/** What hangs on a client. */
type Of<T> = T & { readonly clientId: string };

/** Clients with everything that hangs on them, read at once for all of them. */
function toClients(db: Db, rows: readonly ClientRow[]): Client[] {
  const ids = JSON.stringify(rows.map((r) => r.id));
  const all = <T>(columns: string, table: string, order = ''): ReadonlyMap<string, readonly Of<T>[]> =>
    groupBy(
      prepared(
        db,
        `SELECT client_id AS clientId, ${columns}
         FROM json_each(?) CROSS JOIN ${table} ON client_id = json_each.value ${order}`,
      ).all(ids) as Of<T>[],
      (r) => r.clientId,
    );
  const measures = all<{ measure: string; value_m: number }>('measure, value_m', 'client_measure');
  const ranges = all<{ side: Side; motion: RangeName; value_deg: number }>('side, motion, value_deg', 'client_range');
  const notes = all<{ note: ClientNote; detail: string }>('note, detail', 'client_note', 'ORDER BY note, detail');
  const trials = all<ArmPathTrial & { side: Side }>(
    'side, below_deg AS belowDeg, behind_m AS behindM',
    'client_arm_path',
    'ORDER BY below_deg',
  );
  const limits = all<ClinicianLimit>(
    'subject, side, most, set_by AS setBy, from_day AS fromDay, until_day AS untilDay',
    'client_limit',
    'ORDER BY position',
  );
  return rows.map((row): Client => {
    const of = <T>(kept: ReadonlyMap<string, readonly T[]>): readonly T[] => kept.get(row.id) ?? [];
    const range: Record<Side, Partial<Record<RangeName, number>>> = { left: {}, right: {} };
    for (const r of of(ranges)) range[r.side][r.motion] = r.value_deg;
    const path = (side: Side): ArmPathTrial[] =>
      of(trials)
        .filter((t) => t.side === side)
        .map(({ belowDeg, behindM }) => ({ belowDeg, behindM }));
    return {
      id: row.id,
      name: row.name,
      note: row.note,
      statureM: row.stature_m,
      massKg: row.mass_kg,
      massEstimated: row.mass_estimated === 1,
      saidIn: row.said_in,
      range,
      chestLineDeg: row.chest_line_deg,
      measuredM: Object.fromEntries(of(measures).map((m) => [m.measure, m.value_m])) as MeasuredM,
      notes: [...new Set(of(notes).map((n) => n.note))],
      unfelt: of(notes).flatMap((n) => (n.note === 'does-not-feel' && n.detail !== '' ? [n.detail as Region] : [])),
      limits: of(limits).map(({ subject, side, most, setBy, fromDay, untilDay }) => ({
        ...{ subject, side, most, setBy, fromDay, untilDay },
      })),
      armPath: { left: path('left'), right: path('right') },
    };
  });
}

/** Clients that are not put away, by name. */
export const listClients = (db: Db): Client[] =>
  toClients(db, prepared(db, 'SELECT * FROM client WHERE put_away_at_ms IS NULL ORDER BY name').all() as ClientRow[]);

/** Some clients, by their id; those that are not there are left out. */
export const findClients = (db: Db, ids: readonly string[]): ReadonlyMap<string, Client> =>
  new Map(
    toClients(
      db,
      prepared(db, 'SELECT * FROM client WHERE id IN (SELECT value FROM json_each(?))').all(
        JSON.stringify(ids),
      ) as ClientRow[],
    ).map((c) => [c.id, c]),
  );

export const findClient = (db: Db, id: string): Client | null => findClients(db, [id]).get(id) ?? null;

/** Insert or replace a client with everything measured, noted and limited; `actorId`: who did. */
export function saveClient(db: Db, c: Client, actorId: string): void {
  inTransaction(db, () => {
    db.prepare(
      `INSERT INTO client (id, name, stature_m, mass_kg, mass_estimated, note, chest_line_deg, said_in, actor_id)
       VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)
       ON CONFLICT (id) DO UPDATE SET name = excluded.name,
         stature_m = excluded.stature_m, mass_kg = excluded.mass_kg, mass_estimated = excluded.mass_estimated,
         note = excluded.note, chest_line_deg = excluded.chest_line_deg, said_in = excluded.said_in,
         actor_id = excluded.actor_id`,
    ).run(c.id, c.name, c.statureM, c.massKg, c.massEstimated ? 1 : 0, c.note, c.chestLineDeg, c.saidIn, actorId);
    for (const table of ['client_measure', 'client_range', 'client_note', 'client_limit', 'client_arm_path'])
      db.prepare(`DELETE FROM ${table} WHERE client_id = ?`).run(c.id);
    const measure = db.prepare('INSERT INTO client_measure (client_id, measure, value_m) VALUES (?, ?, ?)');
    for (const [name, m] of Object.entries(c.measuredM)) if (m !== undefined) measure.run(c.id, name, m);
    const range = db.prepare('INSERT INTO client_range (client_id, side, motion, value_deg) VALUES (?, ?, ?, ?)');
    const trial = db.prepare('INSERT INTO client_arm_path (client_id, side, below_deg, behind_m) VALUES (?, ?, ?, ?)');
    for (const side of ['left', 'right'] as const) {
      for (const [motion, deg] of Object.entries(c.range[side] ?? {}))
        if (deg !== undefined) range.run(c.id, side, motion, deg);
      for (const t of c.armPath[side]) trial.run(c.id, side, t.belowDeg, t.behindM);
    }
    const note = db.prepare('INSERT INTO client_note (client_id, note, detail) VALUES (?, ?, ?)');
    for (const n of c.notes) if (n !== 'does-not-feel' || c.unfelt.length === 0) note.run(c.id, n, '');
    for (const region of c.unfelt) note.run(c.id, 'does-not-feel', region);
    const limit = db.prepare(
      'INSERT INTO client_limit (client_id, position, subject, side, most, set_by, from_day, ' +
        'until_day) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    );
    c.limits.forEach((l, i) => limit.run(c.id, i, l.subject, l.side, l.most, l.setBy, l.fromDay, l.untilDay));
  });
}

/** The newest screening on record; null when there is none. */
export function findScreening(db: Db, clientId: string): Screening | null {
  const row = prepared(
    db,
    'SELECT day, done_by AS doneBy, procedure FROM screening WHERE client_id = ? ORDER BY day DESC, ' +
      'recorded_at_ms DESC LIMIT 1',
  ).get(clientId);
  return (row as Screening | undefined) ?? null;
}

/** A screening as it is appended: by whom and when it was entered. */
export interface ScreeningRow extends Screening {
  readonly id: string;
  readonly clientId: string;
  readonly actorId: string;
  readonly recordedAtMs: number;
}

/** Whether a screening of that id is on record. */
export const hasScreening = (db: Db, id: string): boolean =>
  prepared(db, 'SELECT 1 FROM screening WHERE id = ?').get(id) !== undefined;

export function appendScreening(db: Db, s: ScreeningRow): void {
  db.prepare(
    `INSERT INTO screening (id, client_id, day, done_by, procedure, recorded_at_ms, actor_id)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(s.id, s.clientId, s.day, s.doneBy, s.procedure, s.recordedAtMs, s.actorId);
}

/** The id of a client by this name, whatever its case; null where there is none. */
export const findClientNamed = (db: Db, name: string): string | null =>
  (prepared(db, 'SELECT id FROM client WHERE name = ? COLLATE NOCASE').pluck().get(name) as string | undefined) ?? null;
