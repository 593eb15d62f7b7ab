import 'server-only';
import type { BodyInput } from '@/core/body/body-model';
import { buildBody } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import { limitRange, limitsOn } from '@/core/body/clinician-limit';
import type { GymKit } from '@/core/book/choose';
import { USUAL_SURFACES } from '@/core/book/pose-entry';
import { toBench, toMachine } from '@/contract/to-kit';
import type { ChoosingData } from '@/contract/choosing-data';
import type { Db } from '@/data/open-db';
import { findClient, listClients } from '@/data/queries/clients';
import { listGyms } from '@/data/queries/gyms';
import { isKind, listKit, toStation } from '@/data/queries/kit';
import { toAttachmentShape } from '@/contract/to-kit';
import { toLocalDay } from './clock';

/** Nobody chosen: the ratios' own body of middle height. */
const ANYBODY: BodyInput = { statureM: 1.75, massKg: 75, measuredM: {} };

/** Kit in working order of one gym. */
export function gymKit(db: Db, gymId: string | null): GymKit {
  const pieces = gymId === null ? [] : listKit(db, gymId).filter((p) => !p.outOfOrder);
  return {
    columns: pieces.flatMap((p) => (isKind(p, 'column') ? [{ id: p.id, name: p.name, column: toStation(p).column, room: toStation(p).room }] : [])),
    attachments: pieces.flatMap((p) => (isKind(p, 'attachment') ? [toAttachmentShape(p.spec)] : [])),
    machines: pieces.flatMap((p) => (isKind(p, 'machine') ? [toMachine(p.spec).kind] : [])),
    kinds: [...new Set(pieces.map((p) => p.kind))],
  };
}

export function loadChoosing(db: Db, askedClient: string | undefined, askedGym: string | undefined, nowMs: number): ChoosingData {
  const client = askedClient ? findClient(db, askedClient) : null;
  const gyms = listGyms(db);
  const gym = gyms.find((g) => g.id === askedGym) ?? gyms[0] ?? null;
  const bench = gym ? listKit(db, gym.id).find((p) => p.kind === 'bench' && !p.outOfOrder) : undefined;
  return {
    clientId: client?.id ?? null,
    gymId: gym?.id ?? null,
    clients: listClients(db).map((c) => ({ id: c.id, name: c.name })),
    gyms: gyms.map((g) => ({ id: g.id, name: g.name })),
    body: buildBody(client ?? ANYBODY),
    range: { active: client?.range ?? {}, limits: client ? limitRange(limitsOn(client.limits, toLocalDay(nowMs))) : {}, stopLevel: client ? noteDefaults(client.notes).stopLevel : false },
    notes: client?.notes ?? [],
    surfaces: bench && isKind(bench, 'bench') ? { ...USUAL_SURFACES, benchHeightM: toBench(bench.spec).seatHeightM } : USUAL_SURFACES,
    kit: gymKit(db, gym?.id ?? null),
  };
}
