/** The ledger of faults and progress. */
export const WORDS = {
  // ledger-table
  corrected: (outcome: string): string => `corrected, ${outcome}`,
  earlierSessions: (n: number): string =>
    n === 1 ? 'The session before these too' : `The ${n} sessions before these too`,
  set: 'set',
  loadReps: 'load, reps',
  setUpUsed: 'set-up used',
  notSaved: 'not saved',
  off: 'off',
  noFaultsOnRecord: 'no faults on record',
  correctionsGiven: 'Corrections given',
  howCorrectionsFared: 'How corrections fared',
  forFault: (seen: string): string => `for: ${seen}`,
  forJudged: (seen: string, cause: string): string => `for: ${seen}; judged ${cause}`,
  notAskedYet: 'not asked yet',
  stoppedForPain: (date: string, atRep: string): string => `${date}: stopped for pain${atRep}.`,
  atRep: (rep: number): string => ` at rep ${rep}`,
  noNote: 'No note.',
  ledgerOf: (name: string): string => `Ledger of ${name}`,
} as const;
