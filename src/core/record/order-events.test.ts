import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import type { FloorEvent, FloorEventBody } from './floor-event';
import { orderEvents } from './order-events';
import { foldSetLog } from './set-log';

const START = { kind: 'set-started', setNo: 1, loadG: 1000, targetReps: 10, tempo: '3-1-1-1' } as const;
const event = (deviceId: string, seq: number, atMs: number, body: FloorEventBody): FloorEvent => ({
  ...body,
  ...{ id: `${deviceId}${seq}`, actorId: 't', deviceId, seq, atMs, clientId: 'c', itemId: 'i' },
  movement: 'cable-fly-level',
});
const ids = (events: readonly FloorEvent[]): string =>
  orderEvents(events)
    .map((e) => e.id)
    .join(' ');
const YEAR_MS = 365 * 24 * 3_600_000;

/** A set on tablet a, counted, marked on tablet b, ended on a, and another one begun on a. */
const day = (aClock: (k: number) => number, bClock: (k: number) => number): FloorEvent[] => [
  event('a', 1, aClock(1), { ...START, setId: 'A' }),
  event('a', 2, aClock(2), { kind: 'rep', setId: 'A', rep: 1 }),
  event('b', 1, bClock(3), { kind: 'fault', setId: 'A', rep: 1, fault: 'shrugs', side: 'both', severity: 2 }),
  event('a', 3, aClock(4), { kind: 'set-ended', setId: 'A', reps: 1 }),
  event('b', 2, bClock(5), { kind: 'undo', eventId: 'b1' }),
  event('a', 4, aClock(6), { ...START, setId: 'B', setNo: 2 }),
];
const right = (k: number): number => 1_700_000_000_000 + 1000 * k;

describe('the order of what happened', () => {
  it('is by the clock where clocks are right', () => expect(ids(day(right, right))).toBe('a1 a2 b1 a3 b2 a4'));
  it.each<[string, (k: number) => number, (k: number) => number]>([
    ['a tablet minutes slow', (k) => right(k) - 300_000, right],
    ['the other one minutes slow', right, (k) => right(k) - 300_000],
    ['a tablet a year ahead', (k) => right(k) + YEAR_MS, right],
    ['the other one a year ahead', right, (k) => right(k) + YEAR_MS],
    ['a clock set back in the middle of the set', (k) => right(k) - (k > 1 ? 3_600_000 : 0), right],
    ['a clock set back between two sets', (k) => right(k) - (k > 4 ? 86_400_000 : 0), right],
    ['a clock that stands still', () => right(0), right],
  ])('%s: the set has what was tapped, and the second one is the open one', (_, a, b) => {
    const { sets } = foldSetLog(day(a, b), {});
    expect(sets.map((s) => [s.setId, s.reps, s.endedAtMs !== null, s.faults.length])).toEqual([
      ['A', 1, true, 0],
      ['B', 0, false, 0],
    ]);
  });
  it('is the same however the events came and however often', () => {
    const random = seeded(31);
    for (let k = 0; k < 60; k++) {
      const skew = (random() - 0.5) * 2 * YEAR_MS;
      const events = day((n) => right(n) + skew, right);
      const turned = [...events, ...events].map((e) => [random(), e] as const).sort((x, y) => x[0] - y[0]);
      expect(ids(turned.map(([, e]) => e))).toBe(ids(events));
      const own = orderEvents(events).filter((e) => e.deviceId === 'a');
      expect(own.map((e) => e.seq)).toEqual([1, 2, 3, 4]);
    }
  });
  it('of the same moment by device, then as the device counted', () => {
    const at = (deviceId: string, seq: number, ms: number) =>
      event(deviceId, seq, ms, { kind: 'go-ahead', why: 'said' });
    expect(ids([at('b', 9, 1), at('a', 3, 3), at('b', 10, 2), at('a', 1, 2), at('a', 2, 2)])).toBe('b9 a1 a2 b10 a3');
  });
  it('a device that counts a number twice is ordered by its clock, and what belongs to nothing stays', () => {
    expect(
      ids([
        event('a', 1, 50, { kind: 'rep', setId: 'gone', rep: 1 }),
        { ...event('a', 1, 20, { kind: 'rep', setId: 'gone', rep: 2 }), id: 'copy' },
      ]),
    ).toBe('copy a1');
  });
});
