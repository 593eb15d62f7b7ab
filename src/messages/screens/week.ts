import { NO_TIME_LEFT } from '../plan';
import type { SessionState } from '@/core/plan/day';

/** What the week and a session's sheet say. */
export const WORDS = {
  place: 'Plan',
  before: 'Week before',
  after: 'Week after',
  thisWeek: 'This week',
  today: 'today',
  nobody: 'nobody planned',
  planHere: 'Plan a session',
  planHereName: (day: string): string => `Plan a session on ${day}`,
  fromTo: (starts: string, ends: string): string => `${starts} to ${ends}`,
  movements: (n: number): string => (n === 0 ? 'nothing planned yet' : n === 1 ? '1 movement' : `${n} movements`),
  state: { planned: '', 'under-way': 'under way', done: 'done' } satisfies Record<SessionState, string>,
  wanted: 'a station is wanted twice',
  wantedTwice: 'Stations that are wanted twice',
  beginAt: (clock: string): string => `Begin at ${clock}`,
  otherOrder: 'Take another order',
  otherOrderIs: (movements: string): string => `Nobody wants it meanwhile in this order: ${movements}.`,
  otherColumn: 'Another column',
  noOtherColumn: 'No other column here serves meanwhile.',
  instead: (station: string): string => `Use ${station}`,
  print: 'Print',
  // A session is made
  make: 'Plan a session',
  client: 'Client',
  gym: 'Gym',
  whereLast: 'as last time',
  day: 'Day',
  starts: 'Starts',
  minutes: 'Minutes',
  from: 'Begins as',
  fromText: {
    last: 'the same as last time',
    empty: 'empty',
    session: 'the session you came from',
  },
  template: (name: string, minutes: number): string => `template: ${name}, ${minutes} min`,
  learned:
    'Loads, settings, tempo and what to watch follow from what was learned since; a template is solved for this body ' +
    'and this gym’s kit.',
  leaveOut: 'Leave out what cannot be done there',
  makeIt: 'Plan it',
  needsClient: 'Enter a client under Clients first.',
  // Templates
  templates: 'Templates',
  noTemplates: 'None yet: a session is kept as one on its own page.',
  whose: (forAll: boolean): string => (forAll ? 'for everybody' : 'yours'),
  drop: 'Drop',
  dropName: (name: string): string => `Drop the template ${name}`,
  unreadable: 'A template here cannot be read by this program and is left out.',
  // A session's sheet
  time: 'Day and time',
  keepTime: 'Keep the time',
  kept: 'Kept',
  again: 'Plan it again',
  finish: 'Finish the session',
  goOn: 'Go on with it',
  isFinished: 'Finished before everything was done.',
  callOff: 'Call it off',
  isCalledOff: 'This session is called off.',
  haveAgain: 'Have it again',
  asTemplate: 'Keep as a template',
  name: 'Name',
  forAll: 'For everybody here',
  keepTemplate: 'Keep it',
  // A movement of it
  change: 'Change',
  changeName: (movement: string): string => `Change ${movement}`,
  sets: 'Sets',
  reps: 'Reps',
  tempo: 'Tempo',
  load: (unit: string): string => `Load, ${unit}`,
  keep: 'Keep',
  sidesDiffer: 'Its two sides are planned differently: what is kept here stands for both.',
  skipFor: 'Skip it this time',
  reasons: [NO_TIME_LEFT, 'station taken', 'not today', 'the client’s wish'],
  skipped: 'Skipped this time',
  because: (reason: string): string => `Skipped: ${reason}`,
  takeBack: 'Do it after all',
  takeBackName: (movement: string): string => `Do ${movement} after all`,
  takeOut: 'Take it out of the plan',
  tookOut: (movement: string): string => `${movement} is out of the plan.`,
  putBack: 'Put it back',
} as const;

/** What a client's week says. */
export const CLIENT_WEEK = {
  titled: (client: string, week: string): string => `${client}, ${week.charAt(0).toLowerCase()}${week.slice(1)}`,
  place: 'week',
  allWeek: 'Everybody’s week',
  setsOf: 'Sets of the week',
  sessions: (n: number): string => (n === 1 ? '1 session' : `${n} sessions`),
  nothing: 'Nothing is planned or on record in this week.',
  muscle: 'Muscle',
  sets: 'Sets',
  bandName: (least: number, most: number, all: string): string => `${all} of ${least} to ${most}`,
  none: (heads: string): string => `none for ${heads}`,
  coverage: 'Range that is loaded',
  coverageIntro:
    'From the set-ups that were used: where demand on a region is at least three quarters of the movement’s own ' +
    'peak, from where the region is stretched to where it is shortened.',
  working: (share: number): string => `Working it out, ${Math.round(100 * share)} %`,
  failed: 'It could not be worked out on this device.',
  stretched: 'stretched',
  shortest: 'shortened',
  whole: 'Nothing is left out that a movement here would load.',
  spanName: (name: string, from: number, to: number): string =>
    `${name}: from ${Math.round(100 * from)} to ${Math.round(100 * to)} % of the way`,
  rules: 'How sets are counted',
  rulesIntro:
    'A set beside its own target counts this part. The band is what a week should have; it holds for everybody here.',
  indirect: 'Beside',
  least: 'At least',
  most: 'At most',
  of: (what: string, muscle: string): string => `${what}, ${muscle}`,
  keep: 'Keep',
  kept: 'Kept',
} as const;

/** What the seconds between movements say. */
export const CHANGE_TIMES = {
  title: 'Seconds between movements',
  intro:
    'Entered here, the change alone; left empty it is what the gym’s sessions really took from one movement’s last ' +
    'rep to the next one’s first, rest and all, or where too few are on record ours.',
  learned: (seconds: number, from: number, to: number, n: number): string =>
    `learned: ${Math.round(seconds)} s (${Math.round(from)} to ${Math.round(to)}), from ${n} changes`,
  ours: (seconds: number): string => `ours: ${seconds} s, or the rest where it is longer`,
  keep: 'Keep',
  kept: 'Kept',
} as const;
