import { expect, it } from 'vitest';
import { retargetByLever, retargetLoad } from './retarget-load';

it.each([
  // 15 kg at 1 : 1 is 15 kg in the hand: 30 kg at 2 : 1.
  [15_000, 1, 2, [10_000, 20_000, 30_000], { loadG: 30_000, feels: 1 }],
  [30_000, 2, 1, [10_000, 15_000], { loadG: 15_000, feels: 1 }],
  [17_500, 1, 2, [30_000, 40_000], { loadG: 30_000, feels: 30 / 35 }],
  [10_000, 1, 1, [7500, 12_500], { loadG: 7500, feels: 0.75 }],
  [0, 1, 2, [0, 5000], { loadG: 0, feels: 1 }],
  [10_000, 1, 2, [], null],
])('%d g from %d : 1 to %d : 1 on %j', (g, from, to, steps, expected) =>
  expect(retargetLoad(g, from, to, steps)).toEqual(expected),
);

it.each([
  // 30 Nm asked of 15 kg; a lever half as long again takes two thirds of the stack, the lighter of two steps alike
  // near.
  [15_000, 30, 45, [5000, 10_000, 15_000], { loadG: 10_000, feels: 1 }],
  [15_000, 30, 20, [20_000, 25_000], { loadG: 20_000, feels: 20 / 22.5 }],
  [15_000, 30, 0, [5000], null],
  [15_000, 30, 30, [], null],
])('%d g that peak at %d Nm, where they would peak at %d Nm, on %j', (g, from, to, steps, expected) =>
  expect(retargetByLever(g, from, to, steps)).toEqual(expected),
);
