import { describe, expect, it } from 'vitest';
import { courseOf } from './course';
import type { SavedSetup } from './floor-event';
import type { SetRecord } from './set-log';

const at = (hole: number, standX: number) => ({ hole, standX, standZ: 0, yawDeg: 0 });
const setup = (placement: SavedSetup['placement'], solved: SavedSetup['solved'], off = false) =>
  ({
    placement,
    solved,
    off,
    stationId: 'a',
    attachmentId: 'd',
    side: 'both',
    options: { practices: {} },
  }) as unknown as SavedSetup;
const set = (sessionId: string, k: number, more: Partial<SetRecord>) =>
  ({
    setId: `${sessionId}-${k}`,
    sessionId,
    startedAtMs: k,
    endedAtMs: k + 1,
    loadG: 10_000,
    scheme: 'straight',
    tempo: '3-1-2-0',
    reps: 10,
    faults: [],
    setup: null,
    ...more,
  }) as unknown as SetRecord;

describe('the course of a movement', () => {
  it('tells of each session the heaviest load, the reps of every set and how many had a fault', () => {
    const fault = [{ id: 'f', rep: 3, fault: 'shrugs' as const, side: 'both' as const, severity: 2 as const }];
    const [a, b] = courseOf([
      set('a', 0, { loadG: 12_500, reps: 12 }),
      set('a', 1, { loadG: 15_000, reps: 9, faults: fault }),
      set('b', 2, { reps: 8 }),
      // One that is under way is not told yet.
      set('b', 3, { endedAtMs: null, loadG: 90_000 }),
    ]);
    expect(a).toMatchObject({ loadG: 15_000, reps: [12, 9], faulty: 1 });
    expect(b).toMatchObject({ loadG: 10_000, reps: [8], faulty: 0, setup: null, stood: null, changed: [] });
  });
  it('tells what a rep took beside what its tempo asks: the middle set, of the tempo that was asked last', () => {
    const lasting = (seconds: number, more: Partial<SetRecord> = {}) =>
      set('a', 0, { startedAtMs: 0, endedAtMs: seconds * 1000, ...more });
    const paceOf = (...sets: SetRecord[]) => courseOf(sets)[0]!.pace;
    expect(paceOf(lasting(64), lasting(59), lasting(150))).toEqual({ tempo: '3-1-2-0', askedS: 6, tookS: 6.4 });
    expect(paceOf(lasting(50, { tempo: '2-0-2-0' }), lasting(62))).toMatchObject({ tookS: 6.2 });
    expect(paceOf(lasting(60, { scheme: 'weight-drops' }))).toBeNull();
    expect(paceOf(lasting(60, { reps: 0 }))).toBeNull();
    expect(paceOf(lasting(60, { tempo: '3-1-2-0, 30-65deg: 4s' }))).toBeNull();
  });
  it.each<[string, SavedSetup, string]>([
    ['as computed', setup(at(9, 0.2), at(9, 0.2)), 'as-solved'],
    ['as computed to a mark that can be set', setup(at(9, 0.2), at(9, 0.218)), 'as-solved'],
    ['moved within what will do', setup(at(10, 0.2), at(9, 0.2)), 'by-hand'],
    ['moved outside of it', setup(at(14, 0.2), at(9, 0.2), true), 'off'],
    ['without a place at a column', setup(null, null), 'by-rule'],
  ])('says how a set-up came to stand: %s', (_, used, stood) => {
    expect(courseOf([set('a', 0, { setup: used })])[0]!.stood).toBe(stood);
  });
  it('tells what changed since the set-up before, also over a session without one', () => {
    const course = courseOf([
      set('a', 0, { setup: setup(at(9, 0.2), null) }),
      set('b', 1, {}),
      set('c', 2, { setup: setup(at(11, 0.2), null) }),
    ]);
    expect(course.map((p) => p.changed)).toEqual([[], [], [{ what: 'hole', from: 9, to: 11 }]]);
  });
});
