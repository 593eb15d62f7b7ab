import { describe, expect, it } from 'vitest';
import { seeded } from '../../../test/support/fixtures';
import { mergeSheet } from './merge-sheet';

const BASE = {
  name: 'A',
  note: '',
  measured: { shoulder: 140, hip: 90 } as Record<string, number | undefined>,
  notes: ['knee'],
  limits: [{ subject: 'load', most: 10 }],
  path: [{ belowDeg: 0, behind: 4 }] as { belowDeg: number; behind: number }[],
};
type Sheet = typeof BASE;

describe('two changes of one sheet', () => {
  it.each<[string, Partial<Sheet>, Partial<Sheet>, Partial<Sheet>, string[]]>([
    ['different fields', { note: 'mine' }, { name: 'B' }, { note: 'mine', name: 'B' }, []],
    ['the same change', { note: 'x' }, { note: 'x' }, { note: 'x' }, []],
    [
      'theirs alone: a limit that this tablet never saw stays',
      {},
      { limits: [...BASE.limits, { subject: 'spine', most: 5 }] },
      { limits: [...BASE.limits, { subject: 'spine', most: 5 }] },
      [],
    ],
    [
      'a measure each',
      { measured: { ...BASE.measured, eye: 160 } },
      { measured: { ...BASE.measured, hip: 92 } },
      { measured: { shoulder: 140, hip: 92, eye: 160 } },
      [],
    ],
    [
      'a measure taken away and another entered',
      { measured: { hip: 90 } },
      { measured: { ...BASE.measured, eye: 160 } },
      { measured: { hip: 90, eye: 160 } },
      [],
    ],
    [
      'an entry each',
      { notes: ['knee', 'elbow'] },
      { notes: ['knee', 'shoulder'] },
      { notes: ['knee', 'shoulder', 'elbow'] },
      [],
    ],
    ['one taken away, one added', { notes: [] }, { notes: ['knee', 'shoulder'] }, { notes: ['shoulder'] }, []],
    [
      'one limit changed by both: both hold',
      { limits: [{ subject: 'load', most: 8 }] },
      { limits: [{ subject: 'load', most: 6 }] },
      {
        limits: [
          { subject: 'load', most: 6 },
          { subject: 'load', most: 8 },
        ],
      },
      [],
    ],
    ['one field, two values', { note: 'mine' }, { note: 'theirs' }, { note: 'mine' }, ['note']],
    [
      'one measure, two values',
      { measured: { shoulder: 141, hip: 90 } },
      { measured: { shoulder: 142, hip: 90 } },
      { measured: { shoulder: 141, hip: 90 } },
      ['measured.shoulder'],
    ],
    [
      'one trial, two values',
      { path: [{ belowDeg: 0, behind: 5 }] },
      { path: [{ belowDeg: 0, behind: 6 }] },
      { path: [{ belowDeg: 0, behind: 5 }] },
      ['path.0.behind'],
    ],
  ])('%s', (_, mine, theirs, want, collisions) => {
    const [m, t] = [
      { ...BASE, ...mine },
      { ...BASE, ...theirs },
    ];
    const done = mergeSheet<Sheet>(BASE, m, t);
    expect(done.merged).toMatchObject({ ...BASE, ...want });
    expect(done.collisions.map((c) => c.keys.join('.'))).toEqual(collisions);
    // Saved again from where it stands, mine is taken, and nothing of theirs beside it is lost.
    expect(mergeSheet(done.next, m, t)).toMatchObject({ merged: { ...BASE, ...want }, collisions: [] });
  });
  it('one change alone is that change, whatever it is; order of keys is no change', () => {
    const random = seeded(9);
    for (let k = 0; k < 300; k++) {
      const some = (): Sheet => ({
        ...BASE,
        note: 'abc'.slice(Math.floor(random() * 4)),
        measured: random() < 0.5 ? { hip: 90, shoulder: 140 } : { hip: Math.floor(random() * 3) },
        notes: ['a', 'b', 'c'].filter(() => random() < 0.5),
      });
      const [base, changed] = [some(), some()];
      expect(mergeSheet(base, changed, base)).toMatchObject({ merged: changed, collisions: [] });
      expect(mergeSheet(base, base, changed)).toMatchObject({ merged: changed, collisions: [] });
    }
  });
});
