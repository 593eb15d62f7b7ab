import type { AimPreset } from '@/core/tempo/set-aims';

/** What the plan of a session says. */
export const WORDS = {
  titled: (client: string, when: string): string => `${client}, ${when}: plan`,
  place: 'plan',
  floor: 'Floor',
  week: 'Its week',
  total: (minutes: number, of: number): string => `${minutes} min of ${of}`,
  over: (minutes: number): string => `${minutes} min too long.`,
  toFit: 'To fit the time',
  step: {
    'take-turns': (name: string, saves: string, other: string): string => `${name} in turns with ${other}, ${saves}`,
    'a-set-less': (name: string, saves: string): string => `${name}: one set less, ${saves}`,
    'leave-out': (name: string, saves: string): string => `${name}: leave it out, ${saves}`,
  },
  doThat: 'Do that',
  standing: 'Its place',
  pin: 'Pin it here',
  unpin: 'Let it be moved',
  pinned: 'Pinned',
  notLifted: 'No set on record yet',
  turnsWith: (other: string, saves: string): string => `In turns with ${other}, ${saves}`,
  endTurns: 'One after the other again',
  savesText: (seconds: number): string =>
    Math.abs(seconds) < 30 ? 'as long' : `${WORDS.minutes(Math.abs(seconds))} ${seconds > 0 ? 'less' : 'more'}`,
  inTurns: (what: string, seconds: number, saves: string): string =>
    `in turns, set by set: ${what}, ${seconds} s each way, ${saves}`,
  fits: (minutes: number): string => `${minutes} min to spare.`,
  estimated: 'Estimated: sets × reps × tempo, rests, and what is changed between movements.',
  estimatedAsLearned:
    'Estimated: sets × reps × tempo, rests, and between movements what this gym’s sessions really took.',
  ribbon: 'Movements in their order',
  minutes: (seconds: number): string => `${Math.max(1, Math.round(seconds / 60))}\u00a0min`,
  change: (what: string, seconds: number): string => `${what}, ${seconds} s`,
  begun: 'begun',
  earlier: 'Earlier',
  later: 'Later',
  earlierName: (name: string): string => `${name} earlier`,
  laterName: (name: string): string => `${name} later`,
  computed: 'Take the computed order',
  isComputed: 'This is the computed order: rules kept, least time between movements.',
  saves: (seconds: number): string =>
    seconds > 0
      ? `The computed order keeps the rules and takes ${seconds}\u00a0s less between movements.`
      : 'The computed order keeps the rules.',
  tooMany: 'More than twelve movements are not ordered by computation.',
  undo: 'Undo',
  rules: 'Against the usual order',
  nothingPlanned: 'Nothing is planned in this session yet.',
  unreadable: 'A movement here cannot be read by this program, so that the order stays as it is.',
  moved: (name: string, place: number, of: number): string => `${name} is now ${place} of ${of}.`,
} as const;

/** What the sets of a planned movement say. */
export const AIMS = {
  sets: 'Sets',
  reps: 'Reps',
  end: 'Their end',
  load: (unit: string): string => `Load, ${unit}`,
  same: 'as below',
  inRow: (what: string, row: number): string => `${what}, row ${row}`,
  take: (load: string): string => `Take ${load}`,
  more: 'Then other sets',
  fewer: 'Without the last row',
  preset: {
    'hard-then-failure': 'One hard, one to failure',
    'many-then-few': '2 × 20, then 3 × 10',
  } satisfies Record<AimPreset, string>,
  all: 'Sets of every movement',
  allIntro: 'Every movement that is still ahead, both its sides; each can be changed by itself afterwards.',
} as const;
