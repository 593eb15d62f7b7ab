import { expect, it } from 'vitest';
import type { Tolerance } from '@/core/setup/tolerance';
import { markSpanText, solvedMarkText } from './place-text';

it.each<[number, number, number, string]>([
  [0.65, -0.02, 0.16, '65 to 80 cm will do'],
  [0.3, -0.07, 0.07, '25 to 35 cm will do'],
  // Nothing else on 5 cm: how far off a client may stand.
  [0.65, -0.02, 0.03, '63 to 68 cm will do'],
  [-0.5, -0.12, 0, '50 to 60 cm will do'],
  [0, -0.06, 0.11, '5 cm behind to 10 in front will do'],
])('marks about %f m that will do, %f to %f: %s', (solvedM, less, more, told) => {
  expect(markSpanText(solvedM, { standXM: [less, more] } as unknown as Tolerance)).toBe(told);
});

it.each([
  [0.2, 0.45, 'solved: 20'],
  [-0.5, -0.3, 'solved: 50'],
  [-0.05, 0.1, 'solved: 5 behind'],
  [0.05, -0.1, 'solved: 5 in front'],
  [0, -0.1, 'solved: 0'],
])('solved at %f m, moved to %f: %s', (solvedM, atM, told) => expect(solvedMarkText(solvedM, atM)).toBe(told));
