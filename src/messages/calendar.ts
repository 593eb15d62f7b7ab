/** What becomes of an event of a calendar file. */
export type CalendarState = 'new' | 'moved' | 'same' | 'rejected';

/** Why an event of a calendar file is not taken. */
export const CALENDAR_REFUSAL = {
  noCalendar: 'expected an iCalendar file',
  noLines: 'expected the lines to keep',
  allDay: 'has no time of day',
  minutes: (least: number, most: number): string => `is not ${least} to ${most} minutes long`,
  nobody: 'its title is no client of yours',
  past: 'is over',
  begun: 'has begun',
  calledOff: 'is called off here',
} as const;

export const CALENDAR = {
  name: 'Jorvix sessions',
  title: 'Calendar file',
  write: 'Take the sessions along as an iCalendar file',
  read: 'Look at a calendar file',
  intro:
    'An event whose title is a client’s name becomes a session of theirs; one that left from here and was moved is ' +
    'moved. Nothing is kept before you say so.',
  tooBig: 'This file is larger than 900 kB.',
  unread: 'This file could not be read.',
  nothing: 'Nothing in this file lies in the time from four weeks back to half a year ahead.',
  state: {
    new: 'new',
    moved: 'moved',
    same: 'as it is here',
    rejected: 'left out',
  } satisfies Record<CalendarState, string>,
  keep: 'Keep',
  when: 'When',
  minutes: 'Minutes',
  who: 'Title',
  what: 'What becomes of it',
  takeLine: (who: string, when: string): string => `Keep ${who}, ${when}`,
  take: (n: number): string => (n === 1 ? 'Keep 1 session' : `Keep ${n} sessions`),
  taken: 'Kept.',
} as const;
