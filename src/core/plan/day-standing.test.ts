import { describe, expect, it } from 'vitest';
import type { SessionState } from './day';
import { inFull, MOST_IN_FULL, nextOf, type DayStanding } from './day-standing';

const HOUR_MS = 3_600_000;
/** Sessions of an hour, each named by its state and the hour that it begins at; the last set half an hour in. */
const day = (...told: readonly (readonly [hour: number, state: SessionState, more?: Partial<DayStanding>])[]) =>
  told.map(([hour, state, more]): DayStanding => ({
    ...{ id: `${state} ${hour}`, startsAtMs: hour * HOUR_MS, minutes: 60, state, isOpen: false },
    lastSetMs: state === 'planned' ? null : (hour + 0.5) * HOUR_MS,
    ...more,
  }));
const full = (sessions: readonly DayStanding[], hour: number) => [...inFull(sessions, hour * HOUR_MS)].toSorted();

const hours = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, k) => from + k);
const all = (from: number, to: number, state: SessionState) =>
  hours(from, to).map((h): readonly [number, SessionState] => [h, state]);

describe('who is next', () => {
  const late = { lastSetMs: 10.05 * HOUR_MS };
  it.each<[string, readonly DayStanding[], number, string | null]>([
    ['the first whose time is not over', day([9, 'planned'], [10, 'planned']), 10.1, 'planned 10'],
    ['who is over their time and was just seen', day([9, 'under-way', late], [10, 'planned']), 10.2, 'under-way 9'],
    ['nobody who left a quarter of an hour ago', day([9, 'under-way', late], [10, 'planned']), 10.4, 'planned 10'],
    [
      'nobody by a clock that is hours ahead',
      day([9, 'under-way', { lastSetMs: 14 * HOUR_MS }], [10, 'planned']),
      10.4,
      'planned 10',
    ],
    [
      'who is in their time before who is over it',
      day([9, 'under-way', late], [10, 'under-way']),
      10.2,
      'under-way 10',
    ],
    [
      'whose set is open, whatever the clock says',
      day([6, 'under-way', { isOpen: true }], [10, 'planned']),
      10,
      'under-way 6',
    ],
    ['who went home with a set to do, once nobody else comes', day([6, 'under-way'], [7, 'done']), 12, 'under-way 6'],
    ['nobody whose session is finished', day([6, 'done', { isOpen: true }], [10, 'planned']), 10, 'planned 10'],
    ['nobody where all are done', day([6, 'done'], [7, 'done']), 12, null],
  ])('%s', (_, sessions, hour, id) => {
    expect(nextOf(sessions, hour * HOUR_MS)?.id ?? null).toBe(id);
  });
});

describe('which sessions of a day are told in full', () => {
  it('all of a day that is not full', () => {
    const few = day(...all(7, 9, 'done'), ...all(9, 11, 'planned'), ...all(11, 13, 'planned'));
    expect(full(few, 10)).toHaveLength(MOST_IN_FULL);
  });
  it('who comes before who was left and who is done, and of those the latest', () => {
    const sessions = day(...all(6, 9, 'done'), [9, 'planned'], ...all(11, 15, 'planned'));
    const told = ['done 8', ...hours(11, 15).map((h) => `planned ${h}`), 'planned 9'];
    expect(full(sessions, 11.5)).toEqual(told.toSorted());
    const evening = hours(14, 19).map((h) => `planned ${h}`);
    expect(full(day(...all(6, 20, 'planned')), 19.5)).toEqual([...evening, 'planned 19']);
  });
  it('everybody on the floor, however many; who has gone no longer', () => {
    const crowd = hours(0, 9).map((k) => day([10, 'under-way', { id: `c${k}`, lastSetMs: 10.9 * HOUR_MS }])[0]!);
    expect(full([...crowd, ...day(...all(11, 13, 'planned'))], 10.5)).toEqual(crowd.map((s) => s.id));
    expect(full(crowd, 11.1)).toHaveLength(9);
    expect(full(crowd, 11.2)).toHaveLength(MOST_IN_FULL);
  });
  it('who was begun in the morning and left does not keep out who comes, but for an open set', () => {
    const left = all(6, 12, 'under-way');
    expect(full(day(...left, ...all(14, 21, 'planned')), 14)).toEqual(hours(14, 20).map((h) => `planned ${h}`));
    const told = full(day([5, 'under-way', { isOpen: true }], ...left, ...all(14, 21, 'planned')), 14);
    expect(told).toContain('under-way 5');
    expect(told).toHaveLength(MOST_IN_FULL);
  });
});
