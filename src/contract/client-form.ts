import { SIDES } from '@/core/body/side';
import { z } from 'zod';
import { RANGE_MAX_DEG, RANGE_NAMES, type RangeName } from '@/core/body/active-range';
import { CLIENT_NOTES } from '@/core/body/client-note';
import { LOAD_SUBJECTS, type LimitSubject } from '@/core/body/clinician-limit';
import { REGIONS } from '@/core/body/region-line';
import { MEASURE_NAMES, STATURE_MAX_M, STATURE_MIN_M, type MeasureName } from '@/core/body/segment-ratios';
import { MEASURE_LABEL } from '@/messages/measures';
import { findMeasureSlips, MASS_MAX_KG, MASS_MIN_KG } from './body-schema';
import { numberBetween, objectOf, oneOf, text } from './field';
import { SAID_IN } from '@/core/units/as-spoken';
import { unlessEmpty } from './kit-spec';
import { EXPECTED } from '@/messages/expected';

const measuredCm = objectOf(MEASURE_NAMES, () => unlessEmpty(numberBetween(1, Math.round(STATURE_MAX_M * 100), 'cm')));
const rangeDeg = objectOf(SIDES, () =>
  objectOf(RANGE_NAMES, (n) => unlessEmpty(numberBetween(0, RANGE_MAX_DEG[n], 'degrees'))),
);

/** A day as typed or picked: 2026-11-24, to whole days since 1970 (UTC). */
export const dayText = z
  .string({ error: EXPECTED.day })
  .refine((t) => /^\d{4}-\d{2}-\d{2}$/.test(t) && !Number.isNaN(Date.parse(`${t}T00:00:00Z`)), {
    error: EXPECTED.day,
  })
  .transform((t) => Date.parse(`${t}T00:00:00Z`) / 86_400_000);

/** What a limit can be set on: a load by what it comes on, or a joint motion. */
export const LIMIT_SUBJECTS = [...LOAD_SUBJECTS, ...RANGE_NAMES] as const;

const isMotion = (subject: LimitSubject): subject is RangeName => (RANGE_NAMES as readonly string[]).includes(subject);

const limit = z
  .object({
    // A sheet left open since before limits named what they hold for says only "load".
    subject: z.preprocess((s) => (s === 'load' ? 'load-in-hand' : s), oneOf(LIMIT_SUBJECTS)),
    side: oneOf(['both', 'left', 'right']),
    most: numberBetween(0, 500),
    setBy: text(1, 80),
    from: dayText,
    until: unlessEmpty(dayText),
  })
  .superRefine((l, ctx) => {
    if (isMotion(l.subject) && l.most > RANGE_MAX_DEG[l.subject])
      ctx.addIssue({
        code: 'custom',
        path: ['most'],
        message: EXPECTED.degreesUpTo(RANGE_MAX_DEG[l.subject]),
      });
    if (l.until !== undefined && l.until < l.from)
      ctx.addIssue({ code: 'custom', path: ['until'], message: EXPECTED.dayOnOrAfter });
  });

/** Rows left wholly empty were not tried. */
const trials = z.preprocess(
  (v) => (Array.isArray(v) ? v.filter((t) => t?.behindCm !== '') : v),
  z
    .array(z.object({ belowDeg: numberBetween(-10, 60, 'degrees'), behindCm: numberBetween(-30, 50, 'cm') }))
    .max(9, EXPECTED.atMost(9, 'paths')),
);

/** The client sheet as typed: centimetres, kilograms, degrees, days; boxes left empty were not measured. */
export const clientFormSchema = z
  .object({
    name: text(1, 80),
    statureCm: numberBetween(Math.round(STATURE_MIN_M * 100), Math.round(STATURE_MAX_M * 100), 'cm'),
    // Left empty it is reckoned from the stature.
    massKg: unlessEmpty(numberBetween(MASS_MIN_KG, MASS_MAX_KG, 'kg')),
    // Left empty: as in the gym.
    saidIn: unlessEmpty(z.enum(SAID_IN, { error: EXPECTED.oneOf(SAID_IN.join(', ')) })),
    note: text(0, 400),
    measuredCm,
    rangeDeg,
    notes: z.array(oneOf(CLIENT_NOTES)),
    unfelt: z.array(oneOf(REGIONS)),
    limits: z.array(limit).max(20, EXPECTED.atMost(20, 'limits')),
    armPath: objectOf(SIDES, () => trials),
    chestLineDeg: unlessEmpty(numberBetween(0, 80, 'degrees')),
  })
  .superRefine((c, ctx) => {
    const measuredM = Object.fromEntries(
      MEASURE_NAMES.flatMap((n) => (c.measuredCm[n] === undefined ? [] : [[n, c.measuredCm[n]! / 100]])),
    ) as Partial<Record<MeasureName, number>>;
    for (const slip of findMeasureSlips(c.statureCm / 100, measuredM)) {
      const expected =
        slip.kind === 'span'
          ? EXPECTED.spanCm(slip.minM, slip.maxM, c.statureCm)
          : EXPECTED.heightBeside(slip.above, MEASURE_LABEL[slip.than].toLowerCase());
      ctx.addIssue({ code: 'custom', path: ['measuredCm', slip.name], message: expected });
    }
    for (const side of SIDES) {
      c.armPath[side].forEach((t, i) => {
        if (c.armPath[side].findIndex((x) => x.belowDeg === t.belowDeg) < i)
          ctx.addIssue({ code: 'custom', path: ['armPath', side, i, 'behindCm'], message: EXPECTED.eachPathOnce });
      });
    }
  });

/** That a screening was done, as typed. */
export const screeningFormSchema = z.object({ day: dayText, doneBy: text(1, 80), procedure: text(1, 200) });
