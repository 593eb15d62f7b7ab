import type { KitKind } from '@/core/kit/kit-kind';
import { KIT_SPEC } from '@/contract/kit-spec';
import type { KitPiece } from '@/contract/views/kit';

/** An invented gym, a second one down the road, and their kit. No brand is on any of it. */
export const GYM = { id: 'tidewater', name: 'Tidewater Hall', screeningDays: 365, saidIn: 'metric' as const };
export const YARD = { id: 'lantern-yard', name: 'Lantern Yard', screeningDays: 180, saidIn: 'metric' as const };

const steps = (first: number, step: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => first + i * step);

const column = (
  id: string,
  name: string,
  spec: Record<string, unknown>,
  more: { gymId?: string; outOfOrder?: boolean } = {},
) =>
  piece(
    'column',
    id,
    name,
    {
      columnKind: 'twin',
      leftNumbering: 'same',
      leftNumberedFrom: 'bottom',
      leftReadings: [],
      swingDeg: 0,
      clearanceCm: 5,
      addOns: [],
      stackUnit: 'kg',
      ...spec,
    },
    more,
  );

function piece(
  kind: KitKind,
  id: string,
  name: string,
  spec: Record<string, unknown>,
  more: { gymId?: string; outOfOrder?: boolean } = {},
): KitPiece {
  return {
    id,
    gymId: more.gymId ?? GYM.id,
    kind,
    name,
    outOfOrder: more.outOfOrder ?? false,
    spec: KIT_SPEC[kind].parse(spec) as KitPiece['spec'],
  };
}

export const KIT: readonly KitPiece[] = [
  column('long-pair', 'Long pair by the window', {
    holes: 20,
    numberedFrom: 'bottom',
    readings: [
      { hole: 2, heightCm: 35 },
      { hole: 19, heightCm: 205 },
    ],
    twinSpacingCm: 240,
    pulleyRatio: 1,
    travelCm: 300,
    minDistanceCm: -30,
    maxDistanceCm: 200,
    stack: steps(2.5, 2.5, 24),
  }),
  column('short-pair', 'Short pair at the stairs', {
    holes: 16,
    numberedFrom: 'top',
    readings: [
      { hole: 1, heightCm: 208 },
      { hole: 8, heightCm: 119.7 },
      { hole: 16, heightCm: 19.1 },
    ],
    twinSpacingCm: 190,
    pulleyRatio: 2,
    travelCm: 260,
    minDistanceCm: -20,
    maxDistanceCm: 150,
    stack: steps(5, 5, 16),
    addOns: [2.5],
  }),
  column(
    'odd-pair',
    'Odd pair under the clock',
    {
      holes: 18,
      numberedFrom: 'bottom',
      readings: [
        { hole: 1, heightCm: 22 },
        { hole: 18, heightCm: 209 },
      ],
      leftNumbering: 'own',
      leftHoles: 24,
      leftNumberedFrom: 'top',
      leftReadings: [
        { hole: 1, heightCm: 211 },
        { hole: 24, heightCm: 27 },
      ],
      twinSpacingCm: 260,
      pulleyRatio: 1,
      travelCm: 320,
      minDistanceCm: -30,
      maxDistanceCm: 180,
      stack: steps(10, 10, 15),
      stackUnit: 'lb',
    },
    { outOfOrder: true },
  ),
  column('lone-column', 'Lone column at the mirror', {
    columnKind: 'single',
    holes: 22,
    numberedFrom: 'bottom',
    readings: [
      { hole: 1, heightCm: 12 },
      { hole: 22, heightCm: 201 },
    ],
    pulleyRatio: 2,
    travelCm: 280,
    floorPlateCm: 20,
    minDistanceCm: 30,
    maxDistanceCm: 220,
    stack: steps(5, 5, 18),
  }),
  column('swing-arms', 'Swinging arms', {
    columnKind: 'arms',
    holes: 12,
    numberedFrom: 'bottom',
    readings: [
      { hole: 1, heightCm: 41 },
      { hole: 6, heightCm: 115.4 },
      { hole: 12, heightCm: 199 },
    ],
    twinSpacingCm: 70,
    pivotHeightCm: 118,
    armCm: 82,
    swingDeg: 20,
    pulleyRatio: 2,
    travelCm: 320,
    minDistanceCm: 40,
    maxDistanceCm: 240,
    stack: steps(5, 5, 18),
  }),
  piece('attachment', 'd-handle', 'single D-handle', { attachmentKind: 'd-handle', lengthCm: 14, swivels: 'yes' }),
  piece('attachment', 'short-strap', 'D-handle on a short strap', {
    attachmentKind: 'd-handle',
    lengthCm: 24,
    swivels: 'yes',
  }),
  piece('attachment', 'rope', 'Rope', {
    attachmentKind: 'rope',
    lengthCm: 30,
    handsFromCm: 5,
    handsToCm: 60,
    swivels: 'yes',
  }),
  piece('attachment', 'wide-bar', 'Wide pulldown bar', {
    attachmentKind: 'long-bar',
    lengthCm: 10,
    handsFromCm: 25,
    handsToCm: 110,
    swivels: 'yes',
  }),
  piece('bench', 'blue-bench', 'Blue bench', {
    notches: 7,
    notchReadings: [
      { notch: 1, deg: 0 },
      { notch: 4, deg: 43 },
      { notch: 7, deg: 85 },
    ],
    seatHeightCm: 44,
    seatDeg: '0 15',
    feetApartCm: 112,
    blocksCm: '4.5 11',
  }),
  piece('preacher', 'oak-preacher', 'Oak preacher', {
    holes: 8,
    numberedFrom: 'bottom',
    readings: [
      { hole: 1, heightCm: 38 },
      { hole: 8, heightCm: 59 },
    ],
    padTopCm: 98,
    padDeg: 50,
    padCm: 36,
  }),
  piece('machine', 'knee-lever', 'Knee lever', {
    machineKind: 'leg-extension',
    backHoles: 7,
    backNumberedFrom: 'bottom',
    backReadings: [
      { hole: 1, heightCm: 42 },
      { hole: 7, heightCm: 66 },
    ],
    seatNumberedFrom: 'bottom',
    seatReadings: [],
    axisOverSeatCm: 6,
    pathKind: 'arc',
    radiusCm: 36,
    momentArms: [
      { deg: 0, cm: 9 },
      { deg: 45, cm: 13 },
      { deg: 90, cm: 10 },
    ],
    independentArms: 'no',
    stack: steps(10, 10, 20),
    stackUnit: 'lb',
  }),
  piece('machine', 'two-way-press', 'Two-way press', {
    machineKind: 'chest-press',
    seatHoles: 9,
    seatNumberedFrom: 'bottom',
    seatReadings: [
      { hole: 1, heightCm: 36 },
      { hole: 9, heightCm: 60 },
    ],
    backNumberedFrom: 'bottom',
    backReadings: [],
    handleHeightCm: 90,
    pathKind: 'guide',
    guideDeg: 5,
    guideRatio: 0.9,
    momentArms: [],
    independentArms: 'yes',
    stack: '',
    stackUnit: 'kg',
  }),
  piece('dumbbells', 'rack', 'Dumbbell rack', {
    loads: '1 2 3 4 5 6 7 8 9 10 12 14 16 18 20 22 24 26 28 30',
    unit: 'kg',
  }),
  piece('plates', 'plates', 'Plate tree', { loads: '1.25 2.5 5 10 15 20', pairs: 4, unit: 'kg' }),
  piece('bar', 'long-bar', 'Long bar', { massKg: 20, lengthCm: 220 }),
  piece('landmine', 'corner', 'Corner landmine', { pivotHeightCm: 9, barKg: 20, barCm: 218, platesAtCm: 196 }),
  piece('band', 'grey-band', 'Grey band', {
    restCm: 104,
    table: [
      { stretchCm: 0, kg: 0 },
      { stretchCm: 40, kg: 11 },
      { stretchCm: 80, kg: 17 },
      { stretchCm: 120, kg: 24 },
    ],
  }),
  piece('band', 'rust-band', 'Rust band', {
    restCm: 104,
    table: [
      { stretchCm: 0, kg: 0 },
      { stretchCm: 40, kg: 16 },
      { stretchCm: 80, kg: 23 },
      { stretchCm: 120, kg: 31 },
    ],
  }),
  piece('strap-anchor', 'beam', 'Beam over the mats', { heightCm: 248 }),
  column(
    'yard-pair',
    'Yard pair',
    {
      holes: 14,
      numberedFrom: 'bottom',
      readings: [
        { hole: 1, heightCm: 30 },
        { hole: 14, heightCm: 212 },
      ],
      twinSpacingCm: 220,
      pulleyRatio: 1,
      travelCm: 280,
      minDistanceCm: -30,
      maxDistanceCm: 160,
      stack: steps(10, 10, 12),
      stackUnit: 'lb',
    },
    { gymId: YARD.id },
  ),
  piece(
    'attachment',
    'yard-handle',
    'Rope-wound handle',
    { attachmentKind: 'own', lengthCm: 17, swivels: 'no' },
    { gymId: YARD.id },
  ),
];
