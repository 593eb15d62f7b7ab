/** The client’s sheet and its parts. */
export const WORDS = {
  // arm-path-form
  ofPathsTried: (length: number): string => `${length} of 3 paths tried`,
  furthestAtBelowLevelCm: (belowDeg: number, behindM: string): string =>
    `Furthest at ${belowDeg}° below level: ${behindM} cm behind.`,
  thatIsTheLastPath: (at: string): string => `${at} That is the last path tried: try one further.`,
  arm: (side: string): string => `${side} arm`,
  levelWithTheShoulder: 'Level with the shoulder',
  belowLevel: (belowDeg: number): string => `${belowDeg}° below level`,
  elbowBehindTheBackDegrees: (side: string, belowDeg: number): string =>
    `Elbow behind the back, ${side}, ${belowDeg} degrees below level`,
  // body-figure
  tapeNow: (name: string, cm: string): string => `tape: ${name}, now ${cm}`,
  figureToScaleWithHeights: 'Figure to scale with heights',
  seatedFigureToScaleWith: 'Seated figure to scale with heights above the seat',
  seated: ', seated',
  aboveTheSeat: ' above the seat',
  // hinge-table
  kneesBentAboutArmsHanging: (softKneesDeg: number): string => `Knees bent about ${softKneesDeg}°, arms hanging`,
  trunkLevel: 'trunk level',
  trunkUp: (deg: number): string => `trunk ${deg}° up`,
  theKneecaps: (aboveOrBelow: string): string => `${aboveOrBelow} the kneecaps`,
  above: 'above',
  below: 'below',
  knucklesAboveTheKneecapsAs: 'Knuckles above the kneecaps, as seen',
  negativeIsBelow: 'negative is below',
  noHingeWithSoftKnees: 'No hinge with soft knees does that.',
  trunkSeenUp: (seenDeg: number): string => `Trunk ${seenDeg}° up.`,
  // limits-form
  limits: 'Limits',
  side: 'Side',
  atMost: 'At most',
  setByRole: 'Set by (role)',
  physiotherapist: 'physiotherapist',
  from: 'From',
  untilIfItEnds: 'Until, if it ends',
  removeLimit: (i: number): string => `Remove limit ${i}`,
  remove: 'Remove',
  addACliniciansLimit: 'Add a clinician’s limit',
  // measuring-guide
  theLineOff: (deg: string | number): string => `the line ${deg}° off`,
  couldLeaveTheColumnsReach: (line: string): string => `could leave the column’s reach; ${line}`,
  sameHole: 'same hole',
  oneHole: 'one hole',
  onceASetUpIs: 'Once a set-up is planned, this says which heights are worth a tape, in order.',
  nothingLeftToMeasureWould: 'Nothing left to measure would change a set-up on record.',
  measureNext: 'Measure next',
  twoCmCost: (worth: string): string => `2 cm: ${worth}`,
  // notes-form
  regionsNotFeltYet: 'Regions not felt yet',
  // range-table
  norm: 'norm',
  // client-sheet
  rearDeltoidPath: 'Rear-deltoid path',
  chestLine: 'Chest line',
  setUpBook: 'Set-up book',
  enterAStatureToDraw: 'Enter a stature to draw the figure.',
  solid: 'solid',
  measured: 'measured,',
  dashed: 'dashed',
  estimatedFromTheStatureOr: 'estimated from the stature or from what was measured. Tap a number to measure it.',
  partsOfTheSheet: 'Parts of the sheet',
  name: 'Name',
  stature: 'Stature',
  mass: 'Mass',
  estimatedKg: (kg: number): string => `estimated: ${kg}`,
  saidIn: 'Units',
  asInTheGym: (units: string): string => `as in the gym: ${units}`,
  noteShownOnTheFloor: 'Note, shown on the floor',
  heightsAboveTheFloorStanding: 'Heights above the floor, standing',
  heightsAboveTheSeatSitting: 'Heights above the seat, sitting tall',
  lengths: 'Lengths',
  hingeByEye: 'Hinge by eye',
  activeRange: 'Active range',
  howFarTheClientGoes:
    'How far the client goes without help. Every set-up stops here, also where the weight could push further.',
  armOutToTheSide:
    'Arm out to the side, elbow drawn straight back as far as it goes without help; the tape from the line of ' +
    'the back to the elbow. Once on each path, at least three a side. Sides may differ.',
  lowerChestLine: 'Lower-chest line',
  theLowerBorderOfThe:
    'The lower border of the chest from the breastbone towards the armpit, below level. High-to-low flies ' +
    'sweep along it; left empty, the movement’s own 55° is used.',
  belowLevelLabel: 'Below level',
  notesThatChangeDefaults: 'Notes that change defaults',
  cliniciansLimits: 'Clinician’s limits',
  asTheClinicianNamedThem:
    'As the clinician named them, with the role and the days. Nothing solved, planned or set goes past them.',
  saveClient: 'Save client',
  saved: 'Saved',
  // screening-form
  screening: 'Screening',
  lastDoneBy: (day: string, doneBy: string, procedure: string): string =>
    `Last done ${day} by ${doneBy}: ${procedure}.`,
  askedAgainAfter: (day: string): string => ` Asked again after ${day}.`,
  doneOn: 'Done on',
  doneBy: 'Done by',
  byWhichProcedure: 'By which procedure',
  addToTheRecord: 'Add to the record',
  added: 'Added',
  // setup-book
  offTheSolvedOne: ', off the solved one',
  nothingSavedYetWhatIs: 'Nothing saved yet. What is saved as used on the bench is kept here.',
  olderSetUps: 'Of the newest sessions; all of them are told in the ledger, movement by movement.',
  theOneBefore: 'the one before',
  beforeIt: (length: number): string => `${length} before it`,
} as const;
