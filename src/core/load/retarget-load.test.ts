import { expect, it } from 'vitest';
import { retargetLoad } from './retarget-load';

it.each([
  // 15 kg at 1 : 1 is 15 kg in the hand: 30 kg at 2 : 1.
  [15_000, 1, 2, [10_000, 20_000, 30_000], { loadG: 30_000, feels: 1 }],
  [30_000, 2, 1, [10_000, 15_000], { loadG: 15_000, feels: 1 }],
  [17_500, 1, 2, [30_000, 40_000], { loadG: 30_000, feels: 30 / 35 }],
  [10_000, 1, 1, [7500, 12_500], { loadG: 7500, feels: 0.75 }],
  [0, 1, 2, [0, 5000], { loadG: 0, feels: 1 }],
  [10_000, 1, 2, [], null],
])('%d g from %d : 1 to %d : 1 on %j', (g, from, to, steps, expected) => expect(retargetLoad(g, from, to, steps)).toEqual(expected));
