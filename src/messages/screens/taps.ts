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
} as const;
