/**
 * Landmark heights above the floor, standing, as fractions of stature.
 * Source: Drillis and Contini 1966, as tabulated in Winter, Biomechanics and Motor Control of Human Movement.
 */
export const HEIGHT_RATIO = {
  ankleHeight: 0.039,
  kneeHeight: 0.285,
  fingertipHeight: 0.377,
  wristHeight: 0.485,
  hipHeight: 0.53,
  elbowHeight: 0.63,
  shoulderHeight: 0.818,
  chinHeight: 0.87,
  eyeHeight: 0.936,
} as const;

/**
 * Heights above the seat, sitting tall, as fractions of stature. Shoulder: same source (0.818 less the 0.480 that a
 * seat takes off a stature whose sitting height is 0.520). Armpit and nipple: remembered from anthropometric surveys,
 * about 6.5 % and 10 % of stature below the shoulder joint; a tape is better.
 */
export const SEATED_RATIO = { seatedShoulder: 0.338, seatedArmpit: 0.273, seatedNipple: 0.238 } as const;

/**
 * Sitting takes this share of the stature off every trunk height (1 less the sitting height 0.520; Drillis and
 * Contini).
 */
export const SEAT_SHARE = 0.48;
/** Hip joint above the seat: 0.530 less 0.480. */
export const HIP_OVER_SEAT = HEIGHT_RATIO.hipHeight - SEAT_SHARE;

/** Segment lengths and breadths as fractions of stature; same source. Shoulder breadth is joint to joint. */
export const LENGTH_RATIO = {
  shoulderBreadth: 0.258,
  hipBreadth: 0.191,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  foot: 0.152,
} as const;

/** A height above the floor, standing. */
export type HeightName = keyof typeof HEIGHT_RATIO;
/** A height above the seat, sitting tall. */
export type SeatedName = keyof typeof SEATED_RATIO;
/** A length of a segment or a breadth. */
export type LengthName = keyof typeof LENGTH_RATIO;
/** Anything of a body that can be measured. */
export type MeasureName = HeightName | SeatedName | LengthName;

/** Heights above the floor. */
export const HEIGHT_NAMES = Object.keys(HEIGHT_RATIO) as HeightName[];
/** Heights above the seat. */
export const SEATED_NAMES = Object.keys(SEATED_RATIO) as SeatedName[];
/** Lengths and breadths. */
export const LENGTH_NAMES = Object.keys(LENGTH_RATIO) as LengthName[];
/** Everything that can be measured. */
export const MEASURE_NAMES: readonly MeasureName[] = [...HEIGHT_NAMES, ...SEATED_NAMES, ...LENGTH_NAMES];

const MEASURE_RATIO: Readonly<Record<MeasureName, number>> = {
  ...HEIGHT_RATIO,
  ...SEATED_RATIO,
  ...LENGTH_RATIO,
};

/** Grip centre beyond the wrist, as a share of hand length. An assumption: a closed fist holds near mid-hand. */
export const GRIP_SHARE_OF_HAND = 0.5;

/** Statures the ratios are used for, metres. */
export const STATURE_MIN_M = 1.2;
/** Tallest stature that is taken for one, metres. */
export const STATURE_MAX_M = 2.3;

/** How far a tape measure may differ from its ratio before it is taken for a slip: 25 % of the ratio's value. */
const MEASURE_SPREAD = 0.25;

/** Expected span in metres of a measure for a stature, used to catch slips of the tape. */
export function measureSpanM(name: MeasureName, statureM: number): { readonly minM: number; readonly maxM: number } {
  const ratio = MEASURE_RATIO[name];
  const spread = name === 'ankleHeight' ? 0.6 : MEASURE_SPREAD;
  return { minM: ratio * statureM * (1 - spread), maxM: Math.min(statureM, ratio * statureM * (1 + spread)) };
}

/** Front of the chest before the line of the neck, share of stature (our judgement). */
export const CHEST_DEPTH = 0.06;
