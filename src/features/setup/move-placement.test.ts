import { describe, expect, it } from 'vitest';
import { COLUMN, ROOM } from '../../../test/support/fixtures';
import type { Placement } from '@/core/setup/setup-problem';
import { withMove, type Move } from './move-placement';

const AT: Placement = { hole: 12, standX: 0.3, standZ: 0, yawDeg: 0 };
const TOP = { ...COLUMN, numberedFrom: 'top' as const };

describe('moving one thing', () => {
  it.each<[string, Move, Partial<Placement>, typeof COLUMN | typeof TOP]>([
    ['a hole that exists', { what: 'hole', to: 14.4 }, { hole: 14 }, COLUMN],
    ['no hole above the last', { what: 'hole', to: 99 }, { hole: 20 }, COLUMN],
    ['no hole below the first', { what: 'carriage-up', by: -40 }, { hole: 1 }, COLUMN],
    ['up is up the numbers from the bottom', { what: 'carriage-up', by: 1 }, { hole: 13 }, COLUMN],
    ['up is down the numbers from the top', { what: 'carriage-up', by: 1 }, { hole: 11 }, TOP],
    ['whole centimetres', { what: 'stand', x: 0.4567 }, { standX: 0.46 }, COLUMN],
    ['the next mark on 5 cm', { what: 'mark', by: 1 }, { standX: 0.35 }, COLUMN],
    ['the one before', { what: 'mark', by: -1 }, { standX: 0.25 }, COLUMN],
    ['inside the room', { what: 'stand', x: 9, z: -9 }, { standX: 2, standZ: -0.6 }, COLUMN],
    ['turned the short way round', { what: 'yaw', to: 190 }, { yawDeg: -170 }, COLUMN],
    ['facing the column is 180, not its other name', { what: 'yaw', to: -180 }, { yawDeg: 180 }, COLUMN],
  ])('%s', (_, move, want, column) => expect(withMove(AT, move, column, ROOM)).toEqual({ ...AT, ...want }));
});

it('from between two marks the next ones are those beside', () => {
  const at = (x: number, by: 1 | -1) => withMove({ ...AT, standX: x }, { what: 'mark', by }, COLUMN, ROOM).standX;
  expect([at(0.28, 1), at(0.28, -1), at(-0.02, 1), at(2, 1)]).toEqual([0.3, 0.25, 0, 2]);
});

describe('carriages apart', () => {
  const apart: Placement = { ...AT, leftBy: -3 };
  it.each<[string, Placement, Move, { hole: number; leftBy?: number }]>([
    ['the left one alone', AT, { what: 'hole', to: 9, only: 'left' }, { hole: 12, leftBy: -3 }],
    [
      'the right one alone leaves the left where it is',
      apart,
      { what: 'hole', to: 15, only: 'right' },
      { hole: 15, leftBy: -6 },
    ],
    ['together again by moving one', apart, { what: 'hole', to: 9, only: 'right' }, { hole: 9 }],
    ['both move together while both are taken', apart, { what: 'hole', to: 14 }, { hole: 14, leftBy: -3 }],
    ['the left one stops at the first hole', { ...AT, hole: 4, leftBy: -2 }, { what: 'hole', to: 1 }, { hole: 1 }],
    ['one up on the left', apart, { what: 'carriage-up', by: 1, only: 'left' }, { hole: 12, leftBy: -2 }],
    ['alike', apart, { what: 'carriages-alike' }, { hole: 12 }],
  ])('%s', (_, from, move, want) => {
    const { standX, standZ, yawDeg } = AT;
    expect(withMove(from, move, COLUMN, ROOM)).toEqual({ ...want, standX, standZ, yawDeg });
  });
});
