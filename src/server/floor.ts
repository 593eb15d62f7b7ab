import 'server-only';
import { entryOf } from '@/core/book/book';
import { watchList } from '@/core/fault/watch-list';
import type { SetLog } from '@/core/record/set-log';
import type { FloorItemView, FloorSessionView, FloorView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import type { SettingView } from '@/contract/views/setting';
import { clock } from '@/messages/day';
import { BAND_LABEL, HANDLE_LABEL, lastTimeText, progressText, settingsNoteText } from '@/messages/floor';
import { loadLabel, loadNumber } from '@/messages/loads';
import { replacedText } from '@/messages/replaced';
import { dayOf } from './clock';
import { findLastUsed, loadItem, type ItemContext } from './item-context';
import { reachClient, reachSessions } from './reach';
import { loadScreening } from './screening';
import { findSettings, settingViews, type FoundSettings } from './settings';
import type { UseCase } from './use-case';

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

/** What is lifted, and by what. */
function loadViews({ item, unit, attachment, band }: ItemContext): SettingView[] {
  const label = loadLabel(entryOf(item.movement), item.side);
  const load: SettingView[] = label
    ? [{ kind: 'load', label, value: loadNumber(item.loadG, unit), unit, estimated: false }]
    : [];
  const handle: SettingView[] = attachment
    ? [{ kind: 'handle', label: HANDLE_LABEL, value: attachment.name, unit: '', estimated: false }]
    : [];
  const hung: SettingView[] = band
    ? [{ kind: 'band', label: BAND_LABEL, value: band.name, unit: '', estimated: false }]
    : [];
  return [...load, ...handle, ...hung];
}

function toItem(context: ItemContext): FloorItemView {
  const { item, station, variant, log, replaced } = context;
  const found = findSettings(context);
  const { done, state } = progressOf(context);
  return {
    id: item.id,
    movement: item.movement,
    variant: variant?.name ?? null,
    station: station?.name ?? null,
    settings: [...settingViews(found, station, item.side), ...loadViews(context)],
    settingsNote: found.from === 'blocked' ? '' : settingsNoteText(found),
    blocked: found.from === 'blocked' ? found.says : null,
    replaced: replaced.length > 0 ? replaced.map(replacedText).join(' ') : null,
    watch: watchList(log.sets).map((w) => ({ fault: w.fault, text: `${w.setsSeen} of ${w.sets} sets` })),
    since: sinceLast(context, found),
    progress: progressText(done, item),
    state,
  };
}

const FINISHED: readonly FloorItemView['state'][] = ['done', 'stopped'];

function toSession(uc: UseCase, session: Session): FloorSessionView {
  const client = reachClient(uc, session.clientId);
  const items = session.items.flatMap((i) => {
    const context = loadItem(uc, i.id);
    return context ? [toItem(context)] : [];
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
