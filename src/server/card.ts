import 'server-only';
import dayjs from 'dayjs';
import { buildCard, type CardModel } from '@/card/card-model';
import { cardPdf, cardsPdf } from '@/card/card-pdf';
import type { Session } from '@/contract/views/plan';
import { doneName } from '@/messages/book';
import { CARD_REFUSAL, CARDS } from '@/messages/card';
import { loadItem } from './item-context';
import { reachClient, reachSession, reachSessions } from './reach';
import { findSettings } from './settings';
import type { UseCase } from './use-case';

/** A card ready to be printed, or why there is none. */
export type CardReply = { readonly ok: true; readonly pdf: Buffer } | NoCard;

/** Why a planned movement has no card. */
type NoCard =
  | { readonly ok: false; readonly reason: 'not-planned' | 'outdated' }
  | { readonly ok: false; readonly reason: 'blocked'; readonly says: string };

function cardOf(uc: UseCase, itemId: string, origin: string): { readonly ok: true; readonly card: CardModel } | NoCard {
  const context = loadItem(uc, itemId);
  if (!context) return { ok: false, reason: 'not-planned' };
  const found = findSettings(uc, context);
  if (found.from === 'blocked') return { ok: false, reason: 'blocked', says: found.says };
  const posed = found.pose();
  if (!posed) return { ok: false, reason: 'outdated' };
  const { client, variant, station, attachment, band, unit } = context;
  const content = {
    client: client.name,
    variant,
    posed,
    placement: found.placement,
    station: station?.name ?? null,
    handle: (attachment ?? band)?.name ?? null,
    unit,
  };
  return { ok: true, card: buildCard(content, `${origin}/setup/${itemId}`) };
}

/**
 * The card of a planned movement as its settings stand, as a PDF. `origin`: where the device that asked reaches this
 * app; the code on the card opens the set-up there.
 */
export async function printCard(uc: UseCase, itemId: string, origin: string): Promise<CardReply> {
  const made = cardOf(uc, itemId, origin);
  return made.ok ? { ok: true, pdf: await cardPdf(made.card) } : made;
}

/** Lets others have their turn: a card may have to be solved first. */
const breath = (): Promise<void> => new Promise((resolve) => setImmediate(resolve));

/** The cards of some sessions in one PDF, a page each, and what has none with why; null where nothing is planned. */
async function printCards(uc: UseCase, sessions: readonly Session[], origin: string): Promise<Buffer | null> {
  const cards: CardModel[] = [];
  const without: string[] = [];
  for (const { clientId, calledOffAtMs, items } of sessions)
    for (const { id, movement, side } of calledOffAtMs === null ? items.filter((i) => i.skipped === null) : []) {
      await breath();
      const made = cardOf(uc, id, origin);
      if (made.ok) cards.push(made.card);
      const why = made.ok ? null : made.reason === 'blocked' ? made.says : CARD_REFUSAL[made.reason];
      const name = `${reachClient(uc, clientId)?.name ?? ''}: ${doneName(movement, side)}`;
      if (why !== null) without.push(CARDS.without(name, why));
    }
  return cards.length + without.length === 0 ? null : cardsPdf(cards, CARDS.title, CARDS.withoutTitle, without);
}

/** The cards of a session in one's care; null where there is none, or nothing in it. */
export async function printSessionCards(uc: UseCase, sessionId: string, origin: string): Promise<Buffer | null> {
  const session = reachSession(uc, sessionId);
  return session && printCards(uc, [session], origin);
}

/** The cards of a day's sessions in one's care, `day` like 2026-12-01; null where there are none. */
export async function printDayCards(uc: UseCase, day: string, origin: string): Promise<Buffer | null> {
  const start = dayjs(day);
  // A day that there is none of would be read as another one.
  if (!start.isValid() || start.format('YYYY-MM-DD') !== day) return null;
  return printCards(uc, reachSessions(uc, start.valueOf(), start.add(1, 'day').valueOf()), origin);
}
