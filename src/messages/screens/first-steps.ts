/** First steps of a new gym. */
export const FIRST_STEPS_WORDS = {
  title: 'First steps',
  text:
    'Five steps from nothing to a set-up that is yours. Each is a place of the app as it always is, and each can be ' +
    'left for later.',
  stepOf: (no: number, of: number): string => `Step ${no} of ${of}`,
  all: 'All steps',
  skip: 'Later',
  skipNamed: (what: string): string => `Later: ${what}`,
  again: 'Take it up',
  againNamed: (what: string): string => `Take it up: ${what}`,
  over: 'That was all. The day goes on at the floor.',
  floor: 'To the floor',
  state: { done: 'done', skipped: 'left for later', open: '' },
} as const;

/** What a step is, what is done there, and the press that goes there. */
export const FIRST_STEP_TEXT = {
  owner: {
    name: 'The owner',
    text: 'Who begins here keeps people, records and backups. Trainers get accounts of their own.',
    go: 'Add trainers',
  },
  gym: {
    name: 'The gym',
    text: 'Its name, whether lengths are said in centimetres or in feet, and the kit that most gyms have.',
    go: 'Name the gym',
  },
  column: {
    name: 'A column, by two of its holes',
    text: 'Tape the height of two holes far apart: every hole between is computed from them.',
    go: 'Measure a column',
  },
  client: {
    name: 'A client',
    text: 'Name and stature are enough to begin with; what is estimated from them looks so until it is measured.',
    go: 'Enter a client',
  },
  setup: {
    name: 'A set-up',
    text: 'Put a movement on today’s plan: hole, mark and facing are computed for this client and this column.',
    go: 'Plan a movement',
  },
} as const;
