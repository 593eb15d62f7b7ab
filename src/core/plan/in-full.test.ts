import { describe, expect, it } from 'vitest';
import type { SessionState } from './day';
import { inFull, MOST_IN_FULL } from './in-full';

const HOUR_MS = 3_600_000;
/** Sessions of an hour, each named by its state and the hour that it begins at. */
const day = (...told: readonly (readonly [hour: number, state: SessionState])[]) =>
  told.map(([hour, state]) => ({ id: `${state} ${hour}`, startsAtMs: hour * HOUR_MS, minutes: 60, state }));
const full = (sessions: ReturnType<typeof day>, hour: number, nextId: string | null = null) =>
  [...inFull(sessions, nextId, hour * HOUR_MS)].toSorted();

const hours = (from: number, to: number): number[] => Array.from({ length: to - from }, (_, k) => from + k);
const all = (from: number, to: number, state: SessionState) =>
  hours(from, to).map((h): readonly [number, SessionState] => [h, state]);

describe('which sessions of a day are told in full', () => {
  it('all of a day that is not full', () => {
    const few = day(...all(7, 9, 'done'), ...all(9, 11, 'planned'), ...all(11, 13, 'planned'));
    expect(full(few, 10)).toHaveLength(MOST_IN_FULL);
  });
  it('who comes before who was left and who is done, and of those done the latest', () => {
    const sessions = day(...all(6, 9, 'done'), [9, 'planned'], ...all(11, 15, 'planned'));
    expect(full(sessions, 11.5)).toEqual(
      ['done 8', ...hours(11, 15).map((h) => `planned ${h}`), 'planned 9'].toSorted(),
    );
  });
  it('everybody on the floor, however many, an hour into overtime and no longer', () => {
    const crowd = hours(0, 9).map((k) => ({ ...day([10, 'under-way'])[0]!, id: `c${k}` }));
    expect(full([...crowd, ...day(...all(11, 13, 'planned'))], 10.5)).toEqual(crowd.map((s) => s.id));
    expect(full(crowd, 11.9)).toHaveLength(9);
    expect(full(crowd, 12)).toHaveLength(MOST_IN_FULL);
  });
  it('one that was begun in the morning and left does not keep out who comes; the next one is always told', () => {
    const sessions = day(...all(6, 12, 'under-way'), ...all(14, 21, 'planned'));
    expect(full(sessions, 14)).toEqual(hours(14, 20).map((h) => `planned ${h}`));
    expect(full(sessions, 14, 'under-way 6')).toContain('under-way 6');
    expect(full(sessions, 14, 'under-way 6')).toHaveLength(MOST_IN_FULL);
  });
});
