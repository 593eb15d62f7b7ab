import 'server-only';
import { nextSide, withSides, type SideProgress } from '@/core/record/side-pair';
import { watchList } from '@/core/fault/watch-list';
import type { SetLog } from '@/core/record/set-log';
import type { FloorItemView, FloorSessionView, FloorView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import { clock, dayIn } from '@/messages/day';
import {
  dueText,
  lastHandleText,
  lastLoadText,
  lastTimeText,
  progressText,
  settingsNoteText,
  unfinishedText,
} from '@/messages/floor';
import { doneName } from '@/messages/book';
import { loadText } from '@/messages/loads';
import { dueOn } from '@/core/body/due';
import type { MovementId } from '@/core/book/book';
import { lanesOf, type DaySession } from '@/core/plan/day';
import type { Client, ScreeningView } from '@/contract/views/client';
import { lastChanged } from '@/data/queries/changes';
import { findAttachment } from '@/data/queries/kit';
import { replacedText } from '@/messages/replaced';
import { dayOf, dayText, toLocalDay } from './clock';
import { findLastUsed, sidesAlternate, toContext, type ItemContext } from './item-context';
import { floorSessions } from './floor-sessions';
import { daySessions, othersSessions } from './day-sessions';
import { reachClient, reachOpenSets } from './reach';
import { loadScreening } from './screening';
import { findSettings, platesOf, type FoundSettings } from './settings';
import type { UseCase } from './use-case';
import { wantedOnFloor } from './wanted';

const FINISHED: readonly FloorItemView['state'][] = ['done', 'stopped', 'skipped'];

/** How far a movement of today has come. */
function progressOf({ item, log }: ItemContext): { readonly done: number; readonly state: FloorItemView['state'] } {
  const here = log.sets.filter((s) => s.itemId === item.id);
  const done = here.filter((s) => s.endedAtMs !== null).length;
  const stopped = log.pains.some((p) => p.itemId === item.id);
  const begun = here.some((s) => s.endedAtMs === null);
  const state = stopped
    ? 'stopped'
    : begun
      ? 'under-way'
      : done >= item.sets
        ? 'done'
        : item.skipped !== null
          ? 'skipped'
          : done > 0
            ? 'under-way'
            : 'to-do';
  return { done, state };
}

/** Sets of earlier days that are told of at once. */
const MOST_UNFINISHED = 6;

/** A mark within this of the last one is the same place on the floor, metres. */
const SAME_MARK_M = 0.05;

/** Where the last session stood on this station, when it was elsewhere. */
function movedSince({ item, log, station }: ItemContext, found: FoundSettings): string | null {
  const before: SetLog = { ...log, setups: log.setups.filter((s) => s.itemId !== item.id) };
  const last = findLastUsed(before, station?.id ?? null);
  const now = found.from === 'blocked' ? null : found.placement;
  if (!now || !last) return null;
  const moved =
    now.hole !== last.hole ||
    (now.leftBy ?? 0) !== (last.leftBy ?? 0) ||
    Math.abs(now.standX - last.standX) >= SAME_MARK_M;
  return moved ? lastTimeText(last) : null;
}

/** The heaviest load of the last session on this side, when today's plan is another. */
function loadSince({ item, log, unit }: ItemContext): string | null {
  const before = log.sets.filter((s) => s.itemId !== item.id && s.side === item.side && s.endedAtMs !== null);
  const last = before.at(-1)?.sessionId;
  const heaviest = Math.max(0, ...before.filter((s) => s.sessionId === last).map((s) => s.loadG));
  return heaviest > 0 && heaviest !== item.loadG ? lastLoadText(loadText(heaviest, unit)) : null;
}

/** The handle of the last time, when another one is planned. */
function handleSince({ db }: UseCase, { item, log, attachment }: ItemContext): string | null {
  const last = log.setups.findLast((s) => s.itemId !== item.id)?.attachmentId ?? null;
  if (!attachment || last === null || last === attachment.id) return null;
  const name = findAttachment(db, last)?.name;
  return name ? lastHandleText(name) : null;
}

/** What is other than the last time, in words. */
const sinceLast = (uc: UseCase, context: ItemContext, found: FoundSettings): string[] =>
  [movedSince(context, found), loadSince(context), handleSince(uc, context)].filter((t) => t !== null);

const sideProgress = (context: ItemContext): SideProgress => {
  const { done, state } = progressOf(context);
  return { done, sets: context.item.sets, underWay: state === 'under-way', finished: FINISHED.includes(state) };
};

/** How both sides of a movement have come along together. */
function stateOfBoth(states: readonly FloorItemView['state'][]): FloorItemView['state'] {
  const first = (['stopped', 'skipped', 'done'] as const).find((s) => states.includes(s));
  if (first && states.every((s) => FINISHED.includes(s))) return first;
  return states.every((s) => s === 'to-do') ? 'to-do' : 'under-way';
}

/** A movement as it stands on the floor: of two sides the one that goes on. */
function toItem(uc: UseCase, sides: readonly ItemContext[]): FloorItemView {
  const [a, b] = sides;
  const now = b ? nextSide([sideProgress(a!), sideProgress(b)], sidesAlternate(a!)) : 0;
  const context = sides[now]!;
  const other = sides[1 - now]?.item ?? null;
  const { item, station, variant, log, replaced } = context;
  const found = findSettings(uc, context);
  const state = stateOfBoth(sides.map((s) => progressOf(s).state));
  return {
    id: item.id,
    movement: item.movement,
    side: item.side,
    otherSide: other && { id: other.id, side: other.side },
    variant: variant?.name ?? null,
    station: station?.name ?? null,
    settings: platesOf(context, found),
    settingsNote: found.from === 'blocked' ? '' : settingsNoteText(found),
    blocked: found.from === 'blocked' ? found.says : null,
    replaced: replaced.length > 0 ? replaced.map(replacedText).join(' ') : null,
    watch: watchList(log.sets).map((w) => ({ fault: w.fault, text: `${w.setsSeen} of ${w.sets} sets` })),
    since: sinceLast(uc, context, found),
    progress: progressText(
      sides.map((s) => ({ side: s.item.side, done: progressOf(s).done, sets: s.item.sets })),
      item,
    ),
    state,
    skipped: item.skipped,
  };
}

/** What the day is told with beside the session itself. */
interface Day {
  readonly lanes: ReadonlyMap<string, number>;
  /** Everybody's sessions of the day: when, and on which stations. */
  readonly everybody: readonly DaySession[];
  /** The client of each session in the care of who asks. */
  readonly clients: ReadonlyMap<string, Client>;
}

/** What is due for a client on the day of now. */
function dueTexts({ db, nowMs }: UseCase, client: Client, screening: ScreeningView): string[] {
  const measured = [client.range.left, client.range.right].some((r) => Object.keys(r ?? {}).length > 0);
  const changedMs = measured ? lastChanged(db, client.id, 'range') : null;
  const rangesDay = changedMs === null ? null : toLocalDay(changedMs);
  return dueOn(toLocalDay(nowMs), { limits: client.limits, screening: screening.state, rangesDay }).map(dueText);
}

function toSession(uc: UseCase, session: Session, today: Day): FloorSessionView {
  const { id, clientId, gymId, startsAtMs, minutes } = session;
  const client = today.clients.get(id) ?? null;
  const screening = loadScreening(uc, clientId, gymId);
  const items = client
    ? withSides(session.items).map((sides) =>
        toItem(
          uc,
          sides.map((item) => toContext(uc, { item, session, client }, screening, 'folds')),
        ),
      )
    : [];
  const isBegun = items.some((i) => i.state !== 'to-do');
  const own = today.everybody.find((s) => s.id === id);
  const others = today.everybody.filter((s) => s.id !== id);
  const nameOf = (other: string): string | null => today.clients.get(other)?.name ?? null;
  return {
    id,
    clientId,
    clientName: client?.name ?? '',
    note: client?.note ?? '',
    starts: clock(startsAtMs),
    ends: clock(startsAtMs + minutes * 60_000),
    startsAtMs,
    day: dayText(startsAtMs),
    minutes,
    done: session.finishedAtMs !== null || (items.length > 0 && items.every((i) => FINISHED.includes(i.state))),
    screening,
    due: client ? dueTexts(uc, client, screening) : [],
    wanted: client && own ? wantedOnFloor(uc, { session, client, isBegun }, { own, others, nameOf }) : null,
    lane: today.lanes.get(id) ?? 0,
    items,
  };
}

/** Today's sessions in words, earliest first, each movement with its settings and what to watch. */
export function loadFloor(uc: UseCase): FloorView {
  const { nowMs } = uc;
  const { fromMs, toMs } = dayOf(nowMs);
  const today = floorSessions(uc);
  const late = today.filter((s) => s.startsAtMs < fromMs);
  const goOn = new Set(late.flatMap((s) => s.items.map((i) => i.id)));
  const everybody = [...daySessions(uc, today), ...othersSessions(uc, fromMs, toMs)];
  const day: Day = {
    lanes: lanesOf(today),
    everybody,
    clients: new Map(
      today.flatMap((s) => {
        const c = reachClient(uc, s.clientId);
        return c ? [[s.id, c] as const] : [];
      }),
    ),
  };
  const sessions = today.map((s) => toSession(uc, s, day));
  const open = sessions.filter((s) => !s.done);
  const next =
    open.find((s) => s.items.some((i) => i.state === 'under-way')) ??
    open.find((s) => s.startsAtMs + s.minutes * 60_000 > nowMs) ??
    open[0];
  const left = reachOpenSets(uc, fromMs, MOST_UNFINISHED).filter((s) => !goOn.has(s.itemId));
  return {
    nowMs,
    now: clock(nowMs),
    sessions,
    nextId: next?.id ?? null,
    unfinished: left.map((s) => ({
      itemId: s.itemId,
      text: unfinishedText(
        reachClient(uc, s.clientId)?.name ?? '',
        doneName(s.movement as MovementId, 'both'),
        s.setNo,
        dayIn(s.startedAtMs, nowMs),
      ),
    })),
    unreadable: today.flatMap((s) => s.unreadable),
  };
}
