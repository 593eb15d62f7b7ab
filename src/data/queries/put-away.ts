import type { PutAwayKind, PutAwayThing } from '@/contract/views/put-away';
import type { Db } from '../open-db';

const TABLE: Readonly<Record<PutAwayKind, string>> = { client: 'client', piece: 'kit_piece', gym: 'gym' };

/** What of a kind is put away, by name. */
export const listPutAway = (db: Db, kind: PutAwayKind): PutAwayThing[] =>
  (
    db
      .prepare(`SELECT id, name FROM ${TABLE[kind]} WHERE put_away_at_ms IS NOT NULL ORDER BY name COLLATE NOCASE`)
      .all() as { id: string; name: string }[]
  ).map((row) => ({ kind, ...row }));

/** Whether something is put away; null when there is none of that id. */
export function isPutAway(db: Db, kind: PutAwayKind, id: string): boolean | null {
  const row = db.prepare(`SELECT put_away_at_ms AS atMs FROM ${TABLE[kind]} WHERE id = ?`).get(id) as
    { atMs: number | null } | undefined;
  return row ? row.atMs !== null : null;
}

/** Put something away at a time, or take it back with null. */
export const setPutAway = (db: Db, kind: PutAwayKind, id: string, atMs: number | null): void =>
  void db.prepare(`UPDATE ${TABLE[kind]} SET put_away_at_ms = ? WHERE id = ?`).run(atMs, id);
