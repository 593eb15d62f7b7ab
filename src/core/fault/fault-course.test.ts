import { describe, expect, it } from 'vitest';
import { faultCourse, trendScore } from './fault-course';
import { watchList, type WatchedSet } from './watch-list';

/** Sessions in letters, a set each: x with the fault, - without. */
const told = (...sessions: readonly string[]): WatchedSet[] =>
  sessions.flatMap((s, k) =>
    [...s].map((c) => ({ sessionId: `s${k}`, faults: c === 'x' ? [{ fault: 'shrugs' as const }] : [] })),
  );

describe('trend in proportions', () => {
  it('agrees with the worked example of malformations by drinks a day (Agresti, from memory: z squared 6.57)', () => {
    const z = trendScore([
      { seen: 48, of: 17114, at: 0 },
      { seen: 38, of: 14502, at: 0.5 },
      { seen: 5, of: 793, at: 1.5 },
      { seen: 1, of: 127, at: 4 },
      { seen: 1, of: 38, at: 7 },
    ]);
    expect(z * z).toBeCloseTo(6.57, 2);
  });
  it('is nought where all or none were seen, and turns round with the order', () => {
    expect(trendScore([0, 1, 2].map((at) => ({ seen: 3, of: 3, at })))).toBe(0);
    const rising = [0, 1, 2].map((at) => ({ seen: at, of: 3, at }));
    expect(trendScore(rising)).toBeCloseTo(-trendScore(rising.map((g) => ({ ...g, at: 2 - g.at }))), 12);
  });
});

describe('the course of a fault', () => {
  const turns = (...sessions: readonly string[]) =>
    faultCourse(told(...sessions), 'shrugs').sessions.map((s) => s.turned);
  it.each<[string, string[], (string | null)[]]>([
    ['three sessions and six sets without it clear it', ['x', '--', '--', '--'], [null, null, null, 'cleared']],
    ['three sessions with fewer sets do not', ['x', '-', '-', '-'], [null, null, null, null]],
    ['six sets in two sessions do not', ['x', '---', '---'], [null, null, null]],
    ['sets after the last sighting of a session count', ['x----', '-', '-', '-'], [null, null, null, 'cleared']],
    ['one sighting reopens it', ['x', '--', '--', '--', '-x'], [null, null, null, 'cleared', 'reopened']],
    ['what was never seen is never cleared', ['--', '--', '--', '--'], [null, null, null, null]],
  ])('%s', (_, sessions, expected) => {
    expect(turns(...sessions)).toEqual(expected);
    // Cleared at the end is off the watch list.
    const last = expected.findLast((t) => t !== null);
    if (sessions.some((s) => s.includes('x')))
      expect(watchList(told(...sessions)).length === 0).toBe(last === 'cleared');
  });
  it('tells rates by session, and a trend only where it is clear', () => {
    const { sessions, trend } = faultCourse(told('xxx', 'xx-', 'x--', '---'), 'shrugs');
    expect(sessions.map((s) => [s.seen, s.sets])).toEqual([
      [3, 3],
      [2, 3],
      [1, 3],
      [0, 3],
    ]);
    expect(trend).toBe('rarer');
    expect(faultCourse(told('---', 'x--', 'xx-', 'xxx'), 'shrugs').trend).toBe('more-often');
    expect(faultCourse(told('x--', '-x-', 'x--'), 'shrugs').trend).toBeNull();
    expect(faultCourse(told('xxx', '---'), 'shrugs').trend).toBeNull();
  });
});
