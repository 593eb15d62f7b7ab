import 'server-only';
import type { BriefSessionView, FloorBlockView, FloorSessionView, FloorView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import { clock, dayIn } from '@/messages/day';
import { dueText, setsText, unfinishedText } from '@/messages/floor';
import { doneName, movementName } from '@/messages/book';
import { dueOn } from '@/core/body/due';
import type { MovementId } from '@/core/book/book';
import { lanesOf, type DaySession } from '@/core/plan/day';
import { inFull, isInTime, isOnFloor, nextOf, type DayStanding } from '@/core/plan/day-standing';
import { withSides } from '@/core/record/side-pair';
import type { Client, ScreeningView } from '@/contract/views/client';
import { lastChanged } from '@/data/queries/changes';
import type { ItemProgress } from '@/data/queries/read-folds';
import { dayOf, dayText, toLocalDay } from './clock';
import { floorItems } from './floor-items';
import { floorSessions } from './floor-sessions';
import { daySessions, othersSessions, progressIn } from './day-sessions';
import { reachClient, reachClientsOf, reachOpenSets } from './reach';
import { loadScreening } from './screening';
import { isTouched, setsIn, toStanding } from './session-state';
import type { UseCase } from './use-case';
import { wantedOnFloor } from './wanted';

/** Sets of earlier days that are told of at once. */
const MOST_UNFINISHED = 6;

/** What the day is told with beside the session itself. */
interface Day {
  readonly lanes: ReadonlyMap<string, number>;
  /** Everybody's sessions of the day: when, and on which stations. */
  readonly everybody: readonly DaySession[];
  /** The client of each session in the care of who asks. */
  readonly clients: ReadonlyMap<string, Client>;
  readonly progress: ReadonlyMap<string, ItemProgress>;
  readonly nowMs: number;
}

/** What is due for a client on the day of now. */
function dueTexts({ db, nowMs }: UseCase, client: Client, screening: ScreeningView): string[] {
  const measured = [client.range.left, client.range.right].some((r) => Object.keys(r ?? {}).length > 0);
  const changedMs = measured ? lastChanged(db, client.id, 'range') : null;
  const rangesDay = changedMs === null ? null : toLocalDay(changedMs);
  return dueOn(toLocalDay(nowMs), { limits: client.limits, screening: screening.state, rangesDay }).map(dueText);
}

/** A session of the day and how it stands. */
type Standing = Session & DayStanding;

const toBlock = (s: Standing, { lanes, clients, progress, nowMs }: Day): FloorBlockView => ({
  id: s.id,
  clientName: clients.get(s.id)?.name ?? '',
  starts: clock(s.startsAtMs),
  ends: clock(s.startsAtMs + s.minutes * 60_000),
  startsAtMs: s.startsAtMs,
  minutes: s.minutes,
  done: s.state === 'done',
  underWay: isOnFloor(s, nowMs),
  isTouched: isTouched(s, progress),
  lane: lanes.get(s.id) ?? 0,
});

function toBrief(s: Standing, today: Day): BriefSessionView {
  const { done, planned } = setsIn(s, today.progress);
  return {
    ...toBlock(s, today),
    movements: withSides(s.items).map(([first]) => movementName(first.movement)),
    progress: setsText(done, planned),
  };
}

function toSession(uc: UseCase, session: Standing, today: Day): FloorSessionView {
  const { id, clientId, gymId, startsAtMs } = session;
  const client = today.clients.get(id) ?? null;
  const screening = loadScreening(uc, clientId, gymId);
  const items = client ? floorItems(uc, { session, client, screening }) : [];
  const own = today.everybody.find((s) => s.id === id);
  const others = today.everybody.filter((s) => s.id !== id);
  const nameOf = (other: string): string | null => today.clients.get(other)?.name ?? null;
  const block = toBlock(session, today);
  const isBegun = block.isTouched;
  return {
    ...block,
    clientId,
    note: client?.note ?? '',
    day: dayText(startsAtMs),
    screening,
    due: client ? dueTexts(uc, client, screening) : [],
    wanted: client && own ? wantedOnFloor(uc, { session, client, isBegun }, { own, others, nameOf }) : null,
    items,
  };
}

/** The day as it is told with, and its sessions as they stand. */
function dayFor(uc: UseCase, today: readonly Session[]): { readonly day: Day; readonly standing: readonly Standing[] } {
  const { fromMs, toMs } = dayOf(uc.nowMs);
  const clients = reachClientsOf(
    uc,
    today.map((s) => s.clientId),
  );
  const progress = progressIn(uc, today);
  const day: Day = {
    lanes: lanesOf(today),
    everybody: [...daySessions(uc, today, progress), ...othersSessions(uc, fromMs, toMs)],
    clients: new Map(
      today.flatMap((s) => {
        const c = clients.get(s.clientId);
        return c ? [[s.id, c] as const] : [];
      }),
    ),
    progress,
    nowMs: uc.nowMs,
  };
  return { day, standing: today.map((s) => ({ ...s, ...toStanding(s, progress) })) };
}

/** Today's sessions in words, earliest first, each movement with its settings and what to watch. */
export function loadFloor(uc: UseCase): FloorView {
  const { nowMs } = uc;
  const { fromMs } = dayOf(nowMs);
  const today = floorSessions(uc);
  const late = today.filter((s) => s.startsAtMs < fromMs);
  const goOn = new Set(late.flatMap((s) => s.items.map((i) => i.id)));
  const { day, standing } = dayFor(uc, today);
  const told = inFull(standing, nowMs);
  const left = reachOpenSets(uc, fromMs, MOST_UNFINISHED).filter((s) => !goOn.has(s.itemId));
  return {
    nowMs,
    now: clock(nowMs),
    sessions: standing.filter((s) => told.has(s.id)).map((s) => toSession(uc, s, day)),
    // Who still comes is looked for more often than who was here.
    others: standing
      .filter((s) => !told.has(s.id))
      .toSorted((a, b) => Number(isInTime(b, nowMs)) - Number(isInTime(a, nowMs)))
      .map((s) => toBrief(s, day)),
    nextId: nextOf(standing, nowMs)?.id ?? null,
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
