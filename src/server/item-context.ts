import 'server-only';
import { noteDefaults } from '@/core/body/client-note';
import { limitRange, limitsOn } from '@/core/body/clinician-limit';
import { entryOf, type MovementId } from '@/core/book/book';
import type { PracticeChoice } from '@/core/book/practice';
import { standingPractices, type StandingPractices } from '@/core/book/standing-practice';
import { usesBand } from '@/core/book/book-entry';
import type { EntryOptions } from '@/core/book/entry-options';
import type { StationKit } from '@/core/book/station-kit';
import { retargetLoad } from '@/core/load/retarget-load';
import { withLoads } from '@/core/tempo/set-aims';
import type { FloorEvent } from '@/core/record/floor-event';
import { foldSetLog, type PlannedItems, type SetLog } from '@/core/record/set-log';
import type { Placement } from '@/core/setup/setup-problem';
import type { LoadUnit } from '@/core/units/mass';
import { CASE_FORMAT, type CaseInput } from '@/contract/case';
import { fromColumn } from '@/contract/column-schema';
import type { UnreadableRow } from '@/contract/records/record';
import { fromStationKit } from '@/contract/station-schema';
import type { Client, ScreeningView } from '@/contract/views/client';
import type { KitPiece } from '@/contract/views/kit';
import type { LimitsView } from '@/contract/views/limits';
import type { Session, SessionItem, Variant } from '@/contract/views/plan';
import type { Attachment, ConvertedLoad, ReplacedKit, Station } from '@/contract/views/station';
import type { Db } from '@/data/open-db';
import { listEventsOf } from '@/data/queries/floor-events';
import { readRecent, recentItems } from '@/data/queries/newest-records';
import { findAttachment, findKit, findStation, listAttachments, listBands, listStations } from '@/data/queries/kit';
import { standingOf } from '@/data/queries/practice-choices';
import { plannedItems } from '@/data/queries/sessions';
import { findVariant } from '@/data/queries/variants';
import { fitOf } from './client-fit';
import { toLocalDay } from './clock';
import { stationKit } from './gym-kit';
import { limitsToday } from './limits';
import { loadUnit } from './load-steps';
import { reachItem, type ReachedItem } from './reach';
import { loadScreening } from './screening';
import type { UseCase } from './use-case';

/** One planned movement with everything its screens need, plain data. */
export interface ItemContext {
  readonly client: Client;
  readonly session: Session;
  /** As planned; on another column than planned its load is what the hand feels alike there. */
  readonly item: SessionItem;
  /** The stack as planned and where, when it was converted for another column. */
  readonly converted: ConvertedLoad | null;
  /** What the load is stamped in where it is lifted. */
  readonly unit: LoadUnit;
  readonly variant: Variant | null;
  /** Column and what hangs on it; null for a movement without a cable. */
  readonly station: Station | null;
  readonly attachment: Attachment | null;
  /** The band under the feet; null where none is hung. */
  readonly band: KitPiece<'band'> | null;
  /** Planned kit that is out of order, or in another gym, and what stands in for it here; empty when all is well. */
  readonly replaced: readonly ReplacedKit[];
  /** Everything tapped for this client and movement, oldest first. */
  readonly events: readonly FloorEvent[];
  readonly planned: PlannedItems;
  readonly unreadable: readonly UnreadableRow[];
  /** What the records tell. */
  readonly log: SetLog;
  readonly setupCase: CaseInput;
  /** Whose choice the sides are that stand where practitioners differ. */
  readonly chosenBy: StandingPractices['by'];
  readonly limits: LimitsView;
  readonly screening: ScreeningView;
}

/** The band under the feet: of the last set today, else as planned, else the first of the gym. */
function findBand(db: Db, gymId: string, log: SetLog, item: SessionItem): KitPiece<'band'> | null {
  if (!usesBand(entryOf(item.movement))) return null;
  const bands = listBands(db, gymId);
  const used = log.sets.findLast((s) => s.itemId === item.id)?.bandId;
  return [used, item.bandId].flatMap((id) => bands.find((b) => b.id === id) ?? [])[0] ?? bands[0] ?? null;
}

/** Sides taken where practitioners differ, as they stand for a planned movement. */
export const practicesIn = ({ setupCase }: Pick<ItemContext, 'setupCase'>): PracticeChoice =>
  (setupCase.options?.practices ?? {}) as PracticeChoice;

/** Whether the sides of a movement take turns without rest. */
export const sidesAlternate = (context: Pick<ItemContext, 'setupCase'>): boolean =>
  practicesIn(context)['set-order'] === 'alternate';

/** The set-up last used for this movement on this station, whichever session. */
export function findLastUsed(log: SetLog, stationId: string | null): Placement | null {
  return log.setups.findLast((s) => s.stationId === stationId)?.placement ?? null;
}

interface ChosenAt {
  readonly variant: Variant | null;
  readonly log: SetLog;
  readonly stationId: string | null;
}

interface CaseParts {
  readonly client: Client;
  readonly station: Station | null;
  readonly attachment: Attachment | null;
  readonly item: SessionItem;
  readonly kit: StationKit;
  readonly limits: LimitsView;
  readonly options: Partial<EntryOptions>;
}

/** Choices that were kept before a note of the client ruled one of them out. */
function allowedOptions(options: Partial<EntryOptions>, { notes }: Client): Partial<EntryOptions> {
  if (options.practices?.['row-base'] !== 'knee-on-bench' || !noteDefaults(notes).avoidStraddle) return options;
  return { ...options, practices: { ...options.practices, 'row-base': 'both-feet-down' } };
}

/** The choices that a movement is set up with: the newest set-up's, a variant's, and what stands for its client. */
function optionsOf({ db }: UseCase, client: Client, { movement }: SessionItem, at: ChosenAt) {
  const { variant, log, stationId } = at;
  const kept = log.setups.findLast((s) => s.stationId === stationId);
  const own = variant?.options.practices ?? {};
  const of = kept?.options && { practices: kept.options.practices, atMs: kept.atMs };
  const stands = standingPractices(entryOf(movement), client.notes, standingOf(db, client.id), of ?? null, own);
  const options: Partial<EntryOptions> = kept?.options ?? variant?.options ?? {};
  const isOpen = Object.keys(stands.practices).length === 0 && !options.practices;
  return { options: isOpen ? options : { ...options, practices: stands.practices }, by: stands.by };
}

/** The solver's case for a planned movement on a day: the same open format as the command line. */
function toCase(parts: CaseParts, log: SetLog, day: number): CaseInput {
  const { client, station, attachment, item, kit, limits, options } = parts;
  const { load } = entryOf(item.movement);
  const lastUsed = findLastUsed(log, station?.id ?? null);
  const fit = fitOf(client);
  const { hand, leg, spine } = limits.limitsKg;
  return {
    format: CASE_FORMAT,
    client: {
      statureM: client.statureM,
      massKg: client.massKg,
      measuredM: client.measuredM,
      activeRangeDeg: client.range,
      limitsDeg: limitRange(limitsOn(client.limits, day)),
      notes: [...client.notes],
      armPathDeg: { ...fit.armPathDeg },
      ...(fit.chestLineDeg === null ? {} : { chestLineDeg: fit.chestLineDeg }),
      ...(hand === null ? {} : { mostLoadKg: hand }),
      ...(leg === null ? {} : { mostLoadOnLegKg: leg }),
      ...(spine === null ? {} : { mostLoadOnSpineKg: spine }),
    },
    station: {
      ...(station ? { column: fromColumn(station.column), room: station.room } : {}),
      ...fromStationKit(kit, load.kind === 'machine' ? load.machine : null),
    },
    ...(attachment
      ? {
          attachment: {
            lengthM: attachment.lengthM,
            kind: attachment.kind,
            ...(attachment.handsM ? { handsM: [...attachment.handsM] as [number, number] } : {}),
          },
        }
      : {}),
    movement: item.movement,
    side: item.side,
    options: allowedOptions(options, client),
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
  const handle = item.attachmentId === null ? null : findAttachment(db, item.attachmentId);
  if (!planned || !handle) return NO_KIT;
  const others = listStations(db, planned.gymId).filter((s) => !s.outOfOrder);
  const standIn =
    others.find((s) => s.column.kind === planned.column.kind) ??
    others.find((s) => item.side !== 'both' || s.column.kind !== 'single');
  const station = planned.outOfOrder && stationId === undefined ? (standIn ?? planned) : planned;
  const handleBroken = findKit(db, handle.id)?.outOfOrder ?? true;
  const elsewhere = handle.gymId !== station.gymId;
  const handles = listAttachments(db).filter((a) => a.gymId === station.gymId);
  const attachment =
    handleBroken || elsewhere ? (handles.find((a) => a.kind === handle.kind) ?? handles[0] ?? handle) : handle;
  const replaced: ReplacedKit[] = [];
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
  const onStation = (g: number): number | null =>
    planned && station
      ? (retargetLoad(g, planned.column.pulleyRatio, station.column.pulleyRatio, station.stackG)?.loadG ?? null)
      : null;
  const loadG = onStation(item.loadG);
  const aims = withLoads(item.aims, (g) => onStation(g) ?? g);
  if (!planned || loadG === null || loadG === item.loadG) return { item: { ...item, aims }, converted: null };
  return {
    item: { ...item, aims, loadG },
    converted: { plannedG: item.loadG, plannedUnit: planned.stackUnit, plannedOn: planned.name },
  };
}

/** What was tapped, as its events and what they fold into; or what they were folded into before, without them. */
function recordsOf({ db }: UseCase, which: Told, clientId: string, movement: MovementId, here: readonly string[]) {
  if (which === 'folds') {
    const log: SetLog = { ...readRecent(db, clientId, movement, here), schemes: [], goAheads: [] };
    return { planned: {}, events: [], unreadable: [], log };
  }
  // What is judged here, and both sides of this session, whether they have records or not.
  const items = [...recentItems(db, clientId, movement), ...here];
  const planned = plannedItems(db, items);
  const { rows: events, unreadable } = listEventsOf(db, items, here);
  return { planned, events, unreadable, log: foldSetLog(events, planned) };
}

/** A page that goes on with what is tapped needs the events; one that only tells of it is quicker without. */
type Told = 'events' | 'folds';

/**
 * Load a planned movement, optionally on another station of this gym or another. Null when there is none of that id in
 * the care of who asks. Without its events a context tells neither schemes nor why a movement went ahead, nor what was
 * planned of which records.
 */
export function loadItem(uc: UseCase, itemId: string, stationId?: string, which: Told = 'events'): ItemContext | null {
  const reached = reachItem(uc, itemId);
  return (
    reached && toContext(uc, reached, loadScreening(uc, reached.client.id, reached.session.gymId), which, stationId)
  );
}

/** The same for a planned movement that is reached already, of a client whose screening is known. */
export function toContext(
  uc: UseCase,
  { item: found, session, client }: ReachedItem,
  screening: ScreeningView,
  which: Told,
  stationId?: string,
): ItemContext {
  const { db, nowMs } = uc;
  const { movement } = found;
  const here = session.items.filter((i) => i.movement === movement).map((i) => i.id);
  const { planned, events, unreadable, log } = recordsOf(uc, which, client.id, movement, here);
  const usedHere = log.setups.findLast((s) => s.itemId === found.id)?.stationId ?? undefined;
  const kitFor = findKitFor(db, found, stationId ?? usedHere);
  const { station } = kitFor;
  const { item, converted } = onColumn(db, found, station);
  const variant = item.variantId === null ? null : findVariant(db, item.variantId);
  const limits = limitsToday(uc, client, item, station);
  const gymId = station?.gymId ?? session.gymId;
  const band = findBand(db, gymId, log, item);
  const kit = stationKit(db, gymId, band?.id);
  const { options, by } = optionsOf(uc, client, item, { variant, log, stationId: station?.id ?? null });
  return {
    client,
    session,
    item,
    converted,
    unit: loadUnit(db, session.gymId, entryOf(item.movement), station),
    variant,
    band,
    ...kitFor,
    events,
    planned,
    unreadable,
    log,
    setupCase: toCase({ client, item, kit, limits, options, ...kitFor }, log, toLocalDay(nowMs)),
    chosenBy: by,
    limits,
    screening,
  };
}
