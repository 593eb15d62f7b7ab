import 'server-only';
import { handleFor, serveHere, type ChooseInput, type Objection } from '@/core/book/choose';
import { entryOf } from '@/core/book/book';
import { usesBand } from '@/core/book/book-entry';
import { correctionFits } from '@/core/fault/correction-fits';
import { sessionResults } from '@/core/fault/judge-set';
import { nextLoad } from '@/core/load/progress';
import { findNearestStep } from '@/core/load/stack-steps';
import { withLoads } from '@/core/tempo/set-aims';
import type { Client } from '@/contract/views/client';
import type { NewItem, TemplateMovement } from '@/contract/views/plan';
import { findStation, listAttachments, listBands, listStations } from '@/data/queries/kit';
import { recentItems } from '@/data/queries/newest-records';
import { readFolds } from '@/data/queries/read-folds';
import { choosingFor } from './choosing';
import { limitsToday } from './limits';
import { loadSteps } from './load-steps';
import type { UseCase } from './use-case';

/** A movement before it is planned: what a template has of it, and what another session had. */
export type Source = TemplateMovement & Partial<Pick<NewItem, 'stationId' | 'attachmentId' | 'bandId' | 'loadG'>>;

/** A movement as it is planned for a client in a gym, or what speaks against it there. */
export type Learned =
  | { readonly ok: true; readonly item: Omit<NewItem, 'id' | 'sessionId' | 'position'> }
  | { readonly ok: false; readonly source: Source; readonly objection: Objection };

type Log = ReturnType<ReturnType<typeof readFolds>['get']> | null;

/** Where it hangs: as it did, else where the client last stood, else the column that serves this body. */
function stationOf(uc: UseCase, gymId: string, source: Source, log: Log, columnId: string | null): string | null {
  const here = listStations(uc.db, gymId).filter(
    (s) => !s.outOfOrder && (source.side !== 'both' || s.column.kind !== 'single' || columnId === s.id),
  );
  const known = [source.stationId, log?.setups.at(-1)?.stationId, columnId];
  return known.find((id) => here.some((s) => s.id === id)) ?? here[0]?.id ?? null;
}

/** What hangs on it: as it did, else what the gym has for the movement. */
function handleOf({ db }: UseCase, gymId: string, { movement, attachmentId }: Source): string | null {
  const here = listAttachments(db).filter((a) => a.gymId === gymId);
  return (here.find((a) => a.id === attachmentId) ?? handleFor(entryOf(movement), here))?.id ?? null;
}

interface Placed {
  readonly client: Client;
  readonly gymId: string;
  readonly item: Omit<NewItem, 'loadG'>;
}

/**
 * The load to begin with: what the sessions before say, else as it was planned, else the lightest that is there; and
 * those of its blocks on the steps that are there, none over a clinician's limit.
 */
function loadsOf(uc: UseCase, at: Placed, log: Log, plannedG: number | undefined): Pick<NewItem, 'loadG' | 'aims'> {
  const { client, gymId, item } = at;
  const entry = entryOf(item.movement);
  const station = item.stationId === null ? null : findStation(uc.db, item.stationId);
  const steps = loadSteps(uc.db, gymId, entry, station);
  const planned = plannedG ?? steps[0] ?? 0;
  const { mostLoadG } = limitsToday(uc, client, { ...item, loadG: planned }, station);
  const own = (log?.sets ?? []).filter((s) => s.side === item.side);
  const results = sessionResults(own, '', (c) => correctionFits(entry, c));
  const { loadG } = nextLoad(results, planned, steps, mostLoadG);
  const allowed = mostLoadG === null ? steps : steps.filter((s) => s <= mostLoadG);
  return {
    loadG: findNearestStep(allowed, loadG) ?? loadG,
    aims: withLoads(item.aims ?? null, (g) => findNearestStep(allowed, g)),
  };
}

/**
 * A movement as it is planned for a client in a gym with what was learned: on its column, with its handle, the load
 * that the sessions before ask for and the tempo that it was last done at.
 */
function learnItem(uc: UseCase, client: Client, gymId: string, source: Source, input: ChooseInput): Learned {
  const { movement, variantId, side, sets, reps } = source;
  const entry = entryOf(movement);
  const served = serveHere(entry, input);
  if (served.objection) return { ok: false, source, objection: served.objection };
  const items = recentItems(uc.db, client.id, movement);
  const log = readFolds(uc.db, { clientId: client.id, movement, items }).get(movement) ?? null;
  const onCable = entry.load.kind === 'cable';
  const bands = usesBand(entry) ? listBands(uc.db, gymId) : [];
  const item = {
    ...{ movement, variantId, side, sets, reps },
    stationId: onCable ? stationOf(uc, gymId, source, log, served.columnId) : null,
    attachmentId: onCable ? handleOf(uc, gymId, source) : null,
    bandId: (bands.find((b) => b.id === source.bandId) ?? bands[0])?.id ?? null,
    aims: source.aims ?? null,
    pairId: source.pairId ?? null,
    isPinned: source.isPinned ?? false,
    tempo: log?.sets.findLast((s) => s.side === side && s.endedAtMs !== null)?.tempo ?? source.tempo,
  };
  const at = { client, gymId, item: { ...item, id: '', sessionId: '', position: 0 } };
  return { ok: true, item: { ...item, ...loadsOf(uc, at, log, source.loadG) } };
}

/** Movements as they are planned for a client in a gym, each with what was learned of it. */
export function learnItems(uc: UseCase, client: Client, gymId: string, sources: readonly Source[]): Learned[] {
  const input = choosingFor(uc, client, gymId);
  return sources.map((source) => learnItem(uc, client, gymId, source, input));
}
