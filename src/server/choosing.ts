import 'server-only';
import { buildBody, type BodyInput } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import { limitRange, limitsOn } from '@/core/body/clinician-limit';
import { NO_FIT } from '@/core/book/client-fit';
import type { ChoosingView } from '@/contract/views/choosing';
import { listGyms } from '@/data/queries/gyms';
import { listKit } from '@/data/queries/kit';
import { listVariants } from '@/data/queries/variants';
import { fitOf } from './client-fit';
import { toLocalDay } from './clock';
import { gymKit, stationKit } from './gym-kit';
import { reachClient, reachClients } from './reach';
import type { UseCase } from './use-case';

/** Nobody chosen: the ratios' own body of middle height. */
const ANYBODY: BodyInput = { statureM: 1.75, massKg: 75, measuredM: {} };

/** What a movement is chosen by: a client or anybody, and a gym's kit. */
export function loadChoosing(
  uc: UseCase,
  asked: { readonly client?: string | undefined; readonly gym?: string | undefined },
): ChoosingView {
  const { db, nowMs } = uc;
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
    range: {
      active: client?.range ?? {},
      limits: client ? limitRange(limitsOn(client.limits, toLocalDay(nowMs))) : {},
      stopLevel: client ? noteDefaults(client.notes).stopLevel : false,
      fit: client ? fitOf(client) : NO_FIT,
    },
    notes: client?.notes ?? [],
    kit: stationKit(db, gymId),
    gym: gymKit(db, gymId),
    variants: variants.rows,
    unreadable: [...variants.unreadable, ...(gymId === null ? [] : listKit(db, gymId).unreadable)],
  };
}
