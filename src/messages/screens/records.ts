/** In whose care a client is, who changed what, and the copies of the records. */
export const WORDS = {
  // care
  people: 'People',
  saved: 'Saved',
  care: 'In whose care',
  trainerIs: (name: string | null): string =>
    name === null ? 'No trainer yet: the owner alone sees this client.' : `Trainer: ${name}.`,
  standsIn: (name: string, until: string): string => `${name} stands in until ${until}`,
  callOff: 'Call off',
  giveTo: 'Give to',
  how: 'How',
  forAWhile: 'to stand in until a day',
  forGood: 'for good',
  untilDay: 'Last day',
  give: { while: 'Let stand in', good: 'Give for good' },
  // history
  history: 'History',
  historyText: 'What was changed on this sheet, by whom. Nothing is deleted: what no longer holds has ended.',
  noHistory: 'Nothing was changed yet.',
  when: 'When',
  who: 'Who',
  what: 'What',
  from: 'From',
  to: 'To',
  concerning: 'Of',
  // records
  records: 'Records',
  recordsText: (holds: string): string => `The database holds ${holds}.`,
  backups: 'Backups',
  backupsText: 'One every hour while it runs, and one at every start; the last of each day is kept for two weeks.',
  backUpNow: 'Back up now',
  size: 'MB',
  holds: 'Holds',
  restore: 'Restore',
  restoreSure: (when: string): string =>
    `Put the backup of ${when} in the place of what is there now? What is there is backed up first, and everybody ` +
    'signs in anew.',
  restoreYes: 'Restore it',
  notNow: 'Not now',
  changes: 'Changes',
  older: 'Older changes',
} as const;
