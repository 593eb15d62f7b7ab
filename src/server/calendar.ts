import 'server-only';
import ICAL from 'ical.js';
import ical from 'ical-generator';
import { v5 as uuidFrom } from 'uuid';
import { refused, type Refused, type SaveResult } from '@/contract/save-result';
import { SESSION_MINUTES } from '@/contract/session-form';
import type { CalendarLine, CalendarView } from '@/contract/views/session-plan';
import type { Session } from '@/contract/views/plan';
import { inTransaction } from '@/data/in-transaction';
import { listGyms } from '@/data/queries/gyms';
import { addSession, setTime } from '@/data/queries/sessions';
import { doneName } from '@/messages/book';
import { CALENDAR, CALENDAR_REFUSAL } from '@/messages/calendar';
import { moment } from '@/messages/day';
import { PLAN_REFUSAL, plannedText } from '@/messages/plan';
import { keepChanges } from './changes';
import { reachClients, reachSession, reachSessions, reachSessionsOf } from './reach';
import { whenSheet } from './sessions';
import type { UseCase } from './use-case';

const DAY_MS = 86_400_000;
/** What is written: so long back and ahead, days. */
const [BACK, AHEAD] = [28, 182] as const;
/** Events of a file that are looked at, and occurrences of one that repeats. */
const MOST_EVENTS = 2000;
const MOST_OCCURRENCES = 60;
const MINUTE_MS = 60_000;
/** What a session's id becomes in a calendar. */
const DOMAIN = '@jorvix';
/** Namespace of ids that are made from another calendar's. */
const FOREIGN = '0d5f6a3e-8f8e-4a0e-9e39-5f1c2f6f4b11';

/** What is planned in a session, a line for each movement. */
const planLines = ({ items }: Session): string =>
  items.map((i) => `${doneName(i.movement, i.side)}: ${plannedText([{ ...i, load: null, unit: 'kg' }])}`).join('\n');

/** The sessions of who asks as an iCalendar file (RFC 5545): four weeks back, half a year ahead. */
export function writeCalendar(uc: UseCase): string {
  const names = new Map(reachClients(uc).map((c) => [c.id, c.name]));
  const gyms = new Map(listGyms(uc.db).map((g) => [g.id, g.name]));
  const sessions = reachSessions(uc, uc.nowMs - BACK * DAY_MS, uc.nowMs + AHEAD * DAY_MS);
  const calendar = ical({ name: CALENDAR.name, prodId: { company: 'Jorvix', product: 'Plan', language: 'EN' } });
  for (const s of sessions)
    calendar.createEvent({
      id: `${s.id}${DOMAIN}`,
      stamp: new Date(uc.nowMs),
      start: new Date(s.startsAtMs),
      end: new Date(s.startsAtMs + s.minutes * MINUTE_MS),
      summary: names.get(s.clientId) ?? '',
      description: planLines(s),
      location: gyms.get(s.gymId) ?? '',
    });
  return calendar.toString();
}

/** An event of a file as it is read: once, or once for every time that it repeats. */
interface Occurrence {
  /** The session that left from here as it; null for another calendar's own. */
  readonly own: string | null;
  readonly id: string;
  readonly summary: string;
  readonly startsAtMs: number;
  readonly minutes: number;
  readonly isAllDay: boolean;
}

function occurrences(event: ICAL.Event, untilMs: number): Occurrence[] {
  const of = (start: ICAL.Time, end: ICAL.Time, again: string): Occurrence => {
    const [startsAtMs, endsAtMs] = [start.toJSDate().getTime(), end.toJSDate().getTime()];
    return {
      own: event.uid.endsWith(DOMAIN) && again === '' ? event.uid.slice(0, -DOMAIN.length) : null,
      id: uuidFrom(`${event.uid} ${again}`, FOREIGN),
      summary: event.summary ?? '',
      startsAtMs,
      minutes: Math.round((endsAtMs - startsAtMs) / MINUTE_MS),
      isAllDay: start.isDate,
    };
  };
  if (!event.isRecurring()) return [of(event.startDate, event.endDate, '')];
  const found: Occurrence[] = [];
  const times = event.iterator();
  for (let n = 0, next = times.next(); next && n < MOST_OCCURRENCES; n++, next = times.next()) {
    const { startDate, endDate } = event.getOccurrenceDetails(next);
    if (startDate.toJSDate().getTime() > untilMs) break;
    found.push(of(startDate, endDate, next.toString()));
  }
  return found;
}

/** Every occurrence in a file; null where it is no calendar. */
function readCalendar(text: string, untilMs: number): Occurrence[] | null {
  try {
    const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
    for (const zone of root.getAllSubcomponents('vtimezone')) ICAL.TimezoneService.register(zone);
    const parts = root.getAllSubcomponents('vevent').slice(0, MOST_EVENTS);
    // What one occurrence has otherwise belongs to its event; without the event it stands by itself.
    const [changed, whole] = [true, false].map((is) => parts.filter((e) => e.hasProperty('recurrence-id') === is));
    const uidOf = (e: ICAL.Component): unknown => e.getFirstPropertyValue('uid');
    const known = new Set(whole!.map(uidOf));
    const events = whole!.map(
      (e) =>
        new ICAL.Event(e, { exceptions: changed!.filter((c) => uidOf(c) === uidOf(e)).map((c) => new ICAL.Event(c)) }),
    );
    const alone = changed!.filter((c) => !known.has(uidOf(c))).map((c) => new ICAL.Event(c));
    return [...events, ...alone].flatMap((e) => occurrences(e, untilMs));
  } catch {
    return null;
  } finally {
    // Another file may call another zone by the same name.
    ICAL.TimezoneService.reset();
  }
}

type Line = CalendarLine & { readonly startsAtMs: number; readonly clientId: string | null };

/** What becomes of an occurrence: whose it is by its name, and whether it is there already. */
function lineOf(uc: UseCase, names: ReadonlyMap<string, string>, o: Occurrence): Line {
  // What left from somebody else's sessions comes in as any other event.
  const known = (o.own === null ? null : reachSession(uc, o.own)) ?? reachSession(uc, o.id);
  const clientId = known?.clientId ?? names.get(o.summary.trim().toLowerCase()) ?? null;
  const base = { id: known?.id ?? o.id, startsAtMs: o.startsAtMs, minutes: o.minutes, clientId, summary: o.summary };
  const line = (state: CalendarLine['state'], why = ''): Line => ({ ...base, when: moment(o.startsAtMs), state, why });
  if (o.isAllDay) return line('rejected', CALENDAR_REFUSAL.allDay);
  if (o.minutes < SESSION_MINUTES.least || o.minutes > SESSION_MINUTES.most)
    return line('rejected', CALENDAR_REFUSAL.minutes(SESSION_MINUTES.least, SESSION_MINUTES.most));
  if (clientId === null) return line('rejected', CALENDAR_REFUSAL.nobody);
  if (!known) return o.startsAtMs < uc.nowMs ? line('rejected', CALENDAR_REFUSAL.past) : line('new');
  if (known.calledOffAtMs !== null) return line('rejected', CALENDAR_REFUSAL.calledOff);
  if (known.startsAtMs === o.startsAtMs && known.minutes === o.minutes) return line('same');
  return known.startsAtMs < uc.nowMs ? line('rejected', CALENDAR_REFUSAL.begun) : line('moved');
}

function linesOf(uc: UseCase, text: unknown): readonly Line[] | Refused {
  const untilMs = uc.nowMs + AHEAD * DAY_MS;
  const found = typeof text === 'string' ? readCalendar(text, untilMs) : null;
  if (!found) return refused('file', CALENDAR_REFUSAL.noCalendar);
  const names = new Map(reachClients(uc).map((c) => [c.name.trim().toLowerCase(), c.id]));
  return found
    .filter((o) => o.startsAtMs > uc.nowMs - BACK * DAY_MS && o.startsAtMs < untilMs)
    .toSorted((a, b) => a.startsAtMs - b.startsAtMs)
    .map((o) => lineOf(uc, names, o));
}

const isRefused = (lines: readonly Line[] | Refused): lines is Refused => 'ok' in lines;

/** What a calendar file would do, line by line; nothing is changed. */
export function previewCalendar(uc: UseCase, text: unknown): SaveResult<CalendarView> {
  const lines = linesOf(uc, text);
  if (isRefused(lines)) return lines;
  const shown = lines.map(({ id, when, minutes, summary, state, why }) => ({ id, when, minutes, summary, state, why }));
  return { ok: true, id: '', kept: { lines: shown } };
}

/**
 * Take lines of a calendar file, by their ids: what is new is planned, empty, and what was moved is moved; all of them,
 * or nothing.
 */
export function takeCalendar(uc: UseCase, text: unknown, ids: unknown): SaveResult<CalendarView> {
  const lines = linesOf(uc, text);
  if (isRefused(lines)) return lines;
  if (!Array.isArray(ids)) return refused('file', CALENDAR_REFUSAL.noLines);
  const gyms = listGyms(uc.db).map((g) => g.id);
  if (gyms.length === 0) return refused('file', PLAN_REFUSAL.noGym);
  inTransaction(uc.db, () => {
    for (const { id, state, clientId, startsAtMs, minutes } of lines) {
      if (!ids.includes(id) || clientId === null || (state !== 'new' && state !== 'moved')) continue;
      const of = { subject: 'plan', subjectId: id, clientId } as const;
      const before = reachSession(uc, id);
      if (before) setTime(uc.db, id, startsAtMs, minutes);
      else {
        const gymId = reachSessionsOf(uc, clientId, 1)[0]?.gymId ?? gyms[0]!;
        addSession(uc.db, { id, gymId, clientId, startsAtMs, minutes, items: [] }, uc.actor.id);
      }
      keepChanges(uc, of, before ? whenSheet(before) : { session: null }, whenSheet({ startsAtMs, minutes }));
    }
  });
  return previewCalendar(uc, text);
}
