import 'server-only';
import { doneName } from '@/messages/book';
import { WORDS } from '@/messages/screens/pages';
import { findKit } from '@/data/queries/kit';
import { reachClient, reachItem, reachSession } from './reach';
import type { UseCase } from './use-case';

/** What a browser calls a page about nothing that is there. */
const NOTHING = WORDS.nothingOnThisSheet;

/** Whose set-up or set of what, for the title of its page; the place comes last. */
export function itemTitle(uc: UseCase, itemId: string, place: string): string {
  const found = reachItem(uc, itemId);
  if (!found) return NOTHING;
  const { movement, side } = found.item;
  return WORDS.placeOf(`${found.client.name}, ${doneName(movement, side)}`, place);
}

/** Whose sheet or ledger, for the title of its page. */
export function clientTitle(uc: UseCase, clientId: string, place: string): string {
  const client = reachClient(uc, clientId);
  return client ? WORDS.placeOf(client.name, place) : NOTHING;
}

/** Whose session, for the title of its page. */
export function sessionTitle(uc: UseCase, sessionId: string, place: string): string {
  const session = reachSession(uc, sessionId);
  return session ? clientTitle(uc, session.clientId, place) : NOTHING;
}

/** What a piece of kit is called, for the title of its page. */
export const pieceTitle = ({ db }: UseCase, pieceId: string): string => {
  const piece = findKit(db, pieceId);
  return piece ? WORDS.placeOf(piece.name, WORDS.kit) : NOTHING;
};
