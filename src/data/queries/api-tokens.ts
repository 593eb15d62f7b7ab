import { API_SCOPES, type ApiScope } from '@/core/account/api-scope';
import { parseJson } from '@/contract/records/record';
import type { Db } from '../open-db';
import { prepared } from '../prepared';

/** A program's token without what it is known by. */
export interface ApiToken {
  readonly id: string;
  readonly accountId: string;
  readonly name: string;
  readonly scopes: readonly ApiScope[];
  readonly madeAtMs: number;
  readonly usedAtMs: number | null;
  readonly endedAtMs: number | null;
}

const TOKEN =
  'SELECT id, account_id AS accountId, name, scopes, made_at_ms AS madeAtMs, used_at_ms AS usedAtMs, ' +
  'ended_at_ms AS endedAtMs FROM api_token';

/** Scopes that a newer program wrote are none here. */
function toToken(row: unknown): ApiToken {
  const { scopes, ...token } = row as Omit<ApiToken, 'scopes'> & { scopes: string };
  const kept = parseJson(scopes);
  return { ...token, scopes: API_SCOPES.filter((s) => Array.isArray(kept) && kept.includes(s)) };
}

/** Keep a token that was made; `hash`: what it is known by. */
export function addToken(db: Db, t: Omit<ApiToken, 'usedAtMs' | 'endedAtMs'>, hash: string): void {
  prepared(
    db,
    'INSERT INTO api_token (id, account_id, name, token_hash, scopes, made_at_ms) VALUES (?, ?, ?, ?, ?, ?)',
  ).run(t.id, t.accountId, t.name, hash, JSON.stringify(t.scopes), t.madeAtMs);
}

/** A token by what it is known by; null where there is none, or it was ended. */
export function findToken(db: Db, hash: string): ApiToken | null {
  const row = prepared(db, `${TOKEN} WHERE token_hash = ? AND ended_at_ms IS NULL`).get(hash);
  return row ? toToken(row) : null;
}

/** An account's tokens that were not ended, newest first. */
export const listTokens = (db: Db, accountId: string): readonly ApiToken[] =>
  prepared(db, `${TOKEN} WHERE account_id = ? AND ended_at_ms IS NULL ORDER BY made_at_ms DESC, id`)
    .all(accountId)
    .map(toToken);

export function noteTokenUse(db: Db, id: string, nowMs: number): void {
  prepared(db, 'UPDATE api_token SET used_at_ms = ? WHERE id = ?').run(nowMs, id);
}

export function setTokenEnded(db: Db, id: string, nowMs: number): void {
  prepared(db, 'UPDATE api_token SET ended_at_ms = ? WHERE id = ?').run(nowMs, id);
}
