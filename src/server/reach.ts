import 'server-only';
import { mayHandOver, reachesClient, type Care } from '@/core/account/care';
import type { Client } from '@/contract/views/client';
import type { Session, SessionItem } from '@/contract/views/plan';
import { openSets, type OpenSet } from '@/data/queries/read-folds';
import { findCare, listCare } from '@/data/queries/care';
import { findClient, findClients, listClients } from '@/data/queries/clients';
import {
  findItem,
  findSession,
  findTogether,
  listSessions,
  listSessionsOf,
  listSessionsWith,
} from '@/data/queries/sessions';
import { dayOf, toLocalDay } from './clock';
import type { UseCase } from './use-case';

/*
 * The one place where it is decided whose clients somebody sees. Every other use case finds clients, sessions and
 * planned movements through here (test/imports), so that what is not in somebody's care is as if it were not
 * there.
 */

/** Nobody's yet: only the owner has them. */
const NOBODYS: Care = { trainerId: null, covers: [] };

/** Whether who asks sees a client and records for them on the day of a time. */
export function reaches({ db, actor }: Pick<UseCase, 'db' | 'actor'>, clientId: string, atMs: number): boolean {
  return reachesClient(actor, findCare(db, clientId) ?? NOBODYS, toLocalDay(atMs));
}

/** Whether who asks may give a client to another trainer. */
export const handsOver = ({ db, actor }: UseCase, clientId: string): boolean =>
  mayHandOver(actor, findCare(db, clientId) ?? NOBODYS);

/** A client in somebody's care; null where there is none of that id, or none of theirs. */
export const reachClient = (uc: UseCase, id: string): Client | null =>
  reaches(uc, id, uc.nowMs) ? findClient(uc.db, id) : null;

function ownIds({ db, actor, nowMs }: UseCase): (id: string) => boolean {
  const care = listCare(db);
  const today = toLocalDay(nowMs);
  return (id) => reachesClient(actor, care.get(id) ?? NOBODYS, today);
}

/** Every client in somebody's care, by name. */
export function reachClients(uc: UseCase): Client[] {
  const own = ownIds(uc);
  return listClients(uc.db).filter((c) => own(c.id));
}

/** Those of some clients that are in somebody's care, by their id. */
export function reachClientsOf(uc: UseCase, ids: readonly string[]): ReadonlyMap<string, Client> {
  const own = ownIds(uc);
  return findClients(uc.db, [...new Set(ids)].filter(own));
}

/** Sessions of clients in somebody's care that start in [fromMs, toMs), earliest first. */
export function reachSessions(uc: UseCase, fromMs: number, toMs: number): Session[] {
  const own = ownIds(uc);
  return listSessions(uc.db, fromMs, toMs, own);
}

/**
 * What is seen of the sessions of clients in nobody's care who asks that start in [fromMs, toMs): only when and on
 * which stations, which everybody on the floor sees anyway.
 */
export function othersOnFloor<T>(uc: UseCase, fromMs: number, toMs: number, see: (sessions: Session[]) => T): T {
  const own = ownIds(uc);
  return see(listSessions(uc.db, fromMs, toMs, (id) => !own(id)));
}

/** Sets of clients in somebody's care that were begun before a time and not ended, newest first. */
export function reachOpenSets(uc: UseCase, beforeMs: number, most: number): readonly OpenSet[] {
  const own = ownIds(uc);
  return openSets(uc.db, beforeMs, most).filter((s) => own(s.clientId));
}

/** A client's newest sessions up to the end of today, newest first; none of a client of somebody else's. */
export const reachSessionsOf = (uc: UseCase, clientId: string, most: number): Session[] =>
  reaches(uc, clientId, uc.nowMs) ? listSessionsOf(uc.db, clientId, most, dayOf(uc.nowMs).toMs) : [];

/** A client's sessions in which some movements were planned; none of a client of somebody else's. */
export const reachSessionsWith = (uc: UseCase, clientId: string, itemIds: readonly string[]): Session[] =>
  reaches(uc, clientId, uc.nowMs) ? listSessionsWith(uc.db, clientId, itemIds) : [];

/** A session of a client in somebody's care; null where there is none of that id, or none of theirs. */
export function reachSession(uc: UseCase, id: string): Session | null {
  const session = findSession(uc.db, id);
  return session && reaches(uc, session.clientId, uc.nowMs) ? session : null;
}

/** The other session of two that are trained together, of a client in somebody's care; null where there is none. */
export function reachTogether(uc: UseCase, session: Session): Session | null {
  const other = findTogether(uc.db, session);
  return other && reaches(uc, other.clientId, uc.nowMs) ? other : null;
}

/** A planned movement with its session and client. */
export interface ReachedItem {
  readonly item: SessionItem;
  readonly session: Session;
  readonly client: Client;
}

/** A planned movement; null where there is none of that id, or none in somebody's care. */
export function reachItem(uc: UseCase, itemId: string): ReachedItem | null {
  const item = findItem(uc.db, itemId);
  const session = item && findSession(uc.db, item.sessionId);
  const client = session && reachClient(uc, session.clientId);
  return client ? { item, session, client } : null;
}
