import { expect, it } from 'vitest';
import { changeOver } from './change-over';

const plate = (kind: string, label: string, value: string, unit = '') => ({ kind, label, value, unit });
const FLY = [
  plate('hole', 'Hole, both sides', '16'),
  plate('mark', 'Mark, in front', '20', 'cm'),
  plate('lean', 'Lean', '5', '°'),
  plate('load', 'Stack, each side', '7.5', 'kg'),
  plate('handle', 'Handle', 'single D-handle'),
];

it.each([
  ['nothing changes', FLY, []],
  [
    'from high to low',
    [plate('hole', 'Hole, both sides', '3'), plate('mark', 'Mark, in front', '45', 'cm'), ...FLY.slice(2)],
    ['hole 16 to 3', 'mark 20 to 45 cm'],
  ],
  ['the mark behind', [FLY[0]!, plate('mark', 'Mark, behind', '20', 'cm'), ...FLY.slice(2)], ['mark, behind, 20 cm']],
  [
    'to a bench and a dumbbell',
    [
      plate('notch', 'Back', '4', 'notch'),
      plate('load', 'Dumbbell', '20', 'lb'),
      plate('stops', 'Range', '5 to 90', '°'),
    ],
    ['back 4 notch', 'dumbbell 20 lb', 'handle off'],
  ],
])('%s', (_, to, said) => {
  expect(changeOver(FLY, to)).toEqual(said);
});
