import { z } from 'zod';
import type { ArmColumn, Column, HoleColumn } from '@/core/kit/column';
import { numberBetween, oneOf, wholeBetween } from './field';
import { EXPECTED } from '@/messages/expected';

export const COLUMN_KINDS = ['twin', 'single', 'arms'] as const;
const NUMBERED_FROM = ['bottom', 'top'] as const;

const firstHoleM = numberBetween(0, 3, 'm');
const pitchM = numberBetween(0.01, 0.5, 'm');
const twinSpacingM = numberBetween(0.3, 8, 'm');
export const rulerSchema = z.strictObject({
  firstHoleM,
  pitchM,
  holes: wholeBetween(1, 60),
  numberedFrom: oneOf(NUMBERED_FROM),
});
const armsSchema = z.strictObject({
  pivotHeightM: numberBetween(0, 3, 'm'),
  armM: numberBetween(0.2, 2, 'm').describe('pivot to pulley'),
  firstDeg: numberBetween(-90, 90, 'degrees').describe('arm above level at notch 1'),
  pitchDeg: numberBetween(1, 60, 'degrees'),
  swingDeg: numberBetween(-30, 90, 'degrees').default(0).describe('arms swung apart from straight ahead'),
});

/** A column as the case format has it; what a kind needs beyond the common part is asked for by `columnGaps`. */
export const columnSchema = z.strictObject({
  kind: oneOf(COLUMN_KINDS).default('twin'),
  firstHoleM: firstHoleM.optional().describe('pulley pivot above the floor at hole number 1 (twin, single)'),
  pitchM: pitchM.optional().describe('distance between neighbouring holes (twin, single)'),
  holes: wholeBetween(1, 60),
  numberedFrom: oneOf(NUMBERED_FROM),
  leftRuler: rulerSchema
    .optional()
    .describe('the left column’s own numbering, where it differs; holes are named by the right one'),
  arms: armsSchema.optional().describe('swinging arms (arms)'),
  twinSpacingM: twinSpacingM.optional().describe('pulley to pulley (twin), pivot to pivot (arms)'),
  pulleyRatio: numberBetween(0.25, 8).default(1).describe('stack force over hand force'),
  clearanceM: numberBetween(0, 0.5, 'm').default(0.05).describe('cable out before the stack leaves its stop'),
  travelM: numberBetween(0.3, 8, 'm').default(3).describe('most cable the column pays out'),
  floorPlateM: numberBetween(0, 1, 'm').default(0).describe('how far its floor plate reaches out before the pulleys'),
});

export type ColumnCase = z.output<typeof columnSchema>;

/** Parts that a column of this kind lacks: where, and what is expected. */
export function columnGaps(c: ColumnCase): { readonly path: string; readonly message: string }[] {
  const gaps: { path: string; message: string }[] = [];
  const need = (path: string, schema: z.ZodType, value: unknown): void => {
    const checked = schema.safeParse(value);
    if (!checked.success) gaps.push({ path, message: checked.error.issues[0]!.message });
  };
  if (c.kind === 'arms') {
    if (c.arms === undefined) gaps.push({ path: 'arms', message: EXPECTED.anObject });
  } else {
    need('firstHoleM', firstHoleM, c.firstHoleM);
    need('pitchM', pitchM, c.pitchM);
  }
  if (c.kind !== 'single') need('twinSpacingM', twinSpacingM, c.twinSpacingM);
  return gaps;
}

/** Core's column of a checked case. Precondition: no gaps. */
export function toColumn(c: ColumnCase): Column {
  const { holes, numberedFrom, pulleyRatio, clearanceM, travelM, floorPlateM } = c;
  const base = {
    holes,
    numberedFrom,
    pulleyRatio,
    clearanceM,
    travelM,
    floorPlateM,
    twinSpacingM: c.kind === 'single' ? 0 : c.twinSpacingM!,
  };
  if (c.kind === 'arms') return { ...base, kind: 'arms', ...c.arms! } satisfies ArmColumn;
  return {
    ...base,
    kind: c.kind,
    firstHoleM: c.firstHoleM!,
    pitchM: c.pitchM!,
    leftRuler: c.leftRuler ?? null,
  } satisfies HoleColumn;
}

/** A column in the case format. */
export function fromColumn(c: Column): z.input<typeof columnSchema> {
  const { kind, holes, numberedFrom, pulleyRatio, clearanceM, travelM, floorPlateM, twinSpacingM } = c;
  const base = {
    kind,
    holes,
    numberedFrom,
    pulleyRatio,
    clearanceM,
    travelM,
    floorPlateM,
    ...(kind === 'single' ? {} : { twinSpacingM }),
  };
  if (c.kind === 'arms')
    return {
      ...base,
      arms: {
        pivotHeightM: c.pivotHeightM,
        armM: c.armM,
        firstDeg: c.firstDeg,
        pitchDeg: c.pitchDeg,
        swingDeg: c.swingDeg,
      },
    };
  return { ...base, firstHoleM: c.firstHoleM, pitchM: c.pitchM, ...(c.leftRuler ? { leftRuler: c.leftRuler } : {}) };
}
