import 'server-only';
import { buildCard } from '@/card/card-model';
import { cardPdf } from '@/card/card-pdf';
import { loadItem } from './item-context';
import { findSettings } from './settings';
import type { UseCase } from './use-case';

/** A card ready to be printed, or why there is none. */
export type CardReply =
  | { readonly ok: true; readonly pdf: Buffer }
  | { readonly ok: false; readonly reason: 'not-planned' | 'outdated' }
  | { readonly ok: false; readonly reason: 'blocked'; readonly says: string };

/**
 * The card of a planned movement as its settings stand, as a PDF. `origin`: where the device that asked reaches this
 * app; the code on the card opens the set-up there.
 */
export async function printCard(uc: UseCase, itemId: string, origin: string): Promise<CardReply> {
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
  return { ok: true, pdf: await cardPdf(buildCard(content, `${origin}/setup/${itemId}`)) };
}
