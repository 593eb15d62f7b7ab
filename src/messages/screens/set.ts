/** The set and the rest between sets. */
export const WORDS = {
  // pacer
  getSet: 'get set',
  repDoneThePacerFollows: (rep: number): string => `Rep ${rep}, done: the pacer follows`,
  now: 'now',
  paused: 'paused',
  pressStart: 'press start',
  phaseGoesOn: (phase: string): string => `${phase}, more`,
  ready: 'ready',
  sLeft: (left: number): string => `${left} s left`,
  repDoneTapTheCount: 'rep done? tap the count',
  // trace-line
  traceOfReps: (length: number): string => `Trace of ${length} ${length === 1 ? 'rep' : 'reps'}`,
  // use-set-trace
  expectedATraceWithoutGaps: (name: string): string =>
    `${name}: expected a trace without gaps that starts at rest and holds at least one rep`,
  // limit-panel
  cliniciansLimitMissing: 'Clinician’s limit missing',
  noCliniciansLimitCoversThis: 'No clinician’s limit covers this movement',
  notedItIsDoneOnly: (toUpperCase: string, slice: string): string =>
    `${toUpperCase}${slice} noted: it is done only within the clinician’s limits. Enter the one that holds ` +
    `for it, or record why it goes ahead without.`,
  whyItGoesAheadToday: 'Why it goes ahead today',
  recordAndGoAhead: 'Record and go ahead',
  enterALimit: 'Enter a limit',
  // sensor-bar
  whichStack: 'Which stack?',
  stack: 'Stack',
  drawnFromSensor: 'drawn from sensor',
  noneOfThem: 'None of them',
  findASensor: 'Find a sensor',
  leaveIt: 'Leave it',
  // trace-panel
  repsLiftedInSOf: (
    reps: number,
    liftingS: string,
    liftingAskedS: string,
    loweringS: string,
    loweringAskedS: string,
    speedLoss: number,
  ): string =>
    `${reps} reps. Lifted in ${liftingS} s of ${liftingAskedS} asked, ` +
    `lowered in ${loweringS} s of ${loweringAskedS}; ` +
    `${speedLoss} % of the fastest rep’s speed lost by the last.`,
  repsSay: (reps: string, says: string): string => `Rep ${reps}: ${says}.`,
  taken: 'Taken',
  take: (pad: string): string => `Take: ${pad}`,
  traceOfTheStackFrom: 'Trace of the stack, from a sensor or a file',
  csvWithTheColumnsT: 'CSV with the columns t_s and x_m: seconds and metres, up while lifting',
  // stack-readout
  stackTheLastLiftedIn: (reps: number, repWord: string, liftingS: string, loweringS: string, askedS: string): string =>
    `Stack: ${reps} ${repWord}, the last lifted in ${liftingS} s, lowered in ${loweringS} s of ${askedS}`,
  repWord: 'rep',
  reps: 'reps',
  stackDrawnOverThePacer: 'Stack: drawn over the pacer',
  // pacing
  partOf: (index: number, length: number, part: string): string => `Part ${index} of ${length}: ${part}`,
  next: 'next',
  thisSetWasLeftAfter: (reps: number): string =>
    `This set stands at rep ${reps}, left here or under way on another tablet. Go on from there, or end it.`,
  repDone: (reps: number): string => `Rep ${reps} done`,
  countByTapWhileThe: 'count by tap while the pacer rests',
  notedLastTime: 'Noted last time:',
  endNow: 'End it now',
  repStopTheSet: (seen: string, rep: number): string => `${seen}, rep ${rep}: stop the set.`,
  // pad-tools
  howBad: (pad: string): string => `How bad: ${pad}`,
  cleanToRep: (cleanTo: number): string => `Clean to rep ${cleanTo}`,
  cleanSoFar: 'Clean so far',
  // pain-panel
  stoppedForPain: 'Stopped for pain',
  stoppedThisMovementIsOver: (atRep: string): string => `Stopped${atRep}. This movement is over for today.`,
  atRep: (rep: number): string => ` at rep ${rep}`,
  whatTheClientSaysWhere: 'What the client says, where and when in the rep',
  noPainAtAll: 'The client had no pain at all, and says so?',
  takeTheStopBack: 'No pain: take the stop back',
  keepTheStop: 'Keep the stop',
  tappedByMistake: 'Tapped by mistake?',
  noteKept: 'Note kept',
  keepTheNote: 'Keep the note',
  toTheFloor: 'To the floor',
  // confirm-set
  confirmLoadAndReps: 'Confirm load and reps',
  repsDone: 'Reps done',
  oneRepLess: 'One rep less',
  oneRepMore: 'One rep more',
  used: (loadLabel: string, unit: string): string => `${loadLabel}, used, ${unit}`,
  load: 'Load',
  usedOneStepLess: 'Used one step less',
  usedOneStepMore: 'Used one step more',
  keepThis: 'Keep this',
  // fault-to-correct
  likely: (reps: string, onSide: string, cause: string, sign: string): string =>
    `${reps}${onSide}. Most likely ${cause}: ${sign}.`,
  only: (onlySide: string): string => `, ${onlySide} only`,
  otherCorrectionsFor: (seen: string): string => `Other corrections for ${seen}`,
  other: 'Other',
  // between-sets
  outcomeOfTheLastCorrection: 'Outcome of the last correction',
  forDidItHold: (seen: string): string => `, for: ${seen}. Did it hold?`,
  noteOnThisSetFor: 'Note on this set, for next time',
  setNumber: (setNo: number): string => `Set ${setNo}:`,
  repsCounted: (reps: number): string => `${reps} ${reps === 1 ? 'rep' : 'reps'}`,
  with: 'with',
  bodyWeight: 'the body’s weight',
  sUnderTensionAsPaced: (tension: number, watched: string): string =>
    `, ${tension} s under tension as paced${watched}.`,
  watchedCleanToRep: (cleanTo: number): string => `, watched clean to rep ${cleanTo}`,
  ifThatWasTheLimit: (once: string, twenty: string): string =>
    `If that was the limit: ${once} for one rep, ${twenty} for twenty.`,
  forTheNextSet: 'For the next set:',
  backToThePlates: 'Back to the plates',
  faultsSeen: 'Faults seen',
  noFaultsTappedInThis: 'No faults tapped in this set.',
  // rest-clock
  resting: 'resting',
  overAnHour: 'over an hour',
  plannedReady: (clock: string): string => `planned ${clock}: ready`,
  ofPlanned: (clock: string): string => `of ${clock} planned`,
  // resting
  nowTheSide: (side: string): string => `Now the ${side} side`,
  nextMovement: 'Next:',
  swapTo: 'Swap to',
  nothingToChange: 'everything stays as it is',
  oppositeMuscleMeanwhile: 'Opposite muscle meanwhile',
  // set-bar
  pause: 'Pause',
  goOn: 'Go on',
  nowPart: (partChange: string): string => `Now ${partChange}`,
  endSet: 'End set',
  startSet: 'Start set',
  oneMoreSet: 'One more set',
  startSetNumber: (length: number): string => `Start set ${length}`,
  painStop: 'Pain: stop',
  nothingToUndo: 'Nothing to undo',
  sideOfTheFault: 'Side of the fault',
  soundAtEachChangeOf: 'Sound at each change of phase',
  // set-settings
  typeReps: (reps: number): string => `${reps} reps done: tap to type another number`,
  keptSide: (side: string): string => `${side}, kept`,
  goodForTwenty: (load: string, reps: number): string =>
    `good for about 20 reps, by ${reps} ${reps === 1 ? 'rep' : 'reps'} with ${load}; step it to choose another`,
  eachEnd: (sides: string): string => `each end ${sides}`,
  barAlone: 'bar alone',
  cliniciansLimit: (load: string): string => `clinician’s limit ${load}`,
  oneStepLighter: 'One step lighter',
  oneStepHeavier: 'One step heavier',
  band: 'Band',
  bandDoes: (kg: number): string => (kg < 0 ? `takes about ${-kg} kg off` : `pulls with about ${kg} kg`),
  whichBand: 'Which band hangs',
  aim: 'Aim',
  atTempo: (tempoNumbers: string): string => `at ${tempoNumbers}`,
  howTheSetIsDone: 'How the set is done',
  settings: 'Settings',
  changeSetUp: 'Change set-up',
  setUpNotSavedYet: 'Set-up not saved yet',
  // use-set-keys
  endTheSet: 'end the set',
  startTheSet: 'start the set',
  pauseGoOn: 'pause, go on',
  nextPart: 'next part',
  aRepIsDoneThe: 'a rep is done: the pacer follows',
  keyCleanSoFar: 'clean so far',
  undo: 'undo',
  keyPainStop: 'pain: stop',
  faultsOn: (sides: string): string => `faults on ${sides}`,
  bothSides: 'both sides',
  onTheSide: (s: string): string => `the ${s}`,
  // set-screen
  stopped: 'Stopped',
  rest: 'Rest',
  limits: 'Limits',
  stoppedForToday: 'stopped for today',
  setOf: (setNo: number, sets: number): string => `set ${setNo} of ${sets}`,
  onSide: (side: string): string => `${side} side`,
  pacer: 'Pacer',
  missedOneATapNow: 'Missed one? A tap now counts for the whole set.',
} as const;
