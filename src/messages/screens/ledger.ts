import type { Counted } from '../live-set';

/** The ledger of faults and progress. */
export const WORDS = {
  // ledger-table
  corrected: (outcome: string): string => `corrected, ${outcome}`,
  earlierSessions: (n: number): string =>
    n === 1 ? 'The session before these too' : `The ${n} sessions before these too`,
  heaviestReps: 'heaviest load, reps of each set',
  courseOf: 'Load, reps and settings over time',
  cellOf: (date: string, fault: string, seen: number, sets: number): string =>
    `${date}, ${fault}: ${seen === 0 ? `in none of ${sets}` : `in ${seen} of ${sets}`} ${sets === 1 ? 'set' : 'sets'}`,
  turned: { cleared: 'cleared', reopened: 'back again' },
  // session-sets
  setsOf: (date: string): string => `Sets of ${date}`,
  setOf: (no: number, side: string | null): string => (side === null ? `set ${no}` : `set ${no}, ${side}`),
  loadTimes: (load: string, reps: number): string => `${load} × ${reps}`,
  faultAt: (seen: string, reps: string, side: string | null): string =>
    `${seen}: ${reps}${side === null ? '' : `, ${side}`}.`,
  given: (correction: string, outcome: string): string => `${correction}: ${outcome}.`,
  notSeen: 'not seen',
  setUpNotSaved: 'set-up not saved',
  trace: 'Trace',
  takeTrace: 'Take the trace along (CSV)',
  fetchingTrace: 'Fetching the trace',
  traceNeedsNetwork: 'The trace is at the server and could not be fetched: close and open this again.',
  // movement-course
  leftSide: 'left side',
  rightSide: 'right side',
  chartOf: (name: string, sessions: number): string =>
    `${name} over ${sessions} ${sessions === 1 ? 'session' : 'sessions'}; the table below tells the same`,
  tableOf: (name: string): string => `${name}, session by session`,
  session: 'session',
  loadIn: (unit: string): string => `heaviest, ${unit}`,
  againstTheJoint: 'most against the joint',
  newtonMetres: (nm: number): string => `${Math.round(nm)} Nm`,
  demandNow: 'On the body and the steel as they are now; a session on another column has none.',
  repsOfSets: 'reps of each set',
  whatItShowed: 'what it showed',
  nextLoad: 'load after it',
  changed: (what: string): string => `changed: ${what}`,
  faultySets: (n: number, of: number): string => `faults in ${n} of ${of} ${of === 1 ? 'set' : 'sets'}`,
  // what-works
  nothingLookedAt: 'No correction was looked at yet.',
  // ledger-section
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
  at: (of: Counted, n: number): string => ` at ${of} ${n}`,
  noNote: 'No note.',
  ledgerOf: (name: string): string => `Ledger of ${name}`,
} as const;
