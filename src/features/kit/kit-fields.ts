import { ATTACHMENT_KINDS } from '@/core/kit/attachment';
import { MACHINE_KINDS } from '@/core/kit/machine';
import type { KitKind } from '@/core/kit/kit-kind';
import { ATTACHMENT_NAME, MACHINE_NAME } from '@/messages/kit';

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
  { value: 'bottom', label: 'bottom' },
  { value: 'top', label: 'top' },
];
const NEAR_FAR = [
  { value: 'bottom', label: 'near end' },
  { value: 'top', label: 'far end' },
];
const YES_NO = [
  { value: 'no', label: 'no' },
  { value: 'yes', label: 'yes' },
];
const UNITS = [
  { value: 'kg', label: 'kg' },
  { value: 'lb', label: 'lb' },
];
const HOLE_ROWS = {
  type: 'rows',
  columns: [
    { key: 'hole', label: 'Hole' },
    { key: 'heightCm', label: 'Height', unit: 'cm' },
  ],
  add: 'Another hole',
  least: 2,
  most: 6,
} as const;

const isArms = (s: SpecValues): boolean => s.columnKind === 'arms';
const ownLeft = (s: SpecValues): boolean => s.columnKind === 'twin' && s.leftNumbering === 'own';
const forLegs = (s: SpecValues): boolean => s.machineKind === 'leg-extension' || s.machineKind === 'leg-curl';
const hasBack = (s: SpecValues): boolean => forLegs(s) || s.machineKind === 'leg-press';
const hasHandles = (s: SpecValues): boolean => !hasBack(s);

const MEASURE_HINT =
  'Floor to the middle of the pulley’s pivot, with the carriage in two holes far apart. A third ' +
  'one shows how well they fit.';

/** What each kind of kit is asked, in the order it is measured. */
export const KIT_FIELDS: Readonly<Record<KitKind, readonly KitSection[]>> = {
  column: [
    {
      title: 'Measured holes',
      hint: MEASURE_HINT,
      fields: [
        {
          key: 'columnKind',
          label: 'Kind',
          type: 'choice',
          of: [
            { value: 'twin', label: 'twin columns' },
            { value: 'single', label: 'single column' },
            { value: 'arms', label: 'swinging arms' },
          ],
        },
        { key: 'holes', label: 'Holes', type: 'number' },
        { key: 'numberedFrom', label: 'Hole 1 is at the', type: 'choice', of: ENDS },
        {
          key: 'pivotHeightCm',
          label: 'Floor to the arm’s pivot',
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: isArms,
        },
        { key: 'armCm', label: 'Pivot to pulley', type: 'number', unit: 'cm', decimals: 1, when: isArms },
        { key: 'swingDeg', label: 'Arms swung apart', type: 'number', unit: '°', when: isArms },
        { key: 'readings', label: '', ...HOLE_ROWS },
        {
          key: 'leftNumbering',
          label: 'Left column’s numbers',
          type: 'choice',
          of: [
            { value: 'same', label: 'the same' },
            { value: 'own', label: 'its own' },
          ],
          when: (s) => s.columnKind === 'twin',
        },
        { key: 'leftHoles', label: 'Holes, left', type: 'number', when: ownLeft },
        { key: 'leftNumberedFrom', label: 'Left hole 1 is at the', type: 'choice', of: ENDS, when: ownLeft },
        {
          key: 'leftReadings',
          label: '',
          ...HOLE_ROWS,
          columns: [
            { key: 'hole', label: 'Left hole' },
            { key: 'heightCm', label: 'Left height', unit: 'cm' },
          ],
          when: ownLeft,
        },
      ],
    },
    {
      title: 'Cable and floor',
      fields: [
        {
          key: 'twinSpacingCm',
          label: 'Pulley to pulley',
          hint: 'pivot to pivot for arms',
          type: 'number',
          unit: 'cm',
          when: (s) => s.columnKind !== 'single',
        },
        {
          key: 'pulleyRatio',
          label: 'Pulley ratio, stack over hand',
          hint: '2 when the hand feels half',
          type: 'number',
          decimals: 2,
        },
        { key: 'clearanceCm', label: 'Cable out before the stack lifts', type: 'number', unit: 'cm' },
        { key: 'travelCm', label: 'Longest cable', type: 'number', unit: 'cm' },
        {
          key: 'minDistanceCm',
          label: 'Nearest place to stand',
          hint: 'negative is behind the pulleys',
          type: 'number',
          unit: 'cm',
        },
        { key: 'maxDistanceCm', label: 'Furthest place to stand', type: 'number', unit: 'cm' },
      ],
    },
    {
      title: 'Stack',
      fields: [
        { key: 'stack', label: 'Loads, each side, with spaces between', type: 'list', wide: true },
        { key: 'addOns', label: 'Add-on plates', hint: 'small ones laid on top; may stay empty', type: 'list' },
        { key: 'stackUnit', label: 'in', type: 'choice', of: UNITS },
      ],
    },
  ],
  attachment: [
    {
      title: 'Shape',
      hint: 'Its length is cable that the column need not pay out.',
      fields: [
        {
          key: 'attachmentKind',
          label: 'Kind',
          type: 'choice',
          of: ATTACHMENT_KINDS.map((k) => ({ value: k, label: ATTACHMENT_NAME[k] })),
        },
        { key: 'lengthCm', label: 'Cable end to grip', type: 'number', unit: 'cm', decimals: 1 },
        { key: 'handsFromCm', label: 'Hands apart, narrowest', hint: 'empty for one hand', type: 'number', unit: 'cm' },
        { key: 'handsToCm', label: 'Hands apart, widest', type: 'number', unit: 'cm' },
        { key: 'swivels', label: 'Turns in the hand', type: 'choice', of: YES_NO },
      ],
    },
  ],
  bench: [
    {
      title: 'Back',
      hint:
        'A phone or angle meter flat on the back pad. Two notches give the rest if they are even; ' +
        'measure them all if they are not.',
      fields: [
        { key: 'notches', label: 'Notches of the back', type: 'number' },
        {
          key: 'notchReadings',
          label: '',
          type: 'rows',
          columns: [
            { key: 'notch', label: 'Notch' },
            { key: 'deg', label: 'Above level', unit: '°' },
          ],
          add: 'Another notch',
          least: 1,
          most: 20,
        },
      ],
    },
    {
      title: 'Seat, feet and blocks',
      fields: [
        { key: 'seatHeightCm', label: 'Seat above the floor', type: 'number', unit: 'cm', decimals: 1 },
        {
          key: 'seatDeg',
          label: 'Seat angles by notch, degrees',
          hint: 'with spaces between; may stay empty',
          type: 'list',
        },
        { key: 'feetApartCm', label: 'Foot to foot along the bench', type: 'number', unit: 'cm' },
        {
          key: 'blocksCm',
          label: 'Blocks and plates to put under, cm high',
          hint: 'with spaces between; may stay empty',
          type: 'list',
        },
      ],
    },
  ],
  preacher: [
    {
      title: 'Seat',
      hint: 'Floor to the top of the seat, in two holes far apart.',
      fields: [
        { key: 'holes', label: 'Seat holes', type: 'number' },
        { key: 'numberedFrom', label: 'Hole 1 is at the', type: 'choice', of: ENDS },
        { key: 'readings', label: '', ...HOLE_ROWS },
      ],
    },
    {
      title: 'Pad',
      fields: [
        { key: 'padTopCm', label: 'Floor to the pad’s top edge', type: 'number', unit: 'cm', decimals: 1 },
        { key: 'padDeg', label: 'Pad slopes down', type: 'number', unit: '°' },
        { key: 'padCm', label: 'Pad length', type: 'number', unit: 'cm' },
      ],
    },
  ],
  machine: [
    {
      title: 'Machine',
      fields: [
        {
          key: 'machineKind',
          label: 'Kind',
          type: 'choice',
          of: MACHINE_KINDS.map((k) => ({ value: k, label: MACHINE_NAME[k] })),
        },
        { key: 'independentArms', label: 'Sides move on their own', type: 'choice', of: YES_NO },
      ],
    },
    {
      title: 'Seat',
      hint: 'Floor to the top of the seat. Leave the holes empty where the seat is fixed.',
      fields: [
        { key: 'seatHoles', label: 'Seat holes', type: 'number' },
        {
          key: 'seatNumberedFrom',
          label: 'Hole 1 is at the',
          type: 'choice',
          of: ENDS,
          when: (s) => s.seatHoles !== '',
        },
        { key: 'seatReadings', label: '', ...HOLE_ROWS, when: (s) => s.seatHoles !== '' },
      ],
    },
    {
      title: 'Back pad',
      hint: 'From the machine’s axis to the face of the back pad.',
      fields: [
        { key: 'backHoles', label: 'Back-pad holes', type: 'number', when: hasBack },
        { key: 'backNumberedFrom', label: 'Back hole 1 is at the', type: 'choice', of: NEAR_FAR, when: hasBack },
        {
          key: 'backReadings',
          label: '',
          ...HOLE_ROWS,
          columns: [
            { key: 'hole', label: 'Back hole' },
            { key: 'heightCm', label: 'Axis to back pad', unit: 'cm' },
          ],
          when: hasBack,
        },
        { key: 'axisOverSeatCm', label: 'Axis above the seat', type: 'number', unit: 'cm', decimals: 1, when: forLegs },
        {
          key: 'handleHeightCm',
          label: 'Floor to the handles',
          type: 'number',
          unit: 'cm',
          decimals: 1,
          when: hasHandles,
        },
      ],
    },
    {
      title: 'How it moves',
      hint:
        'An arc turns about an axis with the stack’s moment arm by angle (one row when it is round). A ' +
        'guide runs straight.',
      fields: [
        {
          key: 'pathKind',
          label: 'Path',
          type: 'choice',
          of: [
            { value: 'arc', label: 'arc about an axis' },
            { value: 'guide', label: 'straight guide' },
          ],
        },
        {
          key: 'radiusCm',
          label: 'Axis to roller or handle',
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
            { key: 'deg', label: 'Angle', unit: '°' },
            { key: 'cm', label: 'Moment arm', unit: 'cm' },
          ],
          add: 'Another angle',
          least: 1,
          most: 12,
          when: (s) => s.pathKind === 'arc',
        },
        { key: 'guideDeg', label: 'Guide above level', type: 'number', unit: '°', when: (s) => s.pathKind === 'guide' },
        {
          key: 'guideRatio',
          label: 'Force over stack',
          type: 'number',
          decimals: 2,
          when: (s) => s.pathKind === 'guide',
        },
      ],
    },
    {
      title: 'Stack',
      fields: [
        { key: 'stack', label: 'Loads, with spaces between', hint: 'empty for plates', type: 'list', wide: true },
        { key: 'stackUnit', label: 'in', type: 'choice', of: UNITS },
      ],
    },
  ],
  dumbbells: [
    {
      title: 'Rack',
      fields: [
        { key: 'loads', label: 'Dumbbells, with spaces between', type: 'list', wide: true },
        { key: 'unit', label: 'in', type: 'choice', of: UNITS },
      ],
    },
  ],
  plates: [
    {
      title: 'Plates',
      fields: [
        { key: 'loads', label: 'Sizes, with spaces between', type: 'list', wide: true },
        { key: 'pairs', label: 'Pairs of each', type: 'number' },
        { key: 'unit', label: 'in', type: 'choice', of: UNITS },
      ],
    },
  ],
  bar: [
    {
      title: 'Bar',
      fields: [
        { key: 'massKg', label: 'Mass', type: 'number', unit: 'kg', decimals: 2 },
        { key: 'lengthCm', label: 'Length', type: 'number', unit: 'cm' },
      ],
    },
  ],
  landmine: [
    {
      title: 'Pivot and bar',
      fields: [
        { key: 'pivotHeightCm', label: 'Floor to the pivot', type: 'number', unit: 'cm', decimals: 1 },
        { key: 'barKg', label: 'Bar', type: 'number', unit: 'kg', decimals: 2 },
        { key: 'barCm', label: 'Bar length from the pivot', type: 'number', unit: 'cm' },
        { key: 'platesAtCm', label: 'Pivot to the middle of the plates', type: 'number', unit: 'cm' },
      ],
    },
  ],
  band: [
    {
      title: 'Band',
      hint: 'Hang known loads on it, or pull it with a luggage scale.',
      fields: [
        { key: 'restCm', label: 'Length at rest', type: 'number', unit: 'cm' },
        {
          key: 'table',
          label: '',
          type: 'rows',
          columns: [
            { key: 'stretchCm', label: 'Stretched by', unit: 'cm' },
            { key: 'kg', label: 'Pull', unit: 'kg' },
          ],
          add: 'Another stretch',
          least: 2,
          most: 12,
        },
      ],
    },
  ],
  'strap-anchor': [
    { title: 'Anchor', fields: [{ key: 'heightCm', label: 'Floor to the anchor', type: 'number', unit: 'cm' }] },
  ],
};
