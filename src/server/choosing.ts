import 'server-only';
import { buildBody, type BodyInput } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import { limitRange, limitsOn } from '@/core/body/clinician-limit';
import type { ChooseInput } from '@/core/book/choose';
import { NO_STANDING } from '@/core/book/standing-practice';
import { NO_FIT } from '@/core/book/client-fit';
import type { Question } from '@/core/book/question';
import type { Client } from '@/contract/views/client';
import type { ChoosingView } from '@/contract/views/choosing';
import { listGyms } from '@/data/queries/gyms';
import { listKit } from '@/data/queries/kit';
import { standingOf } from '@/data/queries/practice-choices';
import { listVariants } from '@/data/queries/variants';
import { fitOf } from './client-fit';
import { toLocalDay } from './clock';
import { gymKit, stationKit } from './gym-kit';
import { reachClient, reachClients } from './reach';
import type { UseCase } from './use-case';

/** Nobody chosen: the ratios' own body of middle height. */
const ANYBODY: BodyInput = { statureM: 1.75, massKg: 75, measuredM: {} };

/** What a client's range and notes let be chosen on the day of now; of nobody, everything. */
const rangeOf = ({ nowMs }: Pick<UseCase, 'nowMs'>, client: Client | null): Question['range'] => ({
  active: client?.range ?? {},
  limits: client ? limitRange(limitsOn(client.limits, toLocalDay(nowMs))) : {},
  stopLevel: client ? noteDefaults(client.notes).stopLevel : false,
  fit: client ? fitOf(client) : NO_FIT,
});

/** What movements are chosen by for a client in a gym. */
export const choosingFor = (uc: UseCase, client: Client, gymId: string): ChooseInput => ({
  body: buildBody(client),
  range: rangeOf(uc, client),
  notes: client.notes,
  kit: stationKit(uc.db, gymId),
  gym: gymKit(uc.db, gymId),
  loadKg: 10,
});

/** What a movement is chosen by: a client or anybody, and a gym's kit. */
export function loadChoosing(
  uc: UseCase,
  asked: { readonly client?: string | undefined; readonly gym?: string | undefined },
): ChoosingView {
  const { db } = uc;
  const client = asked.client ? reachClient(uc, asked.client) : null;
  const gyms = listGyms(db);
  const gym = gyms.find((g) => g.id === asked.gym) ?? gyms[0] ?? null;
  const gymId = gym?.id ?? null;
  const variants = listVariants(db);
  return {
    clientId: client?.id ?? null,
    gymId,
    clients: reachClients(uc).map((c) => ({ id: c.id, name: c.name })),
    gyms: gyms.map((g) => ({ id: g.id, name: g.name })),
    body: buildBody(client ?? ANYBODY),
    range: rangeOf(uc, client),
    notes: client?.notes ?? [],
    standing: client ? standingOf(db, client.id) : NO_STANDING,
    kit: stationKit(db, gymId),
    gym: gymKit(db, gymId),
    variants: variants.rows,
    unreadable: [...variants.unreadable, ...(gymId === null ? [] : listKit(db, gymId).unreadable)],
  };
}
