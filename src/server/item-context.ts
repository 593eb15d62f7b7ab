import 'server-only';
import { SIDES } from '@/core/body/active-range';
import { limitRange, limitsOn, mostLoadKg } from '@/core/body/clinician-limit';
import { findEntry } from '@/core/book/book';
import type { StationKit } from '@/core/book/station-kit';
import type { SetLog } from '@/core/fault/set-log';
import { foldSetLog } from '@/core/fault/set-log';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { Placement } from '@/core/setup/setup-problem';
import { retargetLoad } from '@/core/load/retarget-load';
import type { LoadUnit } from '@/core/units/mass';
import { CASE_FORMAT, type CaseInput } from '@/contract/case';
import { fromColumn } from '@/contract/column-schema';
import { fromStationKit } from '@/contract/station-schema';
import type { Db } from '@/data/open-db';
import { findClient, type Client } from '@/data/queries/clients';
import { listFloorEvents } from '@/data/queries/floor-events';
import {
  findAttachment,
  findKit,
  findStation,
  listAttachments,
  listStations,
  type Attachment,
  type Station,
} from '@/data/queries/kit';
import { listGyms } from '@/data/queries/gyms';
import { findItem, findSession, type Session, type SessionItem } from '@/data/queries/sessions';
import { findVariant, type Variant } from '@/data/queries/variants';
import { stationKit } from './choosing';
import { fitOf } from './client-fit';
import { loadScreening, type ScreeningView } from './clients';
import { readClock, toLocalDay } from './clock';
import { loadUnit } from './load-steps';

/** One planned movement with everything its screens need, plain data. */
export interface ItemContext {
  readonly client: Client;
  readonly session: Session;
  /** As planned; on another column than planned its load is what the hand feels alike there. */
  readonly item: SessionItem;
  /** The stack as planned and where, when it was converted for another column. */
  readonly converted: { readonly plannedG: number; readonly plannedUnit: LoadUnit; readonly plannedOn: string } | null;
  /** What the load is stamped in where it is lifted. */
  readonly unit: LoadUnit;
  readonly variant: Variant | null;
  /** Column and what hangs on it; null for a movement without a cable. */
  readonly station: Station | null;
  readonly attachment: Attachment | null;
  /** Planned kit that is out of order, or in another gym, and what stands in for it here; empty when all is well. */
  readonly replaced: readonly {
    readonly kind: 'column' | 'attachment';
    readonly why: 'out-of-order' | 'elsewhere';
    readonly planned: string;
    readonly by: string | null;
  }[];
  /** Everything tapped for this client and movement, oldest first. */
  readonly events: readonly FloorEvent[];
  readonly setupCase: CaseInput;
  /** Most a clinician allows in the hand today, kilograms; null when nothing is limited. */
  readonly mostLoadKg: number | null;
  readonly screening: ScreeningView;
}

/** The set-up last used for this movement on this station, whichever session. */
export function findLastUsed(log: SetLog, stationId: string | null): Placement | null {
  return log.setups.findLast((s) => s.stationId === stationId)?.placement ?? null;
}

interface CaseParts {
  readonly client: Client;
  readonly station: Station | null;
  readonly attachment: Attachment | null;
  readonly item: SessionItem;
  readonly variant: Variant | null;
  readonly kit: StationKit;
}

/** The solver's case for a planned movement on a day: the same open format as the command line. */
function toCase({ client, station, attachment, item, variant, kit }: CaseParts, log: SetLog, day: number): CaseInput {
  const { load } = findEntry(item.movement)!;
  const lastUsed = findLastUsed(log, station?.id ?? null);
  const chosen = log.setups.findLast((s) => s.stationId === (station?.id ?? null))?.options;
  const limits = limitsOn(client.limits, day);
  const most = mostLoadKg(limits, item.side === 'both' ? SIDES : [item.side]);
  const fit = fitOf(client);
  return {
    format: CASE_FORMAT,
    client: {
      statureM: client.statureM,
      massKg: client.massKg,
      measuredM: client.measuredM,
      activeRangeDeg: client.range,
      limitsDeg: limitRange(limits),
      notes: [...client.notes],
      armPathDeg: { ...fit.armPathDeg },
      ...(fit.chestLineDeg === null ? {} : { chestLineDeg: fit.chestLineDeg }),
      ...(most === null ? {} : { mostLoadKg: most }),
    },
    station: {
      ...(station ? { column: fromColumn(station.column), room: station.room } : {}),
      ...fromStationKit(kit, load.kind === 'machine' ? load.machine : null),
    },
    ...(attachment ? { attachment: { lengthM: attachment.lengthM } } : {}),
    movement: item.movement,
    side: item.side,
    options: chosen ?? variant?.options ?? {},
    loadKg: item.loadG / 1000,
    ...(lastUsed ? { lastUsed } : {}),
  };
}

type KitFor = Pick<ItemContext, 'station' | 'attachment' | 'replaced'>;
const NO_KIT: KitFor = { station: null, attachment: null, replaced: [] };

/**
 * The kit to use: as planned, or on the column that is asked for; in its gym what works in place of a piece that is out
 * of order or elsewhere.
 */
function findKitFor(db: Db, item: SessionItem, stationId: string | undefined): KitFor {
  const plannedId = stationId ?? item.stationId;
  const planned =
    (plannedId === null ? null : findStation(db, plannedId)) ??
    (item.stationId === null ? null : findStation(db, item.stationId));
  if (!planned || item.attachmentId === null) return NO_KIT;
  const others = listStations(db, planned.gymId).filter((s) => !s.outOfOrder);
  const standIn =
    others.find((s) => s.column.kind === planned.column.kind) ??
    others.find((s) => item.side !== 'both' || s.column.kind !== 'single');
  const station = planned.outOfOrder && stationId === undefined ? (standIn ?? planned) : planned;
  const handle = findAttachment(db, item.attachmentId)!;
  const handleBroken = findKit(db, item.attachmentId)!.outOfOrder;
  const elsewhere = handle.gymId !== station.gymId;
  const handles = listAttachments(db).filter((a) => a.gymId === station.gymId);
  const attachment =
    handleBroken || elsewhere ? (handles.find((a) => a.kind === handle.kind) ?? handles[0] ?? handle) : handle;
  const replaced: ItemContext['replaced'][number][] = [];
  if (planned.outOfOrder)
    replaced.push({
      kind: 'column',
      why: 'out-of-order',
      planned: planned.name,
      by: station === planned ? null : station.name,
    });
  if (handleBroken || elsewhere)
    replaced.push({
      kind: 'attachment',
      why: elsewhere ? 'elsewhere' : 'out-of-order',
      planned: handle.name,
      by: attachment === handle ? null : attachment.name,
    });
  return { station, attachment, replaced };
}

/**
 * The planned movement on the column in use: its stack converted through both pulley ratios where that is another one.
 */
function onColumn(db: Db, item: SessionItem, station: Station | null): Pick<ItemContext, 'item' | 'converted'> {
  const planned =
    item.stationId === null || station === null || station.id === item.stationId
      ? null
      : findStation(db, item.stationId);
  const there =
    planned && station
      ? retargetLoad(item.loadG, planned.column.pulleyRatio, station.column.pulleyRatio, station.stackG)
      : null;
  if (!planned || !there || there.loadG === item.loadG) return { item, converted: null };
  return {
    item: { ...item, loadG: there.loadG },
    converted: { plannedG: item.loadG, plannedUnit: planned.stackUnit, plannedOn: planned.name },
  };
}

/** Columns that a set-up can be taken to, this gym's first, each with its gym's name. */
export function stationChoices(
  db: Db,
  gymId: string,
): { readonly id: string; readonly name: string; readonly gym: string; readonly outOfOrder: boolean }[] {
  const gyms = listGyms(db).toSorted((a, b) => Number(b.id === gymId) - Number(a.id === gymId));
  return gyms.flatMap((g) =>
    listStations(db, g.id).map((s) => ({ id: s.id, name: s.name, gym: g.name, outOfOrder: s.outOfOrder })),
  );
}

/**
 * Load a planned movement, optionally on another station of this gym or another. Null when there is none of that id.
 */
export function loadItem(db: Db, itemId: string, stationId?: string, nowMs = readClock()): ItemContext | null {
  const planned = findItem(db, itemId);
  if (!planned) return null;
  const session = findSession(db, planned.sessionId)!;
  const client = findClient(db, session.clientId)!;
  const events = listFloorEvents(db, client.id, planned.movement);
  const log = foldSetLog(events);
  const usedHere = log.setups.findLast((s) => s.itemId === planned.id)?.stationId ?? undefined;
  const kitFor = findKitFor(db, planned, stationId ?? usedHere);
  const { item, converted } = onColumn(db, planned, kitFor.station);
  const variant = item.variantId === null ? null : findVariant(db, item.variantId);
  const setupCase = toCase(
    { client, item, variant, kit: stationKit(db, kitFor.station?.gymId ?? session.gymId), ...kitFor },
    log,
    toLocalDay(nowMs),
  );
  const unit = loadUnit(db, session.gymId, findEntry(item.movement)!, kitFor.station);
  return {
    client,
    session,
    item,
    converted,
    unit,
    variant,
    ...kitFor,
    events,
    setupCase,
    mostLoadKg: setupCase.client.mostLoadKg ?? null,
    screening: loadScreening(db, client.id, session.gymId, nowMs),
  };
}
