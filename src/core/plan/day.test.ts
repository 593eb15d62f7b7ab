import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { freeStart, freeStations } from './conflict';
import { lanesOf, wantedTogether, type DaySession } from './day';

const HOUR_MS = 3_600_000;
/** A session that uses its stations all the time. */
const at = (id: string, hour: number, minutes: number, ...stationIds: string[]): DaySession => ({
  ...{ id, startsAtMs: hour * HOUR_MS, minutes, fromMs: hour * HOUR_MS },
  uses: stationIds.map((stationId) => ({
    ...{ stationId, fromMs: hour * HOUR_MS, toMs: hour * HOUR_MS + minutes * 60_000 },
  })),
});

describe('stations wanted by two at once', () => {
  it('are named for both, and only where the times meet', () => {
    const wanted = wantedTogether([
      at('a', 9, 60, 'pair', 'lone'),
      at('b', 9.5, 60, 'pair', 'pair'),
      at('c', 10.5, 60, 'pair'),
      at('d', 9, 60, 'rack'),
    ]);
    expect(wanted.get('a')).toEqual([{ otherId: 'b', stationId: 'pair', fromMs: 9.5 * HOUR_MS }]);
    expect(wanted.get('b')).toEqual([{ otherId: 'a', stationId: 'pair', fromMs: 9.5 * HOUR_MS }]);
    // One begins as the other ends.
    expect(wanted.get('c')).toEqual([]);
    expect(wanted.get('d')).toEqual([]);
  });
});

describe('a station that two want', () => {
  const day = [at('a', 9, 60, 'pair', 'rack'), at('b', 9.5, 60, 'pair'), at('c', 10, 60, 'lone')];
  const [a, ...others] = day as [DaySession, ...DaySession[]];
  it('the nearest start that is free: half an hour earlier, or where it is too late for that later', () => {
    expect(freeStart(a, others, 0)! / HOUR_MS).toBe(8.5);
    expect(freeStart(a, others, 9 * HOUR_MS)! / HOUR_MS).toBe(10.5);
    expect(freeStart(at('a', 9, 240, 'pair'), [at('b', 8, 600, 'pair')], 0)).toBeNull();
  });
  it('is reckoned from now where the session is late', () => {
    const late = { ...at('a', 9.25, 20, 'pair'), startsAtMs: 9 * HOUR_MS };
    expect(freeStart(late, [at('b', 9, 30, 'pair')], 9.25 * HOUR_MS)! / HOUR_MS).toBe(9.5);
  });
  it('stations that nobody wants meanwhile', () => {
    expect(freeStations(a, others, 'pair', ['pair', 'lone', 'rack', 'other'])).toEqual(['lone', 'other']);
    expect(freeStations(at('a', 9, 61, 'pair'), others, 'pair', ['lone', 'other'])).toEqual(['other']);
  });
  it('a start that is proposed is free (seeded)', () => {
    const random = seeded(9);
    for (let k = 0; k < 300; k++) {
      const some = Array.from({ length: 7 }, (_, i) =>
        at(String(i), 8 + 6 * random(), 30 + Math.floor(60 * random()), random() < 0.5 ? 'pair' : 'rack', 'lone'),
      );
      const [own, ...rest] = some as [DaySession, ...DaySession[]];
      const start = freeStart(own, rest, 0);
      if (start === null) continue;
      const moved = at('0', start / HOUR_MS, own.minutes, ...own.uses.map((u) => u.stationId));
      expect(wantedTogether([moved, ...rest]).get('0')).toEqual([]);
    }
  });
});

describe('lanes of the day', () => {
  it('never lay two sessions over each other, and take no more than meet at once', () => {
    const random = seeded(5);
    for (let k = 0; k < 200; k++) {
      const day = Array.from({ length: 12 }, (_, i) =>
        at(String(i), 6 + 12 * random(), 20 + Math.floor(70 * random())),
      );
      const lanes = lanesOf(day);
      const meets = (ms: number) => day.filter((s) => s.startsAtMs <= ms && ms < s.startsAtMs + s.minutes * 60_000);
      const most = Math.max(...day.map((s) => meets(s.startsAtMs).length));
      expect(Math.max(...lanes.values()) + 1).toBe(most);
      for (const s of day)
        expect(new Set(meets(s.startsAtMs).map((m) => lanes.get(m.id))).size).toBe(meets(s.startsAtMs).length);
    }
  });
});
