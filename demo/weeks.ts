import type { Side } from '@/core/body/side';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Client } from '@/contract/views/client';
import type { NewItem } from '@/contract/views/plan';
import { GYM, YARD } from './kit';
import { DEMO_OWNER, DEMO_TRAINER, RELIEF } from './people';

/** Regulars of the demo's two gyms: their bodies, what they do every week, and what goes wrong by itself. */

/** Why a fault comes: a hole that is off, more load than there is strength for, or a habit. */
export interface Habit {
  readonly fault: FaultCode;
  readonly from: 'set-up' | 'load' | 'cue';
  /** Share of reps that it shows in, while nothing is done about it. */
  readonly share: number;
  readonly side?: Side;
}

export interface Exercise {
  readonly movement: NewItem['movement'];
  readonly stationId?: string;
  readonly attachmentId?: string;
  readonly oneArm?: boolean;
  readonly kg: number;
  readonly reps: number;
  readonly tempo: string;
  readonly habits: readonly Habit[];
  /** Holes that the carriage was off by in the first weeks, before anybody computed it. */
  readonly offAtFirst?: number;
}

export interface Regular {
  readonly client: Client;
  readonly gymId: string;
  readonly trainerId: string;
  readonly days: readonly number[];
  readonly hour: number;
  /** Hours after now that today's session begins, or that it is under way now; null where there is none today. */
  readonly today: number | 'under-way' | null;
  readonly exercises: readonly Exercise[];
}

const body = (
  id: string,
  name: string,
  statureM: number,
  massKg: number,
  note: string,
  more: Partial<Client> = {},
): Client => ({
  id,
  name,
  statureM,
  massKg,
  massEstimated: false,
  saidIn: null,
  note,
  measuredM: {},
  range: { left: {}, right: {} },
  notes: [],
  unfelt: [],
  limits: [],
  armPath: { left: [], right: [] },
  chestLineDeg: null,
  ...more,
});

const habit = (fault: FaultCode, from: Habit['from'], share: number, side?: Side): Habit => ({
  fault,
  from,
  share,
  ...(side ? { side } : {}),
});

const cable = (
  movement: Exercise['movement'],
  kg: number,
  habits: readonly Habit[],
  more: Partial<Exercise> = {},
): Exercise => ({
  movement,
  stationId: 'long-pair',
  attachmentId: 'd-handle',
  kg,
  reps: 12,
  tempo: '3-1-1-1',
  habits,
  ...more,
});

const free = (
  movement: Exercise['movement'],
  kg: number,
  habits: readonly Habit[],
  more: Partial<Exercise> = {},
): Exercise => ({ movement, kg, reps: 12, tempo: '3-1-1-1', habits, ...more });

const AT_THE_YARD = { stationId: 'yard-pair', attachmentId: 'yard-handle' } as const;

export const REGULARS: readonly Regular[] = [
  {
    client: body('tevita', 'Tevita Mafileʻo-Sandoval', 2.01, 104, 'Left arm the weaker one.', {
      measuredM: { shoulderHeight: 1.66 },
      notes: ['left-weaker'],
    }),
    gymId: GYM.id,
    trainerId: DEMO_TRAINER.id,
    days: [1, 4],
    hour: 9,
    today: 1,
    exercises: [
      cable('cable-row-level-one-arm', 32.5, [habit('shrugs', 'load', 0.6), habit('trunk-turns', 'load', 0.4)], {
        oneArm: true,
        reps: 10,
      }),
      cable('cable-fly-high-to-low', 22.5, [habit('line-off-arm', 'set-up', 0.4)], { offAtFirst: -3 }),
      free('dumbbell-side-raise', 10, [habit('raise-shrugs', 'load', 0.6)]),
      free('incline-dumbbell-curl', 14, [habit('elbow-swings', 'cue', 0.45, 'left')]),
    ],
  },
  {
    client: body('noriko', 'Noriko Valdés-Okafor', 1.48, 47, 'Reaches for the handle; short step in.', {
      measuredM: { shoulderHeight: 1.2, elbowHeight: 0.92 },
    }),
    gymId: GYM.id,
    trainerId: DEMO_TRAINER.id,
    days: [2, 5],
    hour: 7,
    today: 3,
    exercises: [
      cable('cable-fly-level', 7.5, [habit('shoulders-roll-forward', 'set-up', 0.4)], { offAtFirst: 3 }),
      free('dumbbell-row-hinged', 9, [habit('lowering-dropped', 'cue', 0.5), habit('trunk-swings', 'load', 0.5)]),
      free('seated-dumbbell-press', 7, [habit('rests-in-lockout', 'cue', 0.4)]),
    ],
  },
  {
    client: body('bashir', 'Bashir Lindgren-Achebe', 1.72, 74, 'Feels rows in the arms, not in the lats.', {
      notes: ['does-not-feel'],
      unfelt: ['lat-lower'],
    }),
    gymId: GYM.id,
    trainerId: DEMO_TRAINER.id,
    days: [1, 3, 6],
    hour: 18,
    today: null,
    exercises: [
      cable('cable-row-high-one-arm', 17.5, [habit('arm-pulls', 'cue', 0.5)], { oneArm: true, offAtFirst: -2 }),
      free('chest-supported-row', 14, [
        habit('shoulder-tips-forward', 'cue', 0.4),
        habit('range-shrinks', 'load', 0.5),
      ]),
      free('preacher-curl-one-arm', 10, [habit('elbow-swings', 'load', 0.6)], { oneArm: true }),
    ],
  },
  {
    client: body('elspeth', 'Elspeth Ngata-Kowalczyk', 1.66, 63, 'Desk work; shoulders sit forward.', {
      range: { left: { 'shoulder.horizontalAbduction': 9 }, right: { 'shoulder.horizontalAbduction': 7 } },
      notes: ['shoulder'],
    }),
    gymId: YARD.id,
    trainerId: RELIEF.id,
    days: [2, 4],
    hour: 17,
    today: 'under-way',
    exercises: [
      cable('rear-delt-cable-row', 7.5, [habit('shrugs', 'load', 0.5)], { ...AT_THE_YARD, oneArm: true }),
      cable('cable-row-level-one-arm', 12.5, [habit('shoulder-tips-forward', 'cue', 0.5)], {
        ...AT_THE_YARD,
        oneArm: true,
      }),
    ],
  },
  {
    client: body('yusuf', 'Yusuf Bergström-Tamaseb', 1.86, 92, 'Breathes out on every lift; no long holds.', {
      notes: ['blood-pressure'],
    }),
    gymId: GYM.id,
    trainerId: DEMO_OWNER.id,
    days: [3, 5],
    hour: 12,
    today: null,
    exercises: [
      free('leg-extension', 45, [habit('bounces', 'cue', 0.4), habit('range-shrinks', 'load', 0.5)]),
      cable('cable-fly-low-to-high', 12.5, [habit('arms-stay-bent', 'cue', 0.4)]),
      free('dumbbell-row-one-arm', 26, [habit('trunk-turns', 'load', 0.5)], { oneArm: true }),
    ],
  },
];
