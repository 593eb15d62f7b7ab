import { describe, expect, it } from 'vitest';
import { nextSide, otherSideOf, sideOrder, withSides, type PlannedSide, type SideProgress } from './side-pair';

const item = (id: string, movement: string, side: PlannedSide['side'], variantId: string | null = null) => ({
  id,
  movement,
  side,
  variantId,
});
const ids = (items: readonly PlannedSide[]): string =>
  withSides(items)
    .map((p) => p.map((i) => i.id).join('+'))
    .join(' ');

describe('the two sides of a movement are one', () => {
  it.each([
    ['next to each other', [item('a', 'row', 'left'), item('b', 'row', 'right')], 'a+b'],
    ['with others between', [item('a', 'row', 'right'), item('x', 'fly', 'both'), item('b', 'row', 'left')], 'a+b x'],
    ['twice', ['left', 'right', 'left', 'right'].map((s, i) => item(`${i}`, 'row', s as 'left')), '0+1 2+3'],
    ['one side alone', [item('a', 'row', 'left'), item('b', 'curl', 'right')], 'a b'],
    ['not of another variant', [item('a', 'row', 'left', 'v'), item('b', 'row', 'right')], 'a b'],
    ['both arms are no side', [item('a', 'fly', 'both'), item('b', 'fly', 'right')], 'a b'],
  ])('%s', (_, items, expected) => {
    expect(ids(items)).toBe(expected);
    for (const { id } of items) {
      const other = otherSideOf(items, id);
      if (other) expect(otherSideOf(items, other.id)!.id).toBe(id);
    }
  });
});

const side = (done: number, more: Partial<SideProgress> = {}): SideProgress => ({
  done,
  sets: 3,
  underWay: false,
  finished: done >= 3,
  ...more,
});

it.each([
  ['the first begins', side(0), side(0), false, 0],
  ['one after the other', side(1), side(0), false, 0],
  ['alternating, the one behind', side(1), side(0), true, 1],
  ['alternating, level again', side(1), side(1), true, 0],
  ['the first is finished', side(3), side(0), false, 1],
  ['what is under way goes on', side(0), side(1, { underWay: true }), true, 1],
  ['stopped for pain counts as finished', side(1, { finished: true }), side(0), true, 1],
  ['both finished', side(3), side(3), true, 0],
] as const)('%s', (_, a, b, alternate, expected) => expect(nextSide([a, b], alternate)).toBe(expected));

it('the weaker side goes first where it is known', () => {
  expect(sideOrder('right')).toEqual(['right', 'left']);
  expect([sideOrder('left'), sideOrder(null)]).toEqual([
    ['left', 'right'],
    ['left', 'right'],
  ]);
});
