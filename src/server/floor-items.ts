import 'server-only';
import { isFinished, itemState, type ItemState } from '@/core/plan/item-state';
import { nextSide, withSides, type SideProgress } from '@/core/record/side-pair';
import { watchList } from '@/core/fault/watch-list';
import type { SetLog } from '@/core/record/set-log';
import type { Client, ScreeningView } from '@/contract/views/client';
import type { FloorItemView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import { findAttachment } from '@/data/queries/kit';
import { readOnce } from '@/data/read-once';
import { lastHandleText, lastLoadText, lastTimeText, progressText, settingsNoteText } from '@/messages/floor';
import { loadText } from '@/messages/loads';
import { replacedText } from '@/messages/replaced';
import { findLastUsed, sidesAlternate, toContext, type ItemContext } from './item-context';
import { stampOfPlanned } from './planned-stamp';
import { findSettings, platesOf, type FoundSettings } from './settings';
import type { UseCase } from './use-case';

/** How far a movement of today has come. */
function progressOf({ item, log }: ItemContext): { readonly done: number; readonly state: ItemState } {
  const here = log.sets.filter((s) => s.itemId === item.id);
  const done = here.filter((s) => s.endedAtMs !== null).length;
  const state = itemState({
    ...{ ended: done, planned: item.sets, isOpen: done < here.length, isSkipped: item.skipped !== null },
    isStopped: log.pains.some((p) => p.itemId === item.id),
  });
  return { done, state };
}

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
  return { done, sets: context.item.sets, underWay: state === 'under-way', finished: isFinished(state) };
};

/** How both sides of a movement have come along together. */
function stateOfBoth(states: readonly ItemState[]): ItemState {
  const first = (['stopped', 'skipped', 'done'] as const).find((s) => states.includes(s));
  if (first && states.every(isFinished)) return first;
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

/** Sessions whose movements are at hand: more than the busiest day has. */
const itemsOnce = readOnce<readonly FloorItemView[]>(200);

/** A session that stands on the floor, of a client in the care of who asks. */
interface OnFloor {
  readonly session: Session;
  readonly client: Client;
  readonly screening: ScreeningView;
}

/** What the movements of a session follow from: what was planned, who trains, what is on record, and the kit. */
const stampOf = (uc: UseCase, { session, client, screening }: OnFloor): string =>
  stampOfPlanned(uc, client, [session, screening], session.items);

/** A session's movements as they stand, both sides of one as one; told anew where what they follow from changed. */
export const floorItems = (uc: UseCase, on: OnFloor): readonly FloorItemView[] =>
  itemsOnce(uc.db, stampOf(uc, on), () => {
    const { session, client, screening } = on;
    return withSides(session.items).map((sides) =>
      toItem(
        uc,
        sides.map((item) => toContext(uc, { item, session, client }, screening, 'folds')),
      ),
    );
  });
