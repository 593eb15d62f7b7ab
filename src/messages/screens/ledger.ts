/** The ledger of faults and progress. */
export const WORDS = {
  // ledger-table
  corrected: (outcome: string): string => `corrected, ${outcome}`,
  set: 'set',
  loadReps: 'load, reps',
  setUpUsed: 'set-up used',
  notSaved: 'not saved',
  off: 'off',
  noFaultsOnRecord: 'no faults on record',
  correctionsGiven: 'Corrections given',
  forJudged: (seen: string, cause: string): string => `for: ${seen}; judged ${cause}`,
  notAskedYet: 'not asked yet',
  stoppedForPain: (date: string, atRep: string): string => `${date}: stopped for pain${atRep}.`,
  atRep: (rep: number): string => ` at rep ${rep}`,
  noNote: 'No note.',
  ledgerOf: (name: string): string => `Ledger of ${name}`,
} as const;
