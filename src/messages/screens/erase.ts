const many = (n: number, one: string): string => `${n} ${n === 1 ? one : `${one}s`}`;

/** What the sheet says where a client is erased for good. */
export const ERASE = {
  title: 'Erase for good',
  text: (client: string): string =>
    `Takes everything of ${client} out of the records: sheet, sessions, sets, faults, history. Nothing brings it ` +
    'back. How much there was is kept, without a name. Take their records along first where they want them.',
  backups:
    'Backups made before still hold them: the last of each day for two weeks. They go by themselves; to put one back ' +
    'is to have the client back, to be erased again.',
  typeName: 'Type the client’s name to erase',
  erase: 'Erase for good',
  wrongName: 'expected the client’s name as it stands above',
  counts: (sessions: number, sets: number, taps: number): string =>
    `a client with ${many(sessions, 'session')}, ${many(sets, 'set')}, ${many(taps, 'tap')}`,
} as const;
