/** The list of taps that the server would not take. */
export const WORDS = {
  title: 'Taps kept here only',
  none: 'Every tap of this tablet is with the server.',
  why:
    'The server did not take these. They stay on this tablet and are sent again whenever it starts or comes online. ' +
    'If they belong to another gym’s database, save them and send them there.',
  tryAgain: 'Try again now',
  save: 'Save them as a file',
  tapped: 'Tapped',
  what: 'What',
  whose: 'Whose',
  says: 'The server says',
  takeIn: 'Taps from a file',
  takeInWhy:
    'What another tablet saved as a file is sent to this database from here; what is on record stays as it is.',
  chooseFile: 'Choose a file',
  taken: (kept: number, refused: number): string =>
    `${kept} ${kept === 1 ? 'tap is' : 'taps are'} on record` +
    (refused === 0 ? '.' : `; ${refused} the server would not take.`),
  notTaken: 'Not taken: it is no file of taps, or there is no way to the server.',
} as const;
