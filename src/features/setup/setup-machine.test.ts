import { describe, expect, it } from 'vitest';
import { findEntry } from '@/core/book/book';
import { usualOptions } from '@/core/book/entry-options';
import { COLUMN, ROOM } from '../../../test/support/fixtures';
import { withMove, type Move } from './move-placement';
import { reduceSetup, samePlacement, type SetupState } from './setup-machine';

const AT = { hole: 10, standX: 0.3, standZ: 0, yawDeg: 0 };
const START: SetupState = {
  options: usualOptions(findEntry('cable-fly-high-to-low')!),
  side: 'both',
  moved: null,
  held: {},
  saved: null,
};

describe('the bench', () => {
  const moved = reduceSetup(START, { type: 'placed', placement: AT });
  it('keeps what was moved until put right', () => {
    expect(moved.moved).toEqual(AT);
    expect(reduceSetup(moved, { type: 'put-right' }).moved).toBeNull();
  });
  it.each([[{ type: 'options-chosen', options: { peak: 'mid' } }], [{ type: 'side-chosen', side: 'left' }]] as const)(
    'a new question gives way to the new answer: %j',
    (event) => expect(reduceSetup(moved, event).moved).toBeNull(),
  );
  it('what is held stays held until it is let go, and nothing moved by hand is lost', () => {
    const held = reduceSetup(moved, { type: 'hold-toggled', at: { hole: 10, leftBy: -2 } });
    expect([held.held, held.moved]).toEqual([{ hole: 10, leftBy: -2 }, AT]);
    const both = reduceSetup(held, { type: 'hold-toggled', at: { standX: 0.3 } });
    expect(both.held).toEqual({ hole: 10, leftBy: -2, standX: 0.3 });
    expect(reduceSetup(both, { type: 'hold-toggled', at: { hole: 12, leftBy: 0 } }).held).toEqual({ standX: 0.3 });
  });
  it('the foot in front moves nothing', () => {
    const next = reduceSetup(moved, { type: 'foot-chosen', foot: 'right' });
    expect(next.moved).toEqual(AT);
    expect(next.options.frontFoot).toBe('right');
  });
  it('remembers what was saved', () => {
    const saved = reduceSetup(moved, { type: 'saved', placement: AT });
    expect(samePlacement(saved.saved, AT)).toBe(true);
    expect(samePlacement(saved.saved, { ...AT, standX: 0.31 })).toBe(false);
    expect(samePlacement(null, null)).toBe(false);
  });
});

describe('moving things', () => {
  const fromTop = { ...COLUMN, numberedFrom: 'top' as const, firstHoleM: 2.15 };
  it.each([
    [{ what: 'hole', to: 12.4 }, COLUMN, { hole: 12 }],
    [{ what: 'hole', to: 99 }, COLUMN, { hole: 20 }],
    [{ what: 'hole', to: -3 }, COLUMN, { hole: 1 }],
    [{ what: 'carriage-up', by: 1 }, COLUMN, { hole: 11 }],
    [{ what: 'carriage-up', by: 1 }, fromTop, { hole: 9 }],
    [{ what: 'carriage-up', by: -1 }, fromTop, { hole: 11 }],
    [{ what: 'stand', x: 0.5149 }, COLUMN, { standX: 0.51, standZ: 0 }],
    [{ what: 'stand', x: 9, z: -2 }, COLUMN, { standX: 2, standZ: -0.6 }],
    [{ what: 'stand', x: -9 }, COLUMN, { standX: -0.3 }],
    [{ what: 'yaw', to: 12.6 }, COLUMN, { yawDeg: 13 }],
    [{ what: 'yaw', to: 190 }, COLUMN, { yawDeg: -170 }],
    [{ what: 'yaw', to: -180 }, COLUMN, { yawDeg: 180 }],
  ] as [Move, typeof COLUMN, object][])('%j', (move, column, expected) =>
    expect(withMove(AT, move, column, ROOM)).toMatchObject(expected),
  );
  it('leaves no negative zero to be saved', () =>
    expect(Object.is(withMove(AT, { what: 'stand', x: -0.001, z: -0.001 }, COLUMN, ROOM).standZ, 0)).toBe(true));
});
