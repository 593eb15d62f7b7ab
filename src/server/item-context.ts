import 'server-only';
import type { SetLog } from '@/core/fault/set-log';
import { foldSetLog } from '@/core/fault/set-log';
import type { FloorEvent } from '@/core/fault/floor-event';
import type { Placement } from '@/core/setup/setup-problem';
import { CASE_FORMAT, type CaseInput } from '@/contract/case';
import type { Db } from '@/data/open-db';
import { findClient, type Client } from '@/data/queries/clients';
import { listFloorEvents } from '@/data/queries/floor-events';
import { findItem, findSession, type Session, type SessionItem } from '@/data/queries/sessions';
import { findAttachment, findStation, type Attachment, type Station } from '@/data/queries/stations';

/** One planned movement with everything its screens need, plain data. */
export interface ItemContext {
  readonly client: Client;
  readonly session: Session;
  readonly item: SessionItem;
  readonly station: Station;
  readonly attachment: Attachment;
  /** Everything tapped for this client and movement, oldest first. */
  readonly events: readonly FloorEvent[];
  readonly setupCase: CaseInput;
}

/** The set-up last used for this movement on this station, whichever session. */
export function findLastUsed(log: SetLog, stationId: string): Placement | null {
  return log.setups.findLast((s) => s.stationId === stationId)?.placement ?? null;
}

/** The solver's case for a planned movement: the same open format as the command line. */
export function toCase(client: Client, station: Station, attachment: Attachment, item: SessionItem, log: SetLog): CaseInput {
  const lastUsed = findLastUsed(log, station.id);
  const chosen = log.setups.findLast((s) => s.stationId === station.id)?.options;
  return {
    format: CASE_FORMAT,
    client: { statureM: client.statureM, massKg: client.massKg, measuredM: client.measuredM, activeRangeDeg: client.range },
    station: { column: station.column, room: station.room },
    attachment: { lengthM: attachment.lengthM },
    movement: item.movement,
    side: item.side,
    options: chosen ?? {},
    loadKg: item.loadG / 1000,
    ...(lastUsed ? { lastUsed } : {}),
  };
}

/** Load a planned movement, optionally on another station of the gym. Null when there is none of that id. */
export function loadItem(db: Db, itemId: string, stationId?: string): ItemContext | null {
  const item = findItem(db, itemId);
  if (!item) return null;
  const session = findSession(db, item.sessionId)!;
  const client = findClient(db, session.clientId)!;
  const events = listFloorEvents(db, client.id, item.movement);
  const log = foldSetLog(events);
  const usedHere = log.setups.findLast((s) => s.itemId === item.id)?.stationId;
  const station = findStation(db, stationId ?? usedHere ?? item.stationId) ?? findStation(db, item.stationId)!;
  const attachment = findAttachment(db, item.attachmentId)!;
  return { client, session, item, station, attachment, events, setupCase: toCase(client, station, attachment, item, log) };
}
