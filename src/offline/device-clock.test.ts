import { expect, it } from 'vitest';
import { clockOffset } from './device-clock';

it.each([
  ['the same clock, a long way', 0, 20_000, 10_000, 0],
  ['half a minute slow', 1000, 1000, 31_000, 30_000],
  ['a little less', 1000, 1000, 30_999, 0],
  ['a year fast', 31_536_000_000, 31_536_000_200, 100, -31_536_000_000],
  ['a way that takes a minute hides nothing', 0, 60_000, 300_000, 270_000],
])('%s', (_, asked, answered, server, want) => expect(clockOffset(asked, answered, server)).toBe(want));
