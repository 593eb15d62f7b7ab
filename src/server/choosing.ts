import 'server-only';
import type { BodyInput } from '@/core/body/body-model';
import { buildBody } from '@/core/body/body-model';
import { noteDefaults } from '@/core/body/client-note';
import { limitRange, limitsOn } from '@/core/body/clinician-limit';
import type { GymKit } from '@/core/book/choose';
import { NO_FIT } from '@/core/book/client-fit';
import { USUAL_KIT, type StationKit } from '@/core/book/station-kit';
import type { ChoosingData } from '@/contract/choosing-data';
import type { Db } from '@/data/open-db';
import { findClient, listClients } from '@/data/queries/clients';
import { listGyms } from '@/data/queries/gyms';
import { listVariants } from '@/data/queries/variants';
import { isKind, listKit, toStation } from '@/data/queries/kit';
import { toAttachmentShape, toBench, toLandmine, toMachine, toPreacher } from '@/contract/to-kit';
import { fitOf } from './client-fit';
import { toLocalDay } from './clock';

/** Nobody chosen: the ratios' own body of middle height. */
const ANYBODY: BodyInput = { statureM: 1.75, massKg: 75, measuredM: {} };

/** Kit in working order of one gym. */
export function gymKit(db: Db, gymId: string | null): GymKit {
  const pieces = gymId === null ? [] : listKit(db, gymId).filter((p) => !p.outOfOrder);
  return {
    columns: pieces.flatMap((p) =>
      isKind(p, 'column') ? [{ id: p.id, name: p.name, column: toStation(p).column, room: toStation(p).room }] : [],
    ),
    attachments: pieces.flatMap((p) => (isKind(p, 'attachment') ? [toAttachmentShape(p.spec)] : [])),
    machines: pieces.flatMap((p) => (isKind(p, 'machine') ? [toMachine(p.spec).kind] : [])),
    kinds: [...new Set(pieces.map((p) => p.kind))],
  };
}

/**
 * What movements without a column are set on in a gym: its first working piece of each kind, what is usual where it has
 * none.
 */
export function stationKit(db: Db, gymId: string | null): StationKit {
  const pieces = gymId === null ? [] : listKit(db, gymId).filter((p) => !p.outOfOrder);
  const bench = pieces.find((p) => isKind(p, 'bench'));
  const preacher = pieces.find((p) => isKind(p, 'preacher'));
  const landmine = pieces.find((p) => isKind(p, 'landmine'));
  const machines = pieces.flatMap((p) => (isKind(p, 'machine') ? [toMachine(p.spec)] : []));
  const measured = bench && isKind(bench, 'bench') ? toBench(bench.spec) : null;
  return {
    surfaces: measured ? { ...USUAL_KIT.surfaces, benchHeightM: measured.seatHeightM } : USUAL_KIT.surfaces,
    bench: measured,
    preacher: preacher && isKind(preacher, 'preacher') ? toPreacher(preacher.spec) : null,
    machines: Object.fromEntries(machines.toReversed().map((m) => [m.kind, m])),
    landmine: landmine && isKind(landmine, 'landmine') ? toLandmine(landmine.spec) : USUAL_KIT.landmine,
    bandN: USUAL_KIT.bandN,
  };
}

export function loadChoosing(
  db: Db,
  askedClient: string | undefined,
  askedGym: string | undefined,
  nowMs: number,
): ChoosingData {
  const client = askedClient ? findClient(db, askedClient) : null;
  const gyms = listGyms(db);
  const gym = gyms.find((g) => g.id === askedGym) ?? gyms[0] ?? null;
  return {
    clientId: client?.id ?? null,
    gymId: gym?.id ?? null,
    clients: listClients(db).map((c) => ({ id: c.id, name: c.name })),
    gyms: gyms.map((g) => ({ id: g.id, name: g.name })),
    body: buildBody(client ?? ANYBODY),
    range: {
      active: client?.range ?? {},
      limits: client ? limitRange(limitsOn(client.limits, toLocalDay(nowMs))) : {},
      stopLevel: client ? noteDefaults(client.notes).stopLevel : false,
      fit: client ? fitOf(client) : NO_FIT,
    },
    notes: client?.notes ?? [],
    kit: stationKit(db, gym?.id ?? null),
    gym: gymKit(db, gym?.id ?? null),
    variants: listVariants(db),
  };
}
