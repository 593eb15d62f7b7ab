/** What all places share. */
export const WORDS = {
  // title-bar
  allSent: 'all sent',
  waitForTheirOwner: (n: number): string =>
    `${n} ${n === 1 ? 'tap' : 'taps'} of somebody else, or of another database, wait here for them`,
  asItWas: (when: string): string => `this page is from ${when}`,
  records: 'Records',
  keptHereOnly: (refused: number): string => `${refused} kept here only`,
  jorvix: 'Jorvix',
  opening: 'opening the next page',
  places: 'Places',
  changeBetweenDayAndNight: 'Change between day and night sheet',
  // screening-warning
  enterIt: 'Enter it',
  // restored-note
  whatYouHadTypedHere: (age: string): string => `What you had typed here and not saved is back${age}.`,
  startFromWhatIsKept: 'Start from what is kept',
  // put-away
  putAway: 'Put away',
  putAwayText: {
    client: 'No longer coming? Put away, a client is in no list; sheet, plans and records stay and can be taken back.',
    piece: 'No longer in the gym? Put away, it is in no list; set-ups saved with it stay and it can be taken back.',
    gym: 'No longer trained at? Put away, a gym and its kit are in no list; what was recorded stays.',
  },
  wasPutAway: (name: string): string => `${name} is put away.`,
  undo: 'Undo',
  putAwayCount: (n: number): string => `Put away (${n})`,
  takeBack: 'Take back',
  takeBackNamed: (name: string): string => `Take back ${name}`,
  couldNotBeKept: 'That could not be kept. Try again.',
  // use-shortcuts
  keysOfThisPage: 'Keys of this page',
  close: 'Close',
  thisList: 'this list',
} as const;
