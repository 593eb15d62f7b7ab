import 'server-only';
import { nextSide, withSides, type SideProgress } from '@/core/record/side-pair';
import { watchList } from '@/core/fault/watch-list';
import type { SetLog } from '@/core/record/set-log';
import type { FloorItemView, FloorSessionView, FloorView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import { clock } from '@/messages/day';
import { lastTimeText, progressText, settingsNoteText } from '@/messages/floor';
import { replacedText } from '@/messages/replaced';
import { dayOf } from './clock';
import { findLastUsed, loadItem, sidesAlternate, type ItemContext } from './item-context';
import { reachClient, reachSessions } from './reach';
import { loadScreening } from './screening';
import { findSettings, platesOf, type FoundSettings } from './settings';
import type { UseCase } from './use-case';

const FINISHED: readonly FloorItemView['state'][] = ['done', 'stopped'];

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
        : done > 0
          ? 'under-way'
          : 'to-do';
  return { done, state };
}

/** A mark within this of the last one is the same place on the floor, metres. */
const SAME_MARK_M = 0.05;

/** Where the last session stood on this station, when it was elsewhere; in words. */
function sinceLast({ item, log, station }: ItemContext, found: FoundSettings): string | null {
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

const sideProgress = (context: ItemContext): SideProgress => {
  const { done, state } = progressOf(context);
  return { done, sets: context.item.sets, underWay: state === 'under-way', finished: FINISHED.includes(state) };
};

/** How both sides of a movement have come along together. */
function stateOfBoth(states: readonly FloorItemView['state'][]): FloorItemView['state'] {
  if (states.every((s) => FINISHED.includes(s))) return states.includes('stopped') ? 'stopped' : 'done';
  return states.every((s) => s === 'to-do') ? 'to-do' : 'under-way';
}

/** A movement as it stands on the floor: of two sides the one that goes on. */
function toItem(sides: readonly ItemContext[]): FloorItemView {
  const [a, b] = sides;
  const now = b ? nextSide([sideProgress(a!), sideProgress(b)], sidesAlternate(a!)) : 0;
  const context = sides[now]!;
  const other = sides[1 - now]?.item ?? null;
  const { item, station, variant, log, replaced } = context;
  const found = findSettings(context);
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
    since: sinceLast(context, found),
    progress: progressText(
      sides.map((s) => ({ side: s.item.side, done: progressOf(s).done, sets: s.item.sets })),
      item,
    ),
    state,
  };
}

function toSession(uc: UseCase, session: Session): FloorSessionView {
  const client = reachClient(uc, session.clientId);
  const items = withSides(session.items).flatMap((sides) => {
    const contexts = sides.flatMap((i) => loadItem(uc, i.id) ?? []);
    return contexts.length > 0 ? [toItem(contexts)] : [];
  });
  const { id, clientId, gymId, startsAtMs, minutes } = session;
  return {
    id,
    clientId,
    clientName: client?.name ?? '',
    note: client?.note ?? '',
    starts: clock(startsAtMs),
    ends: clock(startsAtMs + minutes * 60_000),
    startsAtMs,
    minutes,
    done: items.length > 0 && items.every((i) => FINISHED.includes(i.state)),
    screening: loadScreening(uc, clientId, gymId),
    items,
  };
}

/** Today's sessions in words, earliest first, each movement with its settings and what to watch. */
export function loadFloor(uc: UseCase): FloorView {
  const { nowMs } = uc;
  const { fromMs, toMs } = dayOf(nowMs);
  const today = reachSessions(uc, fromMs, toMs);
  const sessions = today.map((s) => toSession(uc, s));
  const open = sessions.filter((s) => !s.done);
  const next =
    open.find((s) => s.items.some((i) => i.state === 'under-way')) ??
    open.find((s) => s.startsAtMs + s.minutes * 60_000 > nowMs) ??
    open[0];
  return {
    nowMs,
    now: clock(nowMs),
    sessions,
    nextId: next?.id ?? null,
    unreadable: today.flatMap((s) => s.unreadable),
  };
}
