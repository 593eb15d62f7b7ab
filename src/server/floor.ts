import 'server-only';
import type { FloorSessionView, FloorView } from '@/contract/views/floor';
import type { Session } from '@/contract/views/plan';
import { clock, dayIn } from '@/messages/day';
import { dueText, unfinishedText } from '@/messages/floor';
import { doneName } from '@/messages/book';
import { dueOn } from '@/core/body/due';
import type { MovementId } from '@/core/book/book';
import { lanesOf, type DaySession } from '@/core/plan/day';
import type { Client, ScreeningView } from '@/contract/views/client';
import { lastChanged } from '@/data/queries/changes';
import { dayOf, dayText, toLocalDay } from './clock';
import { floorItems, isFinished } from './floor-items';
import { floorSessions } from './floor-sessions';
import { daySessions, othersSessions } from './day-sessions';
import { reachClient, reachClientsOf, reachOpenSets } from './reach';
import { loadScreening } from './screening';
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
  const items = client ? floorItems(uc, { session, client, screening }) : [];
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
    done: session.finishedAtMs !== null || (items.length > 0 && items.every(isFinished)),
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
  const clients = reachClientsOf(
    uc,
    today.map((s) => s.clientId),
  );
  const day: Day = {
    lanes: lanesOf(today),
    everybody,
    clients: new Map(
      today.flatMap((s) => {
        const c = clients.get(s.clientId);
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
