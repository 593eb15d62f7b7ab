import type { Role } from '@/core/account/care';
import { TRY_COUNTS_MS } from '@/core/account/sign-in-limit';
import type { SessionTimes } from '@/core/account/session-state';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** Somebody who may sign in, with what their passphrase is checked against. */
export interface Account {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
  /** Argon2id; null where nobody signs in with a passphrase. */
  readonly passphraseHash: string | null;
  readonly endedAtMs: number | null;
}

/** A signed-in device. */
export interface AccountSession extends SessionTimes {
  readonly id: string;
  readonly accountId: string;
  readonly device: string;
  readonly pinHash: string | null;
  readonly pinTries: number;
  /** 1 while the token before still opens. */
  readonly changing: 0 | 1;
}

const ACCOUNT = 'SELECT id, name, role, passphrase_hash AS passphraseHash, ended_at_ms AS endedAtMs FROM account';
const SESSION =
  'SELECT id, account_id AS accountId, device, begun_at_ms AS begunAtMs, rotated_at_ms AS rotatedAtMs, ' +
  'seen_at_ms AS seenAtMs, ended_at_ms AS endedAtMs, pin_hash AS pinHash, pin_tries AS pinTries, ' +
  'previous_hash IS NOT NULL AS changing FROM account_session';

/** Everybody, by name; those who have ended too, since records carry their names. */
export const listAccounts = (db: Db): Account[] => db.prepare(`${ACCOUNT} ORDER BY name`).all() as Account[];

export const findAccount = (db: Db, id: string): Account | null =>
  (prepared(db, `${ACCOUNT} WHERE id = ?`).get(id) as Account | undefined) ?? null;

export const findAccountByName = (db: Db, name: string): Account | null =>
  (db.prepare(`${ACCOUNT} WHERE name = ?`).get(name) as Account | undefined) ?? null;

export function addAccount(db: Db, a: Omit<Account, 'endedAtMs'>): void {
  db.prepare('INSERT INTO account (id, name, role, passphrase_hash) VALUES (?, ?, ?, ?)').run(
    ...[a.id, a.name, a.role, a.passphraseHash],
  );
}

export function setPassphrase(db: Db, id: string, hash: string): void {
  db.prepare('UPDATE account SET passphrase_hash = ? WHERE id = ?').run(hash, id);
}

/** An ended account signs in no more, on any device; null lets it in again. */
export function setAccountEnded(db: Db, id: string, endedAtMs: number | null): void {
  db.prepare('UPDATE account SET ended_at_ms = ? WHERE id = ?').run(endedAtMs, id);
  if (endedAtMs !== null) endSessionsOf(db, id, null, endedAtMs);
}

/** A device by the digest of its token, or of the one before. */
export function findSessionByToken(db: Db, hash: string): (AccountSession & { readonly previous: boolean }) | null {
  const row = prepared(
    db,
    `${SESSION.replace(' FROM', ', token_hash <> @hash AS previous FROM')}
       WHERE token_hash = @hash OR previous_hash = @hash`,
  ).get({ hash }) as (AccountSession & { previous: number }) | undefined;
  return row ? { ...row, previous: row.previous === 1 } : null;
}

/** Devices of an account that are signed in, the last used first. */
export const listAccountSessions = (db: Db, accountId: string): AccountSession[] =>
  db
    .prepare(`${SESSION} WHERE account_id = ? AND ended_at_ms IS NULL ORDER BY seen_at_ms DESC`)
    .all(accountId) as AccountSession[];

export const findAccountSession = (db: Db, id: string): AccountSession | null =>
  (prepared(db, `${SESSION} WHERE id = ?`).get(id) as AccountSession | undefined) ?? null;

export function addAccountSession(
  db: Db,
  s: { readonly id: string; readonly accountId: string; readonly device: string; readonly tokenHash: string },
  nowMs: number,
): void {
  db.prepare(
    `INSERT INTO account_session (id, account_id, token_hash, device, begun_at_ms, rotated_at_ms, seen_at_ms)
     VALUES (?, ?, ?, ?, ?, ?, ?)`,
  ).run(s.id, s.accountId, s.tokenHash, s.device, nowMs, nowMs, nowMs);
}

/** The token is another one from now on; the one that was brought opens until the new one is brought. */
export function rotateToken(
  db: Db,
  id: string,
  { to, from }: { readonly to: string; readonly from: string },
  nowMs: number,
): void {
  db.prepare('UPDATE account_session SET previous_hash = ?, token_hash = ?, rotated_at_ms = ? WHERE id = ?').run(
    from,
    to,
    nowMs,
    id,
  );
}

/** The new token has arrived: the one before opens no more. */
export function forgetPreviousToken(db: Db, id: string): void {
  db.prepare('UPDATE account_session SET previous_hash = NULL WHERE id = ?').run(id);
}

export function touchSession(db: Db, id: string, nowMs: number): void {
  db.prepare('UPDATE account_session SET seen_at_ms = ? WHERE id = ?').run(nowMs, id);
}

export function setPin(db: Db, id: string, hash: string | null): void {
  db.prepare('UPDATE account_session SET pin_hash = ?, pin_tries = 0 WHERE id = ?').run(hash, id);
}

export function setPinTries(db: Db, id: string, tries: number): void {
  db.prepare('UPDATE account_session SET pin_tries = ? WHERE id = ?').run(tries, id);
}

export function endSession(db: Db, id: string, nowMs: number): void {
  db.prepare('UPDATE account_session SET ended_at_ms = ? WHERE id = ? AND ended_at_ms IS NULL').run(nowMs, id);
}

/** Sign out every device of an account but one. */
export function endSessionsOf(db: Db, accountId: string, butId: string | null, nowMs: number): void {
  db.prepare(
    'UPDATE account_session SET ended_at_ms = ? WHERE account_id = ? AND id IS NOT ? AND ended_at_ms IS NULL',
  ).run(nowMs, accountId, butId);
}

/** When signing in under a name, or from a place, failed, milliseconds. */
export const failedTries = (db: Db, by: 'name' | 'place', value: string): number[] =>
  (db.prepare(`SELECT at_ms AS atMs FROM sign_in_try WHERE ${by} = ?`).all(value) as { atMs: number }[]).map(
    (t) => t.atMs,
  );

export function addFailedTry(db: Db, name: string, place: string, nowMs: number): void {
  db.prepare('DELETE FROM sign_in_try WHERE at_ms < ?').run(nowMs - TRY_COUNTS_MS);
  db.prepare('INSERT INTO sign_in_try (name, place, at_ms) VALUES (?, ?, ?)').run(name, place, nowMs);
}

/** Signed in after all: what failed under the name before counts no more. */
export function forgetTries(db: Db, name: string): void {
  db.prepare('DELETE FROM sign_in_try WHERE name = ?').run(name);
}

/** Sign out every device of everybody. */
export function endAllSessions(db: Db, nowMs: number): void {
  db.prepare('UPDATE account_session SET ended_at_ms = ? WHERE ended_at_ms IS NULL').run(nowMs);
}
