import type { Care, Cover } from '@/core/account/care';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** A cover with who stands in for whom. */
export interface CoverRow extends Cover {
  readonly id: string;
  readonly clientId: string;
}

const COVER =
  'SELECT id, client_id AS clientId, account_id AS accountId, from_day AS fromDay, until_day AS untilDay, ' +
  'ended_at_ms IS NOT NULL AS ended FROM client_cover';
const toCover = (row: unknown): CoverRow => {
  const { ended, ...rest } = row as Omit<CoverRow, 'ended'> & { ended: number };
  return { ...rest, ended: ended === 1 };
};

/** Who cares for every client, by client. */
export function listCare(db: Db): ReadonlyMap<string, Care> {
  const clients = prepared(db, 'SELECT id, trainer_id AS trainerId FROM client').all() as {
    id: string;
    trainerId: string | null;
  }[];
  const covers = prepared(db, COVER).all().map(toCover);
  return new Map(
    clients.map(({ id, trainerId }) => [id, { trainerId, covers: covers.filter((c) => c.clientId === id) }]),
  );
}

/** Who cares for a client; null where there is none of that id. */
export function findCare(db: Db, clientId: string): Care<CoverRow> | null {
  const row = prepared(db, 'SELECT trainer_id AS trainerId FROM client WHERE id = ?').get(clientId) as
    { trainerId: string | null } | undefined;
  if (!row) return null;
  return { ...row, covers: prepared(db, `${COVER} WHERE client_id = ? ORDER BY rowid`).all(clientId).map(toCover) };
}

export function setTrainer(db: Db, clientId: string, accountId: string): void {
  db.prepare('UPDATE client SET trainer_id = ? WHERE id = ?').run(accountId, clientId);
}

export function addCover(db: Db, c: Omit<CoverRow, 'ended'>): void {
  db.prepare('INSERT INTO client_cover (id, client_id, account_id, from_day, until_day) VALUES (?, ?, ?, ?, ?)').run(
    c.id,
    c.clientId,
    c.accountId,
    c.fromDay,
    c.untilDay,
  );
}

export function endCover(db: Db, id: string, nowMs: number): void {
  db.prepare('UPDATE client_cover SET ended_at_ms = ? WHERE id = ? AND ended_at_ms IS NULL').run(nowMs, id);
}
