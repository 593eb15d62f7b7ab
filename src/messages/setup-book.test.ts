import { describe, expect, it } from 'vitest';
import type { SetupChange } from '@/core/record/setup-book';
import { PLAN_REFUSAL } from './plan';
import { markLabel, settingInLine, shortLabel } from './settings';
import { setupCellText, setupChangeText, setupPlaceText } from './setup-book';

const NAMES = {
  station: (id: string | null) => id && `column ${id}`,
  handle: (id: string | null) => id && `handle ${id}`,
};
const PLACE = { hole: 7, standX: -0.19, standZ: 0, yawDeg: 0 };

describe('what changed of a set-up', () => {
  it.each<[SetupChange, string]>([
    [{ what: 'hole', from: 3, to: 5 }, 'hole 3 to 5'],
    [{ what: 'carriages', from: 2, to: 0 }, 'both carriages alike again'],
    [{ what: 'carriages', from: 0, to: -1 }, 'left carriage 1 hole down the numbers from the right'],
    [{ what: 'carriages', from: 0, to: 2 }, 'left carriage 2 holes up the numbers from the right'],
    [{ what: 'mark', from: 0.2, to: 0.45 }, 'mark 20 cm to 45 cm'],
    [{ what: 'sideways', from: 0.1, to: -0.1 }, '20 cm further left'],
    [{ what: 'facing', from: -5, to: 10 }, 'turned 15° left'],
    // The short way over half a turn.
    [{ what: 'facing', from: 170, to: -175 }, 'turned 15° left'],
    [{ what: 'facing', from: -175, to: 170 }, 'turned 15° right'],
    [{ what: 'column', from: null, to: 'b' }, 'other column, before none'],
    [{ what: 'handle', from: 'a', to: null }, 'other handle, before handle a'],
    [{ what: 'choices' }, 'other choices'],
  ])('%j', (change, says) => expect(setupChangeText(change, NAMES)).toBe(says));
  it('a place in the book, in a cell, and of a movement without a column', () => {
    expect(setupPlaceText(PLACE, '7 | 8')).toBe('hole 7 | 8, mark -19 cm');
    expect(setupPlaceText(PLACE, null)).toBe('hole 7, mark -19 cm');
    expect([setupCellText(PLACE), setupCellText(null), setupPlaceText(null, null)]).toEqual([
      'hole 7, -19 cm',
      'as set by rule',
      'as set by rule',
    ]);
  });
});

it.each([
  [{ label: 'Seat', value: '3', unit: 'hole' }, 'seat hole 3'],
  [{ label: 'Mark, in front', value: '51', unit: 'cm' }, 'mark 51 cm'],
  [{ label: 'Hole, both sides', value: '12', unit: '' }, 'hole 12'],
])('%j stays on one line', (setting, says) => expect(settingInLine(setting)).toBe(says.replaceAll(' ', '\u00a0')));

it('labels by place and by room', () => {
  expect([markLabel(0), markLabel(-0.004), markLabel(-0.006)]).toEqual([
    'Mark, in front',
    'Mark, in front',
    'Mark, behind',
  ]);
  expect(['Hole, both sides', 'Mark, in front', 'Stack, each side', 'Seat'].map(shortLabel)).toEqual([
    'Hole',
    'Mark',
    'Stack, a side',
    'Seat',
  ]);
});

it.each([
  ['hand', 'in the hand'],
  ['leg', 'on the leg'],
  ['spine', 'on the spine'],
] as const)('a refused load says that the limit is %s', (part, says) =>
  expect(PLAN_REFUSAL.overLimit(8000, 4000, part, 'kg')).toBe(
    `expected at most 8 kg here: a clinician’s limit of 4 kg ${says}`,
  ),
);
