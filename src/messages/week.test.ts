import { describe, expect, it } from 'vitest';
import type { MuscleSets } from '@/core/week/week-sets';
import { duplicateText, gapText, madeUpText, setsText, sideShareText, standsText } from './week';

const sets = (more: Partial<MuscleSets>): MuscleSets => ({
  ...{ muscle: 'chest', direct: 0, indirect: 0, done: 0, all: 0, otherSideMore: 0, byRegion: {}, stands: 'below' },
  ...more,
});
const BAND = { indirect: 0.5, least: 10, most: 20 };

describe('a week in words', () => {
  it.each([
    [6, '6'],
    [4.5, '4.5'],
    [4.3, '4.5'],
    [0.1, '0'],
  ])('%d sets are said as %s', (n, said) => expect(setsText(n)).toBe(said));
  it.each([
    [sets({ all: 9, stands: 'below' }), '1 set short of 10'],
    [sets({ all: 7.5, stands: 'below' }), '2.5 sets short of 10'],
    [sets({ all: 0, stands: 'below' }), 'none of 10 to 20'],
    [sets({ all: 21, stands: 'over' }), '1 set over 20'],
    [sets({ all: 15, stands: 'within' }), 'within 10 to 20'],
  ])('%o stands so', (m, said) => expect(standsText(m, BAND)).toBe(said));
  it.each([
    [sets({ direct: 3, all: 3 }), '3 of its own'],
    [sets({ direct: 3, indirect: 1.5, done: 2, all: 4.5 }), '3 of its own, 1.5 beside others, 2 done'],
    [sets({ indirect: 2, done: 2, all: 2, otherSideMore: 3 }), '2 beside others, the other side 3 more'],
    [sets({}), ''],
  ])('%o is made up so', (m, said) => expect(madeUpText(m)).toBe(said));
  it('gaps and what is alike are sentences', () => {
    expect(gapText('stretch', ['Pullover', 'Strap row'])).toBe(
      'Nothing loads it where it is stretched. What would: Pullover, or Strap row.',
    );
    expect(duplicateText('A', 'B', 'finish')).toBe('A and B load the same, where it is shortened.');
    expect(sideShareText(0.384, 'half-side')).toMatch(/^The side head has 38 % .*: less than that\. .* about half\.$/);
    expect(sideShareText(0.384, 'spread-evenly')).toMatch(/: as it should be\./);
  });
});
