import { z } from 'zod';
import { RANGE_MAX_DEG, RANGE_NAMES } from '@/core/body/active-range';
import { CLIENT_NOTES } from '@/core/body/client-note';
import {
  MEASURE_NAMES,
  measureSpanM,
  STATURE_MAX_M,
  STATURE_MIN_M,
  type MeasureName,
} from '@/core/body/segment-ratios';
import { numberBetween, objectOf, oneOf } from './field';

export const MASS_MIN_KG = 25;
export const MASS_MAX_KG = 300;

const measuredSchema = objectOf(MEASURE_NAMES, () => numberBetween(0.01, STATURE_MAX_M, 'm').optional());

const sideRange = objectOf(RANGE_NAMES, (n) => numberBetween(0, RANGE_MAX_DEG[n], 'degrees').optional());

const activeRangeSchema = z.strictObject({ left: sideRange.optional(), right: sideRange.optional() });

export const bodyFields = {
  statureM: numberBetween(STATURE_MIN_M, STATURE_MAX_M, 'm'),
  massKg: numberBetween(MASS_MIN_KG, MASS_MAX_KG, 'kg'),
  measuredM: measuredSchema.default({}),
  activeRangeDeg: activeRangeSchema.default({}),
  limitsDeg: activeRangeSchema
    .default({})
    .describe('most a clinician allows, per side and motion; nothing goes past it'),
  mostLoadKg: numberBetween(0, 500, 'kg').optional().describe('most a clinician allows in the hand'),
  mostLoadOnLegKg: numberBetween(0, 500, 'kg').optional().describe('most a clinician allows on a leg'),
  mostLoadOnSpineKg: numberBetween(0, 500, 'kg').optional().describe('most a clinician allows on the spine'),
  armPathDeg: z
    .strictObject({
      left: numberBetween(-10, 60, 'degrees').optional(),
      right: numberBetween(-10, 60, 'degrees').optional(),
    })
    .default({})
    .describe('best rear-deltoid arm path below shoulder level, as measured on each side'),
  chestLineDeg: numberBetween(0, 80, 'degrees')
    .optional()
    .describe('lower border of the chest below level, as measured'),
  notes: z.array(oneOf(CLIENT_NOTES)).default([]).describe('observations that change defaults'),
};

const FROM_THE_FLOOR_UP = [
  'ankleHeight',
  'kneeHeight',
  'hipHeight',
  'shoulderHeight',
  'chinHeight',
  'eyeHeight',
] as const;
const DOWN_THE_ARM = ['shoulderHeight', 'elbowHeight', 'wristHeight', 'fingertipHeight'] as const;

/** A measure that no tape gives: far from the ratio of the stature, or out of order with a neighbour. */
export type MeasureSlip =
  | { readonly kind: 'span'; readonly name: MeasureName; readonly minM: number; readonly maxM: number }
  | { readonly kind: 'order'; readonly name: MeasureName; readonly than: MeasureName; readonly above: boolean };

/** Slips of the tape among the measured values; none are sought while the stature itself is wrong. */
export function findMeasureSlips(
  statureM: number,
  measuredM: Partial<Record<MeasureName, number | undefined>>,
): MeasureSlip[] {
  const slips: MeasureSlip[] = [];
  if (!(statureM >= STATURE_MIN_M && statureM <= STATURE_MAX_M)) return slips;
  for (const name of MEASURE_NAMES) {
    const m = measuredM[name];
    const { minM, maxM } = measureSpanM(name, statureM);
    if (m !== undefined && (m < minM || m > maxM)) slips.push({ kind: 'span', name, minM, maxM });
  }
  const inOrder = (chain: readonly MeasureName[], rising: boolean): void => {
    const known = chain.filter((n) => measuredM[n] !== undefined);
    for (let i = 1; i < known.length; i++) {
      const gap = measuredM[known[i]!]! - measuredM[known[i - 1]!]!;
      if (rising ? gap <= 0 : gap >= 0)
        slips.push({ kind: 'order', name: known[i]!, than: known[i - 1]!, above: rising });
    }
  };
  inOrder(FROM_THE_FLOOR_UP, true);
  inOrder(DOWN_THE_ARM, false);
  return slips;
}
