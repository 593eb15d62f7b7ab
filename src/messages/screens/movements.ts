/** The movement book. */
export const WORDS = {
  // movement-list
  yourOwn: 'your own',
  instead: 'instead',
  for: 'For',
  anybodyOfMiddleHeight: 'anybody of middle height',
  at: 'At',
  with: 'With',
  region: 'Region',
  movementsForThe: (region: string): string => `Movements for the ${region}`,
  whatLoadsThe: (region: string): string => `What loads the ${region}`,
  solving: (progress: number): string => `solving, ${progress} %`,
  // fault-list
  whatGoesWrongWhatIt: 'What goes wrong, what it costs, and what to try first',
  ruleOut: (value: string, causes: string, corrections: string): string =>
    `${value}; rule out ${causes}. ${corrections}`,
  then: ', then ',
  // movement-facts
  hole: (hole: number): string => `hole ${hole}`,
  markedOut: (standX: number, name: string): string => `, ${standX} cm out, ${name},`,
  cutToWhatThisClients: (to: number): string => `cut to what this client’s joints allow: ${to} % of it is left`,
  besideIt: (secondary: string): string => `, beside it ${secondary}`,
  none: 'none',
  repsAndRest: (min: number, max: number, tempo: string, restS: number, value: string): string =>
    `${min} to ${max} reps at ${tempo}, ${restS} s rest, ${value}`,
  // movement-player
  pause: 'Pause',
  playAt: (tempo: string): string => `Play at ${tempo}`,
  placeInTheRange: 'Place in the range',
  percentOfTheWayNewton: (i: number, nowNm: number): string => `${i} percent of the way, ${nowNm} newton metres`,
  resistanceAtThe: (jointName: string, word: string, loadIn: string): string =>
    `Resistance at the ${jointName}${word}${loadIn}`,
  eachSide: ', each side',
  hatchedRestZone: 'hatched: rest zone',
  dottedPullAtARight: '; dotted: pull at a right angle',
  sideViewToScale: 'Side view, to scale',
  viewFromAboveSameScale: 'View from above, same scale',
  // practice-fields
  wherePractitionersDiffer: 'Where practitioners differ',
  // stand-ins
  standsInForIt: 'Stands in for it',
  curveOfBesideThisOne: (movementName: string): string => `Curve of ${movementName} beside this one`,
  curve: 'curve',
  // variant-editor
  asInTheBook: 'as in the book',
  nearerToTheSide: (t: number): string => `${t}° nearer to the side`,
  furtherOut: (t: number): string => `${t}° further out`,
  sweep: 'Sweep',
  armPathBelowShoulderLevel: 'Arm path, below shoulder level',
  theClients: 'the client’s',
  elbowAtTheFinish: 'Elbow at the finish',
  beginAt: 'Begin at',
  stopAt: 'Stop at',
  makeItYourOwn: 'Make it your own',
  grip: 'Grip',
  cueOneBreath: 'Cue, one breath',
  theMovementsOwn: 'the movement’s own',
  nameOfYourVariant: 'Name of your variant',
  keepChanges: 'Keep changes',
  keepAsANewVariant: 'Keep as a new variant',
  keptItCanBeChosen: 'Kept. It can be chosen above and planned.',
  // movement-page
  workingSide: 'Working side',
  variant: 'Variant',
  bookVariant: 'As in the book',
  facts: 'Facts',
  addItToToday: 'Add it to today',
  aBodyOfMiddleHeight: 'a body of middle height',
  movement: 'Movement',
  tooLittleOfTheRange: (who: string): string => `Too little of the range is left to ${who}.`,
  noColumnHereServesThis: 'No column here serves this movement for this body.',
} as const;
