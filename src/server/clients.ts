import type { SaidIn } from '@/core/units/as-spoken';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import 'server-only';
import { estimatedMassKg } from '@/core/body/estimated-mass';
import { MEASURE_NAMES } from '@/core/body/segment-ratios';
import { mergeSheet } from '@/core/record/merge-sheet';
import type { Side } from '@/core/body/side';
import { clientFormSchema } from '@/contract/client-form';
import { toFieldIssues } from '@/contract/field';
import type { SaveResult } from '@/contract/save-result';
import type { Client, ClientView } from '@/contract/views/client';
import { findClient, saveClient } from '@/data/queries/clients';
import { setTrainer } from '@/data/queries/care';
import { ACCOUNT_REFUSAL } from '@/messages/accounts';
import { collisionText } from '@/messages/sheets';
import { dayText } from './clock';
import { idFromKey } from './form-key';
import { loadCare } from './care';
import { keepChanges, loadHistory } from './changes';
import { loadMeasuringGuide } from './measuring-guide';
import { reachClient, reachClients } from './reach';
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
 * that what others changed since stays; what both changed is told and kept by neither until it is saved again. `key`:
 * what a new client's form is known by, so that one that is sent twice makes one client.
 */
export function saveClientForm(
  uc: UseCase,
  id: string | null,
  typed: unknown,
  opened: Client | null = null,
  key: unknown = null,
): SaveResult<Client> {
  const { db, actor } = uc;
  const parsed = clientFormSchema.safeParse(typed);
  if (!parsed.success) return { ok: false, issues: toFieldIssues(parsed.error) };
  const { statureCm, measuredCm, rangeDeg, ...form } = parsed.data;
  const clientId = id ?? idFromKey(key);
  const path = (side: Side) => form.armPath[side].map((t) => ({ belowDeg: t.belowDeg, behindM: t.behindCm / 100 }));
  const client: Client = {
    ...form,
    id: clientId,
    statureM: statureCm / 100,
    massKg: form.massKg ?? estimatedMassKg(statureCm / 100),
    massEstimated: form.massKg === undefined,
    saidIn: form.saidIn ?? null,
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
  const theirs = reachClient(uc, clientId);
  if (!theirs && findClient(db, clientId))
    return { ok: false, issues: [{ path: 'name', message: ACCOUNT_REFUSAL.noClient }] };
  const { merged, collisions, next } = mergeSheet(
    isObject(opened) ? opened : (theirs ?? client),
    client,
    theirs ?? client,
  );
  if (collisions.length > 0)
    return { ok: false, issues: collisions.map((c) => ({ path: formPath(c.keys), message: collisionText(c) })), next };
  inTransaction(db, () => {
    saveClient(db, merged, actor.id);
    // Who enters a client cares for them, until they are given to somebody else.
    if (!theirs) setTrainer(db, clientId, actor.id);
    keepChanges(uc, { subject: 'client', subjectId: clientId, clientId }, theirs ?? undefined, merged);
  });
  return { ok: true, id: clientId, kept: merged };
}

/** How lengths are said in the gym that is opened with. */
const saidInGym = (db: UseCase['db']): SaidIn => listGyms(db)[0]?.saidIn ?? 'metric';

/** Every client, by name. */
export const loadClients = (uc: UseCase): Client[] => reachClients(uc);

/** A client's sheet before there is a client. */
export const loadNewClient = ({ db, nowMs }: UseCase): Pick<ClientView, 'guide' | 'today' | 'gymSaidIn'> => ({
  guide: { setups: 0, worth: [] },
  today: dayText(nowMs),
  gymSaidIn: saidInGym(db),
});

/** A client's whole sheet; null when there is none of that id. */
export function loadClient(uc: UseCase, id: string): ClientView | null {
  const client = reachClient(uc, id);
  if (!client) return null;
  const { pages, unreadable } = loadSetupBook(uc, id);
  return {
    client,
    guide: loadMeasuringGuide(uc, id),
    setupBook: pages,
    screening: loadScreening(uc, id, null),
    care: loadCare(uc, id),
    mayErase: uc.actor.role === 'owner',
    history: loadHistory(uc, id),
    today: dayText(uc.nowMs),
    gymSaidIn: saidInGym(uc.db),
    unreadable,
  };
}
