import { expect, it } from 'vitest';
import { elapsedMs, reduceSet, type SetState } from './set-machine';

it('a pause takes no time and a second pause or stray resume changes nothing', () => {
  let s: SetState = reduceSet(
    { mode: 'idle' },
    { type: 'started', setId: 'a', nowMs: 1000, leadInMs: 5000, skipMs: 0 },
  );
  expect(elapsedMs(s, 1000)).toBe(-5000);
  s = reduceSet(s, { type: 'resumed', nowMs: 2000 });
  s = reduceSet(s, { type: 'paused', nowMs: 9000 });
  expect(elapsedMs(reduceSet(s, { type: 'paused', nowMs: 9500 }), 99_999)).toBe(3000);
  s = reduceSet(s, { type: 'resumed', nowMs: 20_000 });
  expect(elapsedMs(s, 21_000)).toBe(4000);
  expect(elapsedMs(reduceSet(s, { type: 'ended' }), 21_000)).toBeNull();
});

it('an interrupted set goes on after the reps already done', () => {
  const s = reduceSet({ mode: 'idle' }, { type: 'started', setId: 'a', nowMs: 0, leadInMs: 5000, skipMs: 21_000 });
  expect(elapsedMs(s, 5000)).toBe(21_000);
});
