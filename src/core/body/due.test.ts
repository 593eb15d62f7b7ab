import { describe, expect, it } from 'vitest';
import { dueOn } from './due';
import { screeningState } from './screening';

const TODAY = 20_000;
const limit = (untilDay: number | null) =>
  ({ subject: 'load-in-hand', side: 'both', most: 8, setBy: 'physician', fromDay: 0, untilDay }) as const;
const screened = (daysAgo: number) =>
  screeningState({ doneBy: 'desk', procedure: 'form', day: TODAY - daysAgo }, TODAY, 365);

describe('what is due', () => {
  it.each<[string, Parameters<typeof dueOn>[1], unknown[]]>([
    ['nothing', { limits: [limit(null)], screening: screened(10), rangesDay: null }, []],
    ['a limit that ends in a week', { limits: [limit(TODAY + 7)], screening: screened(10), rangesDay: null }, [7]],
    ['one that ends later is not told', { limits: [limit(TODAY + 8)], screening: screened(10), rangesDay: null }, []],
    ['one that ended lately', { limits: [limit(TODAY - 14)], screening: screened(10), rangesDay: null }, [-14]],
    ['one that ended long ago', { limits: [limit(TODAY - 15)], screening: screened(10), rangesDay: null }, []],
    ['the screening, two weeks ahead', { limits: [], screening: screened(351), rangesDay: null }, [14]],
    ['one that is over is told elsewhere', { limits: [], screening: screened(366), rangesDay: null }, []],
    ['ranges of eight weeks ago', { limits: [], screening: screened(1), rangesDay: TODAY - 56 }, [56]],
    ['ranges of last week', { limits: [], screening: screened(1), rangesDay: TODAY - 7 }, []],
  ])('%s', (_, client, days) => {
    expect(dueOn(TODAY, client).map((d) => (d.kind === 'ranges' ? d.daysAgo : d.inDays))).toEqual(days);
  });
});
