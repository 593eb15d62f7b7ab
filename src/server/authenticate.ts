import 'server-only';
import { changeOver, rotationDue, sessionState, type SessionState } from '@/core/account/session-state';
import type { Actor } from '@/contract/actor';
import type { Db } from '@/data/open-db';
import {
  findAccount,
  findSessionByToken,
  forgetPreviousToken,
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
  /** What it was known by, and whether that is the token before the newest one. */
  readonly digest: string;
  readonly previous: boolean;
  readonly actor: Actor;
  readonly state: Exclude<SessionState, 'over'>;
}

/**
 * Who a device's token signs in; null for nobody. Another token may be lost on its way to the device: the one before
 * opens until the new one is brought, and a minute longer for what was under way.
 */
export function authenticate(db: Db, token: string | undefined, nowMs: number): SignedIn | null {
  if (token === undefined || !TOKEN.test(token)) return null;
  const digest = tokenDigest(token);
  const session = findSessionByToken(db, digest);
  if (!session) return null;
  const { previous } = session;
  const state = sessionState(session, nowMs);
  const account = findAccount(db, session.accountId);
  if (state === 'over' || !account || account.endedAtMs !== null) return null;
  if (!previous && session.changing && changeOver(session, nowMs)) forgetPreviousToken(db, session.id);
  return { session, digest, previous, actor: { id: account.id, name: account.name, role: account.role }, state };
}

/** That a device was used by its trainer; what a page asks for by itself is no use of it. */
export function noteUse(db: Db, { session, state }: SignedIn, nowMs: number): void {
  if (state === 'open' && Math.abs(nowMs - session.seenAtMs) >= NOTED_EACH_MS) touchSession(db, session.id, nowMs);
}

/** Another token where the one before is old enough, or the newer one was lost on its way; null otherwise. */
export function rotate(db: Db, { session, digest, previous }: SignedIn, nowMs: number): string | null {
  const lost = previous && changeOver(session, nowMs);
  if (!lost && !rotationDue(session, nowMs)) return null;
  const token = newToken();
  rotateToken(db, session.id, { to: tokenDigest(token), from: digest }, nowMs);
  return token;
}
