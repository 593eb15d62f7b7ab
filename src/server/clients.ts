import 'server-only';
import { randomUUID } from 'node:crypto';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { mergeSheet } from '@/core/record/merge-sheet';
import type { Side } from '@/core/body/side';
import { clientFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { Client, ClientView } from '@/contract/views/client';
import { findClient, listClients, saveClient } from '@/data/queries/clients';
import { collisionText } from '@/messages/sheets';
import { dayText } from './clock';
import { loadMeasuringGuide } from './measuring-guide';
import { loadScreening } from './screening';
import { loadSetupBook } from './setup-book';
import type { UseCase } from './use-case';

/** What a page says that it was opened with is a hint only: what is none is as if nothing had been said. */
const isObject = (opened: Client | null): opened is Client => typeof opened === 'object' && opened !== null;

/** What the form calls the parts of a client. */
const FORM_NAME: Readonly<Record<string, string>> = {
  statureM: 'statureCm',
  measuredM: 'measuredCm',
  range: 'rangeDeg',
};
const formPath = ([first = '', ...rest]: readonly string[]): string => [FORM_NAME[first] ?? first, ...rest].join('.');

/**
 * Check and keep a client sheet; a null id makes a new client. `opened`: the client as the sheet was opened with it, so
 * that what others changed since stays; what both changed is told and kept by neither until it is saved again.
 */
export function saveClientForm(
  { db, actor }: UseCase,
  id: string | null,
  typed: unknown,
  opened: Client | null = null,
): SaveResult<Client> {
  const parsed = clientFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { statureCm, measuredCm, rangeDeg, ...form } = parsed.data;
  const clientId = id ?? randomUUID();
  const path = (side: Side) => form.armPath[side].map((t) => ({ belowDeg: t.belowDeg, behindM: t.behindCm / 100 }));
  const client: Client = {
    ...form,
    id: clientId,
    statureM: statureCm / 100,
    measuredM: Object.fromEntries(
      MEASURE_NAMES.flatMap((n) => (measuredCm[n] === undefined ? [] : [[n, measuredCm[n] / 100]])),
    ),
    range: rangeDeg,
    notes:
      form.unfelt.length > 0 && !form.notes.includes('does-not-feel') ? [...form.notes, 'does-not-feel'] : form.notes,
    limits: form.limits.map(({ from, until, ...limit }) => ({ ...limit, fromDay: from, untilDay: until ?? null })),
    armPath: { left: path('left'), right: path('right') },
    chestLineDeg: form.chestLineDeg ?? null,
  };
  const theirs = id === null ? null : findClient(db, id);
  const { merged, collisions, next } = mergeSheet(
    isObject(opened) ? opened : (theirs ?? client),
    client,
    theirs ?? client,
  );
  if (collisions.length > 0)
    return { ok: false, issues: collisions.map((c) => ({ path: formPath(c.keys), message: collisionText(c) })), next };
  saveClient(db, merged, actor.id);
  return { ok: true, id: clientId, kept: merged };
}

/** Every client, by name. */
export const loadClients = ({ db }: UseCase): Client[] => listClients(db);

/** A client's sheet before there is a client. */
export const loadNewClient = ({ nowMs }: UseCase): Pick<ClientView, 'guide' | 'today'> => ({
  guide: { setups: 0, worth: [] },
  today: dayText(nowMs),
});

/** A client's whole sheet; null when there is none of that id. */
export function loadClient(uc: UseCase, id: string): ClientView | null {
  const client = findClient(uc.db, id);
  if (!client) return null;
  const { pages, unreadable } = loadSetupBook(uc, id);
  return {
    client,
    guide: loadMeasuringGuide(uc, id),
    setupBook: pages,
    screening: loadScreening(uc, id, null),
    today: dayText(uc.nowMs),
    unreadable,
  };
}
