import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** How a spreadsheet with these headers was read before, as JSON; null where none was. */
export const findReading = (db: Db, headers: string): string | null =>
  (prepared(db, 'SELECT reading FROM sheet_reading WHERE headers = ?').pluck().get(headers) as string | undefined) ??
  null;

/** Keep how a spreadsheet is read. */
export const keepReading = (db: Db, headers: string, reading: string, actorId: string, atMs: number): void =>
  void prepared(
    db,
    `INSERT INTO sheet_reading (headers, reading, actor_id, at_ms) VALUES (?, ?, ?, ?)
     ON CONFLICT (headers)
       DO UPDATE SET reading = excluded.reading, actor_id = excluded.actor_id, at_ms = excluded.at_ms`,
  ).run(headers, reading, actorId, atMs);

/** A name in a spreadsheet and what it stands for: a movement's id or a client's. */
export interface SheetName {
  readonly said: string;
  readonly means: string;
}

/** What a name can stand for, by the column that holds it. */
const MEANS = { movements: 'movement', clients: 'client_id' } as const;

/** Names that were matched before. */
export const listSheetNames = (db: Db, of: keyof typeof MEANS): readonly SheetName[] =>
  prepared(
    db,
    `SELECT said, ${MEANS[of]} AS means FROM sheet_name WHERE ${MEANS[of]} IS NOT NULL`,
  ).all() as SheetName[];

/** Keep what a name stands for; an empty `means` forgets it. */
export function keepSheetName(db: Db, of: keyof typeof MEANS, { said, means }: SheetName, by: string, atMs: number) {
  const column = MEANS[of];
  prepared(db, `DELETE FROM sheet_name WHERE said = ? AND ${column} IS NOT NULL`).run(said);
  if (means !== '')
    prepared(db, `INSERT INTO sheet_name (said, ${column}, actor_id, at_ms) VALUES (?, ?, ?, ?)`).run(
      ...[said, means, by, atMs],
    );
}

/** Whether sets of a movement are on record for a client and a day under another planned movement than this one. */
export const hasOtherSets = (
  db: Db,
  of: { clientId: string; fromMs: number; untilMs: number; movement: string; side: string; itemId: string },
): boolean =>
  prepared(
    db,
    `SELECT 1 FROM session n JOIN session_item i ON i.session_id = n.id
     WHERE n.client_id = :clientId AND n.starts_at_ms >= :fromMs AND n.starts_at_ms < :untilMs
       AND i.movement = :movement AND i.side = :side AND i.id <> :itemId
       AND EXISTS (SELECT 1 FROM floor_event e WHERE e.item_id = i.id AND e.kind = 'set-started')
     LIMIT 1`,
  ).get(of) !== undefined;
