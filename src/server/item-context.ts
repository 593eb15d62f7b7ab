import 'server-only';
import { SIDES } from '@/core/body/active-range';
import { limitRange, limitsOn, mostLoadKg } from '@/core/body/clinician-limit';
import type { SetLog } from '@/core/fault/set-log';
import { foldSetLog } from '@/core/fault/set-log';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { Placement } from '@/core/setup/setup-problem';
import { CASE_FORMAT, type CaseInput } from '@/contract/case';
import { fromColumn } from '@/contract/column-schema';
import type { Db } from '@/data/open-db';
import { findClient, type Client } from '@/data/queries/clients';
import { listFloorEvents } from '@/data/queries/floor-events';
import { findAttachment, findKit, findStation, listAttachments, listStations, type Attachment, type Station } from '@/data/queries/kit';
import { findItem, findSession, type Session, type SessionItem } from '@/data/queries/sessions';
import { loadScreening, type ScreeningView } from './clients';
import { readClock, toLocalDay } from './clock';

/** One planned movement with everything its screens need, plain data. */
export interface ItemContext {
  readonly client: Client;
  readonly session: Session;
  readonly item: SessionItem;
  readonly station: Station;
  readonly attachment: Attachment;
  /** Planned kit that is out of order and what stands in for it here; empty when all is well. */
  readonly replaced: readonly { readonly kind: 'column' | 'attachment'; readonly planned: string; readonly by: string | null }[];
  /** Everything tapped for this client and movement, oldest first. */
  readonly events: readonly FloorEvent[];
  readonly setupCase: CaseInput;
  /** Most a clinician allows in the hand today, kilograms; null when nothing is limited. */
  readonly mostLoadKg: number | null;
  readonly screening: ScreeningView;
}

/** The set-up last used for this movement on this station, whichever session. */
export function findLastUsed(log: SetLog, stationId: string): Placement | null {
  return log.setups.findLast((s) => s.stationId === stationId)?.placement ?? null;
}

/** The solver's case for a planned movement on a day: the same open format as the command line. */
export function toCase(client: Client, station: Station, attachment: Attachment, item: SessionItem, log: SetLog, day: number): CaseInput {
  const lastUsed = findLastUsed(log, station.id);
  const chosen = log.setups.findLast((s) => s.stationId === station.id)?.options;
  const limits = limitsOn(client.limits, day);
  const most = mostLoadKg(limits, item.side === 'both' ? SIDES : [item.side]);
  return {
    format: CASE_FORMAT,
    client: {
      statureM: client.statureM, massKg: client.massKg, measuredM: client.measuredM, activeRangeDeg: client.range, limitsDeg: limitRange(limits), notes: [...client.notes],
      ...(most === null ? {} : { mostLoadKg: most }),
    },
    station: { column: fromColumn(station.column), room: station.room },
    attachment: { lengthM: attachment.lengthM },
    movement: item.movement,
    side: item.side,
    options: chosen ?? {},
    loadKg: item.loadG / 1000,
    ...(lastUsed ? { lastUsed } : {}),
  };
}

/** The kit to use: as planned, or in the same gym what works in place of a piece that is out of order. */
function findKitFor(db: Db, item: SessionItem, stationId: string | undefined): Pick<ItemContext, 'station' | 'attachment' | 'replaced'> {
  const planned = findStation(db, stationId ?? item.stationId) ?? findStation(db, item.stationId)!;
  const others = listStations(db, planned.gymId).filter((s) => !s.outOfOrder);
  const standIn = others.find((s) => s.column.kind === planned.column.kind) ?? others.find((s) => item.side !== 'both' || s.column.kind !== 'single');
  const station = planned.outOfOrder && stationId === undefined ? (standIn ?? planned) : planned;
  const handle = findAttachment(db, item.attachmentId)!;
  const handleBroken = findKit(db, item.attachmentId)!.outOfOrder;
  const handles = listAttachments(db).filter((a) => a.gymId === handle.gymId);
  const attachment = handleBroken ? (handles.find((a) => a.kind === handle.kind) ?? handles[0] ?? handle) : handle;
  const replaced: ItemContext['replaced'][number][] = [];
  if (planned.outOfOrder) replaced.push({ kind: 'column', planned: planned.name, by: station === planned ? null : station.name });
  if (handleBroken) replaced.push({ kind: 'attachment', planned: handle.name, by: attachment === handle ? null : attachment.name });
  return { station, attachment, replaced };
}

/** Load a planned movement, optionally on another station of the gym. Null when there is none of that id. */
export function loadItem(db: Db, itemId: string, stationId?: string, nowMs = readClock()): ItemContext | null {
  const item = findItem(db, itemId);
  if (!item) return null;
  const session = findSession(db, item.sessionId)!;
  const client = findClient(db, session.clientId)!;
  const events = listFloorEvents(db, client.id, item.movement);
  const log = foldSetLog(events);
  const usedHere = log.setups.findLast((s) => s.itemId === item.id)?.stationId;
  const kit = findKitFor(db, item, stationId ?? usedHere);
  const day = toLocalDay(nowMs);
  const setupCase = toCase(client, kit.station, kit.attachment, item, log, day);
  return { client, session, item, ...kit, events, setupCase, mostLoadKg: setupCase.client.mostLoadKg ?? null, screening: loadScreening(db, client.id, session.gymId, nowMs) };
}
