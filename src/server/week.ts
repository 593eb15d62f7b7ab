import 'server-only';
import dayjs from 'dayjs';
import { wantedTogether } from '@/core/plan/day';
import { withSides } from '@/core/record/side-pair';
import type { Session } from '@/contract/views/plan';
import type { WeekSessionView, WeekView } from '@/contract/views/session-plan';
import { listGyms } from '@/data/queries/gyms';
import { clock } from '@/messages/day';
import { dayTitle, weekTitle } from '@/messages/plan';
import { listChangeTimes } from './change-times';
import { dayText } from './clock';
import { daySessions, othersSessions, progressIn } from './day-sessions';
import { reachClients, reachSessions } from './reach';
import { stateOf } from './session-state';
import { mayDrop, reachTemplates } from './templates';
import type { UseCase } from './use-case';

const DAYS = 7;
/** Days of a week before Monday, by the day's number from Sunday. */
const SINCE_MONDAY = 6;

/** The Monday of the week that holds a day; of the week of now where it is no day. */
function mondayOf(day: string | undefined, nowMs: number): dayjs.Dayjs {
  const asked = dayjs(day !== undefined && /^\d{4}-\d\d-\d\d$/.test(day) ? day : nowMs);
  const start = (asked.isValid() ? asked : dayjs(nowMs)).startOf('day');
  return start.subtract((start.day() + SINCE_MONDAY) % DAYS, 'day');
}

/** A week's days: the one that holds `day`, else today's. */
export function weekOf({ nowMs }: Pick<UseCase, 'nowMs'>, day: string | undefined) {
  const monday = mondayOf(day, nowMs);
  const [fromMs, toMs] = [monday.valueOf(), monday.add(DAYS, 'day').valueOf()];
  return {
    ...{ fromMs, toMs },
    monday: dayText(fromMs),
    before: dayText(monday.subtract(DAYS, 'day').valueOf()),
    after: dayText(toMs),
    titled: weekTitle(fromMs),
    isThisWeek: fromMs <= nowMs && nowMs < toMs,
  };
}

/** A week of the sessions of who asks, and what a session can be made with; `day`: any of the week, else today. */
export function loadWeek(uc: UseCase, day: string | undefined): WeekView {
  const { fromMs, toMs, ...week } = weekOf(uc, day);
  const sessions = reachSessions(uc, fromMs, toMs);
  const clients = reachClients(uc);
  const names = new Map(clients.map((c) => [c.id, c.name]));
  const progress = progressIn(uc, sessions);
  const wanted = wantedTogether([...daySessions(uc, sessions, progress), ...othersSessions(uc, fromMs, toMs)]);
  const toView = (s: Session): WeekSessionView => ({
    id: s.id,
    clientName: names.get(s.clientId) ?? '',
    starts: clock(s.startsAtMs),
    ends: clock(s.startsAtMs + s.minutes * 60_000),
    movements: withSides(s.items).length,
    state: stateOf(s, progress),
    isWanted: (wanted.get(s.id) ?? []).length > 0,
  });
  const templates = reachTemplates(uc);
  return {
    ...week,
    days: Array.from({ length: DAYS }, (_, k) => dayjs(fromMs).add(k, 'day')).map((d) => ({
      day: dayText(d.valueOf()),
      says: dayTitle(d.valueOf()),
      isToday: d.isSame(uc.nowMs, 'day'),
      sessions: sessions.filter((s) => d.isSame(s.startsAtMs, 'day')).map(toView),
    })),
    changeTimes: listChangeTimes(uc),
    clients: clients.map((c) => ({ value: c.id, label: c.name })),
    gyms: listGyms(uc.db).map((g) => ({ value: g.id, label: g.name })),
    templates: templates.rows.map((t) => ({ ...t, mayDrop: mayDrop(uc, t) })),
    unreadable: templates.unreadable.length,
  };
}
