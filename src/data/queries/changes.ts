import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** What can be changed. */
export type ChangeSubject =
  'client' | 'screening' | 'plan' | 'kit' | 'gym' | 'variant' | 'setup' | 'care' | 'account' | 'records';

/** What was changed at one place, from what to what: JSON, undefined where there was or is nothing. */
export interface Change {
  readonly subject: ChangeSubject;
  readonly subjectId: string;
  readonly clientId: string | null;
  readonly keys: readonly string[];
  readonly before: unknown;
  readonly after: unknown;
}

/** A change as it was kept: by whom and when. */
export interface KeptChange extends Change {
  readonly id: number;
  readonly atMs: number;
  readonly actorId: string;
}

const json = (value: unknown): string | null => (value === undefined ? null : JSON.stringify(value));

export function appendChanges(db: Db, changes: readonly Change[], actorId: string, nowMs: number): void {
  const add = db.prepare(
    `INSERT INTO change (at_ms, actor_id, subject, subject_id, client_id, path, before, after)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  for (const c of changes)
    add.run(
      ...[nowMs, actorId, c.subject, c.subjectId, c.clientId],
      ...[JSON.stringify(c.keys), json(c.before), json(c.after)],
    );
}

/** What everything that can be changed is called, by id. */
export const namesOfAll = (db: Db): ReadonlyMap<string, string> =>
  new Map(
    (
      db
        .prepare(
          'SELECT id, name FROM client UNION ALL SELECT id, name FROM gym UNION ALL SELECT id, name FROM kit_piece ' +
            'UNION ALL SELECT id, name FROM movement_variant UNION ALL SELECT id, name FROM account',
        )
        .all() as { id: string; name: string }[]
    ).map(({ id, name }) => [id, name]),
  );

/** When something of a client's sheet was last changed; null where nobody did since changes are kept. */
export const lastChanged = (db: Db, clientId: string, key: string): number | null =>
  (
    prepared(
      db,
      `SELECT max(at_ms) AS atMs FROM change
         WHERE client_id = ? AND subject = 'client' AND json_extract(path, '$[0]') = ?`,
    ).get(clientId, key) as { atMs: number | null }
  ).atMs;

/** Which changes: of one client or of all, before one, so many at most. */
export interface ChangesAsked {
  readonly clientId: string | null;
  readonly beforeId: number | null;
  readonly most: number;
}

/** Changes, newest first. */
export function listChanges(db: Db, { clientId, beforeId, most }: ChangesAsked): KeptChange[] {
  // Written for what is asked, so that a client's are found by their index and the newest of all by their number.
  const which = [
    ...(clientId === null ? [] : ['client_id = @clientId']),
    ...(beforeId === null ? [] : ['id < @beforeId']),
  ];
  const rows = prepared(
    db,
    `SELECT id, at_ms AS atMs, actor_id AS actorId, subject, subject_id AS subjectId, client_id AS clientId,
       path, before, after
     FROM change ${which.length > 0 ? `WHERE ${which.join(' AND ')}` : ''} ORDER BY id DESC LIMIT @most`,
  ).all({ clientId, beforeId, most }) as (Omit<KeptChange, 'keys' | 'before' | 'after'> & {
    path: string;
    before: string | null;
    after: string | null;
  })[];
  const value = (text: string | null): unknown => (text === null ? undefined : JSON.parse(text));
  return rows.map(({ path, before, after, ...rest }) => ({
    ...rest,
    keys: JSON.parse(path) as string[],
    before: value(before),
    after: value(after),
  }));
}
