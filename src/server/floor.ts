import 'server-only';
import { foldSetLog } from '@/core/fault/set-log';
import { watchList, type WatchEntry } from '@/core/fault/watch-list';
import type { Placement } from '@/core/setup/setup-problem';
import type { Db } from '@/data/open-db';
import { listSessions } from '@/data/queries/sessions';
import { loadScreening, type ScreeningView } from './clients';
import { findLastUsed, loadItem, type ItemContext } from './item-context';
import { findPlates, type Plates } from './plates';

/** A planned movement as the floor shows it. */
export interface FloorItem {
  readonly context: Omit<ItemContext, 'events'>;
  readonly plates: Plates;
  /** Where the last session stood on this station, when it was elsewhere. */
  readonly lastTime: Placement | null;
  readonly watch: readonly WatchEntry[];
  readonly setsDone: number;
  readonly unfinishedSet: boolean;
  readonly stoppedForPain: boolean;
}

export interface FloorSession {
  readonly id: string;
  readonly clientName: string;
  readonly note: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly screening: ScreeningView;
  readonly items: readonly FloorItem[];
  readonly done: boolean;
}

/** Midnight to midnight of the day that holds `nowMs`, in the server's zone. */
export function dayOf(nowMs: number): { readonly fromMs: number; readonly toMs: number } {
  const from = new Date(nowMs);
  from.setHours(0, 0, 0, 0);
  const to = new Date(from);
  to.setDate(to.getDate() + 1);
  return { fromMs: from.getTime(), toMs: to.getTime() };
}

function toFloorItem(db: Db, context: ItemContext): FloorItem {
  const { events, ...rest } = context;
  const log = foldSetLog(events);
  const here = log.sets.filter((s) => s.itemId === context.item.id);
  const before = { ...log, setups: log.setups.filter((s) => s.itemId !== context.item.id) };
  return {
    context: rest,
    plates: findPlates(context),
    lastTime: findLastUsed(before, context.station?.id ?? null),
    watch: watchList(log.sets),
    setsDone: here.filter((s) => s.endedAtMs !== null).length,
    unfinishedSet: here.some((s) => s.endedAtMs === null),
    stoppedForPain: log.pains.some((p) => p.itemId === context.item.id),
  };
}

/** Today's sessions, earliest first, each movement with its plates and what to watch. */
export function loadFloor(db: Db, nowMs: number): FloorSession[] {
  const { fromMs, toMs } = dayOf(nowMs);
  return listSessions(db, fromMs, toMs).map((session) => {
    const contexts = session.items.map((i) => loadItem(db, i.id, undefined, nowMs)!);
    const items = contexts.map((c) => toFloorItem(db, c));
    const client = contexts[0]?.client;
    return {
      id: session.id,
      clientName: client?.name ?? '',
      note: client?.note ?? '',
      startsAtMs: session.startsAtMs,
      minutes: session.minutes,
      screening: loadScreening(db, session.clientId, session.gymId, nowMs),
      items,
      done:
        items.length > 0 &&
        items.every((i) => i.stoppedForPain || (i.setsDone >= i.context.item.sets && !i.unfinishedSet)),
    };
  });
}
