import ICAL from 'ical.js';
import { describe, expect, it } from 'vitest';
import type { Db } from '@/data/open-db';
import { findSession, listSessions } from '@/data/queries/sessions';
import { previewCalendar, takeCalendar, writeCalendar } from '@/server/calendar';
import type { UseCase } from '@/server/use-case';
import { callOffSession, makeSession } from '@/server/sessions';
import { RELIEF } from '../demo/people';
import { at, NOW, world } from './support/world';

const HOUR = 3_600_000;
/** A week ahead of the demo's morning: what is past is not moved any more. */
function ahead(): { db: Db; id: string } {
  const db = world();
  const form = { clientId: 'sefina', gymId: '', day: '2026-12-01', startsAt: '18:30', minutes: 45 };
  const done = makeSession(at(db), { ...form, from: 'last', fromId: '', leaveOut: false });
  return { db, id: done.ok ? done.id : '' };
}
const states = (db: Db, text: unknown) => {
  const seen = previewCalendar(at(db), text);
  return seen.ok ? seen.kept!.lines.map((l) => [l.state, l.why]) : seen.issues.map((i) => i.path);
};
/** Every line that a file has. */
const takeAll = (uc: UseCase, text: string) => {
  const seen = previewCalendar(uc, text);
  return takeCalendar(uc, text, seen.ok ? seen.kept!.lines.map((l) => l.id) : []);
};
const file = (...events: string[]) => ['BEGIN:VCALENDAR', 'VERSION:2.0', ...events, 'END:VCALENDAR', ''].join('\r\n');
const event = (...lines: string[]) => ['BEGIN:VEVENT', 'DTSTAMP:20261120T080000Z', ...lines, 'END:VEVENT'].join('\r\n');
const utc = (ms: number) => new Date(ms).toISOString().replace(/[-:]|\.\d{3}/g, '');
const once = (uid: string, title: string, ms: number, minutes = 60) =>
  event(`UID:${uid}`, `SUMMARY:${title}`, `DTSTART:${utc(ms)}`, `DTEND:${utc(ms + minutes * 60_000)}`);

describe('sessions out', () => {
  it('another library reads them back: who, when, how long, with which movements', () => {
    const { db, id } = ahead();
    const events = new ICAL.Component(ICAL.parse(writeCalendar(at(db))) as unknown[])
      .getAllSubcomponents('vevent')
      .map((e) => new ICAL.Event(e));
    const all = listSessions(db, NOW - 28 * 24 * HOUR, NOW + 182 * 24 * HOUR);
    expect(events.map((e) => e.uid).toSorted()).toEqual(all.map((s) => `${s.id}@jorvix`).toSorted());
    const own = events.find((e) => e.uid === `${id}@jorvix`)!;
    expect([own.summary, own.startDate.toJSDate().getTime(), own.duration.toSeconds()]).toEqual([
      ...['Sefina Taualofa', findSession(db, id)!.startsAtMs, 45 * 60],
    ]);
    expect(own.description).toContain('3 × 12');
    expect(writeCalendar(at(db, NOW, RELIEF))).not.toContain('VEVENT');
  });
});

describe('sessions in', () => {
  it('what left from here is as it is; moved elsewhere it is moved here, once it is taken', () => {
    const { db, id } = ahead();
    const text = writeCalendar(at(db));
    expect(new Set(states(db, text).map(([s]) => s))).toEqual(new Set(['same']));
    const { startsAtMs } = findSession(db, id)!;
    const later = text.replaceAll(utc(startsAtMs), utc(startsAtMs + HOUR / 2));
    expect(states(db, later).filter(([s]) => s !== 'same')).toEqual([['moved', '']]);
    expect(findSession(db, id)!.startsAtMs).toBe(startsAtMs);
    expect(takeAll(at(db), later)).toMatchObject({ ok: true });
    expect(findSession(db, id)).toMatchObject({ startsAtMs: startsAtMs + HOUR / 2, minutes: 15 });
    callOffSession(at(db), id, true);
    expect(states(db, later).filter(([s]) => s === 'rejected')).toEqual([['rejected', 'is called off here']]);
  });
  it('an event that repeats, in a zone of its own, is a session each time; taken twice they are the same', () => {
    const db = world();
    const weekly = file(
      ...['BEGIN:VTIMEZONE', 'TZID:Elsewhere', 'BEGIN:STANDARD', 'DTSTART:19700101T000000', 'TZOFFSETFROM:+0300'],
      ...['TZOFFSETTO:+0300', 'END:STANDARD', 'END:VTIMEZONE'],
      event(
        ...['UID:weekly@elsewhere', 'SUMMARY: anselm OKPARAEKE ', 'RRULE:FREQ=WEEKLY;COUNT=3'],
        ...['DTSTART;TZID=Elsewhere:20261201T120000', 'DURATION:PT50M'],
      ),
    );
    expect(states(db, weekly)).toEqual(Array.from({ length: 3 }, () => ['new', '']));
    for (let twice = 0; twice < 2; twice++) takeAll(at(db), weekly);
    const made = listSessions(db, NOW + 24 * HOUR, NOW + 60 * 24 * HOUR);
    expect(made.map((s) => [s.clientId, new Date(s.startsAtMs).toISOString(), s.minutes])).toEqual(
      [1, 8, 15].map((day) => ['anselm', `2026-12-${String(day).padStart(2, '0')}T09:00:00.000Z`, 50]),
    );
  });
  it('one time of a repeating event that was moved is there once, and only that event’s own', () => {
    const db = world();
    const base = [
      'SUMMARY:Anselm Okparaeke',
      'DTSTART:20261201T090000Z',
      'DURATION:PT50M',
      'RRULE:FREQ=WEEKLY;COUNT=2',
    ];
    const moved = [
      'RECURRENCE-ID:20261208T090000Z',
      'SUMMARY:Anselm Okparaeke',
      'DTSTART:20261208T110000Z',
      'DURATION:PT50M',
    ];
    takeAll(at(db), file(event('UID:a', ...base), event('UID:a', ...moved)));
    const hours = () =>
      listSessions(db, NOW + 24 * HOUR, NOW + 60 * 24 * HOUR).map((s) => new Date(s.startsAtMs).getUTCHours());
    expect(hours()).toEqual([9, 11]);
    // Another event of the same times keeps its own; a moved time without its event stands by itself.
    const sefina = base.map((l) => l.replace('Anselm Okparaeke', 'Sefina Taualofa'));
    const other = world();
    takeAll(at(other), file(event('UID:b', ...sefina), event('UID:a', ...base), event('UID:a', ...moved)));
    const of = (id: string) =>
      listSessions(other, NOW + 24 * HOUR, NOW + 60 * 24 * HOUR).filter((s) => s.clientId === id);
    expect(of('sefina').map((s) => new Date(s.startsAtMs).getUTCHours())).toEqual([9, 9]);
    expect(states(world(), file(event('UID:a', ...moved)))).toEqual([['new', '']]);
  });
  it('what is left out says why, and the rest is taken', () => {
    const db = world();
    const next = NOW + 30 * HOUR;
    const mixed = file(
      once('a', 'Anselm Okparaeke', next),
      once('b', 'Dentist', next),
      once('c', 'Anselm Okparaeke', next, 600),
      once('d', 'Anselm Okparaeke', NOW - 30 * HOUR),
      once('e', 'Anselm Okparaeke', NOW + 400 * 24 * HOUR),
      event('UID:f', 'SUMMARY:Anselm Okparaeke', 'DTSTART;VALUE=DATE:20261203', 'DTEND;VALUE=DATE:20261204'),
    );
    expect(states(db, mixed).toSorted()).toEqual([
      ['new', ''],
      ['rejected', 'has no time of day'],
      ['rejected', 'is not 10 to 240 minutes long'],
      ['rejected', 'is over'],
      ['rejected', 'its title is no client of yours'],
    ]);
    takeAll(at(db), mixed);
    expect(listSessions(db, NOW + 24 * HOUR, NOW + 48 * HOUR)).toHaveLength(1);
  });
  it.each([['BEGIN:NOTHING'], [''], ['{"a":1}'], [null], [7], ['BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nUID:x']])(
    '%j is told to be none',
    (text) => expect(states(world(), text)).toEqual(['file']),
  );
  it('somebody else’s session is not moved by a file that has it', () => {
    const { db, id } = ahead();
    const { startsAtMs } = findSession(db, id)!;
    takeAll(at(db, NOW, RELIEF), file(once(`${id}@jorvix`, 'Sefina Taualofa', startsAtMs + HOUR)));
    expect(findSession(db, id)!.startsAtMs).toBe(startsAtMs);
  });
  it('line by line: what is not kept is planned nowhere, and is still new the next time', () => {
    const db = world();
    const two = file(once('a', 'Sefina Taualofa', NOW + 30 * HOUR), once('b', 'Sefina Taualofa', NOW + 54 * HOUR));
    const seen = previewCalendar(at(db), two);
    const [a] = seen.ok ? seen.kept!.lines : [];
    expect(takeCalendar(at(db), two, [a!.id, 'nothing'])).toMatchObject({ ok: true });
    expect(states(db, two).map(([s]) => s)).toEqual(['same', 'new']);
    expect(takeCalendar(at(db), two, 'all')).toMatchObject({ ok: false });
  });
});
