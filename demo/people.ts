import { type CorrectionCode } from '@/core/movement/correction-code';
import type { Actor } from '@/contract/actor';
import type { Client } from '@/contract/views/client';
import type { NewItem } from '@/contract/views/plan';
import type { FaultCode } from '@/core/movement/fault-code';
import type { Outcome } from '@/core/record/floor-event';

/** The people of an invented gym, what is planned for them and what they did. Nobody and nothing here is real. */

const PLAIN = { notes: [], unfelt: [], limits: [], armPath: { left: [], right: [] }, chestLineDeg: null } as const;

export const CLIENTS: readonly Client[] = [
  {
    ...PLAIN,
    id: 'corvin',
    name: 'Corvin Haldane-Abara',
    statureM: 1.81,
    massKg: 84,
    massEstimated: false,
    saidIn: null,
    note: 'Trains with Tindra; comes on Thursdays.',
    measuredM: {},
    range: { left: {}, right: {} },
  },
  {
    ...PLAIN,
    id: 'sefina',
    name: 'Sefina Taualofa',
    statureM: 1.52,
    massKg: 58,
    massEstimated: false,
    saidIn: null,
    note: 'First month. Does not feel the lower chest yet.',
    measuredM: { shoulderHeight: 1.25 },
    notes: ['first-month', 'does-not-feel'],
    unfelt: ['chest-lower'],
    range: { left: { 'shoulder.horizontalAbduction': 14 }, right: { 'shoulder.horizontalAbduction': 12 } },
  },
  {
    ...PLAIN,
    id: 'anselm',
    name: 'Anselm Okparaeke',
    statureM: 1.75,
    massKg: 77,
    massEstimated: false,
    saidIn: null,
    note: 'Right shoulder stiff: opens to 4° behind on that side.',
    measuredM: {},
    range: {
      left: { 'shoulder.horizontalAbduction': 11, 'shoulder.flexion': 168 },
      right: { 'shoulder.horizontalAbduction': 4, 'shoulder.flexion': 141, 'shoulder.externalRotation': 62 },
    },
    armPath: {
      left: [
        [0, 4],
        [10, 7],
        [20, 8.5],
        [30, 7],
      ].map(([belowDeg, cm]) => ({ belowDeg: belowDeg!, behindM: cm! / 100 })),
      right: [
        [0, 1],
        [10, 3],
        [20, 5],
        [30, 5.5],
        [40, 4],
      ].map(([belowDeg, cm]) => ({ belowDeg: belowDeg!, behindM: cm! / 100 })),
    },
  },
  {
    ...PLAIN,
    id: 'iolana',
    name: 'Iolana Brzezicki',
    statureM: 1.63,
    massKg: 66,
    massEstimated: false,
    saidIn: null,
    note: 'Back after the clinic: within the limits only.',
    measuredM: { shoulderHeight: 1.34, kneeHeight: 0.47 },
    range: {},
    notes: ['shoulder', 'recent-surgery', 'blood-pressure'],
    limits: [
      {
        subject: 'shoulder.horizontalAbduction',
        side: 'left',
        most: 0,
        setBy: 'physiotherapist',
        fromDay: 20_000,
        untilDay: null,
      },
      { subject: 'load-in-hand', side: 'both', most: 8, setBy: 'physiotherapist', fromDay: 20_000, untilDay: null },
    ],
  },
  {
    ...PLAIN,
    id: 'wilhelmina',
    name: 'Wilhelmina Brandstrup-Kjeldgaard',
    statureM: 1.98,
    massKg: 88,
    massEstimated: false,
    saidIn: null,
    note: '',
    measuredM: { shoulderHeight: 1.63, elbowHeight: 1.26, upperArm: 0.375 },
    range: {},
  },
];

/**
 * Screenings on record: how many days ago, by whom, how. Wilhelmina's is too old, so that the warning has something to
 * say.
 */
export const SCREENINGS = [
  { client: 'sefina', daysAgo: 20, doneBy: 'Tomasz Adeyemi', procedure: 'front-desk questionnaire and talk' },
  { client: 'anselm', daysAgo: 140, doneBy: 'Tomasz Adeyemi', procedure: 'front-desk questionnaire and talk' },
  {
    client: 'wilhelmina',
    daysAgo: 400,
    doneBy: 'Ngaire Castellanos',
    procedure: 'questionnaire on paper, in the blue folder',
  },
] as const;

type Plan = Omit<NewItem, 'id' | 'sessionId' | 'position'>;
const plan = (movement: Plan['movement'], stationId: string, loadKg: number, reps = 12, tempo = '3-1-2-1'): Plan => ({
  movement,
  variantId: null,
  side: 'both',
  stationId,
  attachmentId: 'd-handle',
  bandId: null,
  sets: 3,
  reps,
  tempo,
  loadG: loadKg * 1000,
});

/** One of the book beside the flies: its own side, load and tempo. */
const own = (movement: NewItem['movement'], change: Partial<Plan>): Plan => ({
  movement,
  variantId: null,
  side: 'right',
  stationId: null,
  attachmentId: null,
  bandId: null,
  sets: 3,
  reps: 12,
  tempo: '3-1-1-1',
  loadG: 8000,
  ...change,
});

const stretch = (side: 'left' | 'right'): Plan =>
  own('door-frame-chest-stretch', { side, sets: 1, reps: 3, tempo: '2-10-2-0', loadG: 0 });

export const PLANS: Readonly<Record<string, readonly Plan[]>> = {
  sefina: [plan('cable-fly-high-to-low', 'long-pair', 7.5), plan('cable-fly-low-to-high', 'long-pair', 5, 15)],
  anselm: [
    plan('cable-fly-level', 'long-pair', 15),
    plan('cable-fly-high-to-low', 'long-pair', 12.5),
    stretch('left'),
    stretch('right'),
  ],
  wilhelmina: [
    plan('cable-fly-high-to-low', 'short-pair', 30, 10, '4-1-2-1'),
    plan('cable-fly-level', 'long-pair', 17.5),
    own('cable-row-level-one-arm', { stationId: 'long-pair', attachmentId: 'd-handle', loadG: 25_000 }),
    own('preacher-curl-neutral', { loadG: 9000, tempo: '3-0-1-1, 40-75deg: 3s' }),
    own('leg-extension', { side: 'both', loadG: 40_823, tempo: '3-0-1-1' }),
    own('dumbbell-row-hinged', { side: 'both', loadG: 14_000 }),
    own('pull-up-band-assisted', { side: 'both', loadG: 0, bandId: 'grey-band' }),
    own('cable-row-level-one-arm', {
      side: 'left',
      stationId: 'long-pair',
      attachmentId: 'd-handle',
      loadG: 25_000,
    }),
  ],
};

/** One set of the past: load, reps, faults by rep, the correction given after it and how it fared. */
interface PastSet {
  readonly kg: number;
  readonly reps: number;
  readonly faults?: readonly (readonly [FaultCode, readonly number[]])[];
  readonly correction?: readonly [FaultCode, CorrectionCode, Outcome];
}

export const PAST: readonly {
  readonly client: string;
  readonly daysAgo: number;
  readonly item: number;
  readonly holeOff?: number;
  readonly sets: readonly PastSet[];
}[] = [
  {
    client: 'sefina',
    daysAgo: 8,
    item: 0,
    holeOff: -3,
    sets: [
      {
        kg: 7.5,
        reps: 12,
        faults: [
          ['line-off-arm', [2, 6, 9]],
          ['shrugs', [10, 12]],
        ],
        correction: ['line-off-arm', 'solved-hole', 'held'],
      },
      { kg: 7.5, reps: 12, faults: [['shrugs', [11, 12]]], correction: ['shrugs', 'one-step-lighter', 'partly'] },
      { kg: 5, reps: 12, faults: [['shrugs', [12]]] },
    ],
  },
  {
    client: 'sefina',
    daysAgo: 4,
    item: 0,
    sets: [
      {
        kg: 5,
        reps: 12,
        faults: [['arms-stay-bent', [1, 4, 8]]],
        correction: ['arms-stay-bent', 'straighten-at-finish', 'held'],
      },
      { kg: 5, reps: 13 },
      { kg: 7.5, reps: 11, faults: [['shrugs', [9, 11]]] },
    ],
  },
  {
    client: 'anselm',
    daysAgo: 7,
    item: 0,
    sets: [
      {
        kg: 15,
        reps: 12,
        faults: [
          ['shoulders-roll-forward', [1, 3, 7]],
          ['lowering-dropped', [12]],
        ],
        correction: ['shoulders-roll-forward', 'blades-down', 'not'],
      },
      {
        kg: 15,
        reps: 12,
        faults: [['shoulders-roll-forward', [2, 5, 8]]],
        correction: ['shoulders-roll-forward', 'one-step-lighter', 'held'],
      },
      { kg: 12.5, reps: 12 },
    ],
  },
  {
    client: 'anselm',
    daysAgo: 3,
    item: 0,
    sets: [
      { kg: 12.5, reps: 12 },
      {
        kg: 15,
        reps: 12,
        faults: [['shoulders-roll-forward', [9, 10, 12]]],
        correction: ['shoulders-roll-forward', 'one-step-lighter', 'held'],
      },
      { kg: 12.5, reps: 12, faults: [['lowering-dropped', [12]]] },
    ],
  },
  {
    client: 'wilhelmina',
    daysAgo: 5,
    item: 1,
    sets: [
      {
        kg: 17.5,
        reps: 12,
        faults: [['range-shrinks', [10, 11, 12]]],
        correction: ['range-shrinks', 'end-set-sooner', 'held'],
      },
      { kg: 17.5, reps: 10 },
    ],
  },
];

/** Who works in the demo: gone in with a tap, without passphrases. */
export const DEMO_TRAINER: Actor = { id: 'marit', name: 'Marit Oduya-Lindqvist', role: 'trainer' };
export const DEMO_OWNER: Actor = { id: 'owner', name: 'Casimir Vell', role: 'owner' };
export const RELIEF: Actor = { id: 'relief', name: 'Tindra Asante-Rowe', role: 'trainer' };
