/** What all places share. */
export const WORDS = {
  // title-bar
  allSent: 'all sent',
  waitForTheirOwner: (n: number): string =>
    `${n} ${n === 1 ? 'tap' : 'taps'} of somebody else, or of another database, wait here for them`,
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
  // use-shortcuts
  keysOfThisPage: 'Keys of this page',
  close: 'Close',
  thisList: 'this list',
} as const;
