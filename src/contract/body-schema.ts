import { z } from 'zod';
import { RANGE_MAX_DEG, RANGE_NAMES } from '@/core/body/active-range';
import { MEASURE_NAMES, measureSpanM, STATURE_MAX_M, STATURE_MIN_M, type MeasureName } from '@/core/body/segment-ratios';
import { numberBetween } from './field';

export const MASS_MIN_KG = 25;
export const MASS_MAX_KG = 300;

export const measuredSchema = z.strictObject(
  Object.fromEntries(MEASURE_NAMES.map((n) => [n, numberBetween(0.01, STATURE_MAX_M, 'm').optional()])) as Record<MeasureName, z.ZodOptional<ReturnType<typeof numberBetween>>>,
);

const sideRange = z.strictObject(
  Object.fromEntries(RANGE_NAMES.map((n) => [n, numberBetween(0, RANGE_MAX_DEG[n], 'degrees').optional()])) as Record<
    (typeof RANGE_NAMES)[number],
    z.ZodOptional<ReturnType<typeof numberBetween>>
  >,
);

export const activeRangeSchema = z.strictObject({ left: sideRange.optional(), right: sideRange.optional() });

export const bodyFields = {
  statureM: numberBetween(STATURE_MIN_M, STATURE_MAX_M, 'm'),
  massKg: numberBetween(MASS_MIN_KG, MASS_MAX_KG, 'kg'),
  measuredM: measuredSchema.default({}),
  activeRangeDeg: activeRangeSchema.default({}),
};

const FROM_THE_FLOOR_UP = ['ankleHeight', 'kneeHeight', 'hipHeight', 'shoulderHeight', 'chinHeight', 'eyeHeight'] as const;
const DOWN_THE_ARM = ['shoulderHeight', 'elbowHeight', 'wristHeight', 'fingertipHeight'] as const;

/** Measures that no tape gives: far from the ratio of the stature, or landmarks in the wrong order. */
export function checkMeasures(value: { readonly statureM: number; readonly measuredM: Partial<Record<MeasureName, number | undefined>> }, report: (name: MeasureName, message: string) => void): void {
  for (const name of MEASURE_NAMES) {
    const m = value.measuredM[name];
    const { minM, maxM } = measureSpanM(name, value.statureM);
    if (m !== undefined && (m < minM || m > maxM)) report(name, `expected ${minM.toFixed(2)} to ${maxM.toFixed(2)} m for a stature of ${value.statureM} m`);
  }
  const inOrder = (chain: readonly MeasureName[], rising: boolean): void => {
    const known = chain.filter((n) => value.measuredM[n] !== undefined);
    for (let i = 1; i < known.length; i++) {
      const gap = value.measuredM[known[i]!]! - value.measuredM[known[i - 1]!]!;
      if (rising ? gap <= 0 : gap >= 0) report(known[i]!, `expected a height ${rising ? 'above' : 'below'} the one entered for ${known[i - 1]}`);
    }
  };
  inOrder(FROM_THE_FLOOR_UP, true);
  inOrder(DOWN_THE_ARM, false);
}
