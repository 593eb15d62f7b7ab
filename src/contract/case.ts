import { z } from 'zod';
import { LENGTH_RATIO } from '@/core/body/segment-ratios';
import { defaultOptions, FRONT_FEET, MOVEMENT_IDS, PEAK_WISHES } from '@/core/movement/movement';
import { MOVEMENT_BOOK } from '@/core/movement/movement-book';
import { bodyFields, findMeasureSlips } from './body-schema';
import { columnGaps, columnSchema } from './column-schema';
import { numberBetween, oneOf, wholeBetween } from './field';

export const CASE_FORMAT = 'jorvix-case/1';

/** Hand to pulley needs room beyond the shoulders: the narrowest spacing is the shoulder breadth and this much, metres. */
export const SPACING_OVER_SHOULDERS_M = 0.2;

/** Where a client may stand when a case does not say. */
export const DEFAULT_ROOM = { minDistanceM: -0.3, maxDistanceM: 2 } as const;

export const placementSchema = z.strictObject({
  hole: wholeBetween(1, 60),
  standX: numberBetween(-3, 6, 'm'),
  standZ: numberBetween(-3, 3, 'm'),
  yawDeg: numberBetween(-180, 180, 'degrees'),
});

const plain = z.strictObject({
  format: z.literal(CASE_FORMAT, { error: `expected "${CASE_FORMAT}"` }),
  client: z.strictObject(bodyFields),
  station: z.strictObject({
    column: columnSchema,
    room: z
      .strictObject({
        minDistanceM: numberBetween(-2, 2, 'm').default(DEFAULT_ROOM.minDistanceM),
        maxDistanceM: numberBetween(0, 6, 'm').default(DEFAULT_ROOM.maxDistanceM),
      })
      .default(DEFAULT_ROOM),
  }),
  attachment: z.strictObject({ lengthM: numberBetween(0, 1, 'm') }),
  movement: oneOf(MOVEMENT_IDS),
  side: oneOf(['left', 'right', 'both']),
  options: z
    .strictObject({
      peak: oneOf(PEAK_WISHES).optional(),
      tiltDeg: numberBetween(-60, 80, 'degrees').optional(),
      frontFoot: oneOf(FRONT_FEET).optional(),
    })
    .default({}),
  loadKg: numberBetween(0, 500, 'kg'),
  given: placementSchema.partial().optional(),
  lastUsed: placementSchema.optional().describe('a set-up that worked before; it is not moved for nothing'),
});

/** The solver's case. Cross-field rules: measures fit the stature, holes lie on the column, the spacing clears the shoulders. */
export const caseSchema = plain.superRefine((c, ctx) => {
  const report = (path: (string | number)[], message: string): void => ctx.addIssue({ code: 'custom', path, message });
  for (const slip of findMeasureSlips(c.client.statureM, c.client.measuredM)) {
    const expected =
      slip.kind === 'span'
        ? `${slip.minM.toFixed(2)} to ${slip.maxM.toFixed(2)} m for a stature of ${c.client.statureM} m`
        : `a height ${slip.above ? 'above' : 'below'} the one given for ${slip.than}`;
    report(['client', 'measuredM', slip.name], `expected ${expected}`);
  }
  const { column, room } = c.station;
  for (const gap of columnGaps(column)) report(['station', 'column', gap.path], gap.message);
  const rise = column.numberedFrom === 'top' ? (column.firstHoleM ?? 0) - (column.holes - 1) * (column.pitchM ?? 0) : 0;
  if (column.kind !== 'arms' && rise < 0) report(['station', 'column', 'firstHoleM'], 'expected hole 1 high enough that the lowest hole is above the floor');
  const shoulders = c.client.measuredM.shoulderBreadth ?? LENGTH_RATIO.shoulderBreadth * c.client.statureM;
  const narrowest = shoulders + SPACING_OVER_SHOULDERS_M;
  if (column.kind === 'twin' && column.twinSpacingM !== undefined && column.twinSpacingM < narrowest) {
    report(['station', 'column', 'twinSpacingM'], `expected at least ${narrowest.toFixed(2)} m: wider than the shoulders with room for the hands`);
  }
  if (column.kind === 'single' && c.side === 'both') report(['side'], 'expected left or right: a single column serves one arm');
  if (room.minDistanceM >= room.maxDistanceM) report(['station', 'room', 'maxDistanceM'], 'expected more than minDistanceM');
  for (const key of ['given', 'lastUsed'] as const) {
    const hole = c[key]?.hole;
    if (hole !== undefined && hole > column.holes) report([key, 'hole'], `expected a whole number from 1 to ${column.holes}`);
  }
  const { min, max } = MOVEMENT_BOOK[c.movement].path.tiltDeg;
  const tilt = c.options.tiltDeg;
  if (tilt !== undefined && (tilt < min || tilt > max)) report(['options', 'tiltDeg'], `expected a number from ${min} to ${max} degrees for this movement`);
});

export type Case = z.output<typeof caseSchema>;
export type CaseInput = z.input<typeof caseSchema>;

/** Options with the movement's defaults filled in. */
export function toOptions(c: Pick<Case, 'movement' | 'options'>) {
  const own = defaultOptions(MOVEMENT_BOOK[c.movement]);
  return { peak: c.options.peak ?? own.peak, tiltDeg: c.options.tiltDeg ?? own.tiltDeg, frontFoot: c.options.frontFoot ?? own.frontFoot };
}
