/** What all places share. */
export const WORDS = {
  // use-saved-form
  notSavedTheServerDid: 'Not saved: the server did not answer. Everything typed is still here; try again.',
  // title-bar
  allSent: 'all sent',
  keptHereOnly: (refused: number): string => `${refused} kept here only`,
  jorvix: 'Jorvix',
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
