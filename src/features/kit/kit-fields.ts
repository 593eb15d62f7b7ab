import { ATTACHMENT_KINDS } from '@/core/kit/attachment';
import { MACHINE_KINDS } from '@/core/kit/machine';
import type { KitKind } from '@/core/kit/kit-kind';
import { ATTACHMENT_NAME, MACHINE_NAME } from '@/messages/kit';
import { WORDS } from '@/messages/screens/kit';

export type SpecValues = Record<string, unknown>;

interface Common {
  readonly key: string;
  readonly label: string;
  readonly hint?: string;
  /** Shown only where it means something. */
  readonly when?: (s: SpecValues) => boolean;
}
export type KitField = Common &
  (
    | { readonly type: 'number'; readonly unit?: string; readonly decimals?: number }
    | { readonly type: 'choice'; readonly of: readonly { readonly value: string; readonly label: string }[] }
    | { readonly type: 'list'; readonly wide?: boolean }
    | {
        readonly type: 'rows';
        readonly columns: readonly { readonly key: string; readonly label: string; readonly unit?: string }[];
        readonly add: string;
        readonly least: number;
        readonly most: number;
      }
  );

export interface KitSection {
  readonly title: string;
  readonly hint?: string;
  readonly fields: readonly KitField[];
}

const ENDS = [
  { value: 'bottom', label: WORDS.bottom },
  { value: 'top', label: WORDS.top },
];
const NEAR_FAR = [
  { value: 'bottom', label: WORDS.nearEnd },
  { value: 'top', label: WORDS.farEnd },
];
const YES_NO = [
  { value: 'no', label: WORDS.no },
  { value: 'yes', label: WORDS.yes },
];
const UNITS = [
  { value: 'kg', label: 'kg' },
  { value: 'lb', label: 'lb' },
];
const HOLE_ROWS = {
  type: 'rows',
  columns: [
    { key: 'hole', label: WORDS.hole },
    { key: 'heightCm', label: WORDS.height, unit: 'cm' },
  ],
  add: WORDS.anotherHole,
  least: 2,
  most: 6,
} as const;

const isArms = (s: SpecValues): boolean => s.columnKind === 'arms';
const ownLeft = (s: SpecValues): boolean => s.columnKind === 'twin' && s.leftNumbering === 'own';
const forLegs = (s: SpecValues): boolean => s.machineKind === 'leg-extension' || s.machineKind === 'leg-curl';
const hasBack = (s: SpecValues): boolean => forLegs(s) || s.machineKind === 'leg-press';
const hasHandles = (s: SpecValues): boolean => !hasBack(s);

const MEASURE_HINT = WORDS.floorToTheMiddleOf;

/** What each kind of kit is asked, in the order it is measured. */
export const KIT_FIELDS: Readonly<Record<KitKind, readonly KitSection[]>> = {
  column: [
    {
      title: WORDS.measuredHoles,
      hint: MEASURE_HINT,
      fields: [
        {
          key: 'columnKind',
          label: WORDS.kind,
          type: 'choice',
          of: [
            { value: 'twin', label: WORDS.twinColumns },
            { value: 'single', label: WORDS.singleColumn },
            { value: 'arms', label: WORDS.swingingArms },
          ],
        },
        { key: 'holes', label: WORDS.holes, type: 'number' },
        { key: 'numberedFrom', label: WORDS.holeIsAtThe, type: 'choice', of: ENDS },
        {
          key: 'pivotHeightCm',
          label: WORDS.floorToTheArmsPivot,
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: isArms,
        },
        { key: 'armCm', label: WORDS.pivotToPulley, type: 'number', unit: 'cm', decimals: 1, when: isArms },
        { key: 'swingDeg', label: WORDS.armsSwungApart, type: 'number', unit: '°', when: isArms },
        { key: 'readings', label: '', ...HOLE_ROWS },
        {
          key: 'leftNumbering',
          label: WORDS.leftColumnsNumbers,
          hint: WORDS.leftWithTheBackToThem,
          type: 'choice',
          of: [
            { value: 'same', label: WORDS.theSame },
            { value: 'own', label: WORDS.itsOwn },
          ],
          when: (s) => s.columnKind === 'twin',
        },
        { key: 'leftHoles', label: WORDS.holesLeft, type: 'number', when: ownLeft },
        { key: 'leftNumberedFrom', label: WORDS.leftHoleIsAtThe, type: 'choice', of: ENDS, when: ownLeft },
        {
          key: 'leftReadings',
          label: '',
          ...HOLE_ROWS,
          columns: [
            { key: 'hole', label: WORDS.leftHole },
            { key: 'heightCm', label: WORDS.leftHeight, unit: 'cm' },
          ],
          when: ownLeft,
        },
      ],
    },
    {
      title: WORDS.cableAndFloor,
      fields: [
        {
          key: 'twinSpacingCm',
          label: WORDS.pulleyToPulley,
          hint: WORDS.pivotToPivotForArms,
          type: 'number',
          unit: 'cm',
          when: (s) => s.columnKind !== 'single',
        },
        {
          key: 'pulleyRatio',
          label: WORDS.pulleyRatioStackOverHand,
          hint: WORDS.whenTheHandFeelsHalf,
          type: 'number',
          decimals: 2,
        },
        { key: 'clearanceCm', label: WORDS.cableOutBeforeTheStack, type: 'number', unit: 'cm' },
        { key: 'travelCm', label: WORDS.longestCable, type: 'number', unit: 'cm' },
        {
          key: 'floorPlateCm',
          label: WORDS.floorPlateReachesOut,
          hint: WORDS.noFootStandsOnIt,
          type: 'number',
          unit: 'cm',
        },
        {
          key: 'minDistanceCm',
          label: WORDS.nearestPlaceToStand,
          hint: WORDS.negativeIsBehindThePulleys,
          type: 'number',
          unit: 'cm',
        },
        { key: 'maxDistanceCm', label: WORDS.furthestPlaceToStand, type: 'number', unit: 'cm' },
      ],
    },
    {
      title: WORDS.stack,
      fields: [
        { key: 'stack', label: WORDS.loadsEachSideWithSpaces, type: 'list', wide: true },
        { key: 'addOns', label: WORDS.addOnPlates, hint: WORDS.smallOnesLaidOnTop, type: 'list' },
        { key: 'stackUnit', label: WORDS.in, type: 'choice', of: UNITS },
      ],
    },
  ],
  attachment: [
    {
      title: WORDS.shape,
      hint: WORDS.itsLengthIsCableThat,
      fields: [
        {
          key: 'attachmentKind',
          label: WORDS.kind,
          type: 'choice',
          of: ATTACHMENT_KINDS.map((k) => ({ value: k, label: ATTACHMENT_NAME[k] })),
        },
        { key: 'lengthCm', label: WORDS.cableEndToGrip, type: 'number', unit: 'cm', decimals: 1 },
        {
          key: 'handsFromCm',
          label: WORDS.handsApartNarrowest,
          hint: WORDS.emptyForOneHand,
          type: 'number',
          unit: 'cm',
        },
        { key: 'handsToCm', label: WORDS.handsApartWidest, type: 'number', unit: 'cm' },
        { key: 'swivels', label: WORDS.turnsInTheHand, type: 'choice', of: YES_NO },
      ],
    },
  ],
  bench: [
    {
      title: WORDS.back,
      hint: WORDS.aPhoneOrAngleMeter,
      fields: [
        { key: 'notches', label: WORDS.notchesOfTheBack, type: 'number' },
        {
          key: 'notchReadings',
          label: '',
          type: 'rows',
          columns: [
            { key: 'notch', label: WORDS.notch },
            { key: 'deg', label: WORDS.aboveLevel, unit: '°' },
          ],
          add: WORDS.anotherNotch,
          least: 1,
          most: 20,
        },
      ],
    },
    {
      title: WORDS.seatFeetAndBlocks,
      fields: [
        { key: 'seatHeightCm', label: WORDS.seatAboveTheFloor, type: 'number', unit: 'cm', decimals: 1 },
        {
          key: 'seatDeg',
          label: WORDS.seatAnglesByNotchDegrees,
          hint: WORDS.withSpacesBetweenMayStay,
          type: 'list',
        },
        { key: 'feetApartCm', label: WORDS.footToFootAlongThe, type: 'number', unit: 'cm' },
        {
          key: 'blocksCm',
          label: WORDS.blocksAndPlatesToPut,
          hint: WORDS.withSpacesBetweenMayStay,
          type: 'list',
        },
      ],
    },
  ],
  preacher: [
    {
      title: WORDS.seat,
      hint: WORDS.floorToTheTopOf,
      fields: [
        { key: 'holes', label: WORDS.seatHoles, type: 'number' },
        { key: 'numberedFrom', label: WORDS.holeIsAtThe, type: 'choice', of: ENDS },
        { key: 'readings', label: '', ...HOLE_ROWS },
      ],
    },
    {
      title: WORDS.pad,
      fields: [
        { key: 'padTopCm', label: WORDS.floorToThePadsTop, type: 'number', unit: 'cm', decimals: 1 },
        { key: 'padDeg', label: WORDS.padSlopesDown, type: 'number', unit: '°' },
        { key: 'padCm', label: WORDS.padLength, type: 'number', unit: 'cm' },
      ],
    },
  ],
  machine: [
    {
      title: WORDS.machine,
      fields: [
        {
          key: 'machineKind',
          label: WORDS.kind,
          type: 'choice',
          of: MACHINE_KINDS.map((k) => ({ value: k, label: MACHINE_NAME[k] })),
        },
        { key: 'independentArms', label: WORDS.sidesMoveOnTheirOwn, type: 'choice', of: YES_NO },
      ],
    },
    {
      title: WORDS.seat,
      hint: WORDS.seatMayBeFixed,
      fields: [
        { key: 'seatHoles', label: WORDS.seatHoles, type: 'number' },
        {
          key: 'seatNumberedFrom',
          label: WORDS.holeIsAtThe,
          type: 'choice',
          of: ENDS,
          when: (s) => s.seatHoles !== '',
        },
        { key: 'seatReadings', label: '', ...HOLE_ROWS, when: (s) => s.seatHoles !== '' },
      ],
    },
    {
      title: WORDS.backPad,
      hint: WORDS.fromTheMachinesAxisTo,
      fields: [
        { key: 'backHoles', label: WORDS.backPadHoles, type: 'number', when: hasBack },
        { key: 'backNumberedFrom', label: WORDS.backHoleIsAtThe, type: 'choice', of: NEAR_FAR, when: hasBack },
        {
          key: 'backReadings',
          label: '',
          ...HOLE_ROWS,
          columns: [
            { key: 'hole', label: WORDS.backHole },
            { key: 'heightCm', label: WORDS.axisToBackPad, unit: 'cm' },
          ],
          when: hasBack,
        },
        {
          key: 'axisOverSeatCm',
          label: WORDS.axisAboveTheSeat,
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: forLegs,
        },
        {
          key: 'handleHeightCm',
          label: WORDS.floorToTheHandles,
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: hasHandles,
        },
      ],
    },
    {
      title: WORDS.howItMoves,
      hint: WORDS.anArcTurnsAboutAn,
      fields: [
        {
          key: 'pathKind',
          label: WORDS.path,
          type: 'choice',
          of: [
            { value: 'arc', label: WORDS.arcAboutAnAxis },
            { value: 'guide', label: WORDS.straightGuide },
          ],
        },
        {
          key: 'radiusCm',
          label: WORDS.axisToRollerOrHandle,
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: (s) => s.pathKind === 'arc',
        },
        {
          key: 'momentArms',
          label: '',
          type: 'rows',
          columns: [
            { key: 'deg', label: WORDS.angle, unit: '°' },
            { key: 'cm', label: WORDS.momentArm, unit: 'cm' },
          ],
          add: WORDS.anotherAngle,
          least: 1,
          most: 12,
          when: (s) => s.pathKind === 'arc',
        },
        {
          key: 'guideDeg',
          label: WORDS.guideAboveLevel,
          type: 'number',
          unit: '°',
          when: (s) => s.pathKind === 'guide',
        },
        {
          key: 'guideRatio',
          label: WORDS.forceOverStack,
          type: 'number',
          decimals: 2,
          when: (s) => s.pathKind === 'guide',
        },
      ],
    },
    {
      title: WORDS.stack,
      fields: [
        { key: 'stack', label: WORDS.loadsWithSpacesBetween, hint: WORDS.emptyForPlates, type: 'list', wide: true },
        { key: 'stackUnit', label: WORDS.in, type: 'choice', of: UNITS },
      ],
    },
  ],
  dumbbells: [
    {
      title: WORDS.rack,
      fields: [
        { key: 'loads', label: WORDS.dumbbellsWithSpacesBetween, type: 'list', wide: true },
        { key: 'unit', label: WORDS.in, type: 'choice', of: UNITS },
      ],
    },
  ],
  plates: [
    {
      title: WORDS.plates,
      fields: [
        { key: 'loads', label: WORDS.sizesWithSpacesBetween, type: 'list', wide: true },
        { key: 'pairs', label: WORDS.pairsOfEach, type: 'number' },
        { key: 'unit', label: WORDS.in, type: 'choice', of: UNITS },
      ],
    },
  ],
  bar: [
    {
      title: WORDS.bar,
      fields: [
        { key: 'massKg', label: WORDS.mass, type: 'number', unit: 'kg', decimals: 2 },
        { key: 'lengthCm', label: WORDS.length, type: 'number', unit: 'cm' },
      ],
    },
  ],
  landmine: [
    {
      title: WORDS.pivotAndBar,
      fields: [
        { key: 'pivotHeightCm', label: WORDS.floorToThePivot, type: 'number', unit: 'cm', decimals: 1 },
        { key: 'barKg', label: WORDS.bar, type: 'number', unit: 'kg', decimals: 2 },
        { key: 'barCm', label: WORDS.barLengthFromThePivot, type: 'number', unit: 'cm' },
        { key: 'platesAtCm', label: WORDS.pivotToTheMiddleOf, type: 'number', unit: 'cm' },
      ],
    },
  ],
  band: [
    {
      title: WORDS.band,
      hint: WORDS.hangKnownLoadsOnIt,
      fields: [
        { key: 'restCm', label: WORDS.lengthAtRest, type: 'number', unit: 'cm' },
        {
          key: 'table',
          label: '',
          type: 'rows',
          columns: [
            { key: 'stretchCm', label: WORDS.stretchedBy, unit: 'cm' },
            { key: 'kg', label: WORDS.pull, unit: 'kg' },
          ],
          add: WORDS.anotherStretch,
          least: 2,
          most: 12,
        },
      ],
    },
  ],
  'strap-anchor': [
    { title: WORDS.anchor, fields: [{ key: 'heightCm', label: WORDS.floorToTheAnchor, type: 'number', unit: 'cm' }] },
  ],
};
