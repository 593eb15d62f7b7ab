import { describe, expect, it } from 'vitest';
import type { FaultCode } from '@/core/movement/fault-code';
import type { SetRecord } from '@/core/record/set-log';
import { FAULT_BOOK } from './fault-book';
import { rankFaults, watchList } from './watch-list';

/** Sets as sessions of faults seen once each: [['shrugs'], []] is one session of two sets, the first with a fault. */
const setsOf = (...sessions: readonly (readonly (readonly FaultCode[])[])[]): SetRecord[] =>
  sessions.flatMap((sets, s) =>
    sets.map((faults, k) => ({
      ...({} as SetRecord),
      sessionId: `day${s}`,
      faults: faults.map((fault) => ({ id: `${s}${k}${fault}`, rep: 1, fault, side: 'both', severity: 2 })),
    })),
  );
const { severity } = FAULT_BOOK.shrugs;

describe('weight = rate per set x severity x 0.7 ^ sessions since', () => {
  it.each<[string, SetRecord[], object]>([
    ['in every set of today', setsOf([['shrugs'], ['shrugs']]), { weight: severity, setsSince: 0, sessionsSince: 0 }],
    ['in half of them', setsOf([['shrugs'], []]), { weight: severity / 2, setsSince: 1, sessionsSince: 0 }],
    [
      'two sessions ago, in one of three sets',
      setsOf([['shrugs']], [[]], [[]]),
      { weight: (severity / 3) * 0.49, setsSince: 2, sessionsSince: 2, cleared: false },
    ],
    ['last session but one', setsOf([[]], [['shrugs']], [[]]), { setsSince: 1, sessionsSince: 1 }],
    [
      'cleared: nothing, whatever it weighed',
      setsOf([['shrugs']], [[], []], [[], []], [[], []]),
      { weight: 0, setsSince: 6, sessionsSince: 3, cleared: true },
    ],
    [
      'six sets in two sessions do not clear it',
      setsOf([['shrugs']], [[], [], []], [[], [], []]),
      { cleared: false, setsSince: 6, sessionsSince: 2 },
    ],
  ])('%s', (_, sets, want) => {
    const [entry] = rankFaults(sets);
    expect(entry).toMatchObject({
      ...want,
      ...('weight' in want ? { weight: expect.closeTo(want.weight as number, 9) } : {}),
    });
  });
  it('looks at the newest twelve sessions: what is new is not drowned by years, what was long ago is cleared', () => {
    const years = Array.from({ length: 80 }, () => [['trunk-turns'], [], []] as const);
    const lately = Array.from({ length: 3 }, () => [['shrugs'], ['shrugs'], ['shrugs']] as const);
    const quiet = Array.from({ length: 9 }, () => [[], [], []] as const);
    const ranked = rankFaults(setsOf(...years, ...quiet, ...lately));
    expect(ranked[0]).toMatchObject({ fault: 'shrugs', setsSeen: 9, sets: 36, cleared: false });
    expect(ranked[1]).toMatchObject({ fault: 'trunk-turns', setsSeen: 0, cleared: true, weight: 0 });
    // As it was before anything was folded: the same over a log that fits the window.
    expect(rankFaults(setsOf(...years.slice(0, 12)))[0]).toMatchObject({ setsSeen: 12, sets: 36 });
  });
  it('heaviest first, equals by name, two to watch', () => {
    const sets = setsOf([['chin-forward', 'shrugs', 'trunk-turns'], ['shrugs', 'trunk-turns'], ['shrugs']]);
    const ranked = rankFaults(sets);
    expect(ranked.map((f) => f.weight)).toEqual(ranked.map((f) => f.weight).toSorted((a, b) => b - a));
    expect(watchList(sets).map((f) => f.fault)).toEqual(ranked.slice(0, 2).map((f) => f.fault));
    const alike = setsOf([['trunk-turns', 'shrugs']]).map((s) => ({ ...s }));
    const same = rankFaults(alike).filter((f) => f.weight === rankFaults(alike)[0]!.weight);
    expect(same.map((f) => f.fault)).toEqual(same.map((f) => f.fault).toSorted());
  });
});
