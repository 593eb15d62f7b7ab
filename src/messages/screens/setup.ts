/** Names of what a set-up can be asked. */
export const SECTION_NAME = {
  why: 'Why',
  choices: 'Choices',
  compare: 'Compare',
  fault: 'What a fault costs',
  drops: 'Stance drops',
  check: 'Check the line with an inclinometer',
} as const;
/** A section of the answer. */
export type SectionId = keyof typeof SECTION_NAME;

/** The set-up bench. */
export const WORDS = {
  // comparison
  solved: (place: string): string => `solved: ${place}`,
  alsoSolved: (place: string): string => `also solved: ${place}`,
  lastUsed: (place: string): string => `last used: ${place}`,
  // stepped-plate
  holdTheWhereItIs: (what: string): string => `Hold the ${what} where it is`,
  backToWhatFits: (what: string): string => `${what} back to what fits`,
  // fit-plates
  aStepLess: 'One step less',
  aStepMore: 'One step more',
  feetOnThePlate: 'Feet on the plate',
  oneNotchLower: 'One notch lower',
  oneNotchHigher: 'One notch higher',
  notch: 'Notch',
  lowerHoleNumber: 'Lower hole number',
  higherHoleNumber: 'Higher hole number',
  // place-text
  beforeThePulley: (side: string): string => `before the ${side} pulley`,
  right: 'right',
  left: 'left',
  shoulderBeforeThePulley: (side: string): string => `shoulder before the ${side} pulley`,
  cmToTheOf: (cm: number, side: string, from: string): string => `${from}, ${cm} cm ${side}`,
  midway: 'midway',
  turned: (facing: string, turn: number, side: string): string => `${facing}, turned ${turn}° ${side}`,
  // fault-panel
  faultShown: 'Fault shown',
  noneShown: 'none shown',
  sizeOfTheFault: 'Size of the fault',
  // use-beside
  asLastTime: (hole: number, cm: number): string => `As last time: hole ${hole}, mark ${cm} cm`,
  lastUsedHole: (hole: number): string => `last used: hole ${hole}`,
  // limit-notes
  cliniciansLimit: 'Clinician’s limit:',
  // bench-notices
  loadHere: (load: string): string => `${load} here`,
  forThePlannedOnThe: (load: string, plannedOn: string): string =>
    `for the ${load} planned on ${plannedOn}: the nearest step with the same pull in the hand.`,
  notesOnThisClient: 'Notes on this client',
  // bench-handles
  benchBackNotch: 'Bench back, notch',
  notchOfDegrees: (notch: number, length: number, deg: number): string => `notch ${notch} of ${length}, ${deg} degrees`,
  seatHole: 'Seat, hole',
  holeOf: (hole: number, holes: number): string => `hole ${hole} of ${holes}`,
  // card-link
  stationCardToPrint: 'Station card, to print',
  // options-bar
  bothArms: 'both arms',
  rightArm: 'right arm',
  columns: 'Columns',
  outOfOrder: (name: string): string => `${name} (out of order)`,
  sweepAlongTheChestsBorder: 'Sweep, along the chest’s border',
  footInFrontEitherWill: 'Foot in front, either will do',
  grip: 'Grip',
  armPathBelowShoulderLevel: 'Arm path, below shoulder level',
  theMovements: (ownArmPathDeg: number): string => `the movement’s, ${ownArmPathDeg}°`,
  theClients: (measured: number): string => `the client’s, ${measured}°`,
  working: 'Working',
  hardest: 'Hardest where',
  // fit-bench
  setUpDrawing: 'Set-up drawing',
  band: 'Band',
  bodyAndGrip: 'Body and grip',
  answer: 'Answer',
  cautions: 'Cautions',
  saved: 'Saved',
  saveAsUsed: 'Save as used',
  toTheSet: 'To the set',
  // rep-scrubber
  nmLeverCm: (nm: number, leverCm: number): string => `${nm} Nm, lever ${leverCm} cm`,
  nm: (nm: number): string => `${nm} Nm`,
  placeInTheRep: 'Place in the rep',
  percentOfTheWayNewton: (now: number, nm: number, leverCm: number): string =>
    `${now} percent of the way: ${nm} newton metres, lever ${leverCm} centimetres`,
  percentOfTheWayNm: (now: number, nm: number): string => `${now} percent of the way: ${nm} newton metres`,
  pauseTheRep: 'Pause the rep',
  playTheRepAt: (tempo: string): string => `Play the rep at ${tempo}`,
  // bench-curve
  resistanceAtTheOnThe: (jointName: string, eachSide: string, loadSays: string): string =>
    `Resistance at the ${jointName}${eachSide}, ${loadSays} on the stack`,
  eachSide: ', each side',
  // fit-sheet
  resistanceAtThe: (jointName: string, eachSide: string, loadIn: string): string =>
    `Resistance at the ${jointName}${eachSide}${loadIn}`,
  hatchedRestZone: 'hatched: rest zone',
  dottedRightAngle: '; dotted: right angle',
  thinStrength: '; thin: strength, spent where full reps fail',
  dashesOnTheBodyLine: (region: string): string => `; dashes on the body: line of the ${region}, approximate`,
  resistanceOverTheRepPeak: (peakResistanceNm: number, peakAt: number, restShare: number): string =>
    `Resistance over the rep: peak ${peakResistanceNm} newton metres at ${peakAt} percent of the range, rest ` +
    `zone ${restShare} percent`,
  // line-check-panel
  thePinSitsInHole: (hole: number, hole2: number): string => `the pin sits in hole ${hole}, not ${hole2}`,
  theHandIsThanComputed: (cm: string, higherOrLower: string, shoulderToo: string): string =>
    `the hand is ${cm} ${higherOrLower} than computed${shoulderToo}`,
  higher: 'higher',
  lower: 'lower',
  andTheShoulderWithIt: ', and the shoulder with it: it is only estimated',
  theClientStands: (cm: string, furtherOrNearer: string): string => `the client stands ${cm} ${furtherOrNearer}`,
  furtherOut: 'further out',
  nearer: 'nearer',
  whichMeasurementToDistrustEither: (causes: string): string => `Which measurement to distrust? Either ${causes}.`,
  or: ', or ',
  alongTheCableComputedTo: (where: string, computed: string, downOrUp: string): string =>
    `Along the cable, ${where}: computed ${computed}° ${downOrUp} to the pulley.`,
  down: 'down',
  up: 'up',
  oneDegreeLess: 'One degree less',
  notRead: 'not read',
  oneDegreeMore: 'One degree more',
  simulated: 'simulated',
  thisDevice: 'this device',
  thisDeviceTellsNoTilt: 'This device tells no tilt. Hold any inclinometer along the cable and step to what it reads.',
  agreesWithin: (differsDeg: string): string => `Agrees within ${differsDeg}°.`,
  apart: (differsDeg: string, doubt: string): string => `${differsDeg}° apart. ${doubt}`,
  // comparison-panel
  offTheLine: 'off the line',
  hardestAt: 'hardest at',
  loadedOver: 'loaded over',
  besideIt: 'Compare with',
  nothing: 'nothing',
  thatHasNoSetUp: 'That has no set-up on this column.',
  now: 'now',
  beside: 'beside',
  // stance-drops-panel
  hardestAtTheFinish: 'Hardest at the finish',
  hardestInTheMiddle: 'Hardest in the middle',
  hardestInTheStretch: 'Hardest in the stretch',
  theStackWouldTouchDown: 'the stack would touch down',
  theLineWouldLeaveThe: 'the line would leave the sweep',
  noMarkInThisRoom: 'no mark in this room does it',
  marksAtHole: (hole: number): string => `Marks at hole ${hole}`,
  peakCmOfCableOut: (drop: string, peakAt: number, toCm: number, offPlaneRmsDeg: string): string =>
    `${drop}: peak ${peakAt} %, ${toCm} cm of cable out, ${offPlaneRmsDeg}° off`,
  leftOut: (drop: string, why: string): string => `${drop}: left out, ${why}.`,
  stepIn: (cm: number, later: string, whole: string): string =>
    `at ${cm} cm ${later} in the second half of the rep, ${whole} over all of it`,
  steppingInEachStepAgainst: (slice: string): string => `Steps in, what is left of the resistance: ${slice}.`,
  // verdict-lines
  sameHole: 'same hole.',
  couldLeaveTheColumnsReach: 'could leave the column’s reach.',
  twoCentimetres: '±2 cm',
  inTheEstimatedShoulderHeight: (says: string): string => `in the estimated shoulder height: ${says}`,
  measureIt: 'Measure it',
  nextBestSetUps: 'Next best set-ups',
  hole: (hole: number): string => `Hole ${hole}`,
  offPeak: (offPlaneRmsDeg: string, peakAt: number): string => `${offPlaneRmsDeg}° off, peak ${peakAt} %`,
  atMostWhenLiftedIn: (timeS: number, peakN: number): string =>
    `at most when lifted in ${timeS} s: ${peakN} % over the cable standing still.`,
  // bench-panels
  handsAtTheFinish: 'hands at the finish',
  atOfTheRep: (now: number): string => `at ${now} % of the rep`,
  // elevation
  leftCarriageHole: 'Left carriage, hole',
  rightCarriageHole: 'Right carriage, hole',
  carriageHole: 'Carriage, hole',
  sideViewToScale: 'Side view, to scale',
  shoulderInStance: (cm: number, source: string): string => `shoulder ${cm} in stance, ${source}`,
  measured: 'measured',
  estimated: 'estimated',
  clientDistanceFromTheColumns: 'Client, distance from the columns',
  centimetres: (cm: number, behindOrInFront: string): string => `${cm} centimetres ${behindOrInFront}`,
  behind: 'behind',
  inFront: 'in front',
  holeOfColumn: (holeOf: number, holes: number): string => `hole ${holeOf} of ${holes}`,
  cmClear: (cm: number): string => `${cm} cm clear`,
  // plan
  viewFromAboveSameScale: 'View from above, same scale',
  ringPressure: 'ring: centre of pressure',
  fromAboveSameScaleCm: 'from above, same scale, cm',
  clientSidewaysPlace: 'Client, sideways place',
  clientFacing: 'Client, facing',
  // setting-plates
  holeOfSide: (side: string): string => `Hole, ${side}`,
  holeBothSides: 'Hole, both sides',
  holeLabel: 'Hole',
  holeUnit: 'hole',
  lowerHoleNumberOf: (ofSide: string): string => `Lower hole number${ofSide}`,
  higherHoleNumberOf: (ofSide: string): string => `Higher hole number${ofSide}`,
  ofHoleAtThe: (holes: number, numberedFrom: string): string => `of ${holes}, hole 1 at the ${numberedFrom}`,
  solvedWas: (was: number): string => `solved: ${was}`,
  toCmWillDo: (fromCm: number, toCm: number): string => `${fromCm} to ${toCm} cm will do`,
  behindToInFrontWillDo: (behindCm: number, inFrontCm: number): string =>
    `${behindCm} cm behind to ${inFrontCm} in front will do`,
  markBehindThePulleys: 'Mark, behind the pulleys',
  markInFrontOfThe: 'Mark, in front of the pulleys',
  mark: 'mark',
  nextMarkNearer: 'Next mark nearer, on 5 cm',
  nextMarkFurther: 'Next mark further, on 5 cm',
  solvedAt: (cm: number): string => `solved: ${cm}`,
  solvedAcross: (cm: number, isBehind: boolean): string => `solved: ${cm} ${isBehind ? 'behind' : 'in front'}`,
  handle: 'Handle',
  stance: 'Stance',
  eitherInFront: ', either in front',
  markPlace: (sideways: string, facingNote: string): string => `mark ${sideways}, ${facingNote}`,
  leftAndRightAlikeAgain: 'Left and right alike again',
  leftAndRightHoleApart: 'Left and right hole apart',
  // side-panel
  nothingNeedsChangingThisStands: 'Nothing needs changing: this stands as well as the solved one.',
  bothCarriagesAlike: 'both carriages alike',
  leftCarriageFromTheRight: (to: number): string => `left carriage ${to} from the right`,
  furtherIn: 'further in',
  cmToThe: (cm: number, side: string): string => `${cm} cm to the ${side}`,
  leastChange: (words: string): string => `Least change: ${words}.`,
  nothingInTheBookWorks: 'Nothing in the book works on this column.',
  whatWorksInsteadWithoutA: (name: string): string => `What works instead, without a column: ${name}.`,
  nearestThatWorksHereHole: (name: string, how: string, hole: number, cm: number, ending: string): string =>
    `Nearest that works here: ${name}, ${how}hole ${hole}, mark ${cm} cm${ending}`,
  sweepAt: (tiltDeg: number): string => `sweep at ${tiltDeg}°, `,
  forTheSamePeakAs: (load: string): string => `, ${load} for the same peak as drawn.`,
  cannotServeThis: (name: string): string => `${name} cannot serve this.`,
  this: 'This',
  orChooseBelow: (others: string): string => ` Or choose ${others} below.`,
  oneArmAtATime: 'one arm at a time, ',
  workOneArm: 'Work one arm',
  takeTheSweep: (tiltDeg: number): string => `Use the ${tiltDeg}° sweep`,
  planItForToday: 'Plan it for today',
  putItRight: 'Find the smallest fix',
  // zoom-steps
  lookCloser: 'Look closer',
  lookFromFurther: 'Look from further',
  wholeDrawing: 'Whole drawing',
  whole: 'whole',
  // setup-bench
  keyLookCloser: 'look closer',
  keyLookFromFurther: 'look from further',
  keyWholeDrawing: 'whole drawing',
  keyPauseTheRep: 'pause the rep',
  keyPlayTheRep: 'play the rep',
  keyPutItRight: 'put it right',
  keySaveAsUsed: 'save as used',
  keyToTheSet: 'to the set',
  keyStationCard: 'station card',
  // setup-page
  theMeasuredRangeOrA:
    'the measured range or a clinician’s limit leaves too little of this movement; choose another one',
  thisCannotBeSetUp: (onStation: string): string => `This cannot be set up${onStation} yet:`,
  onStation: (name: string): string => ` on ${name}`,
  mendItInThe: 'Mend it in the',
  orUnder: 'or under',
} as const;
