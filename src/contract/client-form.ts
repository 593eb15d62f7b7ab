import { z } from 'zod';
import { RANGE_MAX_DEG, RANGE_NAMES, SIDES } from '@/core/body/active-range';
import { MEASURE_NAMES, STATURE_MAX_M, STATURE_MIN_M, type MeasureName } from '@/core/body/segment-ratios';
import { MEASURE_LABEL } from '@/messages/measures';
import { findMeasureSlips, MASS_MAX_KG, MASS_MIN_KG } from './body-schema';
import { numberBetween, objectOf, text } from './field';

/** An empty box on a form is a value that was not measured. */
const unlessEmpty = <T extends z.ZodType>(schema: T) => z.preprocess((v) => (v === '' || v === null ? undefined : v), schema.optional());

const measuredCm = objectOf(MEASURE_NAMES, () => unlessEmpty(numberBetween(1, Math.round(STATURE_MAX_M * 100), 'cm')));
const rangeDeg = objectOf(SIDES, () => objectOf(RANGE_NAMES, (n) => unlessEmpty(numberBetween(0, RANGE_MAX_DEG[n], 'degrees'))));

/** The client sheet as typed: centimetres, kilograms, degrees; boxes left empty were not measured. */
export const clientFormSchema = z
  .object({
    name: text(1, 80),
    statureCm: numberBetween(Math.round(STATURE_MIN_M * 100), Math.round(STATURE_MAX_M * 100), 'cm'),
    massKg: numberBetween(MASS_MIN_KG, MASS_MAX_KG, 'kg'),
    note: text(0, 400),
    measuredCm,
    rangeDeg,
  })
  .superRefine((c, ctx) => {
    const measuredM = Object.fromEntries(MEASURE_NAMES.flatMap((n) => (c.measuredCm[n] === undefined ? [] : [[n, c.measuredCm[n]! / 100]]))) as Partial<Record<MeasureName, number>>;
    for (const slip of findMeasureSlips(c.statureCm / 100, measuredM)) {
      const expected =
        slip.kind === 'span'
          ? `${Math.ceil(slip.minM * 100)} to ${Math.floor(slip.maxM * 100)} cm for ${c.statureCm} cm of stature`
          : `a height ${slip.above ? 'above' : 'below'} ${MEASURE_LABEL[slip.than].toLowerCase()}`;
      ctx.addIssue({ code: 'custom', path: ['measuredCm', slip.name], message: `expected ${expected}` });
    }
  });

export type ClientForm = z.output<typeof clientFormSchema>;
