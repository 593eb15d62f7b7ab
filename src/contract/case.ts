import { noteDefaults } from '@/core/body/client-note';
import { worksOn } from '@/core/book/book-entry';
import { z } from 'zod';
import { entryOf, MOVEMENT_IDS, type MovementId } from '@/core/book/book';
import type { ClientFit } from '@/core/book/client-fit';
import { LENGTH_RATIO } from '@/core/body/segment-ratios';
import { bodyFields, findMeasureSlips } from './body-schema';
import { columnGaps, type ColumnCase } from './column-schema';
import { numberBetween, oneOf, wholeBetween } from './field';
import { optionGaps, optionsSchema } from './options-schema';
import { stationSchema } from './station-schema';

export const CASE_FORMAT = 'jorvix-case/1';

/**
 * Hand to pulley needs room beyond the shoulders: the narrowest spacing is the shoulder breadth and this much, metres.
 */
export const SPACING_OVER_SHOULDERS_M = 0.2;

export const placementSchema = z.strictObject({
  hole: wholeBetween(1, 60),
  leftBy: wholeBetween(-59, 59).optional().describe('hole numbers that the left carriage stands above the right one'),
  standX: numberBetween(-3, 6, 'm'),
  standZ: numberBetween(-3, 3, 'm'),
  yawDeg: numberBetween(-180, 180, 'degrees'),
});

/** Every movement of the book by its id. */
export const movementSchema = z.enum(MOVEMENT_IDS as readonly [MovementId, ...MovementId[]], {
  error: 'expected a movement of the book, like cable-fly-level',
});

/** The movement that an address names; null for none of the book. */
export const readMovement = (id: string): MovementId | null => movementSchema.safeParse(id).data ?? null;

const plain = z.strictObject({
  format: z.literal(CASE_FORMAT, { error: `expected "${CASE_FORMAT}"` }),
  client: z.strictObject(bodyFields),
  station: stationSchema.prefault({}),
  attachment: z
    .strictObject({ lengthM: numberBetween(0, 1, 'm') })
    .optional()
    .describe('needed by every movement that hangs on a cable'),
  movement: movementSchema,
  side: oneOf(['left', 'right', 'both']),
  options: optionsSchema.default({}),
  loadKg: numberBetween(0, 500, 'kg').describe(
    'stack, dumbbell, bar with its plates, or the plates of a landmine; nothing where the body is the load',
  ),
  given: placementSchema.partial().optional(),
  lastUsed: placementSchema.optional().describe('a set-up that worked before; it is not moved for nothing'),
});

type Report = (path: (string | number)[], message: string) => void;

function checkColumn(column: ColumnCase, shoulders: number, report: Report): void {
  for (const gap of columnGaps(column)) report(['station', 'column', gap.path], gap.message);
  const rise = column.numberedFrom === 'top' ? (column.firstHoleM ?? 0) - (column.holes - 1) * (column.pitchM ?? 0) : 0;
  if (column.kind !== 'arms' && rise < 0)
    report(['station', 'column', 'firstHoleM'], 'expected hole 1 high enough that the lowest hole is above the floor');
  const narrowest = shoulders + SPACING_OVER_SHOULDERS_M;
  if (column.kind === 'twin' && column.twinSpacingM !== undefined && column.twinSpacingM < narrowest) {
    report(
      ['station', 'column', 'twinSpacingM'],
      `expected at least ${narrowest.toFixed(2)} m: wider than the shoulders with room for the hands`,
    );
  }
}

/**
 * The solver's case. Cross-field rules: measures fit the stature, the kit fits the movement, holes lie on the column,
 * the spacing clears the shoulders.
 */
export const caseSchema = plain.superRefine((c, ctx) => {
  const report: Report = (path, message) => ctx.addIssue({ code: 'custom', path, message });
  for (const slip of findMeasureSlips(c.client.statureM, c.client.measuredM)) {
    const expected =
      slip.kind === 'span'
        ? `${slip.minM.toFixed(2)} to ${slip.maxM.toFixed(2)} m for a stature of ${c.client.statureM} m`
        : `a height ${slip.above ? 'above' : 'below'} the one given for ${slip.than}`;
    report(['client', 'measuredM', slip.name], `expected ${expected}`);
  }
  const { column, room } = c.station;
  const entry = entryOf(c.movement);
  const onCable = entry.load.kind === 'cable';
  if (column)
    checkColumn(column, c.client.measuredM.shoulderBreadth ?? LENGTH_RATIO.shoulderBreadth * c.client.statureM, report);
  else if (onCable) report(['station', 'column'], 'expected an object: this movement hangs on a cable');
  if (onCable && !c.attachment) report(['attachment'], 'expected an object: this movement hangs on a cable');
  if (room.minDistanceM >= room.maxDistanceM)
    report(['station', 'room', 'maxDistanceM'], 'expected more than minDistanceM');
  if (!worksOn(entry, c.side))
    report(
      ['side'],
      entry.hands === 'two'
        ? 'expected both: this movement is done with both sides'
        : 'expected left or right: this movement is done one side at a time',
    );
  // A sweep can be done with one arm; what takes two hands is answered with what stands in for it.
  else if (entry.path.kind === 'sweep' && column?.kind === 'single' && c.side === 'both')
    report(['side'], 'expected left or right: a single column serves one arm');
  const straddles = c.options.practices?.['row-base'] ?? c.options.schools?.['row-base'];
  if (straddles === 'knee-on-bench' && noteDefaults(c.client.notes).avoidStraddle)
    report(
      ['options', 'practices', 'row-base'],
      'expected both-feet-down or forearm-on-thigh: abdomen or groin is noted of this client',
    );
  if (c.station.machine && entry.load.kind === 'machine' && c.station.machine.kind !== entry.load.machine)
    report(['station', 'machine', 'kind'], `expected ${entry.load.machine} for this movement`);
  for (const key of ['given', 'lastUsed'] as const) {
    if (c[key] && !onCable) report([key], 'expected none: this movement has no place at a column');
    const hole = c[key]?.hole;
    if (hole !== undefined && column && hole > column.holes)
      report([key, 'hole'], `expected a whole number from 1 to ${column.holes}`);
    const leftBy = c[key]?.leftBy;
    if (!leftBy) continue;
    const left = hole === undefined ? null : hole + leftBy;
    if (c.side !== 'both' || (entry.load.kind === 'cable' && entry.load.shared))
      report([key, 'leftBy'], 'expected none: only two cables can stand apart');
    else if (left === null)
      report([key, 'hole'], 'expected the right carriage’s hole, from which the left one is counted');
    else if (column && (left < 1 || left > column.holes))
      report([key, 'leftBy'], `expected the left carriage in hole 1 to ${column.holes}, not ${left}`);
  }
  for (const gap of optionGaps(entry, c.options)) report(['options', ...gap.path], gap.message);
});

export type Case = z.output<typeof caseSchema>;
export type CaseInput = z.input<typeof caseSchema>;

/** What was measured of a case's client that bends paths. */
export const fitOfCase = (client: Case['client']): ClientFit => ({
  armPathDeg: Object.fromEntries(
    Object.entries(client.armPathDeg).filter(([, v]) => v !== undefined),
  ) as ClientFit['armPathDeg'],
  chestLineDeg: client.chestLineDeg ?? null,
});
