import type { PackedTrace } from '@/core/trace/pack-trace';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Sets of some planned movements that a trace is kept of. */
export const tracedSets = (db: Db, itemIds: readonly string[]): ReadonlySet<string> =>
  new Set(
    prepared(
      db,
      `SELECT json_extract(e.body, '$.setId')
       FROM json_each(?) CROSS JOIN floor_event e ON e.item_id = json_each.value AND e.kind = 'trace'`,
    )
      .pluck()
      .all(JSON.stringify(itemIds)) as string[],
  );

/** The trace of a set that came last; null where none is kept. */
export const findTrace = (db: Db, itemId: string, setId: string): PackedTrace | null =>
  (prepared(
    db,
    `SELECT json_extract(body, '$.hz') AS hz, json_extract(body, '$.data') AS data FROM floor_event
     WHERE item_id = ? AND kind = 'trace' AND json_extract(body, '$.setId') = ? ORDER BY rowid DESC LIMIT 1`,
  ).get(itemId, setId) as PackedTrace | undefined) ?? null;
