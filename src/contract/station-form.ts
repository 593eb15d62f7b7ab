import { z } from 'zod';
import { calibrateColumn, type ColumnMisfit } from '@/core/kit/calibrate-column';
import { kgToGrams, lbToGrams } from '@/core/units/mass';
import { numberBetween, oneOf, text, wholeBetween } from './field';

export const STACK_UNITS = ['kg', 'lb'] as const;

const MISFIT: Readonly<Record<ColumnMisfit['reason'], string>> = {
  'too-few': 'expected two measured holes',
  'same-hole': 'expected two different holes: the same one twice gives no spacing',
  'wrong-direction': 'expected heights that rise the way the numbers run; check the numbering or the two heights',
  'below-floor': 'expected heights that keep the lowest hole above the floor',
};

/** Stack loads as typed, to integer grams; null when a part is no load. */
export function parseStackLoads(typed: string, unit: (typeof STACK_UNITS)[number]): number[] | null {
  const values = typed.split(/[\s,;]+/).filter(Boolean).map(Number);
  if (values.length === 0 || values.some((v) => !Number.isFinite(v) || v <= 0 || v > 500)) return null;
  return values.map(unit === 'kg' ? kgToGrams : lbToGrams);
}

/** A twin cable column as typed: centimetres, two or more measured holes. */
export const stationFormSchema = z
  .object({
    name: text(1, 60),
    holes: wholeBetween(2, 60),
    numberedFrom: oneOf(['bottom', 'top']),
    readings: z.array(z.object({ hole: wholeBetween(1, 60), heightCm: numberBetween(0, 400, 'cm') })).min(2, 'expected two measured holes').max(6, 'expected at most six measured holes'),
    twinSpacingCm: numberBetween(30, 800, 'cm'),
    pulleyRatio: numberBetween(0.25, 8),
    clearanceCm: numberBetween(0, 50, 'cm'),
    travelCm: numberBetween(30, 800, 'cm'),
    minDistanceCm: numberBetween(-200, 200, 'cm'),
    maxDistanceCm: numberBetween(0, 600, 'cm'),
    stack: text(1, 400),
    stackUnit: oneOf(STACK_UNITS),
  })
  .superRefine((s, ctx) => {
    const report = (path: (string | number)[], message: string): void => ctx.addIssue({ code: 'custom', path, message });
    s.readings.forEach((r, i) => {
      if (r.hole > s.holes) report(['readings', i, 'hole'], `expected a hole from 1 to ${s.holes}`);
    });
    const last = s.readings.length - 1;
    const fit = calibrateColumn(s.readings.map((r) => ({ hole: r.hole, heightM: r.heightCm / 100 })), s.holes, s.numberedFrom);
    if (!fit.ok) report(['readings', last, fit.reason === 'same-hole' ? 'hole' : 'heightCm'], MISFIT[fit.reason]);
    else if (new Set(s.readings.map((r) => r.hole)).size < s.readings.length) report(['readings', last, 'hole'], 'expected each hole once');
    else if (fit.pitchM < 0.01 || fit.pitchM > 0.5) report(['readings', last, 'heightCm'], `expected holes 1 to 50 cm apart; these are ${(fit.pitchM * 100).toFixed(1)} cm`);
    if (s.minDistanceCm >= s.maxDistanceCm) report(['maxDistanceCm'], 'expected more than the nearest place to stand');
    if (!parseStackLoads(s.stack, s.stackUnit)) report(['stack'], 'expected loads above 0 and up to 500, with spaces between');
  });

export type StationForm = z.output<typeof stationFormSchema>;

export const attachmentFormSchema = z.object({ name: text(1, 60), lengthCm: numberBetween(0, 100, 'cm') });
export type AttachmentForm = z.output<typeof attachmentFormSchema>;
