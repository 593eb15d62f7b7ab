const between = (min: number, max: number, unit = ''): string =>
  `expected a number from ${min} to ${max}${unit && ` ${unit}`}`;
const numbers = (min: number, max: number, unit: string): string =>
  `numbers from ${min} to ${max}${unit && ` ${unit}`} with spaces between`;

/** What an input is expected to be, by code: told beside the field that it belongs to. */
export const EXPECTED = {
  // Of any field
  between,
  wholeBetween: (min: number, max: number): string => `expected a whole number from ${min} to ${max}`,
  number: 'expected a number',
  numberNot: (got: string): string => `expected a number, got “${got}”`,
  numberList: (min: number, max: number, unit: string): string => `expected ${numbers(min, max, unit)}`,
  entry: (entry: string, expected: string): string => `“${entry}”: ${expected}`,
  numberListOrNothing: (min: number, max: number, unit: string): string =>
    `expected nothing, or ${numbers(min, max, unit)}`,
  oneOf: (values: string): string => `expected one of ${values}`,
  characters: (min: number, max: number): string => `expected ${min} to ${max} characters`,
  atMostCharacters: (max: number): string => `expected at most ${max} characters`,
  atMost: (max: number, what: string): string => `expected at most ${max} ${what}`,
  asSaid: (what: string): string => `expected ${what}`,
  anObject: 'expected an object',
  unknownKey: 'unknown key; expected only what the format lists',
  choice: 'choose one of the list',
  faultOfMovement: 'expected a fault that this movement is prone to',
  answers: 'answers',
  id: 'expected something that is here',
  atMostSets: (most: number): string => `expected at most ${most} sets in all`,
  overLeast: 'expected no less than the least',
  trace: 'expected a packed trace',
  column: 'choose the column that holds it',
  columnOrClient: 'choose the column that holds it, or whose they all are',
  day: 'expected a day like 2026-11-24',
  dayOnOrAfter: 'expected a day on or after the first',
  dayNotAhead: 'expected today or a day before',
  time: 'expected a time like 14:30',
  degreesUpTo: (most: number): string => `expected 0 to ${most} degrees`,

  // Of who signs in
  secret: {
    short: 'expected at least 15 characters: a few words in a row are easy to keep in mind',
    long: 'expected at most 200 characters',
    plain: 'expected more than the name and the same few characters again',
    'not-digits': 'expected digits',
    'guessed-first': 'expected something that is not tried first',
  },
  pin: {
    short: 'expected 4 to 8 digits',
    long: 'expected 4 to 8 digits',
    plain: 'expected 4 to 8 digits',
    'not-digits': 'expected 4 to 8 digits',
    'guessed-first': 'expected no run and no single digit over and over: those are tried first',
  },

  // Of kit
  twoHoles: 'expected two measured holes',
  differentHoles: 'expected two different holes: the same one twice gives no spacing',
  risingHeights: 'expected heights that rise the way the numbers run; check the numbering or the two heights',
  lowestAboveFloor: 'expected heights that keep the lowest hole above the floor',
  lowestHoleAboveFloor: 'expected hole 1 high enough that the lowest hole is above the floor',
  holeUpTo: (holes: number): string => `expected a hole from 1 to ${holes}`,
  eachHoleOnce: 'expected each hole once',
  pitch: (cm: string): string => `expected holes 1 to 50 cm apart; these are ${cm} cm`,
  armNotches: 'expected heights of two notches, within the arm’s reach of its pivot and rising the way the numbers run',
  overNearestPlace: 'expected more than the nearest place to stand',
  overMinDistance: 'expected more than minDistanceM',
  handlesHang: 'expected handles that hang 0.5 to 1.3 m above the floor: anchorM less strapM',
  atLeastM: (m: number) => `expected at least ${m} m`,
  bothHandDistances: 'expected both hand distances, or neither for one hand',
  overNarrowest: 'expected no less than the narrowest',
  oneNotch: 'expected at least one measured notch',
  notchUpTo: (notches: number): string => `expected a notch from 1 to ${notches}`,
  eachNotchOnce: 'expected each notch once',
  differentNotches: 'expected two different notches',
  blocksUnderBench: 'expected blocks lower than the bench is long',
  oneRow: 'expected at least one row; one is enough for a round pulley',
  twoRows: 'expected two or more rows',
  risingAngles: 'expected angles that rise',
  risingStretches: 'expected stretches that rise',
  keptKind: (kind: string): string => `expected ${kind}: a piece keeps its kind`,
  spacingOverShouldersCm: (cm: number, name: string): string =>
    `expected at least ${cm} cm: wider than the shoulders of ${name}, with room for the hands`,
  spacingOverShouldersM: (m: string): string =>
    `expected at least ${m} m: wider than the shoulders with room for the hands`,

  // Of a movement, its options and its place
  movement: 'expected a movement of the book, like cable-fly-level',
  format: (name: string): string => `expected "${name}"`,
  bothSides: 'expected both: this movement is done with both sides',
  overFirstAngle: 'expected an angle over the first one',
  nothingToPutAway: 'expected a client, a piece of kit or a gym that is there',
  oneGymLeft: 'expected another gym that stays: one is always there',
  oneSide: 'expected left or right: this movement is done one side at a time',
  cableObject: 'expected an object: this movement hangs on a cable',
  noColumnPlace: 'expected none: this movement has no place at a column',
  easyOnAbdomen: 'expected both-feet-down or forearm-on-thigh: abdomen or groin is noted of this client',
  forMovement: (what: string): string => `expected ${what} for this movement`,
  noneForMovement: 'expected none for this movement',
  oneOfForMovement: (values: string): string => `expected one of ${values} for this movement`,
  notASweep: 'expected none: this movement is not a fly’s sweep',
  tiltBetween: (min: number, max: number): string => `${between(min, max, 'degrees')} for this movement`,
  leanBetween: (min: number, max: number): string => `${between(min, max, 'degrees')} for this movement`,
  questionNotRaised: 'expected none: this movement does not raise the question',
  noArmPath: 'expected none: only rear-deltoid pulls on a cable follow an arm path',
  noBenchAngle: 'expected none: no bench angle is set for this movement',
  noSeatHole: 'expected none: no seat or back pad hole is set for this movement',
  moreThanStart: (share: number): string => `expected at least ${share} more than startAt`,
  twoCablesOnly: 'expected none: only two cables can stand apart',
  rightCarriageHole: 'expected the right carriage’s hole, from which the left one is counted',
  leftCarriageBetween: (holes: number, left: number): string =>
    `expected the left carriage in hole 1 to ${holes}, not ${left}`,
  tempo:
    'expected four times like 3-1-2-1 or 3/1/2/1: lowering, pause, lifting, pause; X for fast; then, if wanted, ' +
    '“, lower first” or “slow 30-65”',
  oneBreath: (words: number): string => `expected at most ${words} words: one breath`,
  variantOfMovement: 'expected a variant of this movement',
  freshName: 'expected a name that no other variant of this movement has',

  // Of a client, of what happened, and of a trace
  spanM: (minM: number, maxM: number, statureM: number): string =>
    `expected ${minM.toFixed(2)} to ${maxM.toFixed(2)} m for a stature of ${statureM} m`,
  spanCm: (minM: number, maxM: number, statureCm: number): string =>
    `expected ${Math.ceil(minM * 100)} to ${Math.floor(maxM * 100)} cm for ${statureCm} cm of stature`,
  heightBeside: (above: boolean, other: string): string => `expected a height ${above ? 'above' : 'below'} ${other}`,
  eachPathOnce: 'expected each path once',
  knownClient: 'expected a client who is on record',
  ownDatabase: 'expected the database that these taps were made for: this is another one',
  ownClient: 'expected a client who was in your care then',
  knownClientAndItem: 'expected a client and a planned movement that this server has',
  eventId: 'expected an id of 1 to 64 letters, digits, - or _',
  sensorId: 'expected 1 to 40 small letters, digits or -',
  columnNamed: (name: string): string => `expected a column named ${name}`,
  twoReadings: 'expected at least two readings',
} as const;
