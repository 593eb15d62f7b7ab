import { describe, expect, it } from 'vitest';
import { NO_LOAD_LIMITS, type LoadLimitsKg } from '@/core/body/loaded-part';
import { entryOf, type MovementId } from './book';
import { findOverload, heaviestKg } from './load-limit';

const limits = (some: Partial<LoadLimitsKg>): LoadLimitsKg => ({ ...NO_LOAD_LIMITS, ...some });

// Each arm of a bar has half of it, each leg half of a stack; what both hands hold hangs from the spine.
describe('the heaviest load that no limit forbids, and the worst of those that one does', () => {
  it.each<[MovementId, number, Partial<LoadLimitsKg>, number | null]>([
    ['leg-extension', 1, { hand: 3, spine: 3 }, null],
    ['leg-extension', 1, { leg: 15 }, 30],
    ['dumbbell-side-raise', 1, { hand: 10, leg: 1, spine: 1 }, 10],
    ['barbell-curl', 1, { hand: 10 }, 20],
    ['dumbbell-row-hinged', 1, { spine: 12 }, 6],
    ['dumbbell-row-hinged', 1, { spine: 12, hand: 4 }, 4],
    ['cable-fly-level', 2, { hand: 8 }, 16],
    ['close-push-up', 1, { leg: 1 }, null],
  ])('%s at 1 : %d under %j: %d kg', (id, ratio, some, want) =>
    expect(heaviestKg(entryOf(id), ratio, limits(some))).toEqual(want),
  );
  it.each<[Partial<LoadLimitsKg>, object | null]>([
    [
      { hand: 4, spine: 12 },
      { part: 'hand', haveKg: 8, mostKg: 4 },
    ],
    [
      { hand: 7, spine: 4 },
      { part: 'spine', haveKg: 16, mostKg: 4 },
    ],
    [{ hand: 8, spine: 16 }, null],
    [{ leg: 1 }, null],
  ])('two dumbbells of 8 kg, hinged, under %j', (some, want) =>
    expect(findOverload(entryOf('dumbbell-row-hinged'), 8, 1, limits(some))).toEqual(want),
  );
});
