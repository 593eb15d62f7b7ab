import { expect, it } from 'vitest';
import { isFinished, itemState } from './item-state';

const come = { ended: 0, planned: 3, isOpen: false, isStopped: false, isSkipped: false };

it.each([
  [{}, 'to-do', false],
  [{ isOpen: true }, 'under-way', false],
  [{ ended: 1 }, 'under-way', false],
  [{ ended: 3 }, 'done', true],
  [{ ended: 3, isOpen: true }, 'under-way', false],
  [{ ended: 2, isSkipped: true }, 'skipped', true],
  [{ isOpen: true, isSkipped: true }, 'under-way', false],
  [{ ended: 3, isSkipped: true }, 'done', true],
  [{ isOpen: true, isStopped: true }, 'stopped', true],
] as const)('a movement with %j is %s', (more, state, finished) => {
  expect(itemState({ ...come, ...more })).toBe(state);
  expect(isFinished(state)).toBe(finished);
});
