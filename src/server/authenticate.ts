import 'server-only';
import { previousOpens, rotationDue, sessionState, type SessionState } from '@/core/account/session-state';
import type { Actor } from '@/contract/actor';
import type { Db } from '@/data/open-db';
import {
  findAccount,
  findSessionByToken,
  rotateToken,
  touchSession,
  type AccountSession,
} from '@/data/queries/accounts';
import { newToken, tokenDigest } from './secrets';

/** Use is noted no more often than this, so that reading costs no writing, milliseconds. */
const NOTED_EACH_MS = 60_000;
const TOKEN = /^[\w-]{43}$/;

/** A device that is signed in, and as whom; locked ones too: what they may do is for the caller to say. */
export interface SignedIn {
  readonly session: AccountSession;
  readonly actor: Actor;
  readonly state: Exclude<SessionState, 'over'>;
}

/** Who a device's token signs in; null for nobody. */
export function authenticate(db: Db, token: string | undefined, nowMs: number): SignedIn | null {
  if (token === undefined || !TOKEN.test(token)) return null;
  const session = findSessionByToken(db, tokenDigest(token));
  if (!session || (session.previous && !previousOpens(session, nowMs))) return null;
  const state = sessionState(session, nowMs);
  const account = findAccount(db, session.accountId);
  if (state === 'over' || !account || account.endedAtMs !== null) return null;
  return { session, actor: { id: account.id, name: account.name, role: account.role }, state };
}

/** That a device was used by its trainer; what a page asks for by itself is no use of it. */
export function noteUse(db: Db, { session, state }: SignedIn, nowMs: number): void {
  if (state === 'open' && Math.abs(nowMs - session.seenAtMs) >= NOTED_EACH_MS) touchSession(db, session.id, nowMs);
}

/** Another token where the one before is old enough; null where it is not. */
export function rotate(db: Db, { session }: SignedIn, nowMs: number): string | null {
  if (!rotationDue(session, nowMs)) return null;
  const token = newToken();
  rotateToken(db, session.id, tokenDigest(token), nowMs);
  return token;
}
